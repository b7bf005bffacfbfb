package rovingglyph.scene;

import java.util.List;
import rovingglyph.geometry.Point;

/** The line a lettering sits on; never part of the output. */
public sealed interface GuidePath {
  String id();

  String name();

  Extras extras();

  /** A circle: centre and radius in px, the start in degrees clockwise from the right. */
  record Circle(
      String id,
      String name,
      Point centre,
      double radius,
      double startAngle,
      boolean clockwise,
      Extras extras)
      implements GuidePath {}

  /** Cubic points joined in order. */
  record Drawn(String id, String name, List<Knot> points, boolean closed, Extras extras)
      implements GuidePath {}

  /**
   * A point of a drawn path.
   *
   * @param in handle towards the point before, relative to the point
   * @param out handle towards the point after, relative to the point
   * @param smooth the two handles stay in line
   */
  record Knot(Point at, Point in, Point out, boolean smooth, Extras extras) {}
}
