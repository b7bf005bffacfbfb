package rovingglyph.lottie;

import java.util.Arrays;
import rovingglyph.geometry.Decimal;

/**
 * How a way is gone from keyframe to keyframe: the cubic of CSS's {@code cubic-bezier()}, from (0,
 * 0) to (1, 1), found for samples.
 *
 * @param x1 0 to 1
 * @param x2 0 to 1
 */
record Pace(double x1, double y1, double x2, double y2) {
  static final Pace EVEN = new Pace(0, 0, 1, 1);

  /** So many samples are looked at while it is searched. */
  private static final int LOOKED_AT = 14;

  /** What is first tried for both ends. */
  private static final double[] FIRST = {0.1, 0.3, 0.5, 0.75, 1};

  private static final double WIDEST = 0.12;
  private static final double FINEST = 0.002;

  /** Handles reach so far up and down at most. */
  private static final double HIGHEST = 8;

  /**
   * The one that is within a tolerance of all samples.
   *
   * @param shares of the way, at even times from 0 at the first to 1 at the last
   * @return null if none was found
   */
  static Pace of(double[] shares, double tolerance) {
    if (EVEN.farthest(shares, 1) <= tolerance) {
      return EVEN;
    }
    int n = shares.length - 1;
    if (n < 3) {
      return null;
    }
    int step = Math.max(1, n / LOOKED_AT);
    double first = (4 * shares[1] - shares[2]) / 2 * n;
    double last = (3 - 4 * shares[n - 1] + shares[n - 2]) / 2 * n;
    Pace best = EVEN;
    double least = Double.POSITIVE_INFINITY;
    for (double a : FIRST) {
      for (double b : FIRST) {
        Pace tried = new Pace(a, bounded(first * a), 1 - b, bounded(1 - last * b));
        double far = tried.farthest(shares, step);
        if (far < least) {
          least = far;
          best = tried;
        }
      }
    }
    for (double move = WIDEST; move > FINEST && least > tolerance / 2; ) {
      Pace nearer = best.nearer(shares, step, move, least);
      move = nearer == best ? move / 2 : move;
      best = nearer;
      least = best.farthest(shares, step);
    }
    return best.farthest(shares, 1) <= tolerance ? best : null;
  }

  /** One of the neighbours that is nearer to the samples; itself if none is. */
  private Pace nearer(double[] shares, int step, double move, double least) {
    Pace best = this;
    double far = least * 0.999;
    for (int i = 0; i < 8; i++) {
      double[] n = {x1, y1, x2, y2};
      n[i / 2] += i % 2 == 0 ? move : -move;
      Pace tried =
          new Pace(
              Math.min(1, Math.max(0, n[0])),
              bounded(n[1]),
              Math.min(1, Math.max(0, n[2])),
              bounded(n[3]));
      double is = tried.farthest(shares, step);
      if (is < far) {
        far = is;
        best = tried;
      }
    }
    return best;
  }

  private static double bounded(double y) {
    return Math.max(-HIGHEST, Math.min(HIGHEST, y));
  }

  private double farthest(double[] shares, int step) {
    double out = 0;
    for (int k = step; k < shares.length - 1; k += step) {
      out = Math.max(out, Math.abs(at((double) k / (shares.length - 1)) - shares[k]));
    }
    return out;
  }

  /** Which share of the way is gone at a share of the time. */
  double at(double time) {
    if (this.equals(EVEN)) {
      return time;
    }
    double low = 0;
    double high = 1;
    double t = time;
    for (int i = 0; i < 40 && high - low > 1e-7; i++) {
      double x = cubic(t, x1, x2);
      if (x < time) {
        low = t;
      } else {
        high = t;
      }
      double slope = 3 * ((1 - t) * (1 - t) * x1 + 2 * (1 - t) * t * (x2 - x1) + t * t * (1 - x2));
      double next = slope > 1e-6 ? t - (x - time) / slope : -1;
      if (Math.abs(next - t) < 1e-9) {
        break;
      }
      t = next > low && next < high ? next : (low + high) / 2;
    }
    return cubic(t, y1, y2);
  }

  private static double cubic(double t, double a, double b) {
    double u = 1 - t;
    return 3 * u * u * t * a + 3 * u * t * t * b + t * t * t;
  }

  /** What a keyframe has for it. */
  String words() {
    return ",\"i\":{\"x\":"
        + text(x2)
        + ",\"y\":"
        + text(y2)
        + "},\"o\":{\"x\":"
        + text(x1)
        + ",\"y\":"
        + text(y1)
        + "}";
  }

  private static String text(double n) {
    return Decimal.text(n, 6);
  }

  /**
   * The samples that a way of these values is gone by, all of it in one line; null if it is not.
   */
  static double[] shares(double[][] values, int from, int to, double[] tolerances) {
    int count = tolerances.length;
    double length = 0;
    double[] way = new double[count];
    for (int c = 0; c < count; c++) {
      way[c] = (values[to][c] - values[from][c]) / tolerances[c];
      length += way[c] * way[c];
    }
    if (length < 1) {
      return null;
    }
    double[] out = new double[to - from + 1];
    for (int k = from; k <= to; k++) {
      double along = 0;
      for (int c = 0; c < count; c++) {
        along += (values[k][c] - values[from][c]) / tolerances[c] * way[c];
      }
      out[k - from] = along / length;
    }
    return Arrays.stream(out).allMatch(s -> Math.abs(s) < HIGHEST) ? out : null;
  }
}
