package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.type.Outline;

/**
 * A part of the frame as something in groups sees it.
 *
 * @param map of its pixels to those of the frame, the same in all directions
 */
record Window(Rect area, Affine map) {

  /** Whether a mapped outline reaches into it. */
  boolean touched(Outline outline, Affine inner) {
    return AreaTouch.touches(outline, map.times(inner), area);
  }

  /** Signed distance of a point to its edge, positive inside, in the pixels of what looks. */
  double depth(Point inner) {
    Point p = map.apply(inner);
    double dx = Math.min(p.x() - area.left(), area.right() - p.x());
    double dy = Math.min(p.y() - area.top(), area.bottom() - p.y());
    double outX = Math.min(dx, 0);
    double outY = Math.min(dy, 0);
    boolean in = dx >= 0 && dy >= 0;
    return (in ? Math.min(dx, dy) : -Math.sqrt(outX * outX + outY * outY)) / scale();
  }

  /** Pixels of the frame per pixel of what looks. */
  double scale() {
    return Math.sqrt(Math.abs(map.a() * map.d() - map.b() * map.c()));
  }

  /** Its middle in the pixels of what looks. */
  Point centre() {
    return map.inverse().apply(area.centre());
  }
}
