package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;

/** Values that were looked at at fixed times, as a {@link Track} that jumps where they do. */
final class SampledTrack {
  /** Seconds between the two sides of a jump. */
  private static final double HAIR = 1e-4;

  /** A step this many times as long as those round it is a jump, if it is long. */
  private static final double SUDDEN = 4;

  /** Shorter steps are none. */
  private static final double LONG = 0.5;

  /** Samples in a second, at least one for every frame; of long scenes fewer. */
  private static final double OFTEN = 120;

  private static final int MOST = 7200;

  private SampledTrack() {}

  /** When all that a clock plays is looked at, from its start to right before its end. */
  static double[] times(SvgClock clock) {
    double each = Math.ceil(clock.length() * OFTEN / clock.frames());
    int count = (int) Math.max(clock.frames(), Math.min(MOST, each * clock.frames()));
    double[] out = new double[count + 1];
    Arrays.setAll(out, i -> clock.length() * i / count);
    out[count] -= HAIR / 10;
    return out;
  }

  /**
   * @param states by the index of its time
   * @param length seconds, after which all comes again
   */
  static Track of(double[] times, IntFunction<double[]> states, Track.Gap gap, double length) {
    double[][] all = new double[times.length][];
    for (int i = 0; i < all.length; i++) {
      all[i] = states.apply(i);
    }
    List<Double> at = new ArrayList<>();
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i < all.length; i++) {
      if (i > 0 && jumps(all, gap, i)) {
        at.add(times[i] - HAIR);
        out.add(all[i - 1]);
      }
      at.add(times[i] - (i > 0 && i < all.length - 1 ? HAIR / 10 : 0));
      out.add(all[i]);
    }
    return new Track(
        at.stream().mapToDouble(d -> d).toArray(), out.toArray(new double[0][]), gap, length);
  }

  /** Where it jumps from one sample to the next, it does so right before that. */
  private static boolean jumps(double[][] all, Track.Gap gap, int i) {
    double step = apart(all, gap, i);
    double before = i > 1 ? apart(all, gap, i - 1) : 0;
    double after = i + 1 < all.length ? apart(all, gap, i + 1) : 0;
    double most =
        Math.max(Double.isInfinite(before) ? 0 : before, Double.isInfinite(after) ? 0 : after);
    return step > LONG && step > SUDDEN * most;
  }

  private static double apart(double[][] all, Track.Gap gap, int i) {
    return all[i - 1].length == all[i].length
        ? gap.of(all[i - 1], all[i])
        : Double.POSITIVE_INFINITY;
  }
}
