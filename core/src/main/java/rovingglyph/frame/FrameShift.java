package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Rect;
import rovingglyph.type.Outline;

/** How far the things of one frame are from where they are in another, px. */
final class FrameShift {
  private FrameShift() {}

  /**
   * The most that any point moves; infinite where the two do not show the same things.
   *
   * @param outlines that the frames name by index
   */
  static double most(double[] a, double[] b, List<Outline> outlines) {
    if (a.length != b.length) {
      return Double.POSITIVE_INFINITY;
    }
    double most = 0;
    int i = 0;
    while (i < a.length) {
      int count = (int) a[i + 2];
      if (count != (int) b[i + 2]) {
        return Double.POSITIVE_INFINITY;
      }
      i += Frame.HEAD;
      if (count == Frame.STROKE) {
        int steps = i + 3 + (int) a[i + 2];
        int end = steps + 1 + (int) a[steps];
        most = Math.max(most, points(a, b, steps + 1, end));
        i = end;
      }
      for (int k = 0; k < count; k++) {
        if (a[i] != b[i]) {
          return Double.POSITIVE_INFINITY;
        }
        if (a[i] == Frame.INLINE) {
          int end = i + 2 + (int) a[i + 1];
          most = Math.max(most, points(a, b, i + 2, end));
          i = end;
        } else {
          double turned =
              Math.hypot(a[i + 1] - b[i + 1], a[i + 2] - b[i + 2])
                  + Math.hypot(a[i + 3] - b[i + 3], a[i + 4] - b[i + 4]);
          double moved = Math.hypot(a[i + 5] - b[i + 5], a[i + 6] - b[i + 6]);
          most = Math.max(most, moved + reach(outlines.get((int) a[i])) * turned);
          i += Frame.STRIDE;
        }
      }
    }
    return most;
  }

  private static double reach(Outline o) {
    Rect r = o.bounds();
    double across = Math.max(Math.abs(r.left()), Math.abs(r.right()));
    return r.isEmpty() ? 0 : Math.max(across, Math.max(Math.abs(r.top()), Math.abs(r.bottom())));
  }

  private static double points(double[] a, double[] b, int from, int to) {
    double most = 0;
    for (int i = from; i < to; i++) {
      most = Math.max(most, Math.abs(a[i] - b[i]));
    }
    return most * Math.sqrt(2);
  }
}
