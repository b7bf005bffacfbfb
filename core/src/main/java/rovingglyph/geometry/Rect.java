package rovingglyph.geometry;

import java.util.List;

/** An axis-parallel rectangle; empty while {@code right < left}. */
public record Rect(double left, double top, double right, double bottom) {
  public static final Rect EMPTY =
      new Rect(
          Double.POSITIVE_INFINITY,
          Double.POSITIVE_INFINITY,
          Double.NEGATIVE_INFINITY,
          Double.NEGATIVE_INFINITY);

  public boolean isEmpty() {
    return right < left || bottom < top;
  }

  /** The box with a point taken in. */
  public Rect include(Point p) {
    return new Rect(
        Math.min(left, p.x()),
        Math.min(top, p.y()),
        Math.max(right, p.x()),
        Math.max(bottom, p.y()));
  }

  /** The smallest box round both. */
  public Rect union(Rect o) {
    return new Rect(
        Math.min(left, o.left),
        Math.min(top, o.top),
        Math.max(right, o.right),
        Math.max(bottom, o.bottom));
  }

  /** What is in both; empty where they have no point in common. */
  public Rect intersection(Rect o) {
    Rect both =
        new Rect(
            Math.max(left, o.left),
            Math.max(top, o.top),
            Math.min(right, o.right),
            Math.min(bottom, o.bottom));
    return both.isEmpty() ? EMPTY : both;
  }

  /** Clockwise from the upper left, with y down. */
  public List<Point> corners() {
    return List.of(
        new Point(left, top),
        new Point(right, top),
        new Point(right, bottom),
        new Point(left, bottom));
  }

  /** With so much more on every side. */
  public Rect grown(double by) {
    return new Rect(left - by, top - by, right + by, bottom + by);
  }

  /** Whether a point is in the box or on its edge. */
  public boolean contains(Point p) {
    return p.x() >= left && p.x() <= right && p.y() >= top && p.y() <= bottom;
  }

  /** Whether all of a box is within this one, edges included. */
  public boolean contains(Rect o) {
    return o.left >= left && o.right <= right && o.top >= top && o.bottom <= bottom;
  }

  /** Whether the boxes have a point in common, edges included. */
  public boolean meets(Rect o) {
    return o.left <= right && o.right >= left && o.top <= bottom && o.bottom >= top;
  }

  /** How far a point is from it; 0 within, infinite for the empty one. */
  public double distance(Point p) {
    double dx = Math.max(0, Math.max(left - p.x(), p.x() - right));
    double dy = Math.max(0, Math.max(top - p.y(), p.y() - bottom));
    return Math.hypot(dx, dy);
  }

  /** From the left to the right. */
  public double width() {
    return right - left;
  }

  /** From the top to the bottom. */
  public double height() {
    return bottom - top;
  }

  /** The middle of the box. */
  public Point centre() {
    return new Point((left + right) / 2, (top + bottom) / 2);
  }
}
