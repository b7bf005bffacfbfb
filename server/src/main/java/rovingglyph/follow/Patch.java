package rovingglyph.follow;

/**
 * The surroundings of a spot as they were where it was marked: what is looked for in other frames.
 *
 * <p>It is laid onto a frame by Gauss-Newton steps over an affine map, a gain and an offset of
 * brightness, from coarse to fine, so that the sum of the squared differences becomes least; pixels
 * that differ far more than the others, as those of something that passes in front do, count less
 * (Huber's weights). See Baker and Matthews, Lucas-Kanade 20 Years On, section 2 and part 2, 2004.
 */
final class Patch {
  /** Unknowns: six of the map, gain and offset. */
  private static final int UNKNOWNS = 8;

  private static final int MOST_STEPS = 25;

  /** Px by which a last step may move the spot. */
  private static final double STILL = 0.002;

  /** Less of it within the frame is too little. */
  private static final double LEAST_INSIDE = 0.4;

  /** Px from which on one is large. */
  private static final int LARGE = 64;

  /** Less contrast than this is nothing to hold on to, in steps of gray. */
  private static final double FLAT = 4;

  /** Of the contrast: smaller differences than this are always of the same thing. */
  private static final double PLAIN = 0.3;

  /** Fewer pixels tell nothing. */
  private static final int LEAST_PIXELS = 9;

  /** Pixels to each side by which it is searched for. */
  private static final int COARSE = 8;

  /** Holds the affine part where a patch says little about it, per pixel. */
  private static final double STIFF = 0.02;

  /**
   * How a patch lies on a frame.
   *
   * @param gain by which its brightness is multiplied to be that of the frame
   * @param offset that is added then, in steps of gray
   * @param sure 0 to 1: the correlation; of what may be covered that of what does not differ far
   *     more than the rest, and less where little is left
   */
  record Fit(Warp warp, double gain, double offset, double sure) {
    /** As it was where it was marked. */
    static Fit at(double x, double y) {
      return new Fit(Warp.at(x, y), 1, 0, 1);
    }

    Fit at(Warp other) {
      return new Fit(other, gain, offset, sure);
    }

    private Fit sure(double now) {
      return new Fit(warp, gain, offset, now);
    }

    private Fit plus(double[] by) {
      Warp w =
          new Warp(
              warp.a() + by[0],
              warp.b() + by[1],
              warp.c() + by[2],
              warp.d() + by[3],
              warp.x() + by[4],
              warp.y() + by[5]);
      return new Fit(w, gain + by[6], offset + by[7], sure);
    }

    private boolean isSound() {
      boolean bright = gain > 0.05 && gain < 20;
      return warp.isFinite() && warp.area() > 0.05 && warp.area() < 20 && bright;
    }
  }

  private final int reach;

  /** The level down to which it is laid: large ones are exact enough without the finest. */
  private final int finest;

  private final float[][] values = new float[GrayImage.LEVELS][];

  /** The standard deviation of its pixels, in steps of gray. */
  private final double contrast;

  /** Whether some of it may be covered by something else. */
  private final boolean covered;

  /** The surroundings of a spot; they have to be seen whole. */
  Patch(GrayImage frame, double x, double y, int reach) {
    this(frame, x, y, reach, false);
  }

  /**
   * The surroundings of a spot.
   *
   * @param reach to each side, px
   * @param covered whether some of it may be covered by something else
   */
  Patch(GrayImage frame, double x, double y, int reach, boolean covered) {
    this.reach = reach;
    this.covered = covered;
    this.finest = reach > LARGE ? 1 : 0;
    for (int level = 0; level < GrayImage.LEVELS; level++) {
      int r = radius(level);
      int step = 1 << level;
      float[] out = new float[(2 * r + 1) * (2 * r + 1)];
      int n = 0;
      for (int v = -r; v <= r; v++) {
        for (int u = -r; u <= r; u++) {
          out[n++] = frame.at(level, x + u * step, y + v * step);
        }
      }
      values[level] = out;
    }
    this.contrast = Robust.deviation(values[0]);
  }

  private int radius(int level) {
    return reach >> level;
  }

  /** Whether there is nothing to hold on to. */
  boolean isFlat() {
    return contrast < FLAT;
  }

  /**
   * Where it looks most alike near a guess, moved only; to a few px.
   *
   * @param round px round the guess
   */
  Warp search(GrayImage frame, Warp guess, double round) {
    int level = GrayImage.LEVELS - 1;
    int step = 1 << level;
    int steps = (int) Math.ceil(round / step);
    Warp best = guess;
    double most = Double.NEGATIVE_INFINITY;
    for (int dy = -steps; dy <= steps; dy++) {
      for (int dx = -steps; dx <= steps; dx++) {
        Warp w = guess.to(guess.x() + dx * step, guess.y() + dy * step);
        // Of places that look alike the nearest.
        double far = Math.hypot(dx, dy) / Math.max(1, steps);
        double alike = correlation(frame, w, level) - 0.05 * far;
        if (alike > most) {
          most = alike;
          best = w;
        }
      }
    }
    return best;
  }

  /** How alike it looks there, -1 to 1, by some of its pixels. */
  private double correlation(GrayImage frame, Warp w, int level) {
    int r = radius(level);
    int step = 1 << level;
    int stride = Math.max(1, r / COARSE);
    Correlation alike = new Correlation();
    for (int v = -r; v <= r; v += stride) {
      for (int u = -r; u <= r; u += stride) {
        float i = frame.at(level, w.x(u * step, v * step), w.y(u * step, v * step));
        float t = values[level][(v + r) * (2 * r + 1) + u + r];
        alike.add(t, i);
      }
    }
    return alike.value(LEAST_PIXELS);
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
    // The grain of a camera is gone at the coarser ones, and blur tells less.
    return f == null ? null : f.sure(Math.max(sure(frame, f, 1), sure(frame, f, 2)));
  }

  private Fit steps(GrayImage frame, Fit from, int level) {
    Fit f = from;
    double[] residuals = new double[values[level].length];
    for (int i = 0; i < MOST_STEPS; i++) {
      if (residuals(frame, f, level, residuals) < LEAST_INSIDE) {
        return null;
      }
      double[] by = step(frame, f, level, residuals);
      f = by == null ? null : f.plus(by);
      if (f == null || !f.isSound()) {
        return null;
      }
      if (Math.hypot(by[4], by[5]) < STILL * (1 << level)) {
        break;
      }
    }
    return f;
  }

  /**
   * By how much it differs from a frame, pixel by pixel; NaN outside the frame.
   *
   * @return the share of it that lies in the frame
   */
  private double residuals(GrayImage frame, Fit f, int level, double[] out) {
    int r = radius(level);
    int step = 1 << level;
    Warp w = f.warp;
    int inside = 0;
    int k = 0;
    for (int v = -r; v <= r; v++) {
      for (int u = -r; u <= r; u++, k++) {
        float seen = frame.at(level, w.x(u * step, v * step), w.y(u * step, v * step));
        out[k] = f.gain * values[level][k] + f.offset - seen;
        inside += Double.isNaN(out[k]) ? 0 : 1;
      }
    }
    return inside / (double) out.length;
  }

  /** One step towards the least difference: a, b, c, d, x, y. */
  private double[] step(GrayImage frame, Fit f, int level, double[] residuals) {
    Warp w = f.warp;
    int r = radius(level);
    int step = 1 << level;
    float[] patch = values[level];
    // Edges that lie beside each other are nothing else: much of a plain patch would be.
    double same = covered ? 0 : PLAIN * contrast * f.gain;
    double most = Robust.HUBER * Math.max(Robust.spread(residuals), same);
    double[][] normal = new double[UNKNOWNS][UNKNOWNS + 1];
    double[] row = new double[UNKNOWNS];
    int k = 0;
    for (int v = -r; v <= r; v++) {
      for (int u = -r; u <= r; u++, k++) {
        double residual = residuals[k];
        double px = w.x(u * step, v * step);
        double py = w.y(u * step, v * step);
        double gx =
            (frame.at(level, px + step, py) - frame.at(level, px - step, py)) / (2.0 * step);
        double gy =
            (frame.at(level, px, py + step) - frame.at(level, px, py - step)) / (2.0 * step);
        if (Double.isNaN(residual + gx + gy)) {
          continue;
        }
        row[0] = gx * u * step;
        row[1] = gy * u * step;
        row[2] = gx * v * step;
        row[3] = gy * v * step;
        row[4] = gx;
        row[5] = gy;
        row[6] = -patch[k];
        row[7] = -1;
        double weight = Robust.weight(Math.abs(residual) / most);
        for (int i = 0; i < UNKNOWNS; i++) {
          for (int j = i; j < UNKNOWNS; j++) {
            normal[i][j] += weight * row[i] * row[j];
          }
          normal[i][UNKNOWNS] += weight * row[i] * residual;
        }
      }
    }
    for (int i = 0; i < UNKNOWNS; i++) {
      for (int j = 0; j < i; j++) {
        normal[i][j] = normal[j][i];
      }
    }
    double stiff = STIFF * patch.length * reach * reach;
    for (int i = 0; i < 4; i++) {
      normal[i][i] += stiff;
    }
    return LinearSystem.solve(normal);
  }

  /** See {@link Fit#sure}. */
  private double sure(GrayImage frame, Fit f, int level) {
    double[] residuals = new double[values[level].length];
    residuals(frame, f, level, residuals);
    double most =
        covered
            ? 2.5 * Math.max(Robust.spread(residuals), 0.15 * contrast * f.gain)
            : Double.POSITIVE_INFINITY;
    return Robust.sure(residuals, values[level], f.gain, f.offset, most, LEAST_PIXELS);
  }
}
