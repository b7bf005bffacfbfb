package rovingglyph.geometry;

/**
 * One piece of a contour, a curve over the parameter u in [0, 1]. Values of u outside are
 * extrapolated by the formula of the curve.
 */
public sealed interface Segment permits Line, Quadratic, Cubic, Arc {

  /** The point at the parameter {@code u}, 0 to 1. */
  Point point(double u);

  /** First derivative by u, pixels per unit of u. */
  Point derivative(double u);

  /** The second derivative by the parameter {@code u}, 0 to 1. */
  Point secondDerivative(double u);

  /** Length of the first derivative; the integrand of the arc length. */
  double speed(double u);

  /** The two parts before and after u, as segments of the same kind. */
  Segment[] split(double u);

  /** The segment from its end to its start. */
  Segment reversed();

  /** The smallest box round the segment. */
  Rect bounds();

  /** The same segment under an affine map; an arc becomes the arc of another ellipse. */
  Segment mapped(Affine map);

  /** The point at the parameter 0. */
  default Point start() {
    return point(0);
  }

  /** The point at the parameter 1. */
  default Point end() {
    return point(1);
  }

  /** Writes the point and the unit tangent at u: x, y, x, y. */
  default void place(double u, double[] out) {
    Point p = point(u);
    Point t = tangent(u);
    out[0] = p.x();
    out[1] = p.y();
    out[2] = t.x();
    out[3] = t.y();
  }

  /** Signed curvature in 1/px, positive where the curve bends clockwise on screen. */
  default double curvature(double u) {
    double speed = speed(u);
    return speed < 1e-12 ? 0 : derivative(u).cross(secondDerivative(u)) / (speed * speed * speed);
  }

  /**
   * Unit tangent. Where the derivative vanishes (a handle of length 0, a cusp) its limit stands in:
   * the direction after u, at the end the one before it.
   */
  default Point tangent(double u) {
    Point d = derivative(u);
    double length = d.length();
    // What tiny comes to for coordinates within 1e8 px is less than this.
    if (length > 1) {
      return new Point(d.x() / length, d.y() / length);
    }
    double tiny = 1e-9 * (start().distance(end()) + speed(0.5));
    if (d.length() > tiny) {
      return d.unit();
    }
    Point bend = secondDerivative(u).times(u < 1 ? 1 : -1);
    return bend.length() > tiny ? bend.unit() : end().minus(start()).unit();
  }
}
