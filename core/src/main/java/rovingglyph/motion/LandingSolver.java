package rovingglyph.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleSupplier;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;

/**
 * Gives the keyframes of a path offset their values where they are goals. What "in the frame" means
 * is told from outside, as a test of the offset at a time.
 */
public final class LandingSolver {
  /** Offsets are found to this many px. */
  public static final double TOLERANCE = 0.005;

  /** Whether a goal is still met, and for how many px to either side that surely holds. */
  public record Reading(boolean in, double sureFor) {}

  /** Reads a path offset. */
  public interface Probe {
    /** How the text stands with a path offset in px. */
    Reading read(double pathOffset);
  }

  /** The probe of a keyframe's time. */
  public interface InFrame {
    /**
     * Where the text touches the frame at a time in seconds or, for a landing inside, where all of
     * it is so far within the frame.
     */
    Probe at(double time, Landing landing);

    /**
     * The landing of a keyframe: as it is searched, or as it was found before.
     *
     * @param reference the offset it is measured from
     * @param search gives NaN where there is none
     */
    default double landing(double time, Landing landing, double reference, DoubleSupplier search) {
      return search.getAsDouble();
    }
  }

  /** Where the middle of a text is brought to a place of its path. */
  public interface Placed {
    /**
     * The offset of a goal at a time in seconds, px; NaN where there is no such place.
     *
     * @param kind centred in the frame, at the front or at the back
     * @param near the solution that is nearest to this offset is taken
     */
    double at(double time, Landing.Kind kind, double near);
  }

  /**
   * The solved movable and the indexes of the landings that have no solution, which keep the value
   * they had.
   */
  public record Solved(AnimatedValue movable, List<Integer> unsolved) {}

  private final double lap;
  private final double step;
  private final double reach;
  private final InFrame inFrame;
  private final Placed placed;

  /**
   * @param lap the offset of once round
   * @param step between scanned offsets: what is narrower may be stepped over
   * @param reach how far from its neighbour a landing is looked for
   */
  public LandingSolver(double lap, double step, double reach, InFrame inFrame, Placed placed) {
    this.lap = lap;
    this.step = step;
    this.reach = reach;
    this.inFrame = inFrame;
    this.placed = placed;
  }

  /** The value with the offsets of its landings solved, and where none was found. */
  public Solved solve(AnimatedValue m) {
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    for (int i = 0; i < keys.size(); i++) {
      Landing l = keys.get(i).landing();
      if (l != null && l.kind() == Landing.Kind.AT_REST) {
        keys.set(i, keys.get(i).withValue(0));
      } else if (l != null && l.kind() == Landing.Kind.WHOLE_LAPS) {
        keys.set(i, keys.get(i).withValue(l.laps() * lap));
      }
    }
    List<Integer> unsolved = new ArrayList<>();
    for (int i = 0; i < keys.size(); i++) {
      Keyframe k = keys.get(i);
      if (isPlaced(k.landing())) {
        double near = i > 0 ? keys.get(i - 1).value() : 0;
        put(placed.at(k.time(), k.landing().kind(), near), keys, i, unsolved);
      }
    }
    for (int i = 0; i < keys.size(); i++) {
      if (isAtEdge(keys.get(i))) {
        put(atEdge(keys, i), keys, i, unsolved);
      }
    }
    unsolved.sort(null);
    return new Solved(m.with(keys), unsolved);
  }

  private static void put(double value, List<Keyframe> keys, int i, List<Integer> unsolved) {
    if (Double.isNaN(value)) {
      unsolved.add(i);
    } else {
      keys.set(i, keys.get(i).withValue(value));
    }
  }

  private static boolean isPlaced(Landing l) {
    return l != null && (l.kind() == Landing.Kind.CENTRED || l.isInDepth());
  }

  private static boolean isAtEdge(Keyframe k) {
    return k.landing() != null && k.landing().isAtEdge();
  }

  /** An entrance is measured from where it goes, an exit from where it comes from. */
  private static double reference(List<Keyframe> keys, int i, int direction) {
    for (int way : new int[] {-direction, direction}) {
      for (int k = i + way; k >= 0 && k < keys.size(); k += way) {
        if (!isAtEdge(keys.get(k))) {
          return keys.get(k).value();
        }
      }
    }
    return 0;
  }

  private double atEdge(List<Keyframe> keys, int i) {
    Landing landing = keys.get(i).landing();
    int direction = landing.direction();
    double time = keys.get(i).time();
    double reference = reference(keys, i, direction);
    return inFrame.landing(
        time, landing, reference, () -> out(inFrame.at(time, landing), direction, reference));
  }

  private double out(Probe in, int direction, double reference) {
    double from = nearestIn(in, reference);
    if (Double.isNaN(from)) {
      return Double.NaN;
    }
    double inside = from;
    while (Math.abs(inside - from) <= reach) {
      inside += direction * in.read(inside).sureFor();
      double outside = inside + direction * step;
      if (!in.read(outside).in()) {
        return bisect(in, inside, outside);
      }
      inside = outside;
    }
    return Double.NaN;
  }

  private double nearestIn(Probe in, double reference) {
    double away = 0;
    while (away <= reach) {
      Reading after = in.read(reference + away);
      if (after.in()) {
        return reference + away;
      }
      Reading before = in.read(reference - away);
      if (before.in()) {
        return reference - away;
      }
      away += Math.max(step, Math.min(after.sureFor(), before.sureFor()));
    }
    return Double.NaN;
  }

  /** An offset that is out of the frame, at most the tolerance from one that is in it. */
  private static double bisect(Probe in, double inside, double outside) {
    double a = inside;
    double b = outside;
    while (Math.abs(b - a) > TOLERANCE) {
      double mid = (a + b) / 2;
      if (in.read(mid).in()) {
        a = mid;
      } else {
        b = mid;
      }
    }
    return b;
  }
}
