package rovingglyph.follow;

import java.util.Arrays;

/**
 * How far something that is laid onto a frame differs from it, where a part of it may be covered by
 * something else. Of brightness in steps of gray, pixel by pixel; NaN outside the frame.
 */
final class Robust {
  /** Residuals beyond so many standard deviations count less (Huber). */
  static final double HUBER = 1.345;

  /** Residuals beyond so many of those do not count. */
  private static final double OTHER = 3;

  /** A standard deviation is so many times the median of absolute values. */
  private static final double MEDIAN_TO_DEVIATION = 1.4826;

  /** Steps of gray by which the noise of a camera differs at least. */
  private static final double LEAST_NOISE = 2;

  /** Less of it than this that looks alike makes it less sure. */
  private static final double ENOUGH = 0.7;

  private Robust() {}

  /** The standard deviation of brightness. */
  static double deviation(float[] all) {
    double sum = 0;
    double squares = 0;
    int n = 0;
    for (float f : all) {
      if (!Float.isNaN(f)) {
        sum += f;
        squares += f * f;
        n++;
      }
    }
    return n == 0 ? 0 : Math.sqrt(Math.max(0, squares / n - sum / n * (sum / n)));
  }

  /** The median of absolute residuals as a standard deviation. */
  static double spread(double[] residuals) {
    double[] all = new double[residuals.length];
    int n = 0;
    for (double r : residuals) {
      if (!Double.isNaN(r)) {
        all[n++] = Math.abs(r);
      }
    }
    Arrays.sort(all, 0, n);
    return Math.max(LEAST_NOISE, n == 0 ? 0 : MEDIAN_TO_DEVIATION * all[n / 2]);
  }

  /** Huber's weight, but for what differs so much that it is something else. */
  static double weight(double off) {
    if (off <= 1) {
      return 1;
    }
    return off <= OTHER ? 1 / off : 0;
  }

  /**
   * How far it looks alike, 0 to 1: the correlation of what does not differ more than {@code most},
   * and less where little is left.
   *
   * @param values what it should look like, before gain and offset
   * @param least with fewer pixels that are alike nothing is sure
   */
  static double sure(
      double[] residuals, float[] values, double gain, double offset, double most, int least) {
    int near = 0;
    int inside = 0;
    double differs = 0;
    double mean = 0;
    double squares = 0;
    for (int i = 0; i < residuals.length; i++) {
      if (Double.isNaN(residuals[i])) {
        continue;
      }
      inside++;
      if (Math.abs(residuals[i]) <= most) {
        double seen = gain * values[i] + offset - residuals[i];
        near++;
        differs += residuals[i] * residuals[i];
        mean += seen;
        squares += seen * seen;
      }
    }
    if (near < least) {
      return 0;
    }
    double varies = squares - mean * mean / near;
    double explained = varies > 0 ? 1 - differs / varies : 0;
    double share = near / (double) inside;
    return Math.sqrt(Math.max(0, explained)) * Math.min(1, share / ENOUGH);
  }
}
