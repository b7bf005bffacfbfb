package rovingglyph.proof;

import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.seat.SeatValues;

/**
 * What a lettering's journey leaves in the eye or in the picture: doubles, and a line behind it.
 */
final class Travel {
  /** Letters that go farther from one frame to the next are seen side by side, em. */
  private static final double FAR = 1.5;

  /** The usual shutter of film cameras, degrees. */
  private static final double SHUTTER = 180;

  /** Frames that are looked at for whether the letters are in them. */
  private static final int LOOKS = 12;

  private final Scene scene;
  private final PreparedLettering l;
  private final Rect frame;

  private Travel(Scene scene, PreparedLettering l, Rect frame) {
    this.scene = scene;
    this.l = l;
    this.frame = frame;
  }

  static List<Finding> of(Scene scene, PreparedLettering l, Rect frame) {
    Travel t = new Travel(scene, l, frame);
    List<Finding> out = new ArrayList<>();
    t.doubles(out);
    t.leftBehind(out);
    return out;
  }

  private void doubles(List<Finding> out) {
    Lettering own = l.lettering();
    Double blur = own.letterEffects().blur();
    if ((blur == null ? scene.blur().angle() : blur) > 0
        || !own.movable(Channel.PATH_OFFSET).moves()) {
      return;
    }
    double worst = 0;
    double when = 0;
    int looks = 0;
    double before = offset(0);
    for (int i = 1; i < scene.frameCount(); i++) {
      double time = scene.rate().timeOf(i);
      double now = offset(time);
      double way = Math.abs(now - before);
      before = now;
      boolean farther = way > worst && way > FAR * SeatValues.value(own, Channel.SIZE, time);
      // Landings are out of the frame: most of the time the fastest frames are empty.
      if (farther && looks < LOOKS && isSeen(time)) {
        worst = way;
        when = time;
        looks++;
      }
    }
    if (worst == 0) {
      return;
    }
    String message =
        Names.of(own)
            + " goes "
            + Decimal.text(worst, 0)
            + " px from one frame to the next: without motion blur its letters are seen double";
    JsonObject shutter = new JsonObject().add("angle", SHUTTER);
    out.add(
        Finding.of(message, own.id(), when)
            .mendedBy(
                "Blur what moves",
                blur == null
                    ? Mend.scene(new JsonObject().add("blur", shutter))
                    : Mend.item(own.id(), new JsonObject().add("blur", SHUTTER))));
  }

  private double offset(double time) {
    return SeatValues.value(l.lettering(), Channel.PATH_OFFSET, time);
  }

  private boolean isSeen(double time) {
    SeatValues v = l.values(time);
    return scene.shows(l.lettering(), time) && v.opacity() > 0 && l.touches(v, frame);
  }

  /** A line that is still seen in the last frame, when the letters have gone. */
  private void leftBehind(List<Finding> out) {
    Lettering own = l.lettering();
    if (own.letterEffects().trail() == null) {
      return;
    }
    double last = scene.rate().timeOf(scene.frameCount() - 1L);
    SeatValues v = l.values(last);
    boolean gone = scene.shows(own, last) && !l.touches(v, frame);
    if (gone && l.trailTouches(v, frame) && isSeen(Rest.time(own, scene.length()))) {
      out.add(
          Finding.of(
              "The line of " + Names.of(own) + " is still seen when its letters have gone",
              own.id(),
              last));
    }
  }
}
