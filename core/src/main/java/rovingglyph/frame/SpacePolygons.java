package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;

/** Closed polygons in space whose points need not lie in one plane. */
final class SpacePolygons {
  private SpacePolygons() {}

  /**
   * What is seen of them.
   *
   * @param cuts planes whose fronts hold what is left of them
   */
  static Piece seen(List<List<Point3>> polygons, List<Card.Cut> cuts, Space space) {
    List<SubPath> out = new ArrayList<>();
    left(polygons, cuts, space).forEach(p -> out.add(lines(p)));
    return Piece.own(out, Affine.IDENTITY);
  }

  /** The same as the corners of what is left. */
  static List<List<Point>> left(List<List<Point3>> polygons, List<Card.Cut> cuts, Space space) {
    List<Card.Cut> all = new ArrayList<>(cuts);
    if (!Double.isInfinite(space.distance())) {
      double nearest = -(1 - Projection.NEAREST) * space.distance();
      all.add(new Card.Cut(new Point3(0, 0, nearest), new Point3(0, 0, 1)));
    }
    List<List<Point>> out = new ArrayList<>();
    for (List<Point3> polygon : polygons) {
      List<Point3> left = polygon;
      for (Card.Cut c : all) {
        left = before(left, c);
      }
      if (left.size() > 2) {
        out.add(left.stream().map(space::looked).toList());
      }
    }
    return out;
  }

  /** What of a polygon is in front of a plane; what is cut off is cut straight. */
  private static List<Point3> before(List<Point3> polygon, Card.Cut c) {
    List<Point3> out = new ArrayList<>();
    for (int i = 0; i < polygon.size(); i++) {
      Point3 p = polygon.get(i);
      Point3 q = polygon.get((i + 1) % polygon.size());
      double from = c.depth(p);
      double to = c.depth(q);
      if (from >= 0) {
        out.add(p);
      }
      if (from < 0 != to < 0) {
        out.add(p.plus(q.minus(p).times(from / (from - to))));
      }
    }
    return out;
  }

  private static SubPath lines(List<Point> polygon) {
    List<Segment> out = new ArrayList<>();
    for (int i = 0; i < polygon.size(); i++) {
      out.add(new Line(polygon.get(i), polygon.get((i + 1) % polygon.size())));
    }
    return new SubPath(out, true);
  }
}
