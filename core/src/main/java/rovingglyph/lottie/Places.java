package rovingglyph.lottie;

import rovingglyph.geometry.Decimal;

/**
 * Places through the samples of a strand: from keyframe to keyframe straight at an even pace, or
 * round a bend at any, whichever goes farther within the tolerance.
 */
final class Places {
  /** A bend turns by less than this, in radians: what turns more is told in several. */
  private static final double MOST_TURN = 1.2;

  /** Samples this many times as far apart as places may be off tell a direction. */
  private static final double APART = 12;

  /** How much of the tolerance is for the way; the rest is for when it is where. */
  private static final double OF_WAY = 0.5;

  /** Steps in which the length of a bend is measured. */
  private static final int STEPS = 128;

  private final double[][] values;
  private final double near;
  private final Property straight;

  /**
   * @param near how far a place may be off
   */
  Places(double perFrame, int from, double[][] values, double near) {
    this.values = values;
    this.near = near;
    this.straight = new Property(perFrame, from, values, near, near);
  }

  String json() {
    return straight.json(this::bent);
  }

  /** A way between two samples, and how it is gone. */
  private record Way(double[] handles, Pace pace) {}

  /** The way that goes farther than a straight line to a sample; null if there is none. */
  private Property.Bend bent(int at, int straightTo) {
    int reached = Property.farthest(straightTo, to -> way(at, to) != null);
    if (reached == straightTo) {
      return null;
    }
    Way way = way(at, reached);
    double[] n = way.handles;
    String ways = ",\"to\":[" + text(n[0]) + "," + text(n[1]) + "]";
    ways += ",\"ti\":[" + text(n[2]) + "," + text(n[3]) + "]";
    return new Property.Bend(reached, ways, way.pace);
  }

  private String text(double n) {
    return Decimal.text(n, Property.places(near));
  }

  /**
   * A way between two samples; null if one between would be too far off. Its handles are those of
   * an arc that leaves the one and meets the other as the samples do: 4/3 tan(angle / 4) of its
   * radius.
   */
  private Way way(int from, int to) {
    if (to - from < 2 || to >= values.length || straight.jumpsWithin(from, to)) {
      return null;
    }
    double[] away = slope(from, to, 1);
    double[] in = slope(to, from, -1);
    if (away == null || in == null) {
      return null;
    }
    double across = away[0] * in[1] - away[1] * in[0];
    double turn = Math.abs(Math.atan2(across, away[0] * in[0] + away[1] * in[1]));
    if (turn > MOST_TURN) {
      return null;
    }
    double dx = values[to][0] - values[from][0];
    double dy = values[to][1] - values[from][1];
    double share = turn < 1e-6 ? 1.0 / 3 : 2 * Math.tan(turn / 4) / Math.sin(turn / 2) / 3;
    double reach = Math.hypot(dx, dy) * share;
    double[] handles = {reach * away[0], reach * away[1], -reach * in[0], -reach * in[1]};
    Pace pace = pace(from, to, handles);
    return pace == null ? null : new Way(handles, pace);
  }

  /**
   * Which way it goes at a sample on the way to another, by the two nearest ones that are not too
   * near for it: a unit vector; null where it hardly goes.
   */
  private double[] slope(int at, int end, int side) {
    double[] p = values[at];
    int q = at + side;
    while (q != end && distance(values[q], p) < APART * near) {
      q += side;
    }
    int r = q + side;
    double a = distance(values[q], p);
    if (a < near) {
      return null;
    }
    double x = (values[q][0] - p[0]) / a;
    double y = (values[q][1] - p[1]) / a;
    if (q != end && r >= 0 && r < values.length) {
      while (r != end && distance(values[r], values[q]) < APART * near) {
        r += side;
      }
      double b = distance(values[r], values[q]);
      if (b > near / 2) {
        // As the parabola through the three, by the length of its chords.
        double whole = a + b;
        x = x * whole / b - (values[r][0] - p[0]) / whole * a / b;
        y = y * whole / b - (values[r][1] - p[1]) / whole * a / b;
      }
    }
    double length = Math.hypot(x, y);
    return length < 1e-9 ? null : new double[] {side * x / length, side * y / length};
  }

  private static double distance(double[] a, double[] b) {
    return Math.hypot(a[0] - b[0], a[1] - b[1]);
  }

  /** How a way is gone so that all samples lie on it; null if they do not. */
  private Pace pace(int from, int to, double[] h) {
    double[] a = values[from];
    double[] d = values[to];
    double[][] points = new double[STEPS + 1][];
    double[] lengths = new double[STEPS + 1];
    for (int i = 0; i <= STEPS; i++) {
      double t = (double) i / STEPS;
      double u = 1 - t;
      points[i] =
          new double[] {
            at(u, t, a[0], a[0] + h[0], d[0] + h[2], d[0]),
            at(u, t, a[1], a[1] + h[1], d[1] + h[3], d[1])
          };
      lengths[i] = i == 0 ? 0 : lengths[i - 1] + distance(points[i], points[i - 1]);
    }
    double all = lengths[STEPS];
    double[] shares = new double[to - from + 1];
    shares[to - from] = 1;
    int i = 1;
    for (int k = from + 1; k < to; k++) {
      double[] p = values[k];
      while (i < STEPS && distance(points[i], p) > distance(points[i + 1], p)) {
        i++;
      }
      while (i > 1 && distance(points[i - 1], p) < distance(points[i], p)) {
        i--;
      }
      double[] met = foot(points, lengths, i, p);
      if (met[1] > OF_WAY * near) {
        return null;
      }
      shares[k - from] = met[0] / all;
    }
    return Pace.of(shares, (1 - OF_WAY) * near / all);
  }

  /**
   * Where on the lines before and after one of the points a place lies: how far along, how far off.
   */
  private static double[] foot(double[][] points, double[] lengths, int at, double[] p) {
    double[] best = {0, Double.POSITIVE_INFINITY};
    for (int i = Math.max(1, at); i <= Math.min(STEPS, at + 1); i++) {
      double[] a = points[i - 1];
      double[] b = points[i];
      double length = lengths[i] - lengths[i - 1];
      double along =
          length == 0
              ? 0
              : ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / length / length;
      double share = Math.max(0, Math.min(1, along));
      double off =
          Math.hypot(a[0] + share * (b[0] - a[0]) - p[0], a[1] + share * (b[1] - a[1]) - p[1]);
      if (off < best[1]) {
        best = new double[] {lengths[i - 1] + share * length, off};
      }
    }
    return best;
  }

  private static double at(double u, double t, double a, double b, double c, double d) {
    return u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
  }
}
