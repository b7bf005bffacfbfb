package rovingglyph.geometry;

/** A straight segment. */
public record Line(Point p0, Point p1) implements Segment {
  @Override
  public Point point(double u) {
    return p0.lerp(p1, u);
  }

  @Override
  public Point derivative(double u) {
    return p1.minus(p0);
  }

  @Override
  public Point secondDerivative(double u) {
    return Point.ORIGIN;
  }

  @Override
  public double speed(double u) {
    return p0.distance(p1);
  }

  @Override
  public Segment[] split(double u) {
    Point m = point(u);
    return new Segment[] {new Line(p0, m), new Line(m, p1)};
  }

  @Override
  public Line reversed() {
    return new Line(p1, p0);
  }

  @Override
  public Line mapped(Affine map) {
    return new Line(map.apply(p0), map.apply(p1));
  }

  @Override
  public Rect bounds() {
    return Rect.EMPTY.include(p0).include(p1);
  }

  /** Whether two straight pieces cross; touching at an end does not count. */
  public static boolean cross(Point a, Point b, Point c, Point d) {
    Point ab = b.minus(a);
    Point cd = d.minus(c);
    return ab.cross(c.minus(a)) * ab.cross(d.minus(a)) < 0
        && cd.cross(a.minus(c)) * cd.cross(b.minus(c)) < 0;
  }
}
