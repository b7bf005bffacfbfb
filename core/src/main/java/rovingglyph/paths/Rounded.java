package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.Turns;

/** Polygons whose corners are rounded by arcs that touch both edges. */
final class Rounded {
  private Rounded() {}

  /**
   * Begins after the rounding of the first corner. Where two roundings do not fit on an edge, all
   * are scaled down by one factor (CSS Backgrounds and Borders 3, section 4.5).
   */
  static List<Segment> polygon(List<Point> corners, double[] radii) {
    int n = corners.size();
    double[] reach = new double[n];
    for (int i = 0; i < n; i++) {
      double half = interior(corners, i) / 2;
      reach[i] = Math.abs(half - Math.PI / 2) < 1e-9 ? 0 : radii[i] / Math.tan(half);
    }
    double fit = 1;
    for (int i = 0; i < n; i++) {
      double edge = corners.get(i).distance(corners.get((i + 1) % n));
      double wanted = reach[i] + reach[(i + 1) % n];
      fit = wanted > edge ? Math.min(fit, edge / wanted) : fit;
    }
    List<Segment> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      int next = (i + 1) % n;
      Point a = corners.get(i);
      Point b = corners.get(next);
      Point along = b.minus(a).unit();
      Point from = a.plus(along.times(reach[i] * fit));
      Point to = b.minus(along.times(reach[next] * fit));
      out.add(new Line(from, to));
      if (reach[next] * fit > 1e-9) {
        Point onward = corners.get((next + 1) % n).minus(b).unit();
        out.add(corner(to, b.plus(onward.times(reach[next] * fit)), along, radii[next] * fit));
      }
    }
    return out;
  }

  /** The angle between the two edges of a corner, radians, 0 to pi. */
  private static double interior(List<Point> corners, int i) {
    int n = corners.size();
    Point in = corners.get((i + n - 1) % n).minus(corners.get(i));
    Point out = corners.get((i + 1) % n).minus(corners.get(i));
    return Math.abs(Math.atan2(in.cross(out), in.dot(out)));
  }

  private static Arc corner(Point from, Point to, Point along, double radius) {
    boolean clockwise = along.cross(to.minus(from)) > 0;
    Point inward = new Point(-along.y(), along.x()).times(clockwise ? radius : -radius);
    Point centre = from.plus(inward);
    double a = from.minus(centre).angle();
    double sweep = Turns.rest(to.minus(centre).angle() - a, 2 * Math.PI);
    return new Arc(centre, radius, radius, 0, a, sweep);
  }
}
