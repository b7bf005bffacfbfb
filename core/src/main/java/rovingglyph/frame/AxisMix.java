package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;

/** Outlines of one glyph at different values of an axis, point by point. */
final class AxisMix {
  private AxisMix() {}

  /** Combines the coordinates of points that belong together. */
  private interface Rule {
    double apply(double a, double b, double c);
  }

  /** Between two; where they are not made alike, the nearer one. */
  static List<SubPath> between(List<SubPath> a, List<SubPath> b, double share) {
    if (!alike(a, b)) {
      return share < 0.5 ? a : b;
    }
    return mixed(a, b, b, (p, q, r) -> p + (q - p) * share);
  }

  /** What {@code moved} differs from {@code base}, added to {@code shape}. */
  static List<SubPath> plus(List<SubPath> shape, List<SubPath> moved, List<SubPath> base) {
    return alike(shape, moved) && alike(shape, base)
        ? mixed(shape, moved, base, (s, m, b) -> s + m - b)
        : shape;
  }

  private static boolean alike(List<SubPath> a, List<SubPath> b) {
    if (a.size() != b.size()) {
      return false;
    }
    for (int i = 0; i < a.size(); i++) {
      List<Segment> p = a.get(i).segments();
      List<Segment> q = b.get(i).segments();
      if (p.size() != q.size()) {
        return false;
      }
      for (int k = 0; k < p.size(); k++) {
        if (p.get(k).getClass() != q.get(k).getClass()) {
          return false;
        }
      }
    }
    return true;
  }

  private static List<SubPath> mixed(List<SubPath> a, List<SubPath> b, List<SubPath> c, Rule rule) {
    List<SubPath> out = new ArrayList<>(a.size());
    for (int i = 0; i < a.size(); i++) {
      List<Segment> segments = new ArrayList<>();
      for (int k = 0; k < a.get(i).segments().size(); k++) {
        Segment p = a.get(i).segments().get(k);
        Segment q = b.get(i).segments().get(k);
        Segment r = c.get(i).segments().get(k);
        segments.add(mixed(p, q, r, rule));
      }
      out.add(new SubPath(segments, a.get(i).closed()));
    }
    return out;
  }

  private static Segment mixed(Segment p, Segment q, Segment r, Rule rule) {
    Point start = mixed(p.start(), q.start(), r.start(), rule);
    Point end = mixed(p.end(), q.end(), r.end(), rule);
    if (p instanceof Quadratic a && q instanceof Quadratic b && r instanceof Quadratic c) {
      return new Quadratic(start, mixed(a.p1(), b.p1(), c.p1(), rule), end);
    }
    if (p instanceof Cubic a && q instanceof Cubic b && r instanceof Cubic c) {
      return new Cubic(
          start, mixed(a.p1(), b.p1(), c.p1(), rule), mixed(a.p2(), b.p2(), c.p2(), rule), end);
    }
    return new Line(start, end);
  }

  private static Point mixed(Point a, Point b, Point c, Rule rule) {
    return new Point(rule.apply(a.x(), b.x(), c.x()), rule.apply(a.y(), b.y(), c.y()));
  }
}
