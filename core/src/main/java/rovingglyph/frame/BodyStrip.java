package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Rim;

/**
 * Faces of one ring of a letter side by side, over which the light changes smoothly: what is
 * painted at once.
 */
final class BodyStrip {
  /** So far, px, it goes on where it turns away. */
  private static final double END = 4;

  /** What overlaps by less than this, px or radians, does not. */
  private static final double TOUCH = 1e-6;

  private final BodyLoop loop;
  private final int ring;
  private final int first;
  private final int edges;
  private final Rect box;

  /** Whether what is beside it before its first edge, and after its last, is painted later. */
  private boolean laterBefore;

  private boolean laterAfter;

  /** Where its corners lie for the looks that go over the letter, see {@link BodyShade}. */
  private double[] across;

  private double[] along;

  /**
   * @param first edge
   * @param edges how many there are
   */
  BodyStrip(BodyLoop loop, int ring, int first, int edges) {
    this.loop = loop;
    this.ring = ring;
    this.first = first;
    this.edges = edges;
    double left = Double.POSITIVE_INFINITY;
    double top = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double bottom = Double.NEGATIVE_INFINITY;
    for (int j = 0; j <= edges; j++) {
      int i = 2 * corner(j);
      left = Math.min(left, Math.min(a()[i], b()[i]));
      top = Math.min(top, Math.min(a()[i + 1], b()[i + 1]));
      right = Math.max(right, Math.max(a()[i], b()[i]));
      bottom = Math.max(bottom, Math.max(a()[i + 1], b()[i + 1]));
    }
    this.box = new Rect(left, top, right, bottom);
  }

  BodyLoop loop() {
    return loop;
  }

  int ring() {
    return ring;
  }

  int edges() {
    return edges;
  }

  /** The corner of its loop that is the j-th one of it. */
  int corner(int j) {
    return Math.floorMod(first + j, loop.rim().count());
  }

  private double[] a() {
    return loop.seen(ring);
  }

  private double[] b() {
    return loop.seen(ring + 1);
  }

  /** Strips of one ring, those first that others may cover. */
  static List<BodyStrip> ordered(List<BodyStrip> all, BodyShade shade) {
    int n = all.size();
    boolean[][] first = new boolean[n][n];
    for (int i = 0; i < n; i++) {
      for (int j = i + 1; j < n; j++) {
        if (all.get(i).box.meets(all.get(j).box)) {
          double later = all.get(i).later(all.get(j), shade);
          first[i][j] = later < 0;
          first[j][i] = later > 0;
        }
      }
    }
    List<BodyStrip> out = new ArrayList<>();
    boolean[] done = new boolean[n];
    for (int k = 0; k < n; k++) {
      int next = -1;
      for (int i = 0; i < n && next < 0; i++) {
        boolean free = !done[i];
        for (int j = 0; j < n && free; j++) {
          free = done[j] || !first[j][i];
        }
        next = free ? i : -1;
      }
      for (int i = 0; i < n && next < 0; i++) {
        next = done[i] ? -1 : i;
      }
      done[next] = true;
      out.add(all.get(next));
    }
    for (int i = 0; i < n; i++) {
      for (int j = i + 1; j < n; j++) {
        out.get(i).beside(out.get(j));
      }
    }
    return out;
  }

  /** Takes note of one that is painted later. */
  private void beside(BodyStrip later) {
    if (later.loop == loop) {
      laterBefore |= later.corner(later.edges) == corner(0);
      laterAfter |= later.corner(0) == corner(edges);
    }
  }

  /**
   * Which of two the looks over the letter meet later, which is painted first: less than 0 this
   * one, more than 0 the other; 0 where none goes over both.
   */
  private double later(BodyStrip o, BodyShade shade) {
    place(shade);
    o.place(shade);
    double lap = shade.isRound() ? 2 * Math.PI : 0;
    for (int k = -1; k <= 1; k++) {
      double by = k * lap;
      double from = Math.max(least(across), least(o.across) + by);
      double to = Math.min(most(across), most(o.across) + by);
      if (to - from > TOUCH) {
        double middle = (from + to) / 2;
        return o.along(middle - by) - along(middle);
      }
      if (lap == 0) {
        return 0;
      }
    }
    return 0;
  }

  private void place(BodyShade shade) {
    if (across != null) {
      return;
    }
    across = new double[edges + 1];
    along = new double[edges + 1];
    double[] em = loop.em(ring);
    for (int j = 0; j <= edges; j++) {
      int i = 2 * corner(j);
      across[j] = shade.across(em[i], em[i + 1]);
      along[j] = shade.along(em[i], em[i + 1]);
      if (j > 0 && shade.isRound()) {
        double step = Math.IEEEremainder(across[j] - across[j - 1], 2 * Math.PI);
        across[j] = across[j - 1] + step;
      }
    }
  }

  private double along(double at) {
    for (int j = 0; j < edges; j++) {
      double from = across[j];
      double to = across[j + 1];
      if (at >= Math.min(from, to) && at <= Math.max(from, to)) {
        double share = to == from ? 0 : (at - from) / (to - from);
        return along[j] + (along[j + 1] - along[j]) * share;
      }
    }
    return along[edges];
  }

  private static double least(double[] n) {
    double out = Double.POSITIVE_INFINITY;
    for (double d : n) {
      out = Math.min(out, d);
    }
    return out;
  }

  private static double most(double[] n) {
    double out = Double.NEGATIVE_INFINITY;
    for (double d : n) {
      out = Math.max(out, d);
    }
    return out;
  }

  /**
   * Where it is seen, with what is below that which is painted over it; x and y by turns.
   *
   * @param fromBack whether the level behind it is covered, not the one before it
   * @param covered whether one is
   * @param outermost whether that is covered by the front or the back of the letter
   */
  double[] polygon(boolean fromBack, boolean covered, boolean outermost) {
    int over = fromBack ? ring + 1 : ring;
    int by = fromBack ? 1 : -1;
    Sheet sheet = new Sheet(loop.seen(over), fromBack ? a() : b());
    if (laterBefore) {
      beyond(sheet, over, corner(0), corner(-1), by, covered);
    }
    for (int j = 0; j <= edges; j++) {
      int c = corner(j);
      boolean left = covered && isUnder(ring + by, c - 1, outermost);
      boolean right = covered && isUnder(ring + by, c, outermost);
      Point under = Sheet.at(sheet.under, c);
      Point below = left || right ? loop.below(over, c, by) : null;
      // At the edge of the whole letter its corner stays, and what is below begins beside it.
      if (left && !right && j > 0) {
        sheet.add(below, under);
      }
      sheet.add(left && right ? below : Sheet.at(sheet.over, c), under);
      if (right && !left && j < edges) {
        sheet.add(below, under);
      }
    }
    if (laterAfter) {
      beyond(sheet, over, corner(edges), corner(edges + 1), by, covered);
    }
    return closed(sheet.upper, sheet.lower, fromBack);
  }

  /** Adds what is below the strip beside it, and below what covers that. */
  private void beyond(Sheet sheet, int over, int corner, int other, int by, boolean covered) {
    Point p = Sheet.at(sheet.over, corner);
    Point q = Sheet.at(sheet.under, corner);
    Point p2 = Sheet.at(sheet.over, other);
    Point q2 = Sheet.at(sheet.under, other);
    double far = Math.max(p.distance(p2), q.distance(q2));
    double share = far > BodyLoop.UNDER ? BodyLoop.UNDER / far : 1;
    Point in = covered ? loop.below(over, corner, by).minus(p) : Point.ORIGIN;
    sheet.add(p.lerp(p2, share).plus(in), q.lerp(q2, share));
  }

  /**
   * A little of the faces that go on from it and are turned away, as they would be seen from
   * within: where a side turns away its last edge may run along the front, and nothing else is
   * below that.
   */
  List<double[]> ends(boolean fromBack) {
    List<double[]> out = new ArrayList<>();
    if (!loop.isSeen(ring, corner(-1))) {
      out.add(end(corner(0), corner(-1), true, fromBack));
    }
    if (!loop.isSeen(ring, corner(edges))) {
      out.add(end(corner(edges), corner(edges + 1), false, fromBack));
    }
    return out;
  }

  private double[] end(int corner, int other, boolean begins, boolean fromBack) {
    Sheet sheet = new Sheet(fromBack ? b() : a(), fromBack ? a() : b());
    Point p = Sheet.at(sheet.over, corner);
    Point p2 = Sheet.at(sheet.over, other);
    Point q = Sheet.at(sheet.under, corner);
    double far = p.distance(p2);
    double share = far > END ? END / far : 1;
    Point p3 = p.lerp(p2, share);
    Point q3 = q.lerp(Sheet.at(sheet.under, other), share);
    // Seen from within it goes round the other way.
    sheet.add(begins ? p : p3, begins ? q : q3);
    sheet.add(begins ? p3 : p, begins ? q3 : q);
    return closed(sheet.upper, sheet.lower, fromBack);
  }

  private boolean isUnder(int next, int edge, boolean outermost) {
    return loop.isSeen(ring, edge) && (outermost || loop.isSeen(next, edge));
  }

  /**
   * What is painted of a strip.
   *
   * @param over where the corners are of the level that is covered
   * @param under where those of the other are
   */
  private record Sheet(double[] over, double[] under, List<Point> upper, List<Point> lower) {
    Sheet(double[] over, double[] under) {
      this(over, under, new ArrayList<>(), new ArrayList<>());
    }

    private static Point at(double[] level, int corner) {
      return new Point(level[2 * corner], level[2 * corner + 1]);
    }

    void add(Point p, Point q) {
      upper.add(p);
      lower.add(q);
    }
  }

  /** One area, which goes round as the front or the back of the letter does on the picture. */
  private static double[] closed(List<Point> upper, List<Point> lower, boolean fromBack) {
    int n = upper.size();
    double[] out = new double[4 * n];
    for (int i = 0; i < n; i++) {
      Point p = fromBack ? upper.get(n - 1 - i) : lower.get(i);
      Point q = fromBack ? lower.get(i) : upper.get(n - 1 - i);
      out[2 * i] = p.x();
      out[2 * i + 1] = p.y();
      out[2 * (n + i)] = q.x();
      out[2 * (n + i) + 1] = q.y();
    }
    return out;
  }

  /** Its colour in the light, or its colours from one end to the other. */
  FramePaint paint(BodyShade shade, double alpha) {
    Rim rim = loop.rim();
    int last = corner(edges - 1);
    int begin = shade.side(ring, rim.beginX(corner(0)), rim.beginY(corner(0)));
    boolean straight =
        rim.beginX(corner(0)) == rim.endX(last) && rim.beginY(corner(0)) == rim.endY(last);
    if (straight) {
      return FramePaint.plain(begin, alpha);
    }
    return StripPaint.of(
        a(),
        b(),
        corner(0),
        edges,
        StripPaint.FEW,
        (j, share) -> {
          int e = corner(j);
          return shade.side(
              ring,
              rim.beginX(e) + (rim.endX(e) - rim.beginX(e)) * share,
              rim.beginY(e) + (rim.endY(e) - rim.beginY(e)) * share);
        },
        alpha);
  }
}
