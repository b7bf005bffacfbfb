package rovingglyph.lottie;

import rovingglyph.geometry.Decimal;

/**
 * Places through the samples of a strand: from keyframe to keyframe straight, or round a bend that
 * is passed at an even pace, whichever goes farther within the tolerance.
 */
final class Places {
  /** A bend turns by less than this, in radians: what turns more is told in several. */
  private static final double MOST_TURN = 1.2;

  /** Steps in which the length of a bend is measured. */
  private static final int STEPS = 48;

  private final double[][] values;
  private final double near;
  private final Property straight;

  /**
   * @param near how far a place may be off
   */
  Places(double perFrame, int from, double[][] values, double near) {
    this.values = values;
    this.near = near;
    this.straight = new Property(perFrame, from, values, near, near);
  }

  String json() {
    return straight.json(this::bent);
  }

  /** The bend that goes farther than a straight line to a sample; null if there is none. */
  private Property.Bend bent(int at, int straightTo) {
    int reached = straightTo;
    int step = 1;
    while (fits(at, reached + step) != null) {
      reached += step;
      step *= 2;
    }
    while (step > 1) {
      step /= 2;
      if (fits(at, reached + step) != null) {
        reached += step;
      }
    }
    if (reached == straightTo) {
      return null;
    }
    double[] n = fits(at, reached);
    String ways = ",\"to\":[" + text(n[0]) + "," + text(n[1]) + "]";
    return new Property.Bend(reached, ways + ",\"ti\":[" + text(n[2]) + "," + text(n[3]) + "]");
  }

  private String text(double n) {
    return Decimal.text(n, Property.places(near));
  }

  /**
   * The handles of a bend between two samples, each from its end; null if a sample between would be
   * too far off. They are those of an arc that leaves the one and meets the other as the samples
   * do: 4/3 tan(angle / 4) of its radius.
   */
  private double[] fits(int from, int to) {
    if (to - from < 2 || to >= values.length) {
      return null;
    }
    double[] away = slope(from, 1);
    double[] in = slope(to, -1);
    double dx = values[to][0] - values[from][0];
    double dy = values[to][1] - values[from][1];
    double chord = Math.hypot(dx, dy);
    double turn =
        Math.abs(Math.atan2(away[0] * in[1] - away[1] * in[0], away[0] * in[0] + away[1] * in[1]));
    if (away[2] < near / 4
        || in[2] < near / 4
        || turn > MOST_TURN
        || straight.jumpsWithin(from, to)) {
      return null;
    }
    double long3 = turn < 1e-6 ? 1.0 / 3 : 2 * Math.tan(turn / 4) / Math.sin(turn / 2) / 3;
    double[] handles = {
      chord * long3 * away[0],
      chord * long3 * away[1],
      -chord * long3 * in[0],
      -chord * long3 * in[1]
    };
    return isNear(from, to, handles) ? handles : null;
  }

  /** Which way it goes at a sample, looked at from one side: a unit vector, and how far at once. */
  private double[] slope(int at, int side) {
    double[] p = values[at];
    double[] q = values[at + side];
    double[] r = values[at + 2 * side];
    double x = side * (4 * q[0] - 3 * p[0] - r[0]) / 2;
    double y = side * (4 * q[1] - 3 * p[1] - r[1]) / 2;
    double length = Math.hypot(x, y);
    return length == 0 ? new double[3] : new double[] {x / length, y / length, length};
  }

  private boolean isNear(int from, int to, double[] h) {
    double[] a = values[from];
    double[] d = values[to];
    double[] xs = new double[STEPS + 1];
    double[] ys = new double[STEPS + 1];
    double[] lengths = new double[STEPS + 1];
    for (int i = 0; i <= STEPS; i++) {
      double t = (double) i / STEPS;
      double u = 1 - t;
      xs[i] = at(u, t, a[0], a[0] + h[0], d[0] + h[2], d[0]);
      ys[i] = at(u, t, a[1], a[1] + h[1], d[1] + h[3], d[1]);
      lengths[i] = i == 0 ? 0 : lengths[i - 1] + Math.hypot(xs[i] - xs[i - 1], ys[i] - ys[i - 1]);
    }
    int i = 1;
    for (int k = from + 1; k < to; k++) {
      double length = lengths[STEPS] * (k - from) / (to - from);
      while (i < STEPS && lengths[i] < length) {
        i++;
      }
      double share = (length - lengths[i - 1]) / Math.max(1e-12, lengths[i] - lengths[i - 1]);
      double x = xs[i - 1] + share * (xs[i] - xs[i - 1]);
      double y = ys[i - 1] + share * (ys[i] - ys[i - 1]);
      if (Math.hypot(values[k][0] - x, values[k][1] - y) > near) {
        return false;
      }
    }
    return true;
  }

  private static double at(double u, double t, double a, double b, double c, double d) {
    return u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
  }
}
