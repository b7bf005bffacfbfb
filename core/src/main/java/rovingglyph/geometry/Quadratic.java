package rovingglyph.geometry;

/** A quadratic Bezier segment. */
public record Quadratic(Point p0, Point p1, Point p2) implements Segment {
  @Override
  public Point point(double u) {
    return p0.lerp(p1, u).lerp(p1.lerp(p2, u), u);
  }

  @Override
  public Point derivative(double u) {
    return p1.minus(p0).lerp(p2.minus(p1), u).times(2);
  }

  @Override
  public Point secondDerivative(double u) {
    return p2.minus(p1).minus(p1.minus(p0)).times(2);
  }

  @Override
  public double speed(double u) {
    double v = 1 - u;
    double dx = v * (p1.x() - p0.x()) + u * (p2.x() - p1.x());
    double dy = v * (p1.y() - p0.y()) + u * (p2.y() - p1.y());
    return 2 * Math.sqrt(dx * dx + dy * dy);
  }

  @Override
  public Segment[] split(double u) {
    Point a = p0.lerp(p1, u);
    Point b = p1.lerp(p2, u);
    Point m = a.lerp(b, u);
    return new Segment[] {new Quadratic(p0, a, m), new Quadratic(m, b, p2)};
  }

  @Override
  public Quadratic reversed() {
    return new Quadratic(p2, p1, p0);
  }

  @Override
  public Quadratic mapped(Affine map) {
    return new Quadratic(map.apply(p0), map.apply(p1), map.apply(p2));
  }

  @Override
  public Rect bounds() {
    return raised().bounds();
  }

  /** The same curve as a cubic. */
  public Cubic raised() {
    return new Cubic(p0, p0.lerp(p1, 2.0 / 3), p2.lerp(p1, 2.0 / 3), p2);
  }
}
