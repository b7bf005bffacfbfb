package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.type.Outline;

/** A part of the frame as something in groups sees it. */
final class Window {
  private final Rect area;
  private final Affine map;
  private final boolean plain;
  private final double scale;

  /**
   * @param map of the pixels of what looks to those of the frame, the same in all directions
   */
  Window(Rect area, Affine map) {
    this.area = area;
    this.map = map;
    // Most stand in no group, and landings look thousands of times.
    this.plain = map.equals(Affine.IDENTITY);
    this.scale = Math.hypot(map.a(), map.b());
  }

  Rect area() {
    return area;
  }

  Affine map() {
    return map;
  }

  /** The same as something sees it whose pixels a map takes to those of what looks. */
  Window within(Affine inner) {
    return new Window(area, map.times(inner));
  }

  /** Pixels of the frame per pixel of what looks. */
  double scale() {
    return scale;
  }

  /** Its middle in the pixels of what looks. */
  Point centre() {
    return map.inverse().apply(area.centre());
  }

  /** Whether a mapped outline reaches into it. */
  boolean touched(Outline outline, Affine inner) {
    return AreaTouch.touches(outline, plain ? inner : map.times(inner), area);
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
    double x = plain ? innerX : map.a() * innerX + map.c() * innerY + map.e();
    double y = plain ? innerY : map.b() * innerX + map.d() * innerY + map.f();
    double dx = Math.min(x - area.left(), area.right() - x);
    double dy = Math.min(y - area.top(), area.bottom() - y);
    if (dx >= 0 && dy >= 0) {
      return Math.min(dx, dy) / scale;
    }
    double outX = Math.min(dx, 0);
    double outY = Math.min(dy, 0);
    return -Math.sqrt(outX * outX + outY * outY) / scale;
  }
}
