package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Arc length of a chain of segments and its inverse. Segments are halved until one quadrature and
 * the sum of its halves agree to 1e-10 of the length (or 40 times, at cusps), which keeps the total
 * error below 1e-9 of the length. A look-up is a binary search and a few Newton steps.
 */
final class ArcLengthTable {
  private static final int DEEPEST = 40;
  private static final double TOLERANCE = 1e-10;

  /** A piece of a segment that one quadrature measures, with the speeds at its ends. */
  private record Leaf(double u0, double u1, double length, double speed0, double speed1) {
    /** Whether its speeds are of one order, so that Newton's steps square their errors. */
    boolean even() {
      return speed0 < 4 * speed1 && speed1 < 4 * speed0;
    }
  }

  private final List<Segment> segments;
  private final Leaf[][] leavesOf;
  private final Leaf[] leaves;
  private final int[] segment;
  private final double[] from;
  private final double[] segmentFrom;
  private final double total;

  /**
   * @param before a table of a chain much like this one, or null: what is equal at its start and
   *     its end is not measured again
   */
  ArcLengthTable(List<Segment> segments, ArcLengthTable before) {
    this.segments = segments;
    int count = segments.size();
    int same = before == null ? 0 : sameAtStart(before.segments, segments);
    int sameLast = before == null ? 0 : sameAtEnd(before.segments, segments, same);
    leavesOf = new Leaf[count][];
    int n = 0;
    for (int i = 0; i < count; i++) {
      if (i < same) {
        leavesOf[i] = before.leavesOf[i];
      } else if (i >= count - sameLast) {
        leavesOf[i] = before.leavesOf[i + before.segments.size() - count];
      } else {
        leavesOf[i] = measured(segments.get(i));
      }
      n += leavesOf[i].length;
    }
    leaves = new Leaf[n];
    segment = new int[n];
    from = new double[n + 1];
    segmentFrom = new double[count + 1];
    n = 0;
    for (int i = 0; i < count; i++) {
      for (Leaf leaf : leavesOf[i]) {
        leaves[n] = leaf;
        segment[n] = i;
        from[n + 1] = from[n] + leaf.length;
        n++;
      }
      segmentFrom[i + 1] = from[n];
    }
    total = from[n];
  }

  private static Leaf[] measured(Segment s) {
    List<Leaf> out = new ArrayList<>();
    double whole = GaussLegendre.length(s, 0, 1);
    Rect box = s.bounds();
    divide(out, s, 0, 1, whole, TOLERANCE * (box.width() + box.height()), 0);
    return out.toArray(new Leaf[0]);
  }

  private static int sameAtStart(List<Segment> a, List<Segment> b) {
    int most = Math.min(a.size(), b.size());
    int n = 0;
    while (n < most && same(a.get(n), b.get(n))) {
      n++;
    }
    return n;
  }

  private static int sameAtEnd(List<Segment> a, List<Segment> b, int taken) {
    int most = Math.min(a.size(), b.size()) - taken;
    int n = 0;
    while (n < most && same(a.get(a.size() - 1 - n), b.get(b.size() - 1 - n))) {
      n++;
    }
    return n;
  }

  private static boolean same(Segment a, Segment b) {
    return a == b || a.equals(b);
  }

  private static void divide(
      List<Leaf> out, Segment s, double a, double b, double whole, double tolerance, int depth) {
    if (s instanceof Line || (s instanceof Arc arc && arc.rx() == arc.ry())) {
      out.add(leaf(s, a, b, whole));
      return;
    }
    double mid = (a + b) / 2;
    double left = GaussLegendre.length(s, a, mid);
    double right = GaussLegendre.length(s, mid, b);
    if (Math.abs(left + right - whole) <= tolerance || depth == DEEPEST) {
      out.add(leaf(s, a, mid, left));
      out.add(leaf(s, mid, b, right));
    } else {
      divide(out, s, a, mid, left, tolerance, depth + 1);
      divide(out, s, mid, b, right, tolerance, depth + 1);
    }
  }

  private static Leaf leaf(Segment s, double u0, double u1, double length) {
    return new Leaf(u0, u1, length, s.speed(u0), s.speed(u1));
  }

  double total() {
    return total;
  }

  /** Distance at which a segment begins; the number of segments gives the total. */
  double startOf(int segmentIndex) {
    return segmentFrom[segmentIndex];
  }

  /** Distance of the parameter u of a segment. */
  double distanceAt(int segmentIndex, double u) {
    int leaf = 0;
    while (leaf < segment.length - 1
        && (segment[leaf] < segmentIndex
            || (segment[leaf] == segmentIndex && leaves[leaf].u1 < u))) {
      leaf++;
    }
    return from[leaf] + GaussLegendre.length(segments.get(segmentIndex), leaves[leaf].u0, u);
  }

  /** The leaf whose range holds the distance; distances outside give the first or last. */
  int leafAt(double distance) {
    int low = 0;
    int high = segment.length - 1;
    while (low < high) {
      int mid = (low + high + 1) >>> 1;
      if (from[mid] <= distance) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    return low;
  }

  int segmentOf(int leaf) {
    return segment[leaf];
  }

  /** The parameter in the leaf's segment at the distance, clamped to the leaf. */
  double parameterAt(int leaf, double distance) {
    Segment s = segments.get(segment[leaf]);
    double length = from[leaf + 1] - from[leaf];
    double target = Math.min(Math.max(distance - from[leaf], 0), length);
    double low = leaves[leaf].u0;
    double high = leaves[leaf].u1;
    if (length <= 0) {
      return low;
    }
    double even = low + (high - low) * (target / length);
    if (s instanceof Line || (s instanceof Arc arc && arc.rx() == arc.ry())) {
      return even;
    }
    double guess = hermite(leaves[leaf], target / length);
    double u = guess > low && guess < high ? guess : even;
    double start = low;
    for (int step = 0; step < 20; step++) {
      double error = GaussLegendre.length(s, start, u) - target;
      if (Math.abs(error) <= 1e-11 * total) {
        break;
      }
      if (error > 0) {
        high = u;
      } else {
        low = u;
      }
      double next = u - error / s.speed(u);
      // Newton can leave the bracket next to a cusp, where the speed goes to zero.
      boolean inside = next > low && next < high;
      u = inside ? next : (low + high) / 2;
      if (inside && leaves[leaf].even() && Math.abs(error) < 1e-5 * length) {
        // The next error is about the square of this one: below 1e-9 of the piece, unmeasured.
        break;
      }
    }
    return u;
  }

  /** The parameter by the speeds at the leaf's ends; NaN or anything at cusps. */
  private static double hermite(Leaf leaf, double t) {
    double v = 1 - t;
    return leaf.u0 * v * v * (1 + 2 * t)
        + leaf.u1 * t * t * (3 - 2 * t)
        + leaf.length * t * v * (v / leaf.speed0 - t / leaf.speed1);
  }
}
