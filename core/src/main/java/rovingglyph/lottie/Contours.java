package rovingglyph.lottie;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.frame.FrameReader;
import rovingglyph.frame.PathStep;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;

/** The contours of an outline: corners, each with what leads to it and away from it. */
final class Contours {
  /** Numbers of a corner: itself, and the handles before and after it from there. */
  static final int CORNER = 6;

  /** Where a contour ends and begins again, it does so in one corner. */
  private static final double SAME = 1e-9;

  /**
   * One of them.
   *
   * @param numbers six for each corner
   */
  record Contour(double[] numbers, boolean closed) {
    int corners() {
      return numbers.length / CORNER;
    }

    /** The same going back to its first corner without being closed. */
    Contour opened() {
      if (!closed) {
        return this;
      }
      double[] out = Arrays.copyOf(numbers, numbers.length + CORNER);
      System.arraycopy(numbers, 0, out, numbers.length, 4);
      out[2] = 0;
      out[3] = 0;
      return new Contour(out, false);
    }

    /** The same with more corners, all where the last one is. */
    Contour padded(int corners) {
      int has = corners();
      if (has == corners) {
        return this;
      }
      double[] out = new double[corners * CORNER];
      System.arraycopy(numbers, 0, out, 0, numbers.length);
      int last = (has - 1) * CORNER;
      for (int i = has; i < corners; i++) {
        out[i * CORNER] = numbers[last];
        out[i * CORNER + 1] = numbers[last + 1];
      }
      // The way back to the first corner begins at the last of them.
      System.arraycopy(numbers, last + 4, out, (corners - 1) * CORNER + 4, 2);
      out[last + 4] = 0;
      out[last + 5] = 0;
      return new Contour(out, closed);
    }

    /** Nothing but its first corner. */
    Contour corner() {
      return new Contour(new double[] {numbers[0], numbers[1], 0, 0, 0, 0}, closed);
    }

    /** In the words of Lottie. */
    String json(int places) {
      return json(numbers, closed, places);
    }

    static String json(double[] n, boolean closed, int places) {
      StringBuilder in = new StringBuilder();
      StringBuilder away = new StringBuilder();
      StringBuilder corners = new StringBuilder();
      for (int i = 0; i < n.length; i += CORNER) {
        point(corners, n, i, places);
        point(in, n, i + 2, places);
        point(away, n, i + 4, places);
      }
      return "{\"c\":"
          + closed
          + ",\"v\":["
          + corners
          + "],\"i\":["
          + in
          + "],\"o\":["
          + away
          + "]}";
    }

    private static void point(StringBuilder out, double[] n, int at, int places) {
      out.append(out.length() > 0 ? ",[" : "[").append(Decimal.text(n[at], places));
      out.append(',').append(Decimal.text(n[at + 1], places)).append(']');
    }
  }

  private final List<Contour> all = new ArrayList<>();
  private final List<double[]> corners = new ArrayList<>();
  private final Affine map;
  private Point at = new Point(0, 0);

  private Contours(Affine map) {
    this.map = map;
  }

  /** Those of steps as they lie in a display list, under a map. */
  static List<Contour> of(double[] steps, Affine map) {
    Contours out = new Contours(map);
    FrameReader.steps(steps, out::step);
    out.end(false);
    return out.all;
  }

  private Point point(double[] n, int at) {
    return map.apply(new Point(n[at], n[at + 1]));
  }

  private void step(PathStep step, double[] n, int from) {
    switch (step) {
      case MOVE -> {
        end(false);
        at = point(n, from);
        corners.add(corner(at));
      }
      case LINE -> {
        at = point(n, from);
        corners.add(corner(at));
      }
      case QUADRATIC -> {
        Point handle = point(n, from);
        Point to = point(n, from + 2);
        curve(toward(at, handle), toward(to, handle), to);
      }
      case CUBIC -> curve(point(n, from), point(n, from + 2), point(n, from + 4));
      case CLOSE -> end(true);
    }
  }

  private static double[] corner(Point p) {
    return new double[] {p.x(), p.y(), 0, 0, 0, 0};
  }

  /** Where the handle of a cubic is that is as a quadratic one. */
  private static Point toward(Point end, Point handle) {
    return new Point(
        end.x() + (handle.x() - end.x()) * 2 / 3, end.y() + (handle.y() - end.y()) * 2 / 3);
  }

  private void curve(Point away, Point in, Point to) {
    if (corners.isEmpty()) {
      corners.add(corner(at));
    }
    double[] last = corners.get(corners.size() - 1);
    last[4] = away.x() - at.x();
    last[5] = away.y() - at.y();
    double[] next = corner(to);
    next[2] = in.x() - to.x();
    next[3] = in.y() - to.y();
    corners.add(next);
    at = to;
  }

  private void end(boolean closed) {
    int n = corners.size();
    if (n == 0) {
      return;
    }
    double[] first = corners.get(0);
    double[] last = corners.get(n - 1);
    at = new Point(first[0], first[1]);
    if (closed && n > 1 && Math.hypot(first[0] - last[0], first[1] - last[1]) < SAME) {
      first[2] = last[2];
      first[3] = last[3];
      corners.remove(n - 1);
    }
    double[] numbers = new double[corners.size() * CORNER];
    for (int i = 0; i < corners.size(); i++) {
      System.arraycopy(corners.get(i), 0, numbers, i * CORNER, CORNER);
    }
    all.add(new Contour(numbers, closed));
    corners.clear();
  }
}
