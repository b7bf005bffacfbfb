package rovingglyph.scene;

import java.util.List;
import rovingglyph.geometry.Point;

/**
 * A small curve that says how letters change along the run or along the path.
 *
 * @param axis the tag, for {@code AXIS}
 * @param points (x, value) with x from 0 to 1 in rising order; between them the value goes smoothly
 *     without overshooting, before the first and after the last it holds
 */
public record Profile(Of of, String axis, Along along, List<Point> points, UnknownFields extras) {
  /** What changes: percent of the size, degrees, px, em, or an axis in its own units. */
  public enum Of {
    SIZE("Size", "%", 100),
    TURN("Turn", "\u00b0", 0),
    SHIFT("Shift", "px", 0),
    TRACKING("Tracking", "em", 0),
    AXIS("Axis", "", 0);

    private final String label;
    private final String unit;
    private final double neutral;

    Of(String label, String unit, double neutral) {
      this.label = label;
      this.unit = unit;
      this.neutral = neutral;
    }

    /** What it is called in the interface. */
    public String label() {
      return label;
    }

    /** The unit of its values; empty where they have none. */
    public String unit() {
      return unit;
    }

    /** The value that changes nothing. */
    public double neutral() {
      return neutral;
    }
  }

  /** The same of letters that are so many times as large. */
  public Profile scaled(double k) {
    List<Point> to = points.stream().map(p -> new Point(p.x(), p.y() * k)).toList();
    return of == Of.SHIFT ? new Profile(of, axis, along, to, extras) : this;
  }

  /** What x measures: the text from its tail to its head, or the path from start to end. */
  public enum Along {
    RUN,
    PATH
  }

  /** The value at x, by monotone cubic interpolation (Fritsch and Carlson 1980). */
  public double at(double x) {
    int n = points.size();
    if (n == 0) {
      return of.neutral();
    }
    if (x <= points.get(0).x() || n == 1) {
      return points.get(0).y();
    }
    int i = 0;
    while (i < n - 1 && points.get(i + 1).x() <= x) {
      i++;
    }
    if (i == n - 1) {
      return points.get(i).y();
    }
    double h = points.get(i + 1).x() - points.get(i).x();
    double u = (x - points.get(i).x()) / h;
    double a = points.get(i).y();
    double b = points.get(i + 1).y();
    double da = slope(i) * h;
    double db = slope(i + 1) * h;
    double v = 1 - u;
    return a * v * v * (1 + 2 * u) + b * u * u * (3 - 2 * u) + da * u * v * v - db * u * u * v;
  }

  private double secant(int i) {
    Point p = points.get(i);
    Point q = points.get(i + 1);
    return (q.y() - p.y()) / (q.x() - p.x());
  }

  /** The harmonic mean of the slopes to both sides; level at a turning point and at the ends. */
  private double slope(int i) {
    if (i == 0 || i == points.size() - 1) {
      return 0;
    }
    double before = secant(i - 1);
    double after = secant(i);
    return before * after <= 0 ? 0 : 2 * before * after / (before + after);
  }
}
