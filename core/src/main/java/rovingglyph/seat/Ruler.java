package rovingglyph.seat;

/**
 * Measures a track at a height over its baseline: what is a px long there is {@code 1 / (1 + k h)}
 * px long on the baseline, k being the curvature, positive where the height is on the outer side;
 * {@code 1 + k h} is kept at {@link #LEAST} or more. At height 0 it measures the track itself.
 * Corners, where there is no curvature, add nothing. Straight pieces and arcs of circles are
 * measured exactly, others by steps of {@link Track#STEP} px, each with the curvature of its
 * middle.
 */
final class Ruler {
  private static final double LEAST = 0.2;

  private final Track track;
  private final double height;
  private final double[] at;
  private final double[] from;

  Ruler(Track track) {
    this.track = track;
    this.height = 0;
    this.at = null;
    this.from = null;
  }

  Ruler(Track track, Track.Bends bends, double height) {
    this.track = track;
    this.height = height;
    this.at = bends.at();
    this.from = new double[at.length];
    for (int i = 0; i + 1 < at.length; i++) {
      double factor = Math.max(LEAST, 1 + bends.curvature()[i] * height);
      from[i + 1] = from[i] + (at[i + 1] - at[i]) * factor;
    }
  }

  double height() {
    return height;
  }

  double length() {
    return from == null ? track.length() : from[from.length - 1];
  }

  /** Length of the whole track on the ruler, for each px of its own. */
  double stretch() {
    return from == null || track.length() <= 0 ? 1 : length() / track.length();
  }

  /** The measure of a distance along the track; past an end of it a px is a px. */
  double measure(double d) {
    double whole = track.length();
    if (from == null || whole <= 0) {
      return d;
    }
    if (track.round()) {
      double laps = Math.floor(d / whole);
      return laps * length() + between(at, from, d - laps * whole);
    }
    return d < 0 ? d : d > whole ? length() + d - whole : between(at, from, d);
  }

  /** The distance along the track of a measure. */
  double distance(double m) {
    double whole = track.length();
    if (from == null || whole <= 0) {
      return m;
    }
    if (track.round()) {
      double laps = Math.floor(m / length());
      return laps * whole + between(from, at, m - laps * length());
    }
    return m < 0 ? m : m > length() ? whole + m - length() : between(from, at, m);
  }

  /** What of one rising list stands where a value stands in another. */
  private static double between(double[] of, double[] to, double value) {
    int low = 0;
    int high = of.length - 2;
    while (low < high) {
      int mid = (low + high + 1) >>> 1;
      if (of[mid] <= value) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    double share = (value - of[low]) / (of[low + 1] - of[low]);
    return to[low] + (to[low + 1] - to[low]) * Math.min(Math.max(share, 0), 1);
  }
}
