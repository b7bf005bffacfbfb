package rovingglyph.proof;

import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;

/**
 * A lettering where it rests.
 *
 * @param time in seconds
 * @param values at that time
 * @param rows at that time
 * @param places of the letters of the first row, in pixels of the frame
 */
record Rest(double time, SeatValues values, List<RowLayout> rows, List<Placement> places) {
  /** What moves less in a frame stands still, px. */
  private static final double STILL = 0.25;

  static Rest of(PreparedLettering l, double sceneLength) {
    double time = time(l.lettering(), sceneLength);
    SeatValues v = l.values(time);
    List<RowLayout> rows = l.rows(v);
    return new Rest(time, v, rows, l.inFrame(rows.get(0)));
  }

  /** The first row. */
  RowLayout row() {
    return rows.get(0);
  }

  /** Whether any letter is there and is not wholly faded. */
  boolean shown() {
    return values.opacity() > 0 && places.stream().anyMatch(p -> p.visible() && p.alpha() > 0);
  }

  /** Whether its letters stand still then, for a frame's time at least. */
  boolean still(PreparedLettering l, double frame) {
    List<Placement> next = l.inFrame(l.seating(l.values(time + frame)));
    boolean still = next.size() == places.size();
    for (int i = 0; still && i < next.size(); i++) {
      still = next.get(i).at().distance(places.get(i).at()) < STILL;
    }
    return still;
  }

  /**
   * When a lettering rests: where a hold begins, at an "at rest" landing, else half way through its
   * keyframes, or through the scene where it has none.
   */
  static double time(Lettering l, double length) {
    List<Keyframe> keys = l.movable(Channel.PATH_OFFSET).keyframes();
    for (int i = 0; i < keys.size(); i++) {
      Landing landing = keys.get(i).landing();
      boolean holds = i + 1 < keys.size() && keys.get(i).value() == keys.get(i + 1).value();
      if (holds || (landing != null && landing.kind() == Landing.Kind.AT_REST)) {
        return keys.get(i).time();
      }
    }
    return keys.isEmpty()
        ? length / 2
        : (keys.get(0).time() + keys.get(keys.size() - 1).time()) / 2;
  }
}
