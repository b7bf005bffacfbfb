package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Solid;
import rovingglyph.geometry.Space;

/** A turned plane, and what stands on it, from where the eye is in its own units. */
final class RingView {
  private final Space space;
  private final Solid solid;
  private final Solid back;

  /** The eye; where things far away are as large as near ones the way to it. */
  private final Point3 eye;

  private final boolean parallel;

  private RingView(Space space, Solid solid, Solid back) {
    this.space = space;
    this.solid = solid;
    this.back = back;
    this.parallel = Double.isInfinite(space.distance());
    this.eye =
        parallel
            ? back.way(new Point3(0, 0, -1)).unit()
            : back.apply(new Point3(space.eye().x(), space.eye().y(), -space.distance()));
  }

  /** That of a space; null where nothing in it has any depth. */
  static RingView of(Space space) {
    Solid solid = space.isFlat() ? Solid.IDENTITY : space.solid();
    Solid back = solid.inverse();
    return back == null ? null : new RingView(space, solid, back);
  }

  /** The way from a point to the eye, of length 1. */
  Point3 toEye(Point3 from) {
    return parallel ? eye : eye.minus(from).unit();
  }

  /** How far the eye is from a point, px. */
  double distance(Point3 from) {
    return parallel ? Double.POSITIVE_INFINITY : eye.minus(from).length();
  }

  /** More than 0 where the eye is on the side of a plane that its normal points to. */
  double side(Point3 on, Point3 normal) {
    return parallel ? normal.dot(eye) : normal.dot(eye.minus(on));
  }

  /** Where a point is in the plane that is given where the eye sees it. */
  Point3 local(Point3 turned) {
    return back.apply(turned);
  }

  /** What becomes of a way when the plane is turned, of length 1. */
  Point3 turned(Point3 way) {
    return solid.way(way).unit();
  }

  /** What way becomes this one when the plane is turned, of length 1. */
  Point3 before(Point3 turned) {
    return new Point3(solid.x().dot(turned), solid.y().dot(turned), solid.z().dot(turned)).unit();
  }

  /** Where a point is seen. */
  Point seen(Point3 p) {
    return space.apply(p);
  }

  /** How a plane of it is seen, see {@link Space#on}. */
  Projection on(Point3 origin, Point3 u, Point3 v) {
    return space.on(origin, u, v);
  }

  /** How large a px near a point is seen. */
  double scale(Point3 p) {
    double weight = Math.max(space.weight(space.before(p)), Projection.NEAREST);
    Affine picture = space.picture().near(space.looked(space.before(p)));
    return solid.scale() * Math.hypot(picture.a(), picture.b()) / weight;
  }

  /** What is seen of a polygon: where all of it is far enough away one, else what is left of it. */
  List<double[]> polygons(List<Point3> corners) {
    boolean near = false;
    for (Point3 p : corners) {
      near |= space.weight(space.before(p)) < Projection.NEAREST;
    }
    List<double[]> out = new ArrayList<>();
    if (near) {
      List<Point3> there = corners.stream().map(space::before).toList();
      SpacePolygons.left(List.of(there), List.of(), space).forEach(p -> out.add(flat(p)));
    } else {
      out.add(flat(corners.stream().map(this::seen).toList()));
    }
    return out;
  }

  private static double[] flat(List<Point> points) {
    double[] out = new double[2 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      out[2 * i] = points.get(i).x();
      out[2 * i + 1] = points.get(i).y();
    }
    return out;
  }
}
