package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;

/**
 * Samples a function of time so closely that straight lines between neighbouring samples are well
 * within a tolerance. A jump is two samples, the second of which comes a hair before its true time,
 * so that a frame at that very time shows what is new.
 */
final class Samples {
  /** A function of time in seconds. */
  interface Source {
    double[] at(double time);
  }

  /** Halvings of a frame before a change counts as a jump. */
  private static final int DEEPEST = 5;

  /** A jump is found to within this many seconds. */
  private static final double JUMP = 1e-4;

  private final Source source;
  private final Track.Gap gap;
  private final double tolerance;
  private final List<Double> times = new ArrayList<>();
  private final List<double[]> states = new ArrayList<>();

  private Samples(Source source, Track.Gap gap, double tolerance) {
    this.source = source;
    this.gap = gap;
    this.tolerance = tolerance;
  }

  /**
   * The function from 0 to a length.
   *
   * @param gap how far two states of like length are apart
   * @param tolerance of straight lines between samples
   * @param step of the coarsest samples in seconds, that of a frame
   */
  static Track of(Source source, Track.Gap gap, double tolerance, double length, double step) {
    Samples s = new Samples(source, gap, tolerance);
    int n = (int) Math.max(1, Math.ceil(length / step - 1e-9));
    double[] last = source.at(0);
    s.add(0, last);
    for (int i = 1; i <= n; i++) {
      double to = length * i / n;
      // At the end itself the next run has begun.
      double[] next = source.at(i == n ? to - Math.min(JUMP / 10, step / 1000) : to);
      s.between(length * (i - 1) / n, last, to, next, 0);
      last = next;
    }
    return new Track(
        s.times.stream().mapToDouble(Double::doubleValue).toArray(),
        s.states.toArray(new double[0][]),
        gap,
        length);
  }

  private void add(double time, double[] state) {
    times.add(time);
    states.add(state);
  }

  private void between(double from, double[] a, double to, double[] b, int deep) {
    double middle = (from + to) / 2;
    double[] m = source.at(middle);
    // Where speed changes at once, no step is small enough for the strictest look.
    double most = tolerance * (0.25 + 0.05 * deep);
    if (apart(a, b) < Double.POSITIVE_INFINITY
        && apart(a, m) < Double.POSITIVE_INFINITY
        && gap.of(m, mix(a, b, 0.5)) <= most) {
      add(middle, m);
      add(to, b);
    } else if (deep < DEEPEST) {
      between(from, a, middle, m, deep + 1);
      between(middle, m, to, b, deep + 1);
    } else {
      jump(from, a, to, b);
    }
  }

  private void jump(double from, double[] a, double to, double[] b) {
    double low = from;
    double high = to;
    double[] before = a;
    double[] after = b;
    while (high - low > JUMP) {
      double middle = (low + high) / 2;
      double[] m = source.at(middle);
      if (apart(before, m) < apart(m, after)) {
        low = middle;
        before = m;
      } else {
        high = middle;
        after = m;
      }
    }
    if (apart(before, after) > tolerance) {
      int last = times.size() - 1;
      if (low - JUMP / 10 > times.get(last)) {
        add(low - JUMP / 10, before);
      } else if (last > 0) {
        // The last sample stands at the jump itself: what was before has to end before it.
        times.set(last, Math.max(low - JUMP / 10, (times.get(last - 1) + low) / 2));
      }
      add(low, after);
    } else {
      add(high, after);
    }
    if (to > times.get(times.size() - 1)) {
      add(to, b);
    }
  }

  private double apart(double[] a, double[] b) {
    return a.length == b.length ? gap.of(a, b) : Double.POSITIVE_INFINITY;
  }

  /** Between two states, as CSS goes between them. */
  static double[] mix(double[] a, double[] b, double share) {
    double[] out = new double[a.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = a[i] + (b[i] - a[i]) * share;
    }
    return out;
  }
}
