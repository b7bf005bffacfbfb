package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The place of a segment nearest to a point, by branch and bound: pieces whose lower bound is not
 * below what was found are left out, the others halved. Béziers are bounded by the Bernstein
 * coefficients of the squared distance; of lines and arcs all places are found at which the
 * distance stands still. The distance found is at most 1e-7 px, or 1e-12 of the coordinates, above
 * the least one.
 */
final class NearestOn {
  private static final double EXACT = 1e-7;
  private static final int DEEPEST = 60;

  private final Point p;
  private double bestU = Double.NaN;
  private double best;

  private NearestOn(Point p, double below) {
    this.p = p;
    this.best = below;
  }

  /**
   * The parameter and the distance, px; null if no place is nearer than {@code below}. Of places
   * equally near that with the least parameter is given.
   */
  static double[] on(Segment s, Point p, double below) {
    NearestOn n = new NearestOn(p, below);
    if (s instanceof Arc && s.bounds().distance(p) >= below) {
      return null;
    }
    if (s instanceof Line l) {
      n.line(l);
    } else if (s instanceof Quadratic q) {
      n.bezier(q.raised());
    } else if (s instanceof Cubic c) {
      n.bezier(c);
    } else if (s instanceof Arc a) {
      n.arc(a);
    }
    if (Double.isNaN(n.bestU)) {
      return null;
    }
    n.polish(s);
    return new double[] {n.bestU, n.best};
  }

  /** The distance hardly changes near its least value; Newton's steps find the place itself. */
  private void polish(Segment s) {
    for (int i = 0; i < 6; i++) {
      Point off = s.point(bestU).minus(p);
      Point d = s.derivative(bestU);
      double bend = d.dot(d) + off.dot(s.secondDerivative(bestU));
      double u = bestU - off.dot(d) / bend;
      if (!(bend > 0 && u >= 0 && u <= 1) || s.point(u).distance(p) > best) {
        return;
      }
      bestU = u;
      best = Math.min(best, s.point(u).distance(p));
    }
  }

  private void offer(double u, double distance) {
    if (distance < best) {
      best = distance;
      bestU = u;
    }
  }

  /** What a piece has to be able to come below to be worth a look: a squared distance. */
  private double worth() {
    double near = Math.max(0, best - EXACT);
    return near * near;
  }

  private void line(Line l) {
    Point way = l.end().minus(l.start());
    double squared = way.dot(way);
    double u = squared > 0 ? p.minus(l.start()).dot(way) / squared : 0;
    double inside = Math.min(Math.max(u, 0), 1);
    offer(inside, l.point(inside).distance(p));
  }

  private void bezier(Cubic c) {
    // About the point, so that near it nothing is lost to great coordinates.
    double[] q = {
      c.p0().x() - p.x(), c.p0().y() - p.y(), c.p1().x() - p.x(), c.p1().y() - p.y(),
      c.p2().x() - p.x(), c.p2().y() - p.y(), c.p3().x() - p.x(), c.p3().y() - p.y()
    };
    if (least(q) < best * best) {
      offer(0, Math.hypot(q[0], q[1]));
      offer(1, Math.hypot(q[6], q[7]));
      bezier(q, 0, 1, 0);
    }
  }

  private void bezier(double[] q, double from, double to, int deep) {
    if (least(q) >= worth() || deep > DEEPEST || extent(q) < EXACT / 4) {
      return;
    }
    double[] a = new double[8];
    double[] b = new double[8];
    for (int k = 0; k < 2; k++) {
      double m01 = (q[k] + q[2 + k]) / 2;
      double m12 = (q[2 + k] + q[4 + k]) / 2;
      double m23 = (q[4 + k] + q[6 + k]) / 2;
      double left = (m01 + m12) / 2;
      double right = (m12 + m23) / 2;
      double middle = (left + right) / 2;
      a[k] = q[k];
      a[2 + k] = m01;
      a[4 + k] = left;
      a[6 + k] = middle;
      b[k] = middle;
      b[2 + k] = right;
      b[4 + k] = m23;
      b[6 + k] = q[6 + k];
    }
    double half = (from + to) / 2;
    double there = Math.hypot(a[6], a[7]);
    // The side that promises more first; of equals the earlier one.
    if (least(b) < least(a)) {
      offer(half, there);
      bezier(b, half, to, deep + 1);
      bezier(a, from, half, deep + 1);
    } else {
      bezier(a, from, half, deep + 1);
      offer(half, there);
      bezier(b, half, to, deep + 1);
    }
  }

  /**
   * The least Bernstein coefficient of the squared length of a cubic, which the polynomial of
   * degree six is nowhere below (convex hull property).
   */
  private static double least(double[] q) {
    double d00 = dot(q, 0, 0);
    double d01 = dot(q, 0, 1);
    double d02 = dot(q, 0, 2);
    double d03 = dot(q, 0, 3);
    double d11 = dot(q, 1, 1);
    double d12 = dot(q, 1, 2);
    double d13 = dot(q, 1, 3);
    double d22 = dot(q, 2, 2);
    double d23 = dot(q, 2, 3);
    double d33 = dot(q, 3, 3);
    double least = Math.min(d00, d33);
    least = Math.min(least, Math.min(d01, d23));
    least = Math.min(least, (2 * d02 + 3 * d11) / 5);
    least = Math.min(least, (d03 + 9 * d12) / 10);
    return Math.min(least, (2 * d13 + 3 * d22) / 5);
  }

  /** No two places of the piece are farther apart. */
  private static double extent(double[] q) {
    double most = 0;
    for (int k = 2; k < 8; k += 2) {
      most = Math.max(most, Math.abs(q[k] - q[0]) + Math.abs(q[k + 1] - q[1]));
    }
    return 2 * most;
  }

  private static double dot(double[] q, int i, int j) {
    return q[2 * i] * q[2 * j] + q[2 * i + 1] * q[2 * j + 1];
  }

  private void arc(Arc a) {
    offer(0, a.point(0).distance(p));
    if (Math.abs(a.rx() - a.ry()) < 1e-12 * Math.max(a.rx(), a.ry())) {
      Point out = p.minus(a.centre());
      double angle = out.angle() - a.tilt();
      double way = (angle - a.start0()) * Math.signum(a.sweep());
      double turn = way - 2 * Math.PI * Math.floor(way / (2 * Math.PI));
      if (turn < Math.abs(a.sweep())) {
        double u = turn / Math.abs(a.sweep());
        offer(u, a.point(u).distance(p));
      }
    } else {
      ellipse(a);
    }
    offer(1, a.point(1).distance(p));
  }

  /**
   * Where the distance to an ellipse stands still: a quartic in the tangent of half the angle,
   * looked at once for angles about 0 and once, by its inverse, for those about half a turn.
   */
  private void ellipse(Arc a) {
    Point off = p.minus(a.centre());
    double x = (Math.cos(a.tilt()) * off.x() + Math.sin(a.tilt()) * off.y()) * a.rx();
    double y = (Math.cos(a.tilt()) * off.y() - Math.sin(a.tilt()) * off.x()) * a.ry();
    double k = a.ry() * a.ry() - a.rx() * a.rx();
    double[] quartic = {-y, 2 * k + 2 * x, 0, 2 * x - 2 * k, y};
    double[] inverse = {y, 2 * x - 2 * k, 0, 2 * k + 2 * x, -y};
    for (double z : stationary(quartic)) {
      angle(a, 2 * Math.atan(z));
    }
    for (double w : stationary(inverse)) {
      angle(a, Math.PI - 2 * Math.atan(w));
    }
  }

  private void angle(Arc a, double t) {
    double way = (t - a.start0()) * Math.signum(a.sweep());
    double turn = way - 2 * Math.PI * Math.floor(way / (2 * Math.PI));
    if (turn <= Math.abs(a.sweep())) {
      double u = turn / Math.abs(a.sweep());
      offer(u, a.point(u).distance(p));
    }
  }

  /**
   * The roots of a polynomial within [-1, 1], and where its derivatives have theirs: between these
   * it is monotonic, so that bisection finds every root.
   *
   * @param c coefficients from the constant on
   */
  private static List<Double> stationary(double[] c) {
    List<Double> out = new ArrayList<>();
    if (c.length < 2) {
      return out;
    }
    double[] derivative = new double[c.length - 1];
    for (int i = 1; i < c.length; i++) {
      derivative[i - 1] = i * c[i];
    }
    List<Double> ends = new ArrayList<>(stationary(derivative));
    ends.add(-1.0);
    ends.add(1.0);
    Collections.sort(ends);
    out.addAll(ends);
    for (int i = 0; i + 1 < ends.size(); i++) {
      double low = ends.get(i);
      double high = ends.get(i + 1);
      boolean rises = value(c, low) < 0;
      if (rises == value(c, high) < 0) {
        continue;
      }
      for (int step = 0; step < 60; step++) {
        double middle = (low + high) / 2;
        if (value(c, middle) < 0 == rises) {
          low = middle;
        } else {
          high = middle;
        }
      }
      out.add((low + high) / 2);
    }
    return out;
  }

  private static double value(double[] c, double z) {
    double v = 0;
    for (int i = c.length - 1; i >= 0; i--) {
      v = v * z + c[i];
    }
    return v;
  }
}
