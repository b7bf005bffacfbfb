package rovingglyph.geometry;

/** A cubic Bezier segment. */
public record Cubic(Point p0, Point p1, Point p2, Point p3) implements Segment {
  @Override
  public Point point(double u) {
    double v = 1 - u;
    double a = v * v * v;
    double b = 3 * v * v * u;
    double c = 3 * v * u * u;
    double d = u * u * u;
    return new Point(
        a * p0.x() + b * p1.x() + c * p2.x() + d * p3.x(),
        a * p0.y() + b * p1.y() + c * p2.y() + d * p3.y());
  }

  @Override
  public Point derivative(double u) {
    double v = 1 - u;
    double a = 3 * v * v;
    double b = 6 * v * u;
    double c = 3 * u * u;
    return new Point(
        a * (p1.x() - p0.x()) + b * (p2.x() - p1.x()) + c * (p3.x() - p2.x()),
        a * (p1.y() - p0.y()) + b * (p2.y() - p1.y()) + c * (p3.y() - p2.y()));
  }

  @Override
  public Point secondDerivative(double u) {
    Point a = p2.minus(p1.times(2)).plus(p0);
    Point b = p3.minus(p2.times(2)).plus(p1);
    return a.lerp(b, u).times(6);
  }

  @Override
  public double speed(double u) {
    double v = 1 - u;
    double a = v * v;
    double b = 2 * v * u;
    double c = u * u;
    double dx = a * (p1.x() - p0.x()) + b * (p2.x() - p1.x()) + c * (p3.x() - p2.x());
    double dy = a * (p1.y() - p0.y()) + b * (p2.y() - p1.y()) + c * (p3.y() - p2.y());
    return 3 * Math.sqrt(dx * dx + dy * dy);
  }

  /** Without making points: frames ask this for every letter. */
  @Override
  public void place(double u, double[] out) {
    double v = 1 - u;
    double ax = p0.x() + (p1.x() - p0.x()) * u;
    double ay = p0.y() + (p1.y() - p0.y()) * u;
    double bx = p1.x() + (p2.x() - p1.x()) * u;
    double by = p1.y() + (p2.y() - p1.y()) * u;
    double cx = p2.x() + (p3.x() - p2.x()) * u;
    double cy = p2.y() + (p3.y() - p2.y()) * u;
    double dx = v * (bx - ax) + u * (cx - bx);
    double dy = v * (by - ay) + u * (cy - by);
    double length = Math.sqrt(dx * dx + dy * dy);
    if (3 * length <= 1) {
      // Where the derivative may vanish, the rule of the tangent.
      Segment.super.place(u, out);
      return;
    }
    out[0] = v * (v * ax + u * bx) + u * (v * bx + u * cx);
    out[1] = v * (v * ay + u * by) + u * (v * by + u * cy);
    out[2] = dx / length;
    out[3] = dy / length;
  }

  @Override
  public Segment[] split(double u) {
    Point a = p0.lerp(p1, u);
    Point b = p1.lerp(p2, u);
    Point c = p2.lerp(p3, u);
    Point ab = a.lerp(b, u);
    Point bc = b.lerp(c, u);
    Point m = ab.lerp(bc, u);
    return new Segment[] {new Cubic(p0, a, ab, m), new Cubic(m, bc, c, p3)};
  }

  @Override
  public Cubic reversed() {
    return new Cubic(p3, p2, p1, p0);
  }

  @Override
  public Cubic mapped(Affine map) {
    return new Cubic(map.apply(p0), map.apply(p1), map.apply(p2), map.apply(p3));
  }

  /**
   * The cubic with these ends and derivatives (Hermite form).
   *
   * @param d0 first derivative at the start, px per unit of u
   * @param d1 first derivative at the end
   */
  public static Cubic hermite(Point p0, Point d0, Point p3, Point d1) {
    return new Cubic(p0, p0.plus(d0.times(1.0 / 3)), p3.minus(d1.times(1.0 / 3)), p3);
  }

  @Override
  public Rect bounds() {
    Rect box = Rect.EMPTY.include(p0).include(p3);
    for (double u : stationary(p0.x(), p1.x(), p2.x(), p3.x())) {
      box = box.include(point(u));
    }
    for (double u : stationary(p0.y(), p1.y(), p2.y(), p3.y())) {
      box = box.include(point(u));
    }
    return box;
  }

  /** The parameters inside (0, 1) at which one coordinate's derivative is zero. */
  private static double[] stationary(double w0, double w1, double w2, double w3) {
    double a = w3 - 3 * w2 + 3 * w1 - w0;
    double b = 2 * (w2 - 2 * w1 + w0);
    double c = w1 - w0;
    double r0 = Double.NaN;
    double r1 = Double.NaN;
    if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c))) {
      r0 = -c / b;
    } else {
      double disc = b * b - 4 * a * c;
      if (disc >= 0) {
        // The form without cancellation.
        double q = -0.5 * (b + Math.copySign(Math.sqrt(disc), b));
        r0 = q / a;
        r1 = c / q;
      }
    }
    boolean in0 = r0 > 0 && r0 < 1;
    boolean in1 = r1 > 0 && r1 < 1;
    if (in0 && in1) {
      return new double[] {r0, r1};
    }
    return in0 ? new double[] {r0} : in1 ? new double[] {r1} : new double[0];
  }
}
