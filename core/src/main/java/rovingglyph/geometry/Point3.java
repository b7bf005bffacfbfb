package rovingglyph.geometry;

/** A point or a way in space: x to the right, y down, z away from the viewer. */
public record Point3(double x, double y, double z) {
  public static final Point3 ORIGIN = new Point3(0, 0, 0);

  /** Of the plane that the viewer looks at straight. */
  public static Point3 of(Point p) {
    return new Point3(p.x(), p.y(), 0);
  }

  /** The sum of two ways. */
  public Point3 plus(Point3 o) {
    return new Point3(x + o.x, y + o.y, z + o.z);
  }

  /** The way from another point to this one. */
  public Point3 minus(Point3 o) {
    return new Point3(x - o.x, y - o.y, z - o.z);
  }

  /** So many times as far. */
  public Point3 times(double k) {
    return new Point3(x * k, y * k, z * k);
  }

  /** The scalar product. */
  public double dot(Point3 o) {
    return x * o.x + y * o.y + z * o.z;
  }

  /** The vector product, square to both. */
  public Point3 cross(Point3 o) {
    return new Point3(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
  }

  /** The way of length 1 that goes the same way; of no way none. */
  public Point3 unit() {
    double length = length();
    return length > 0 ? times(1 / length) : this;
  }

  /** How far it is from the origin. */
  public double length() {
    return Math.sqrt(dot(this));
  }
}
