package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Cubics through a row of points, few of them: least squares over chord-length parameters, which
 * are then corrected by Newton steps, halving where the tolerance is not met (P. Schneider, "An
 * algorithm for automatically fitting digitized curves", Graphics Gems, 1990).
 */
public final class CurveFit {
  /** The fitted cubics and how far the worst point lies from its place on them, px. */
  public record Fitted(List<Cubic> cubics, double error) {}

  private static final int CORRECTIONS = 12;

  private final Point[] points;
  private final double tolerance;
  private final List<Cubic> out = new ArrayList<>();
  private double worst;

  private CurveFit(Point[] points, double tolerance) {
    this.points = points;
    this.tolerance = tolerance;
  }

  /**
   * Fits a row of points.
   *
   * @param samples at least two; neighbours on one spot count once
   * @param startTangent unit direction at the first point, or null to take it from the points
   * @param endTangent unit direction of travel at the last point, or null
   * @param tolerance in px, greater than 0
   */
  public static Fitted fit(
      List<Point> samples, Point startTangent, Point endTangent, double tolerance) {
    List<Point> kept = new ArrayList<>();
    for (Point p : samples) {
      if (kept.isEmpty() || kept.get(kept.size() - 1).distance(p) > 1e-9) {
        kept.add(p);
      }
    }
    if (kept.size() < 2) {
      Point p = samples.get(0);
      return new Fitted(List.of(new Cubic(p, p, p, p)), 0);
    }
    CurveFit f = new CurveFit(kept.toArray(new Point[0]), tolerance);
    int last = f.points.length - 1;
    Point t0 = startTangent == null ? f.direction(0, 1) : startTangent;
    Point t1 = endTangent == null ? f.direction(last, -1).times(-1) : endTangent;
    f.fit(0, last, t0, t1);
    return new Fitted(List.copyOf(f.out), f.worst);
  }

  /** One cubic through the points, whatever the error. */
  public static Cubic one(List<Point> samples, Point startTangent, Point endTangent) {
    return fit(samples, startTangent, endTangent, Double.MAX_VALUE).cubics().get(0);
  }

  /** Direction from a point into the row, over a few points so that a jitter does not decide it. */
  private Point direction(int at, int way) {
    double reach = Math.max(tolerance * 4, points[0].distance(points[points.length - 1]) * 1e-3);
    int i = at + way;
    while (i + way >= 0 && i + way < points.length && points[i].distance(points[at]) < reach) {
      i += way;
    }
    return points[i].minus(points[at]).unit();
  }

  private void fit(int a, int b, Point t0, Point t1) {
    if (b - a == 1) {
      double third = points[a].distance(points[b]) / 3;
      Point p1 = points[a].plus(t0.times(third));
      Point p2 = points[b].minus(t1.times(third));
      out.add(new Cubic(points[a], p1, p2, points[b]));
      return;
    }
    double[] u = chordParameters(a, b);
    Cubic best = null;
    double bestError = Double.POSITIVE_INFINITY;
    int split = (a + b) / 2;
    double last = Double.POSITIVE_INFINITY;
    for (int step = 0; step <= CORRECTIONS; step++) {
      Cubic c = leastSquares(a, b, u, t0, t1);
      int at = farthest(c, a, b, u);
      double error = c.point(u[at - a]).distance(points[at]);
      if (error < bestError) {
        bestError = error;
        best = c;
        split = at;
      }
      if (error <= tolerance || error > last * 0.95) {
        break;
      }
      last = error;
      correct(c, a, u);
    }
    if (bestError <= tolerance || tolerance == Double.MAX_VALUE) {
      out.add(best);
      worst = Math.max(worst, bestError);
      return;
    }
    Point t = tangentAt(split, a, b);
    fit(a, split, t0, t);
    fit(split, b, t, t1);
  }

  private double[] chordParameters(int a, int b) {
    double[] u = new double[b - a + 1];
    for (int i = 1; i < u.length; i++) {
      u[i] = u[i - 1] + points[a + i].distance(points[a + i - 1]);
    }
    double total = u[u.length - 1];
    for (int i = 1; i < u.length; i++) {
      u[i] /= total;
    }
    return u;
  }

  /** The lengths of the two handles that bring the cubic nearest to the points. */
  private Cubic leastSquares(int a, int b, double[] u, Point t0, Point t1) {
    Point p0 = points[a];
    Point p3 = points[b];
    double c00 = 0;
    double c01 = 0;
    double c11 = 0;
    double x0 = 0;
    double x1 = 0;
    for (int i = 0; i < u.length; i++) {
      double v = 1 - u[i];
      double b1 = 3 * v * v * u[i];
      double b2 = 3 * v * u[i] * u[i];
      double b0 = v * v * v + b1;
      double b3 = u[i] * u[i] * u[i] + b2;
      Point a1 = t0.times(b1);
      Point a2 = t1.times(-b2);
      double rx = points[a + i].x() - p0.x() * b0 - p3.x() * b3;
      double ry = points[a + i].y() - p0.y() * b0 - p3.y() * b3;
      c00 += a1.dot(a1);
      c01 += a1.dot(a2);
      c11 += a2.dot(a2);
      x0 += a1.x() * rx + a1.y() * ry;
      x1 += a2.x() * rx + a2.y() * ry;
    }
    double det = c00 * c11 - c01 * c01;
    double chord = p0.distance(p3);
    double h0 = Math.abs(det) < 1e-12 ? 0 : (x0 * c11 - x1 * c01) / det;
    double h1 = Math.abs(det) < 1e-12 ? 0 : (c00 * x1 - c01 * x0) / det;
    if (h0 < chord * 1e-6 || h1 < chord * 1e-6) {
      h0 = chord / 3;
      h1 = chord / 3;
    }
    return new Cubic(p0, p0.plus(t0.times(h0)), p3.minus(t1.times(h1)), p3);
  }

  private int farthest(Cubic c, int a, int b, double[] u) {
    int at = (a + b) / 2;
    double far = -1;
    for (int i = a + 1; i < b; i++) {
      double d = c.point(u[i - a]).distance(points[i]);
      if (d > far) {
        far = d;
        at = i;
      }
    }
    return at;
  }

  /** One Newton step towards the nearest place on the cubic, for every point. */
  private void correct(Cubic c, int a, double[] u) {
    for (int i = 1; i < u.length - 1; i++) {
      Point d = c.point(u[i]).minus(points[a + i]);
      Point d1 = c.derivative(u[i]);
      Point d2 = c.secondDerivative(u[i]);
      double slope = d1.dot(d1) + d.dot(d2);
      if (slope > 1e-12) {
        u[i] = Math.min(Math.max(u[i] - d.dot(d1) / slope, 0), 1);
      }
    }
  }

  private Point tangentAt(int i, int a, int b) {
    int reach = Math.max(1, Math.min(4, (b - a) / 8));
    Point before = points[Math.max(a, i - reach)];
    Point after = points[Math.min(b, i + reach)];
    return after.minus(before).length() > 0
        ? after.minus(before).unit()
        : points[i].minus(before).unit();
  }
}
