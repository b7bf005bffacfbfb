package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.ProjectedPath;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.type.Outline;

/** A part of the frame as something in groups sees it. */
final class Window {
  private final Rect area;
  private final Space space;
  private final Half half;
  private final Projection map;
  private final boolean plain;

  /** The map in the middle of the area. */
  private final Affine near;

  private final double scale;

  /** The area in the pixels of what looks, in perspective; else null. */
  private final List<Point> corners;

  /**
   * @param space how things in the space of what looks are seen in the frame; without perspective
   *     and turns the same in all directions
   */
  Window(Rect area, Space space) {
    this(area, space, Half.ALL);
  }

  private Window(Rect area, Space space, Half half) {
    this.half = half;
    this.area = area;
    this.space = space;
    this.map = space.plane();
    // Most stand in no group, and landings look thousands of times.
    this.plain = map.equals(Projection.IDENTITY);
    this.near = map.isFlat() ? map.flat() : map.near(map.inverse().apply(area.centre()));
    this.scale = Math.hypot(near.a(), near.b());
    this.corners = map.isFlat() ? null : ProjectedPath.polygon(area.corners(), map.inverse());
  }

  Rect area() {
    return area;
  }

  Projection map() {
    return map;
  }

  /** The same as something sees it whose pixels a map takes to those of what looks. */
  Window within(Space inner) {
    return new Window(area, space.times(inner));
  }

  /** The same for what sees only some of the letters of planes through it. */
  Window halved(Half which) {
    return which == half ? this : new Window(area, space, which);
  }

  /** Which letters of a plane are looked for. */
  Half half() {
    return half;
  }

  /** How things in the space of what looks are seen in the frame. */
  Space space() {
    return space;
  }

  /** Pixels of the frame per pixel of what looks, in its middle. */
  double scale() {
    return scale;
  }

  /** Its middle in the pixels of what looks. */
  Point centre() {
    return map.inverse().apply(area.centre());
  }

  /** Whether a mapped outline reaches into it. */
  boolean touched(Outline outline, Affine inner) {
    return AreaTouch.touches(outline, plain ? Projection.of(inner) : map.times(inner), area);
  }

  /** How far a contour passes by it, in the pixels of what looks; as exact as {@link Contour}. */
  double distance(Contour c) {
    Point middle = centre();
    double reach = Math.hypot(area.width(), area.height()) / 2 / scale;
    return Math.max(0, c.nearest(middle).point().distance(middle) - reach);
  }

  /** Signed distance of a point to its edge, positive inside, in the pixels of what looks. */
  double depth(Point inner) {
    return depth(inner.x(), inner.y());
  }

  double depth(double innerX, double innerY) {
    if (corners != null) {
      return depth(corners, innerX, innerY);
    }
    double x = plain ? innerX : near.a() * innerX + near.c() * innerY + near.e();
    double y = plain ? innerY : near.b() * innerX + near.d() * innerY + near.f();
    double dx = Math.min(x - area.left(), area.right() - x);
    double dy = Math.min(y - area.top(), area.bottom() - y);
    if (dx >= 0 && dy >= 0) {
      return Math.min(dx, dy) / scale;
    }
    double outX = Math.min(dx, 0);
    double outY = Math.min(dy, 0);
    return -Math.sqrt(outX * outX + outY * outY) / scale;
  }

  /** Signed distance of a point to the edge of a polygon that bulges everywhere. */
  private static double depth(List<Point> polygon, double x, double y) {
    double nearest = Double.POSITIVE_INFINITY;
    boolean left = false;
    boolean right = false;
    for (int i = 0; i < polygon.size(); i++) {
      Point p = polygon.get(i);
      Point q = polygon.get((i + 1) % polygon.size());
      double ux = q.x() - p.x();
      double uy = q.y() - p.y();
      double vx = x - p.x();
      double vy = y - p.y();
      double square = ux * ux + uy * uy;
      double along = square == 0 ? 0 : Math.min(Math.max((ux * vx + uy * vy) / square, 0), 1);
      nearest = Math.min(nearest, Math.hypot(vx - along * ux, vy - along * uy));
      left |= ux * vy - uy * vx < 0;
      right |= ux * vy - uy * vx > 0;
    }
    return left && right ? -nearest : nearest;
  }
}
