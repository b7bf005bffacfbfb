package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Scene;

/**
 * The time that animations run by: of the scene that is written, or of one that is shown within it,
 * whose own time goes faster or slower, begins again, or stands still.
 *
 * @param length in seconds, after which the animations begin again
 * @param frames that are shown in that time
 * @param runs of the time of the scene, in order, from 0 to the length
 * @param repeats whether the scene's own time comes round with the length, without standing still
 */
record SvgClock(double length, int frames, List<Run> runs, boolean repeats) {
  /** More runs than these are not written: the last one goes on. */
  private static final int MOST_RUNS = 20_000;

  /** Of a length: more than this apart, two are not the same. */
  private static final double SAME = 1e-9;

  /** A jump is written as two stops so far apart, in seconds. */
  static final double HAIR = 1e-5;

  /**
   * A stretch of time in which that of the scene goes evenly.
   *
   * @param from seconds
   * @param local the time of the scene then
   * @param speed seconds of the scene in one second; 0 where it stands
   */
  record Run(double from, double local, double speed) {
    double at(double time) {
      return local + (time - from) * speed;
    }
  }

  static SvgClock of(Scene scene) {
    return new SvgClock(scene.length(), scene.frameCount(), List.of(new Run(0, 0, 1)), true);
  }

  /** Whether it is the scene's own time. */
  boolean isPlain() {
    return runs.size() == 1 && runs.get(0).local == 0 && runs.get(0).speed == 1;
  }

  /** Seconds from one frame to the next. */
  double step() {
    return length / frames;
  }

  /** The time of the scene at a time of the animations, 0 to the length. */
  double local(double time) {
    int low = 0;
    int high = runs.size() - 1;
    while (low < high) {
      int middle = (low + high + 1) >>> 1;
      if (runs.get(middle).from <= time) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return runs.get(low).at(time);
  }

  /** The time of the scene in a frame. */
  double frame(int index) {
    return local(length * index / frames);
  }

  /** When the time of the scene jumps, beyond the start. */
  List<Double> jumps() {
    List<Double> out = new ArrayList<>();
    for (int i = 1; i < runs.size(); i++) {
      Run r = runs.get(i);
      if (Math.abs(runs.get(i - 1).at(r.from) - r.local) > SAME) {
        out.add(r.from);
      }
    }
    return out;
  }

  /** The start, all jumps, and when the scene comes to some times of its own; in order. */
  List<Double> changes(double... locals) {
    TreeSet<Double> out = new TreeSet<>(jumps());
    out.add(0.0);
    for (int i = 0; i < runs.size(); i++) {
      Run r = runs.get(i);
      double to = i + 1 < runs.size() ? runs.get(i + 1).from : length;
      for (double local : locals) {
        double time = r.speed > 0 ? r.from + (local - r.local) / r.speed : -1;
        if (time > r.from && time < to) {
          out.add(time);
        }
      }
    }
    return List.copyOf(out);
  }

  /** A function of the scene's time in straight lines; see {@link Samples}. */
  Track samples(Samples.Source source, Track.Gap gap, double tolerance) {
    return Samples.of(t -> source.at(local(t)), gap, tolerance, length, step());
  }

  /** The time of a scene that is shown within this one. */
  SvgClock within(Inset inset, Scene shown) {
    double period = shown.length() / inset.speed();
    if (inset.atEnd() == Inset.AtEnd.LOOP && repeats) {
      double local = length * runs.get(0).speed;
      double times = Math.rint(local / period);
      if (times >= 1 && Math.abs(local - times * period) <= SAME * local) {
        return inner(inset, shown, length / times, (int) Math.max(1, frames / times), true);
      }
    }
    return inner(inset, shown, length, frames, false);
  }

  private SvgClock inner(
      Inset inset, Scene shown, double newLength, int newFrames, boolean comesRound) {
    List<Run> out = new ArrayList<>();
    for (int i = 0; i < runs.size() && runs.get(i).from < newLength; i++) {
      double to = i + 1 < runs.size() ? Math.min(runs.get(i + 1).from, newLength) : newLength;
      split(runs.get(i), to, inset, shown, out);
    }
    return new SvgClock(newLength, newFrames, List.copyOf(out), comesRound);
  }

  /** A run of the scene round an inset, where that begins again or stands. */
  private static void split(Run run, double to, Inset inset, Scene shown, List<Run> out) {
    double speed = run.speed * inset.speed();
    double at = run.from;
    // Not the very start of it: there the run before may still end.
    double least = HAIR / 1000;
    while (at < to - least && out.size() < MOST_RUNS) {
      double local = inset.within(run.at(at + least), shown);
      double end = inset.atEnd() == Inset.AtEnd.HOLD ? Inset.lastFrame(shown) : shown.length();
      double begun = (run.at(at + least) - inset.begins()) * inset.speed();
      boolean stands =
          speed == 0 || inset.atEnd() == Inset.AtEnd.HOLD && (begun < 0 || begun >= end);
      double own = stands ? 0 : speed;
      out.add(new Run(at, stands ? local : Math.max(0, local - least * speed), own));
      double left = stands ? until(run, inset, begun) : (end - local) / speed + least;
      at += Math.max(left, least);
    }
  }

  /** Seconds until something that stands begins; without end if it does not. */
  private static double until(Run run, Inset inset, double begun) {
    return run.speed > 0 && begun < 0 && inset.atEnd() == Inset.AtEnd.HOLD
        ? -begun / inset.speed() / run.speed
        : Double.POSITIVE_INFINITY;
  }
}
