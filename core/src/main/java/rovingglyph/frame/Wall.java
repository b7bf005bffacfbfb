package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import rovingglyph.geometry.Point3;

/**
 * A surface between two lines that go side by side, in the units of the plane that it stands on: a
 * band, or the side of a drum. It is painted in strips over which the light changes smoothly.
 */
final class Wall {
  /** A strip turns by at most this, radians. */
  private static final double MOST_TURN = Math.toRadians(110);

  /** Where faces turn by more than this, radians, light falls on them as on two. */
  private static final double SHARP = Math.toRadians(18);

  /** So far, px, strips reach on below those that are painted after them. */
  private static final double UNDER = 4;

  /** And over this many faces at most. */
  private static final int MOST_BESIDE = 40;

  private final RingView view;
  private final List<Foot> feet;
  private final boolean closed;
  private final boolean lies;
  private final double lowUnder;
  private final double highUnder;

  /**
   * A place of it.
   *
   * @param low its lower edge
   * @param high its upper edge
   * @param before the way out of it, as it comes to there
   * @param after the same, as it goes on from there
   * @param outward the way away from the middle of what it goes round, along the plane
   */
  record Foot(Point3 low, Point3 high, Point3 before, Point3 after, Point3 outward) {}

  /**
   * @param closed whether the last of the places goes on to the first
   * @param lies whether it is rather flat than upright
   * @param lowUnder how far it goes on inwards at its lower edge, px, below what is painted there
   * @param highUnder the same at its upper edge
   */
  Wall(
      RingView view,
      List<Foot> feet,
      boolean closed,
      boolean lies,
      double lowUnder,
      double highUnder) {
    this.view = view;
    this.feet = feet;
    this.closed = closed;
    this.lies = lies;
    this.lowUnder = lowUnder;
    this.highUnder = highUnder;
  }

  /** Faces side by side. */
  private record Strip(int first, int count) {}

  /**
   * What of it is nearer than what it goes round, or what is farther; far ones first.
   *
   * @param shade the light on it
   */
  List<LetterBody.Face> faces(boolean near, Shade shade) {
    List<Strip> strips = strips(near);
    strips.sort((a, b) -> Double.compare(depth(b), depth(a)));
    List<LetterBody.Face> out = new ArrayList<>();
    for (Strip s : strips) {
      out.add(face(s, shade));
    }
    return out;
  }

  /** Tells the colour of a face with a way out of it, both as they are seen; 0xRRGGBB. */
  interface Shade {
    int of(Point3 normal, Point3 eye);
  }

  private int edges() {
    return closed ? feet.size() : feet.size() - 1;
  }

  private Foot foot(int i) {
    return feet.get(Math.floorMod(i, feet.size()));
  }

  private boolean isNear(int edge) {
    Foot a = foot(edge);
    Foot b = foot(edge + 1);
    // Where a path goes through its own middle, both ends of a face may have other sides.
    Point3 out = a.outward;
    Point3 way = a.after.plus(b.before);
    if (!lies) {
      return view.side(a.low, way) > 0 == way.dot(out) > 0;
    }
    // By the plane within which nothing of it is.
    return view.side(out.dot(a.low) < out.dot(a.high) ? a.low : a.high, out) > 0;
  }

  private boolean isFront(int edge) {
    Foot a = foot(edge);
    return view.side(a.low, a.after.plus(foot(edge + 1).before)) > 0;
  }

  private List<Strip> strips(boolean near) {
    List<Strip> out = new ArrayList<>();
    int n = edges();
    int begin = 0;
    while (closed && begin < n && !isBegin(begin, near)) {
      begin++;
    }
    begin = n == 0 ? 0 : begin % n;
    int from = -1;
    double turn = 0;
    for (int k = 0; k <= n; k++) {
      int i = begin + k;
      boolean is = k < n && isNear(i) == near;
      if (from >= 0 && (!is || turn > MOST_TURN || i > from && isBreak(i))) {
        out.add(new Strip(from, i - from));
        from = -1;
      }
      if (is) {
        turn = from < 0 ? 0 : turn;
        from = from < 0 ? i : from;
        turn += angle(foot(i).after, foot(i + 1).before);
      }
    }
    return out;
  }

  private boolean isBegin(int edge, boolean near) {
    return isNear(edge) == near && (isNear(edge - 1) != near || isBreak(edge));
  }

  /** Whether a face is not one with the one before it. */
  private boolean isBreak(int edge) {
    return isFront(edge) != isFront(edge - 1) || angle(foot(edge).before, foot(edge).after) > SHARP;
  }

  private static double angle(Point3 a, Point3 b) {
    return Math.acos(Math.min(Math.max(a.dot(b), -1), 1));
  }

  private double depth(Strip s) {
    Foot f = foot(s.first + s.count / 2);
    Point3 middle = f.low.plus(f.high).times(0.5);
    Point3 eye = view.toEye(Point3.ORIGIN);
    double far = view.distance(middle);
    return Double.isInfinite(far) ? -middle.dot(eye) : far;
  }

  private LetterBody.Face face(Strip s, Shade shade) {
    List<Point3> low = new ArrayList<>();
    List<Point3> high = new ArrayList<>();
    beyond(s.first, -1, isFront(s.first), low, high);
    Collections.reverse(low);
    Collections.reverse(high);
    for (int j = 0; j <= s.count; j++) {
      Foot f = foot(s.first + j);
      boolean ends = j == 0 || j == s.count;
      add(low, f.low, f, lowUnder, ends, j == 0);
      add(high, f.high, f, highUnder, ends, j == 0);
    }
    beyond(s.first + s.count, 1, isFront(s.first), low, high);
    List<Point3> around = new ArrayList<>(low);
    for (int i = high.size() - 1; i >= 0; i--) {
      around.add(high.get(i));
    }
    double[] a = new double[2 * s.count + 2];
    double[] b = new double[2 * s.count + 2];
    for (int j = 0; j <= s.count; j++) {
      put(a, j, foot(s.first + j).low);
      put(b, j, foot(s.first + j).high);
    }
    StripPaint.Colours colours = (j, share) -> colour(s.first + j, share, shade);
    FramePaint paint = StripPaint.of(a, b, 0, s.count, StripPaint.MANY, colours, 1);
    return new LetterBody.Face(paint, view.polygons(around));
  }

  /** Adds what is below the edge; at the ends of a strip its own corner too. */
  private static void add(
      List<Point3> out, Point3 corner, Foot foot, double under, boolean ends, boolean first) {
    Point3 below = corner.minus(foot.outward.times(under));
    if (ends && under > 0 && first) {
      out.add(corner);
    }
    out.add(below);
    if (ends && under > 0 && !first) {
      out.add(corner);
    }
  }

  private void put(double[] out, int corner, Point3 p) {
    out[2 * corner] = view.seen(p).x();
    out[2 * corner + 1] = view.seen(p).y();
  }

  /**
   * Adds a little of the faces beside it, below which no gap is seen then: as much as is seen to be
   * some px wide. Where it turns away its own corners are its outline.
   *
   * @param step 1 onwards, -1 backwards
   */
  private void beyond(int corner, int step, boolean front, List<Point3> low, List<Point3> high) {
    Foot from = foot(corner);
    double left = UNDER;
    for (int k = 0; k < MOST_BESIDE && left > 0; k++) {
      int edge = step > 0 ? corner + k : corner - 1 - k;
      boolean ends = !closed && (edge < 0 || edge >= edges());
      if (ends || isFront(edge) != front) {
        return;
      }
      Foot to = foot(corner + step * (k + 1));
      double far = Math.min(seen(from.low, to.low), seen(from.high, to.high));
      double share = far > left ? left / far : 1;
      low.add(between(from.low, to.low, share).minus(from.outward.times(lowUnder)));
      high.add(between(from.high, to.high, share).minus(from.outward.times(highUnder)));
      left = share < 1 ? 0 : left - far;
      from = to;
    }
  }

  private double seen(Point3 a, Point3 b) {
    return view.seen(a).distance(view.seen(b));
  }

  private static Point3 between(Point3 a, Point3 b, double share) {
    return a.plus(b.minus(a).times(share));
  }

  private int colour(int edge, double share, Shade shade) {
    Foot a = foot(edge);
    Foot b = foot(edge + 1);
    Point3 normal = a.after.times(1 - share).plus(b.before.times(share));
    Point3 middle = a.low.plus(a.high).times(0.5);
    double side = isFront(edge) ? 1 : -1;
    return shade.of(view.turned(normal).times(side), view.turned(view.toEye(middle)));
  }
}
