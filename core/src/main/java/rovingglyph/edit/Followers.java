package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Command.argument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Follow;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;
import rovingglyph.seat.RowLayout;

/**
 * Copies of words that come after them on the same path: on one with ends each a while later than
 * the one before; on one that comes round each a way behind it, so that a loop stays closed.
 */
final class Followers {
  /** From one to the next, in lengths of the text. */
  private static final double APART = 1.2;

  /** Of a length of time, at how many places the speed is looked at. */
  private static final int LOOKS = 200;

  private static final Field<Values, Integer> COUNT =
      argument("count", Types.integer(1, 20)).about("how many copies");

  static final List<Command> ALL =
      List.of(
          Command.standing(
              "followers",
              "Added copies that come after",
              List.of(ITEM, ID, COUNT),
              (target, v) -> new Followers(target, v).added()));

  private final Scene scene;
  private final PreparedLettering words;
  private final String id;
  private final int count;
  private final RowLayout row;

  private Followers(Command.Target target, Values v) {
    scene = target.scene();
    words = StandingCommands.lettering(target, v);
    id = v.get(ID);
    count = v.get(COUNT);
    row = words.seating(words.values(0));
  }

  private Scene added() {
    Lettering first = words.lettering();
    boolean still = first.values().values().stream().noneMatch(AnimatedValue::moves);
    Lettering leader = still ? sent(first) : first;
    int others = (int) scene.letterings().stream().filter(l -> follows(l, first.id())).count();
    double apart = row.track().round() ? behind(others) : later(still, others);
    Scene out = scene.withItem(leader);
    String before = leader.id();
    for (int i = 1; i <= count; i++) {
      Lettering next = follower(leader, id + "-" + i, apart * (others + i));
      out = Groups.above(out.withItem(next).stacked(next.id()), next.id(), before);
      before = next.id();
    }
    return out;
  }

  private static boolean follows(Lettering l, String leader) {
    AnimatedValue m = l.values().get(Channel.PATH_OFFSET);
    return m != null && m.follow() != null && m.follow().lettering().equals(leader);
  }

  /** Words that stand still, sent along their path: once round, or right through the frame. */
  private Lettering sent(Lettering l) {
    boolean round = row.track().round();
    Landing from = new Landing(round ? Landing.Kind.AT_REST : Landing.Kind.OUT_BEFORE, 0, 0);
    Landing to = new Landing(round ? Landing.Kind.WHOLE_LAPS : Landing.Kind.OUT_AFTER, 1, 0);
    // The last of them is gone in the last frame.
    double last = scene.rate().timeOf(scene.frameCount() - 1L);
    double end = round ? scene.length() : last - count * later(true, 0);
    return l.with(
        Channel.PATH_OFFSET,
        AnimatedValue.through(
            List.of(
                new Keyframe(0, 0, from, Easing.LINEAR), new Keyframe(end, 0, to, Easing.LINEAR))));
  }

  /** Px from one to the next on a path that comes round: all of them have room on it. */
  private double behind(int others) {
    return -Math.min(APART * row.extent(), row.track().length() / (others + count + 1));
  }

  /**
   * Seconds from one to the next, whole frames, so that they do not touch where they go fastest.
   */
  private double later(boolean still, int others) {
    double way = row.track().length() + row.extent();
    double text = APART * row.extent();
    double length = scene.length();
    double frame = 1 / scene.rate().perSecond();
    // One that is sent through goes the way in what the others leave of the time.
    double speed = still ? (way + text * count) / (length - frame) : fastest();
    double most = length / (others + count + 1);
    double frames =
        (speed > 0 ? Math.min(text / speed, most) : most / 2) * scene.rate().perSecond();
    return scene.rate().timeOf((long) Math.max(Math.ceil(frames - 1e-6), 1));
  }

  /** Px a second. */
  private double fastest() {
    double step = scene.length() / LOOKS;
    double most = 0;
    for (int i = 0; i < LOOKS; i++) {
      double from = words.values(i * step).pathOffset();
      most = Math.max(most, Math.abs(words.values((i + 1) * step).pathOffset() - from));
    }
    return most / step;
  }

  /**
   * A copy: what moves follows the leader, but what cannot, of its effects, is only later.
   *
   * @param apart px behind on a path that comes round, else seconds later
   */
  private Lettering follower(Lettering leader, String newId, double apart) {
    boolean round = row.track().round();
    double delay = round ? 0 : apart;
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    leader
        .values()
        .forEach(
            (c, m) -> {
              double offset = round && c == Channel.PATH_OFFSET ? apart : 0;
              values.put(c, m.moves() ? after(leader.id(), c, m, delay, offset) : m);
            });
    ItemProperties p = leader.properties();
    ItemProperties own =
        new ItemProperties(
            newId,
            p.name(),
            p.shownFrom() + delay,
            p.shownTo() + delay,
            p.hidden(),
            p.locked(),
            p.blend(),
            p.effects(),
            p.clip(),
            p.matte(),
            p.ride(),
            p.pin(),
            p.plane());
    Lettering copy = leader.with(own, values);
    return copy.with(copy.letterEffects().with(List.of()));
  }

  private static AnimatedValue after(
      String leader, Channel c, AnimatedValue m, double delay, double offset) {
    if (c.isOfAppearance()) {
      return m.with(m.keyframes().stream().map(k -> k.at(k.time() + delay, null)).toList());
    }
    Follow f = new Follow(leader, 1, delay, offset, null, UnknownFields.NONE);
    return new AnimatedValue(m.base()).with(m.stagger()).with(f);
  }
}
