package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;

/** Lines that swing or wind, as cubics in Hermite form. Lengths in px, angles in radians. */
final class Waves {
  private static final int PER_WAVE = 16;
  private static final int PER_TURN = 24;

  /** A point and its derivative by the parameter. */
  private record Step(Point at, Point by) {}

  private Waves() {}

  /**
   * A sine, first upwards at phase 0, in the middle of the origin; off by under 1e-4 of the
   * amplitude.
   */
  static List<Segment> sine(double length, double amplitude, double cycles, double phase) {
    int n = Math.max(2, (int) Math.ceil(cycles * PER_WAVE));
    double k = 2 * Math.PI * cycles / length;
    return joined(
        evenly(0, length, n),
        s ->
            new Step(
                new Point(s - length / 2, -amplitude * Math.sin(k * s + phase)),
                new Point(1, -amplitude * k * Math.cos(k * s + phase))));
  }

  /**
   * A cubic B-spline over random heights, one every {@code grain} px; {@code flow} moves the hills
   * along the line, against its direction. Exact, with a continuous bend.
   */
  static List<Segment> noise(double length, double amplitude, double grain, double flow, int seed) {
    List<Double> at = new ArrayList<>();
    at.add(0.0);
    for (double c = Math.floor(flow / grain) + 1; c * grain - flow < length - 1e-6; c++) {
      double s = c * grain - flow;
      if (s > 1e-6) {
        at.add(s);
      }
    }
    at.add(length);
    return joined(at, s -> hill(s, length, amplitude, grain, flow, seed));
  }

  private static Step hill(
      double s, double length, double amplitude, double grain, double flow, int seed) {
    double t = (s + flow) / grain;
    int cell = (int) Math.floor(t);
    double u = t - cell;
    double a = height(cell - 1, seed);
    double b = height(cell, seed);
    double c = height(cell + 1, seed);
    double d = height(cell + 2, seed);
    double v = 1 - u;
    double y =
        (v * v * v * a
                + (3 * u * u * u - 6 * u * u + 4) * b
                + (-3 * u * u * u + 3 * u * u + 3 * u + 1) * c
                + u * u * u * d)
            / 6;
    double dy =
        (-v * v * a + (3 * u * u - 4 * u) * b + (-3 * u * u + 2 * u + 1) * c + u * u * d) / 2;
    // The spline evens the heights out; this brings the hills back to about the amplitude.
    double k = 1.6 * amplitude;
    return new Step(new Point(s - length / 2, -k * y), new Point(1, -k * dy / grain));
  }

  /** A fixed random number in [-1, 1) for a place of the lattice, by integer mixing. */
  private static double height(int i, int seed) {
    int h = i * 0x9E3779B1 ^ (seed + 1) * 0x85EBCA6B;
    h ^= h >>> 15;
    h *= 0x2C1B3C6D;
    h ^= h >>> 12;
    h *= 0x297A2D39;
    h ^= h >>> 15;
    return (h >>> 8) / (double) (1 << 23) - 1;
  }

  /** From the inner to the outer radius, evenly (Archimedes), clockwise. */
  static List<Segment> spiral(double inner, double outer, double turns, double start) {
    double sweep = 2 * Math.PI * turns;
    double growth = (outer - inner) / sweep;
    return joined(
        evenly(0, sweep, Math.max(2, (int) Math.ceil(turns * PER_TURN))),
        t -> {
          double r = inner + growth * t;
          double cos = Math.cos(start + t);
          double sin = Math.sin(start + t);
          return new Step(
              new Point(r * cos, r * sin),
              new Point(growth * cos - r * sin, growth * sin + r * cos));
        });
  }

  private static List<Double> evenly(double from, double to, int n) {
    List<Double> out = new ArrayList<>();
    for (int i = 0; i <= n; i++) {
      out.add(from + (to - from) * i / n);
    }
    return out;
  }

  private static List<Segment> joined(List<Double> at, DoubleFunction<Step> step) {
    List<Segment> out = new ArrayList<>();
    Step a = step.apply(at.get(0));
    for (int i = 1; i < at.size(); i++) {
      double h = at.get(i) - at.get(i - 1);
      Step b = step.apply(at.get(i));
      out.add(Cubic.hermite(a.at, a.by.times(h), b.at, b.by.times(h)));
      a = b;
    }
    return out;
  }
}
