package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.Knot;

/** Contours as points of a drawn path: lines and Bezier curves exactly, arcs to 0.01 px. */
public final class KnotsOf {
  /** Ends nearer than this, in px, are one point. */
  private static final double JOINED = 1e-6;

  private KnotsOf() {}

  /** A contour of any segments as points with handles. */
  public static List<Knot> contour(Contour c) {
    return cubics(raised(c), c.closed());
  }

  /** The segments of a contour as cubics. */
  public static List<Cubic> raised(Contour c) {
    List<Cubic> cubics = new ArrayList<>();
    for (Segment s : c.segments()) {
      if (s instanceof Cubic cubic) {
        cubics.add(cubic);
      } else if (s instanceof Quadratic q) {
        cubics.add(q.raised());
      } else if (s instanceof Arc a) {
        cubics.addAll(a.cubics());
      } else {
        Line l = (Line) s;
        cubics.add(new Cubic(l.p0(), l.p0(), l.p1(), l.p1()));
      }
    }
    return cubics;
  }

  /** The points that chained cubics go through. */
  public static List<Knot> cubics(List<Cubic> cubics, boolean closed) {
    List<Knot> out = new ArrayList<>();
    Point in = Point.ORIGIN;
    for (Cubic c : cubics) {
      out.add(knot(c.p0(), in, c.p1().minus(c.p0())));
      in = c.p2().minus(c.p3());
    }
    Point end = cubics.get(cubics.size() - 1).p3();
    if (closed && end.distance(out.get(0).at()) < JOINED) {
      Knot first = out.get(0);
      out.set(0, knot(first.at(), in, first.out()));
    } else {
      out.add(knot(end, in, Point.ORIGIN));
    }
    return out;
  }

  private static Knot knot(Point at, Point in, Point out) {
    boolean bent = in.length() > 0 && out.length() > 0;
    boolean inLine = Math.abs(Math.atan2(-in.cross(out), -in.dot(out))) < 1e-3;
    return new Knot(at, in, out, bent && !inLine ? Knot.Kind.CORNER : Knot.Kind.SMOOTH);
  }
}
