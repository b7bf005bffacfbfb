package rovingglyph.motion;

import rovingglyph.scene.Easing;

/** The cubic-bezier easing function of CSS Easing Functions Level 1, section 2.3. */
public final class CubicBezier {
  private CubicBezier() {}

  /**
   * Output progress for input progress x; x outside [0, 1] gives the end's value. The curve's own
   * parameter is found to 1e-12 in x.
   */
  public static double ease(Easing e, double x) {
    if (x <= 0) {
      return 0;
    }
    if (x >= 1) {
      return 1;
    }
    return coordinate(e.y1(), e.y2(), parameter(e, x));
  }

  static double coordinate(double c1, double c2, double u) {
    double v = 1 - u;
    return 3 * v * v * u * c1 + 3 * v * u * u * c2 + u * u * u;
  }

  /** The Bezier parameter at input progress x in (0, 1); Newton inside a shrinking bracket. */
  static double parameter(Easing e, double x) {
    double low = 0;
    double high = 1;
    double u = x;
    for (int i = 0; i < 64; i++) {
      double error = coordinate(e.x1(), e.x2(), u) - x;
      if (Math.abs(error) < 1e-12) {
        break;
      }
      if (error > 0) {
        high = u;
      } else {
        low = u;
      }
      double v = 1 - u;
      double slope = 3 * v * v * e.x1() + 6 * v * u * (e.x2() - e.x1()) + 3 * u * u * (1 - e.x2());
      double next = u - error / slope;
      u = next > low && next < high ? next : (low + high) / 2;
    }
    return u;
  }

  /**
   * The part of the curve up to input progress x, as an easing of its own from 0 to 1; de
   * Casteljau's cut, scaled to the unit square. Null where the part ends at its first value, which
   * no such curve can say.
   */
  public static Easing upTo(Easing e, double x) {
    double u = parameter(e, x);
    double px = coordinate(e.x1(), e.x2(), u);
    double py = coordinate(e.y1(), e.y2(), u);
    if (Math.abs(py) < 1e-9) {
      return null;
    }
    double ax = u * e.x1();
    double ay = u * e.y1();
    double bx = ax + u * (e.x1() + u * (e.x2() - e.x1()) - ax);
    double by = ay + u * (e.y1() + u * (e.y2() - e.y1()) - ay);
    return Easing.own(clamp(ax / px), ay / py, clamp(bx / px), by / py);
  }

  private static double clamp(double v) {
    return Math.min(Math.max(v, 0), 1);
  }
}
