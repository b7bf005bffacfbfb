package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.type.Outline;

/** Whether a mapped outline and a rectangle have a point in common. */
final class AreaTouch {
  private AreaTouch() {}

  static boolean touches(Outline outline, Affine map, Rect area) {
    Rect box = map.apply(outline.bounds());
    if (box.isEmpty() || !box.meets(area)) {
      return false;
    }
    int winding = 0;
    for (List<Point> polygon : outline.polygons()) {
      Point last = map.apply(polygon.get(polygon.size() - 1));
      for (Point p : polygon) {
        Point q = map.apply(p);
        if (crosses(last, q, area)) {
          return true;
        }
        winding += winding(last, q, area.centre());
        last = q;
      }
    }
    // No edge inside: the area may still lie wholly within the shape.
    return winding != 0;
  }

  /** The clipping of a line against a rectangle by Liang and Barsky. */
  private static boolean crosses(Point a, Point b, Rect r) {
    double dx = b.x() - a.x();
    double dy = b.y() - a.y();
    double[] p = {-dx, dx, -dy, dy};
    double[] q = {a.x() - r.left(), r.right() - a.x(), a.y() - r.top(), r.bottom() - a.y()};
    double from = 0;
    double to = 1;
    for (int i = 0; i < 4; i++) {
      if (p[i] == 0) {
        if (q[i] < 0) {
          return false;
        }
      } else if (p[i] < 0) {
        from = Math.max(from, q[i] / p[i]);
      } else {
        to = Math.min(to, q[i] / p[i]);
      }
    }
    return from <= to;
  }

  private static int winding(Point a, Point b, Point p) {
    double side = b.minus(a).cross(p.minus(a));
    if (a.y() <= p.y()) {
      return b.y() > p.y() && side > 0 ? 1 : 0;
    }
    return b.y() <= p.y() && side < 0 ? -1 : 0;
  }
}
