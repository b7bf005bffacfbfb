package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.Knot;

/** A point put on the line of a drawn path; the line keeps its shape. */
public final class KnotInsert {
  /** Nearer than this, in px, to a point that is there, none is added. */
  private static final double ON = 1e-6;

  private KnotInsert() {}

  /** The points with one more on the line where it is nearest to {@code p}. */
  public static List<Knot> at(List<Knot> knots, boolean closed, Point p) {
    List<Segment> segments = GuideContour.segments(knots, closed);
    int best = 0;
    Contour.Nearest nearest = null;
    for (int i = 0; i < segments.size(); i++) {
      Contour.Nearest n = new Contour(List.of(segments.get(i)), false).nearest(p);
      if (nearest == null || n.point().distance(p) < nearest.point().distance(p)) {
        nearest = n;
        best = i;
      }
    }
    return split(knots, best, segments.get(best), nearest.u());
  }

  /** Index of the point that stands at {@code p} after {@link #at}. */
  public static int indexAt(List<Knot> knots, Point p) {
    int best = 0;
    for (int i = 1; i < knots.size(); i++) {
      if (knots.get(i).at().distance(p) < knots.get(best).at().distance(p)) {
        best = i;
      }
    }
    return best;
  }

  private static List<Knot> split(List<Knot> knots, int index, Segment s, double u) {
    List<Knot> out = new ArrayList<>(knots);
    int after = (index + 1) % out.size();
    Segment[] parts = s.split(u);
    Point at = parts[0].end();
    if (at.distance(s.start()) < ON || at.distance(s.end()) < ON) {
      return knots;
    }
    if (s instanceof Line) {
      out.add(index + 1, Knot.corner(at));
      return out;
    }
    Cubic head = (Cubic) parts[0];
    Cubic tail = (Cubic) parts[1];
    Knot a = out.get(index);
    out.set(index, a.with(a.in(), head.p1().minus(a.at())));
    Knot b = out.get(after);
    out.set(after, b.with(tail.p2().minus(b.at()), b.out()));
    out.add(index + 1, new Knot(at, head.p2().minus(at), tail.p1().minus(at), Knot.Kind.SMOOTH));
    return out;
  }
}
