package rovingglyph.geometry;

/**
 * A map of space to itself under which lines stay straight and parallel: where the units along x, y
 * and z and the origin go.
 */
public record Solid(Point3 x, Point3 y, Point3 z, Point3 origin) {
  public static final Solid IDENTITY =
      new Solid(new Point3(1, 0, 0), new Point3(0, 1, 0), new Point3(0, 0, 1), Point3.ORIGIN);

  /**
   * A map of a plane, done to all planes before and behind it, which come as near as it shrinks.
   */
  public static Solid of(Affine m) {
    double scale = Math.sqrt(Math.abs(m.a() * m.d() - m.b() * m.c()));
    return new Solid(
        new Point3(m.a(), m.b(), 0),
        new Point3(m.c(), m.d(), 0),
        new Point3(0, 0, scale),
        new Point3(m.e(), m.f(), 0));
  }

  /**
   * A plane turned about a point of it, as by CSS's {@code rotateY(swing) rotateX(tilt)}: with
   * little of either the upper part goes away from the viewer, and the right one.
   *
   * @param tilt about the level axis, radians
   * @param swing about the upright axis after that, radians
   */
  public static Solid turned(double tilt, double swing, Point centre) {
    double c = Math.cos(tilt);
    double s = Math.sin(tilt);
    double cs = Math.cos(swing);
    double ss = Math.sin(swing);
    Solid turn =
        new Solid(
            new Point3(cs, 0, ss),
            new Point3(-ss * -s, c, cs * -s),
            new Point3(-ss * c, s, cs * c),
            Point3.ORIGIN);
    Point3 there = Point3.of(centre);
    return new Solid(turn.x, turn.y, turn.z, there.minus(turn.way(there)));
  }

  /** Where a point goes. */
  public Point3 apply(Point3 p) {
    return origin.plus(way(p));
  }

  /** What becomes of a way from one point to another. */
  public Point3 way(Point3 p) {
    return new Point3(
        x.x() * p.x() + y.x() * p.y() + z.x() * p.z(),
        x.y() * p.x() + y.y() * p.y() + z.y() * p.z(),
        x.z() * p.x() + y.z() * p.y() + z.z() * p.z());
  }

  /** This map after {@code inner}. */
  public Solid times(Solid inner) {
    return new Solid(way(inner.x), way(inner.y), way(inner.z), apply(inner.origin));
  }

  /** The map that takes this one back; null where all becomes flat. */
  public Solid inverse() {
    double volume = x.cross(y).dot(z);
    if (!(Math.abs(volume) > 1e-18)) {
      return null;
    }
    Point3 a = y.cross(z).times(1 / volume);
    Point3 b = z.cross(x).times(1 / volume);
    Point3 c = x.cross(y).times(1 / volume);
    Solid turn =
        new Solid(
            new Point3(a.x(), b.x(), c.x()),
            new Point3(a.y(), b.y(), c.y()),
            new Point3(a.z(), b.z(), c.z()),
            Point3.ORIGIN);
    return new Solid(turn.x, turn.y, turn.z, turn.way(origin).times(-1));
  }

  /** By how much it grows things, over all directions. */
  public double scale() {
    return Math.cbrt(Math.abs(x.cross(y).dot(z)));
  }
}
