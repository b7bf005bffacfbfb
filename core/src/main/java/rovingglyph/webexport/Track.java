package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;

/**
 * One function of time by its samples.
 *
 * @param times in seconds, rising from 0 to the length
 * @param distance between states
 * @param length in seconds
 */
record Track(double[] times, double[][] states, Gap distance, double length) {
  /** How far two states are apart; infinite where they are unlike. */
  interface Gap {
    double of(double[] a, double[] b);
  }

  /** Neighbouring samples closer than this are the two sides of a jump. */
  private static final double JUMP = 1.5e-4;

  /** Whether it is the same at all times. */
  boolean still(double tolerance) {
    for (double[] s : states) {
      if (distance.of(states[0], s) > tolerance) {
        return false;
      }
    }
    return true;
  }

  /**
   * Indexes of the samples to keep so that straight lines between them are within a tolerance of
   * all others: from each one the farthest that can be reached.
   */
  List<Integer> stops(double tolerance) {
    List<Integer> out = new ArrayList<>(List.of(0));
    int n = times.length;
    int at = 0;
    while (at < n - 1) {
      int reached = at + 1;
      int step = 1;
      // First by doubling, then by halving: every look is a walk over the samples between.
      while (reached + step < n && reaches(at, reached + step, tolerance)) {
        reached += step;
        step *= 2;
      }
      while (step > 1) {
        step /= 2;
        if (reached + step < n && reaches(at, reached + step, tolerance)) {
          reached += step;
        }
      }
      out.add(reached);
      at = reached;
    }
    return out;
  }

  private boolean reaches(int from, int to, double tolerance) {
    if (states[from].length != states[to].length) {
      return false;
    }
    for (int i = from + 1; i < to; i++) {
      double share = (times[i] - times[from]) / (times[to] - times[from]);
      if (states[i].length != states[from].length
          || distance.of(states[i], Samples.mix(states[from], states[to], share)) > tolerance) {
        return false;
      }
    }
    return true;
  }

  /** The state at a time, brought round. */
  private double[] at(double time) {
    double t = time - Math.floor(time / length) * length;
    int low = 0;
    int high = times.length - 1;
    while (low < high) {
      int mid = (low + high + 1) >>> 1;
      if (times[mid] <= t) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    if (low == times.length - 1 || states[low].length != states[low + 1].length) {
      return states[low];
    }
    double share = (t - times[low]) / (times[low + 1] - times[low]);
    return Samples.mix(states[low], states[low + 1], Math.min(Math.max(share, 0), 1));
  }

  /**
   * By how many seconds this runs behind another that does just the same, 0 to the length; NaN if
   * it does not.
   */
  double behind(Track other, double tolerance) {
    int mark = fastest();
    List<double[]> found = new ArrayList<>();
    boolean jump = mark + 1 < times.length && times[mark + 1] - times[mark] < JUMP;
    for (int k = 0; k + 1 < other.times.length; k++) {
      boolean jumps = other.times[k + 1] - other.times[k] < JUMP;
      if (jump && jumps) {
        double off =
            gap(states[mark], other.states[k]) + gap(states[mark + 1], other.states[k + 1]);
        found.add(new double[] {off, other.times[k]});
      } else if (!jump && !jumps) {
        nearest(other, k, states[mark], tolerance, found);
      }
    }
    found.sort((a, b) -> Double.compare(a[0], b[0]));
    for (int i = 0; i < Math.min(found.size(), 6); i++) {
      double shift = times[mark] - found.get(i)[1];
      if (follows(other, shift, tolerance)) {
        return shift - Math.floor(shift / length) * length;
      }
    }
    return Double.NaN;
  }

  private double gap(double[] a, double[] b) {
    return a.length == b.length ? distance.of(a, b) : Double.POSITIVE_INFINITY;
  }

  /** The sample after which it changes fastest. */
  private int fastest() {
    int best = 0;
    double most = -1;
    for (int i = 0; i + 1 < times.length; i++) {
      double speed = Math.min(gap(states[i], states[i + 1]), 1e9) / (times[i + 1] - times[i]);
      if (speed > most) {
        most = speed;
        best = i;
      }
    }
    return best;
  }

  /** Adds where between two samples of another it comes nearest to a state, if that is near. */
  private void nearest(Track other, int k, double[] state, double tolerance, List<double[]> found) {
    double[] a = other.states[k];
    double[] b = other.states[k + 1];
    if (a.length != state.length || b.length != state.length) {
      return;
    }
    double across = distance.of(a, b);
    if (distance.of(a, state) > across * 1.5 + tolerance) {
      return;
    }
    double low = 0;
    double high = 1;
    for (int i = 0; i < 30; i++) {
      double p = low + (high - low) / 3;
      double q = high - (high - low) / 3;
      if (distance.of(state, Samples.mix(a, b, p)) < distance.of(state, Samples.mix(a, b, q))) {
        high = q;
      } else {
        low = p;
      }
    }
    double share = (low + high) / 2;
    double off = distance.of(state, Samples.mix(a, b, share));
    if (off <= tolerance) {
      found.add(new double[] {off, other.times[k] + (other.times[k + 1] - other.times[k]) * share});
    }
  }

  private boolean follows(Track other, double shift, double tolerance) {
    for (int i = 0; i < times.length; i++) {
      double t = times[i] - shift;
      if (gap(states[i], other.at(t)) <= tolerance) {
        continue;
      }
      // Right beside a jump either side will do.
      if (gap(states[i], other.at(t - 2 * JUMP)) > tolerance
          && gap(states[i], other.at(t + 2 * JUMP)) > tolerance) {
        return false;
      }
    }
    return true;
  }
}
