package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.ProjectedPath;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SubPath;
import rovingglyph.type.Outline;

/** Whether a mapped outline and a rectangle have a point in common. */
final class AreaTouch {
  private AreaTouch() {}

  static boolean touches(Outline outline, Projection map, Rect area) {
    if (map.isFlat()) {
      return touches(outline, map.flat(), area);
    }
    List<SubPath> seen =
        outline.subPaths().stream()
            .map(p -> ProjectedPath.area(p, map, ProjectedPath.EXACT))
            .toList();
    return touches(Outline.of(seen), Affine.IDENTITY, area);
  }

  private static boolean touches(Outline outline, Affine map, Rect area) {
    Rect box = map.apply(outline.bounds());
    if (box.isEmpty() || !box.meets(area)) {
      return false;
    }
    Point centre = area.centre();
    int winding = 0;
    for (double[] polygon : outline.polygons()) {
      int n = polygon.length;
      double ax = x(map, polygon, n - 2);
      double ay = y(map, polygon, n - 2);
      for (int i = 0; i < n; i += 2) {
        double bx = x(map, polygon, i);
        double by = y(map, polygon, i);
        if (crosses(ax, ay, bx, by, area)) {
          return true;
        }
        winding += winding(ax, ay, bx, by, centre.x(), centre.y());
        ax = bx;
        ay = by;
      }
    }
    // No edge inside: the area may still lie wholly within the shape.
    return winding != 0;
  }

  private static double x(Affine m, double[] polygon, int i) {
    return m.a() * polygon[i] + m.c() * polygon[i + 1] + m.e();
  }

  private static double y(Affine m, double[] polygon, int i) {
    return m.b() * polygon[i] + m.d() * polygon[i + 1] + m.f();
  }

  /** The clipping of a line against a rectangle by Liang and Barsky. */
  private static boolean crosses(double ax, double ay, double bx, double by, Rect r) {
    boolean beside =
        Math.max(ax, bx) < r.left()
            || Math.min(ax, bx) > r.right()
            || Math.max(ay, by) < r.top()
            || Math.min(ay, by) > r.bottom();
    if (beside) {
      return false;
    }
    double from = 0;
    double to = 1;
    for (int side = 0; side < 4; side++) {
      double p = side == 0 ? ax - bx : side == 1 ? bx - ax : side == 2 ? ay - by : by - ay;
      double q =
          side == 0
              ? ax - r.left()
              : side == 1 ? r.right() - ax : side == 2 ? ay - r.top() : r.bottom() - ay;
      if (p == 0) {
        if (q < 0) {
          return false;
        }
      } else if (p < 0) {
        from = Math.max(from, q / p);
      } else {
        to = Math.min(to, q / p);
      }
    }
    return from <= to;
  }

  private static int winding(double ax, double ay, double bx, double by, double x, double y) {
    double side = (bx - ax) * (y - ay) - (by - ay) * (x - ax);
    if (ay <= y) {
      return by > y && side > 0 ? 1 : 0;
    }
    return by <= y && side < 0 ? -1 : 0;
  }
}
