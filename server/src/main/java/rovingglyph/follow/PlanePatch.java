package rovingglyph.follow;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;

/**
 * Something flat as it looked where it was marked: what is looked for in other frames.
 *
 * <p>It is laid onto a frame as a {@link Patch} is, by Gauss-Newton steps from coarse to fine, but
 * over the places of its four corners, which are a map in perspective, with a gain and an offset of
 * brightness. Pixels that differ far more than the others, as those of something that passes in
 * front do, count less or not at all.
 */
final class PlanePatch {
  /** Unknowns: two of each corner, gain and offset. */
  private static final int UNKNOWNS = 10;

  private static final int MOST_STEPS = 20;

  /** Px by which a last step may move a corner. */
  private static final double STILL = 0.003;

  /** About so many points of it are looked at. */
  private static final int POINTS = 5000;

  /** So many in a search. */
  private static final int COARSE_POINTS = 300;

  /** Less of it within the frame is too little. */
  private static final double LEAST_INSIDE = 0.25;

  /** Less contrast than this is nothing to hold on to, in steps of gray. */
  private static final double FLAT = 4;

  /** Of the contrast: smaller differences than this may always be of the same thing. */
  private static final double PLAIN = 0.15;

  /** Of the sum of squared slopes: holds corners where nothing tells where they are. */
  private static final double STIFF = 1e-5;

  /**
   * How it lies on a frame.
   *
   * @param sure 0 to 1: the correlation of what does not differ far more than the rest, less where
   *     little is left
   */
  record Fit(List<Point> corners, double gain, double offset, double sure) {
    static Fit at(List<Point> corners) {
      return new Fit(corners, 1, 0, 1);
    }

    Fit moved(Point by) {
      return new Fit(corners.stream().map(p -> p.plus(by)).toList(), gain, offset, sure);
    }

    private Fit plus(double[] by) {
      List<Point> out = new ArrayList<>();
      for (int i = 0; i < 4; i++) {
        out.add(corners.get(i).plus(new Point(by[2 * i], by[2 * i + 1])));
      }
      return new Fit(out, gain + by[8], offset + by[9], sure);
    }

    private boolean isSound() {
      return gain > 0.05 && gain < 20 && Projection.isConvex(corners);
    }
  }

  private static final List<Point> SQUARE = new Rect(0, 0, 1, 1).corners();

  /** Its points, x and y by turns in shares between the corners, and what is there, by level. */
  private final double[][] points = new double[GrayImage.LEVELS][];

  private final float[][] values = new float[GrayImage.LEVELS][];
  private final double contrast;

  /** The finest level at which every point has pixels of its own. */
  private final int finest;

  /**
   * @param corners in order round it, px
   * @param area of it that is looked at, see {@link PlaneFollower}
   */
  PlanePatch(GrayImage frame, List<Point> corners, List<Point> area) {
    double across =
        corners.get(0).distance(corners.get(1)) + corners.get(3).distance(corners.get(2));
    double down = corners.get(0).distance(corners.get(3)) + corners.get(1).distance(corners.get(2));
    Projection map = Projection.of(SQUARE, corners);
    double pixels = across * down / 4;
    this.finest = pixels / POINTS > 16 ? 1 : 0;
    for (int level = 0; level < GrayImage.LEVELS; level++) {
      double step = Math.max(1 << level, Math.sqrt(pixels / POINTS));
      // Marks may be anywhere: something very long and thin has no more points either.
      int n = (int) Math.min(Math.max(Math.round(across / 2 / step), 2), POINTS / 2);
      int m = (int) Math.min(Math.max(Math.round(down / 2 / step), 2), 2.0 * POINTS / n);
      fill(frame, map, level, n, m, area);
    }
    this.contrast = Robust.deviation(values[finest]);
  }

  private void fill(GrayImage frame, Projection map, int level, int n, int m, List<Point> area) {
    double[] at = new double[2 * n * m];
    float[] seen = new float[n * m];
    int count = 0;
    for (int k = 0; k < n * m; k++) {
      Point p = new Point((k % n + 0.5) / n, (k / n + 0.5) / m);
      Point there = map.apply(p);
      float value = frame.at(level, there.x(), there.y());
      if (!Float.isNaN(value) && (area.isEmpty() || isWithin(p, area))) {
        at[2 * count] = p.x();
        at[2 * count + 1] = p.y();
        seen[count++] = value;
      }
    }
    points[level] = Arrays.copyOf(at, 2 * count);
    values[level] = Arrays.copyOf(seen, count);
  }

  /** Whether a point lies within a polygon, by how often a line from it goes over the edge. */
  private static boolean isWithin(Point p, List<Point> polygon) {
    boolean in = false;
    Point a = polygon.get(polygon.size() - 1);
    for (Point b : polygon) {
      boolean over = a.y() > p.y() != b.y() > p.y();
      if (over && p.x() < a.x() + (b.x() - a.x()) * (p.y() - a.y()) / (b.y() - a.y())) {
        in = !in;
      }
      a = b;
    }
    return in;
  }

  /** Whether there is nothing to hold on to. */
  boolean isFlat() {
    return values[finest].length < UNKNOWNS * 2 || contrast < FLAT;
  }

  /**
   * Where it looks most alike near a guess, moved only; to a few px.
   *
   * @param round px round the guess
   */
  Fit search(GrayImage frame, Fit guess, double round) {
    int level = GrayImage.LEVELS - 1;
    int step = 1 << level;
    int steps = (int) Math.ceil(round / step);
    double[] there = mapped(guess, level);
    Fit best = guess;
    double most = Double.NEGATIVE_INFINITY;
    for (int dy = -steps; dy <= steps; dy++) {
      for (int dx = -steps; dx <= steps; dx++) {
        // Of places that look alike the nearest.
        double far = Math.hypot(dx, dy) / Math.max(1, steps);
        double alike = correlation(frame, there, level, dx * step, dy * step) - 0.05 * far;
        if (alike > most) {
          most = alike;
          best = guess.moved(new Point(dx * step, dy * step));
        }
      }
    }
    return best;
  }

  /** Where its points are, x and y by turns, px. */
  private double[] mapped(Fit f, int level) {
    Projection map = Projection.of(SQUARE, f.corners);
    double[] p = points[level];
    double[] out = new double[p.length];
    for (int i = 0; i < p.length; i += 2) {
      double w = map.weight(p[i], p[i + 1]);
      out[i] = (map.a() * p[i] + map.c() * p[i + 1] + map.e()) / w;
      out[i + 1] = (map.b() * p[i] + map.d() * p[i + 1] + map.f()) / w;
    }
    return out;
  }

  private double correlation(GrayImage frame, double[] at, int level, double dx, double dy) {
    Correlation alike = new Correlation();
    int all = values[level].length;
    for (int k = 0; k < all; k += Math.max(1, all / COARSE_POINTS)) {
      alike.add(values[level][k], frame.at(level, at[2 * k] + dx, at[2 * k + 1] + dy));
    }
    return alike.value(UNKNOWNS);
  }

  /**
   * Lays it onto a frame; null where it cannot be laid.
   *
   * @param from where it lies to within a few px, as bright as it was lately
   */
  Fit fit(GrayImage frame, Fit from) {
    Fit f = from;
    for (int level = GrayImage.LEVELS - 1; level >= finest && f != null; level--) {
      f = steps(frame, f, level);
    }
    if (f == null) {
      return null;
    }
    // The grain of a camera is gone at the coarser ones, and blur tells less.
    double sure = Math.max(sure(frame, f, 1), sure(frame, f, 2));
    return new Fit(f.corners, f.gain, f.offset, sure);
  }

  private Fit steps(GrayImage frame, Fit from, int level) {
    Fit f = from;
    double[] residuals = new double[values[level].length];
    for (int i = 0; i < MOST_STEPS; i++) {
      double[] at = mapped(f, level);
      if (residuals(frame, f, level, at, residuals) < LEAST_INSIDE) {
        return null;
      }
      double[] by = step(frame, f, level, at, residuals);
      f = by == null ? null : f.plus(by);
      if (f == null || !f.isSound()) {
        return null;
      }
      double farthest = 0;
      for (int k = 0; k < 8; k++) {
        farthest = Math.max(farthest, Math.abs(by[k]));
      }
      if (farthest < STILL * (1 << level)) {
        break;
      }
    }
    return f;
  }

  /**
   * By how much it differs from a frame, point by point; NaN outside the frame.
   *
   * @return the share of it that lies in the frame
   */
  private double residuals(GrayImage frame, Fit f, int level, double[] at, double[] out) {
    int inside = 0;
    for (int k = 0; k < out.length; k++) {
      float seen = frame.at(level, at[2 * k], at[2 * k + 1]);
      out[k] = f.gain * values[level][k] + f.offset - seen;
      inside += Double.isNaN(out[k]) ? 0 : 1;
    }
    return inside / (double) Math.max(1, out.length);
  }

  /** One step towards the least difference: x and y of each corner, gain, offset. */
  private double[] step(GrayImage frame, Fit f, int level, double[] at, double[] residuals) {
    int step = 1 << level;
    double most = Robust.HUBER * Math.max(Robust.spread(residuals), PLAIN * contrast * f.gain);
    double[][] moves = moves(f, level);
    double[][] normal = new double[UNKNOWNS][UNKNOWNS + 1];
    double[] row = new double[UNKNOWNS];
    for (int k = 0; k < residuals.length; k++) {
      double x = at[2 * k];
      double y = at[2 * k + 1];
      double gx = (frame.at(level, x + step, y) - frame.at(level, x - step, y)) / (2.0 * step);
      double gy = (frame.at(level, x, y + step) - frame.at(level, x, y - step)) / (2.0 * step);
      if (Double.isNaN(residuals[k] + gx + gy)) {
        continue;
      }
      for (int i = 0; i < 8; i++) {
        row[i] = gx * moves[i][2 * k] + gy * moves[i][2 * k + 1];
      }
      row[8] = -values[level][k];
      row[9] = -1;
      double weight = Robust.weight(Math.abs(residuals[k]) / most);
      for (int i = 0; weight > 0 && i < UNKNOWNS; i++) {
        for (int j = i; j < UNKNOWNS; j++) {
          normal[i][j] += weight * row[i] * row[j];
        }
        normal[i][UNKNOWNS] += weight * row[i] * residuals[k];
      }
    }
    double slopes = 0;
    for (int i = 0; i < UNKNOWNS; i++) {
      slopes += i < 8 ? normal[i][i] : 0;
      for (int j = 0; j < i; j++) {
        normal[i][j] = normal[j][i];
      }
    }
    for (int i = 0; i < 8; i++) {
      normal[i][i] += STIFF * slopes;
    }
    return LinearSystem.solve(normal);
  }

  /**
   * How its points move with each coordinate of each corner, px per px: by differences, since the
   * map is given by its corners.
   */
  private double[][] moves(Fit f, int level) {
    double[][] out = new double[8][];
    double by = 0.5;
    for (int i = 0; i < 8; i++) {
      double[] more = new double[UNKNOWNS];
      more[i] = by;
      double[] less = new double[UNKNOWNS];
      less[i] = -by;
      Fit on = f.plus(more);
      Fit back = f.plus(less);
      double[] a = mapped(on.isSound() ? on : f, level);
      double[] b = mapped(back.isSound() ? back : f, level);
      for (int k = 0; k < a.length; k++) {
        a[k] = (a[k] - b[k]) / (2 * by);
      }
      out[i] = a;
    }
    return out;
  }

  /** See {@link Fit#sure}. */
  private double sure(GrayImage frame, Fit f, int level) {
    double[] residuals = new double[values[level].length];
    residuals(frame, f, level, mapped(f, level), residuals);
    double most = 2.5 * Math.max(Robust.spread(residuals), PLAIN * contrast * f.gain);
    return Robust.sure(residuals, values[level], f.gain, f.offset, most, UNKNOWNS);
  }
}
