package rovingglyph.seat;

/**
 * Measures a track at a height over its baseline: what is a px long there is {@code 1 / (1 + k h)}
 * px long on the baseline, k being the curvature, positive where the height is on the outer side;
 * {@code 1 + k h} is kept at {@link #LEAST} or more. At height 0 it measures the track itself.
 * Corners, where there is no curvature, add nothing.
 */
final class Ruler {
  private static final double LEAST = 0.2;

  private final Track track;
  private final double height;
  private final double[] from;

  Ruler(Track track) {
    this.track = track;
    this.height = 0;
    this.from = null;
  }

  Ruler(Track track, double[] bends, double height) {
    this.track = track;
    this.height = height;
    this.from = new double[bends.length + 1];
    double step = track.length() / bends.length;
    for (int i = 0; i < bends.length; i++) {
      from[i + 1] = from[i] + step * Math.max(LEAST, 1 + bends[i] * height);
    }
  }

  double height() {
    return height;
  }

  double length() {
    return from == null ? track.length() : from[from.length - 1];
  }

  /** The measure of a distance along the track. */
  double measure(double d) {
    double whole = track.length();
    if (from == null || whole <= 0) {
      return d;
    }
    if (track.round()) {
      double laps = Math.floor(d / whole);
      return laps * length() + within(d - laps * whole);
    }
    return d < 0 ? d : d > whole ? length() + d - whole : within(d);
  }

  private double within(double d) {
    int n = from.length - 1;
    double at = Math.min(Math.max(d / track.length() * n, 0), n);
    int i = Math.min((int) at, n - 1);
    return from[i] + (from[i + 1] - from[i]) * (at - i);
  }

  /** The distance along the track of a measure. */
  double distance(double m) {
    double whole = track.length();
    if (from == null || whole <= 0) {
      return m;
    }
    if (track.round()) {
      double laps = Math.floor(m / length());
      return laps * whole + inverse(m - laps * length());
    }
    return m < 0 ? m : m > length() ? whole + m - length() : inverse(m);
  }

  private double inverse(double m) {
    int n = from.length - 1;
    int low = 0;
    int high = n - 1;
    while (low < high) {
      int mid = (low + high + 1) >>> 1;
      if (from[mid] <= m) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    double share = (m - from[low]) / (from[low + 1] - from[low]);
    return track.length() * (low + Math.min(Math.max(share, 0), 1)) / n;
  }
}
