package rovingglyph.seat;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/** Pushes letters along until the outlines of neighbours keep a distance from each other. */
final class GapSolver {
  /** Looks per pair; each one brings the distance closer to what is wanted. */
  private static final int LOOKS = 30;

  private final RowLayout seating;
  private final double[] middles;
  private final double wanted;

  GapSolver(RowLayout seating, double[] middles, double wanted) {
    this.seating = seating;
    this.middles = middles;
    this.wanted = wanted;
  }

  /** Changes the middles; gives how much longer the row has become, px. */
  double spread() {
    double grown = 0;
    List<List<Point>> before = List.of();
    for (int i = 0; i < middles.length; i++) {
      middles[i] += grown;
      List<List<Point>> ink = ink(i);
      if (ink.isEmpty()) {
        continue;
      }
      for (int look = 0; look < LOOKS && !before.isEmpty(); look++) {
        double gap = gap(before, ink);
        if (gap >= wanted - 1e-3) {
          break;
        }
        // Outlines that cross have no distance: a small step takes them apart.
        double step = gap <= 0 ? seating.size() * 0.04 : wanted - gap;
        middles[i] += step;
        grown += step;
        ink = ink(i);
      }
      before = ink;
    }
    return grown;
  }

  private List<List<Point>> ink(int i) {
    Letter l = seating.letters().get(i);
    List<List<Point>> out = new ArrayList<>();
    if (l.isSpace()) {
      return out;
    }
    Placement p = seating.place(i);
    Affine map = Letters.map(p);
    for (Cluster.Glyph g : l.cluster().glyphs()) {
      Affine glyph = map.times(Affine.translate(p.back() + g.dx(), g.dy()));
      for (List<Point> polygon : l.run().outlines().get(g.outline()).coarse()) {
        out.add(polygon.stream().map(glyph::apply).toList());
      }
    }
    return out;
  }

  /** The least distance of two sets of polygons; 0 or less where edges cross. */
  private static double gap(List<List<Point>> a, List<List<Point>> b) {
    double best = Double.POSITIVE_INFINITY;
    for (List<Point> p : a) {
      for (List<Point> q : b) {
        best = Math.min(best, gap1(p, q));
      }
    }
    return best;
  }

  private static double gap1(List<Point> a, List<Point> b) {
    double best = Double.POSITIVE_INFINITY;
    Point p0 = a.get(a.size() - 1);
    for (Point p1 : a) {
      Point q0 = b.get(b.size() - 1);
      for (Point q1 : b) {
        if (Line.cross(p0, p1, q0, q1)) {
          return 0;
        }
        best = Math.min(best, Math.min(distance(p1, q0, q1), distance(q1, p0, p1)));
        q0 = q1;
      }
      p0 = p1;
    }
    return best;
  }

  private static double distance(Point p, Point a, Point b) {
    Point ab = b.minus(a);
    double length = ab.dot(ab);
    double u = length > 0 ? Math.min(Math.max(p.minus(a).dot(ab) / length, 0), 1) : 0;
    return p.distance(a.plus(ab.times(u)));
  }
}
