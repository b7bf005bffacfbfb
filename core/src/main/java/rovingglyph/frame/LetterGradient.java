package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Filling;
import rovingglyph.seat.Letters;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.setting.Letter;

/**
 * Where the gradient that a lettering is filled with begins and ends for one letter, in the
 * letter's own space: em from the middle of its advance on the baseline. There it is the same in
 * all outputs, and bends with no path.
 */
final class LetterGradient {
  /** Em above the baseline at which a gradient across a letter begins; it goes on for an em. */
  private static final double TOP = 0.8;

  private LetterGradient() {}

  /**
   * @param turned the placement with the rotation of the lettering
   * @param frame of the scene
   */
  static List<Point> ends(Filling.Across across, RowLayout row, Placement turned, Rect frame) {
    return List.of(
        at(across, row, turned, frame, Channel.FROM_X, Channel.FROM_Y),
        at(across, row, turned, frame, Channel.TO_X, Channel.TO_Y));
  }

  private static Point at(
      Filling.Across across,
      RowLayout row,
      Placement p,
      Rect frame,
      Channel rightwards,
      Channel downwards) {
    // A letter may lag behind.
    double x = row.value(rightwards, p.letter()) / 100;
    double y = row.value(downwards, p.letter()) / 100;
    return switch (across) {
      case FRAME -> {
        Affine map = Letters.map(p);
        Point there = new Point(frame.width() * x, frame.height() * y);
        yield map.a() * map.d() == map.b() * map.c() ? there : map.inverse().apply(there);
      }
      case LETTER -> {
        Letter letter = row.letters().get(p.letter());
        yield new Point(p.back() + letter.cluster().advance() * x, y - TOP - row.lift());
      }
      case RUN -> {
        // A placement's own distance is brought round.
        double[] run = row.run();
        yield along(p, run[0] + (run[1] - run[0]) * x, row.distance(p.letter()));
      }
      case PATH -> {
        double length = row.track().length();
        double at = row.track().round() ? row.contour().wrap(p.distance()) : p.distance();
        yield along(p, length * x, at);
      }
    };
  }

  private static Point along(Placement p, double distance, double at) {
    return p.width() == 0 ? Point.ORIGIN : new Point((distance - at) / p.width(), 0);
  }
}
