package rovingglyph.geometry;

/** A point or a vector in pixels, x to the right and y down. */
public record Point(double x, double y) {
  public static final Point ORIGIN = new Point(0, 0);

  /** The sum of two points as vectors. */
  public Point plus(Point o) {
    return new Point(x + o.x, y + o.y);
  }

  /** The difference of two points as vectors. */
  public Point minus(Point o) {
    return new Point(x - o.x, y - o.y);
  }

  /** The vector times a number. */
  public Point times(double k) {
    return new Point(x * k, y * k);
  }

  /** The point a share {@code u} of the way to another; beyond them outside 0 to 1. */
  public Point lerp(Point o, double u) {
    return new Point(x + (o.x - x) * u, y + (o.y - y) * u);
  }

  /** The scalar product of two vectors. */
  public double dot(Point o) {
    return x * o.x + y * o.y;
  }

  /** z of the cross product: positive where {@code o} is clockwise of this on screen. */
  public double cross(Point o) {
    return x * o.y - y * o.x;
  }

  /** The length of the vector. */
  public double length() {
    return Math.sqrt(x * x + y * y);
  }

  /** The distance to another point. */
  public double distance(Point o) {
    return minus(o).length();
  }

  /** Direction in radians, clockwise from the x axis on screen. */
  public double angle() {
    return Math.atan2(y, x);
  }

  /** This vector at length 1; the zero vector gives (1, 0), so that a direction is never NaN. */
  public Point unit() {
    double l = length();
    return l > 0 ? new Point(x / l, y / l) : new Point(1, 0);
  }
}
