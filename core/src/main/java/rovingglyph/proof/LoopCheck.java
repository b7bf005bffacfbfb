package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Ride;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Track;

/**
 * Whether a scene's frame after the last is its first again: in a loop of N frames, frame N and
 * frame 0. What differs is named, with the nearest value that closes it.
 */
public final class LoopCheck {
  /**
   * A value whose end is not its beginning.
   *
   * @param differs by so much in the channel's unit
   * @param nearest value of the last keyframe that closes the loop; NaN where there is none
   * @param travels whether it goes round and nearly closes, so that a closed loop is surely meant
   * @param sways whether it is a sway that does not come round in the scene's time
   */
  public record Difference(
      Animatable item,
      String name,
      Channel channel,
      double differs,
      double nearest,
      boolean travels,
      boolean sways) {

    /** In a sentence. */
    public String sentence() {
      return name
          + ": "
          + channel.label().toLowerCase()
          + " ends "
          + Decimal.text(differs, 2)
          + " "
          + channel.unit()
          + " from where it began";
    }
  }

  private final PreparedScene prepared;
  private final double end;
  private final List<Difference> out = new ArrayList<>();

  private LoopCheck(PreparedScene prepared) {
    this.prepared = prepared;
    this.end = prepared.scene().rate().timeOf(prepared.scene().frameCount());
  }

  /** Every value that is not the same in frame 0 and in the frame after the last. */
  public static List<Difference> of(PreparedScene prepared) {
    LoopCheck check = new LoopCheck(prepared);
    for (Lettering l : prepared.scene().letterings()) {
      PreparedLettering p = prepared.letterings().get(l.id());
      if (p != null && check.showsAtTheSeam(l)) {
        check.item(l, "\u201c" + l.text().strip().replace('\n', ' ') + "\u201d", lap(p));
      }
    }
    for (Item p : prepared.scene().others()) {
      if (check.showsAtTheSeam(p)) {
        check.item(p, p.name(), 0);
      }
    }
    for (GuidePath p : prepared.scene().paths()) {
      check.item(p, p.name(), 0);
    }
    return check.out;
  }

  /**
   * Whether an item is there in the last frame or the first; elsewhere its values close no less.
   */
  private boolean showsAtTheSeam(Item item) {
    double last = prepared.scene().rate().timeOf(prepared.scene().frameCount() - 1L);
    return prepared.scene().shows(item, 0) || prepared.scene().shows(item, last);
  }

  /** What is once round for the path offset: 0 where the path does not come round. */
  private static double lap(PreparedLettering l) {
    RowLayout row = l.seating(l.values(0));
    return row.track().round() ? row.lap() : 0;
  }

  /** After what way along its path an item that rides looks the same; 0 where it never does. */
  private double lap(Item item) {
    Ride ride = item.properties().ride();
    Track track = prepared.carriage(item).track(0);
    boolean alike = ride.spacing() == Ride.Spacing.EVEN;
    return track.round() ? track.length() / (alike ? ride.copies() : 1) : 0;
  }

  private void item(Animatable item, String name, double lap) {
    item.values()
        .forEach(
            (c, m) -> {
              if (m.moves() && c.kind() != Channel.Kind.COLOUR && matters(item, c)) {
                value(
                    item, name, c, m, c == Channel.RIDE_OFFSET ? lap((Item) item) : period(c, lap));
              }
            });
  }

  /** A value that moves while nothing is seen closes no less. */
  private boolean matters(Animatable item, Channel c) {
    if (!(item instanceof Lettering l) || c == Channel.OPACITY) {
      return true;
    }
    PreparedLettering p = prepared.letterings().get(l.id());
    return seen(p, 0) || seen(p, end);
  }

  private boolean seen(PreparedLettering l, double time) {
    SeatValues v = l.values(time);
    return l.placements(v).stream().anyMatch(LoopCheck::seen) && l.touches(v, prepared.area());
  }

  private static boolean seen(Placement p) {
    return p.visible() && p.alpha() > 0;
  }

  private static final String DEGREES = "\u00b0";

  private static double period(Channel c, double lap) {
    if (c == Channel.PATH_OFFSET) {
      return lap;
    }
    boolean turns =
        c == Channel.ROTATION
            || c == Channel.TURN
            || c == Channel.LETTER_TURN
            || c == Channel.FIXED_ANGLE
            || c == Channel.PHASE
            || c == Channel.START_ANGLE
            || c.kind() == Channel.Kind.EFFECT && c.unit().equals(DEGREES);
    return turns ? 360 : c == Channel.START ? 100 : 0;
  }

  private void value(Animatable item, String name, Channel c, AnimatedValue m, double period) {
    double first = Timeline.value(m, 0);
    double last = Timeline.value(m, end);
    double by = last - first;
    double whole = period > 0 ? period * Math.rint(by / period) : 0;
    double differs = by - whole;
    double limit = c.isAlongPath() && period > 0 ? 1e-6 * period : 1e-6;
    // What is back where it began but on another way, as a sine at half its period, is no loop
    // either.
    double frame = 1 / prepared.scene().rate().perSecond();
    AnimatedValue alone = swaying(m);
    boolean torn = alone != null && torn(alone, frame);
    if (Math.abs(differs) <= limit && !torn) {
      return;
    }
    boolean keyed = m.keyed() && m.cruise() == null && m.sway() == null && m.follow() == null;
    double nearest = keyed ? first + whole : Double.NaN;
    boolean travels = period > 0 && Math.abs(by) > period / 2;
    out.add(new Difference(item, name, c, differs, nearest, travels, torn));
  }

  /** The sway of a value that does not loop; null where it has none, or one that does. */
  private static AnimatedValue swaying(AnimatedValue m) {
    boolean open = m.sway() != null && m.sway().amplitude() != 0 && !m.sway().loops();
    return open ? new AnimatedValue(0).with(m.sway()) : null;
  }

  /** Whether a value or its speed is another after the scene than at its beginning. */
  private boolean torn(AnimatedValue sway, double frame) {
    double most = Math.abs(sway.sway().amplitude());
    for (double t : new double[] {0, frame / 2, frame}) {
      double off = Timeline.value(sway, t) - Timeline.value(sway, end + t);
      if (Math.abs(off) > 1e-6 * most) {
        return true;
      }
    }
    return false;
  }

  /** The value with its end closed: its last keyframe at the nearest whole, at the loop's end. */
  public static AnimatedValue fixed(Difference d, double lap) {
    AnimatedValue m = d.item().movable(d.channel());
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    int last = keys.size() - 1;
    Keyframe k = keys.get(last);
    boolean laps = d.channel().isAlongPath() && lap > 0;
    double way = d.nearest() - keys.get(0).value();
    double whole = laps ? Math.rint(way / lap) : 0;
    // Copies in equal shares of a path look the same after a part of a lap.
    laps &= Math.abs(way - whole * lap) <= 1e-6 * lap;
    boolean fromRest = keys.get(0).value() == 0;
    keys.set(
        last,
        laps && fromRest && whole != 0
            ? k.withValue(d.nearest()).with(new Landing(Landing.Kind.WHOLE_LAPS, whole, 0))
            : k.withValue(d.nearest()).with((Landing) null));
    return m.with(keys);
  }

  /** The value with its sway made to loop. */
  public static AnimatedValue looping(Difference d, double seconds) {
    AnimatedValue m = d.item().movable(d.channel());
    return m.with(m.sway().looping(true).over(seconds));
  }

  /** Whether an item is one that this check can mend. */
  public static boolean canFix(Difference d) {
    return (d.sways() || !Double.isNaN(d.nearest()))
        && (d.item() instanceof Item || d.item() instanceof GuidePath);
  }
}
