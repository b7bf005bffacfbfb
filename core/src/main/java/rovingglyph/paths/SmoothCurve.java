package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.SmoothPath;

/** Smooth curves through or near points. */
final class SmoothCurve {
  private final List<Point> points;
  private final boolean closed;

  private SmoothCurve(List<Point> points, boolean closed) {
    this.points = points;
    this.closed = closed;
  }

  static Contour of(SmoothPath s) {
    List<Point> kept = new ArrayList<>();
    for (Point p : s.points()) {
      if (kept.isEmpty() || kept.get(kept.size() - 1).distance(p) > 1e-9) {
        kept.add(p);
      }
    }
    boolean closed = s.closed() && kept.size() > 2;
    if (closed && kept.get(0).distance(kept.get(kept.size() - 1)) <= 1e-9) {
      kept.remove(kept.size() - 1);
    }
    if (kept.size() < 2) {
      return new Contour(List.of(new Line(kept.get(0), kept.get(0))), false);
    }
    SmoothCurve curve = new SmoothCurve(kept, closed);
    List<Segment> out = new ArrayList<>();
    for (int i = 0; i < (closed ? kept.size() : kept.size() - 1); i++) {
      out.add(s.rule() == SmoothPath.Rule.THROUGH ? curve.through(i) : curve.near(i));
    }
    return new Contour(out, closed);
  }

  /** Beyond an open end the row goes on as it came, so that the curve begins at its first point. */
  private Point point(int i) {
    int n = points.size();
    if (closed) {
      return points.get(Math.floorMod(i, n));
    }
    if (i < 0) {
      return points.get(0).times(2).minus(points.get(1));
    }
    return i < n ? points.get(i) : points.get(n - 1).times(2).minus(points.get(n - 2));
  }

  /** Centripetal Catmull-Rom as a cubic Bezier: no loops or cusps between the points. */
  private Cubic through(int i) {
    Point p0 = point(i - 1);
    Point p1 = point(i);
    Point p2 = point(i + 1);
    Point p3 = point(i + 2);
    double a = Math.sqrt(Math.max(p0.distance(p1), 1e-9));
    double b = Math.sqrt(p1.distance(p2));
    double c = Math.sqrt(Math.max(p2.distance(p3), 1e-9));
    Point m1 = slope(p0, p1, p2, a, b).times(b / 3);
    Point m2 = slope(p1, p2, p3, b, c).times(b / 3);
    return new Cubic(p1, p1.plus(m1), p2.minus(m2), p2);
  }

  /** Derivative at the middle point of three, at parameters with steps a and b. */
  private static Point slope(Point p, Point q, Point r, double a, double b) {
    Point before = q.minus(p).times(b / a);
    Point after = r.minus(q).times(a / b);
    return before.plus(after).times(1 / (a + b));
  }

  private Cubic near(int i) {
    Point a = point(i - 1);
    Point b = point(i);
    Point c = point(i + 1);
    Point d = point(i + 2);
    return new Cubic(
        a.plus(b.times(4)).plus(c).times(1.0 / 6),
        b.lerp(c, 1.0 / 3),
        b.lerp(c, 2.0 / 3),
        b.plus(c.times(4)).plus(d).times(1.0 / 6));
  }
}
