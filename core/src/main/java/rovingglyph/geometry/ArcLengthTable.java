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

  private record Leaf(int segment, double u0, double u1, double length) {}

  private final List<Segment> segments;
  private final int[] segment;
  private final double[] u0;
  private final double[] u1;
  private final double[] speed0;
  private final double[] speed1;
  private final double[] from;
  private final double[] lengths;
  private final double[] segmentFrom;
  private final int[] firstLeaf;
  private final double total;

  /**
   * @param before a table of a chain much like this one, or null: what is equal at its start and
   *     its end is not measured again
   */
  ArcLengthTable(List<Segment> segments, ArcLengthTable before) {
    this.segments = segments;
    int same = before == null ? 0 : sameAtStart(before.segments, segments);
    int sameLast = before == null ? 0 : sameAtEnd(before.segments, segments, same);
    List<Leaf> leaves = new ArrayList<>();
    for (int i = 0; i < segments.size(); i++) {
      if (i < same) {
        before.copy(i, i, leaves);
      } else if (i >= segments.size() - sameLast) {
        before.copy(i + before.segments.size() - segments.size(), i, leaves);
      } else {
        Segment s = segments.get(i);
        double whole = GaussLegendre.length(s, 0, 1);
        Rect box = s.bounds();
        divide(leaves, i, 0, 1, whole, TOLERANCE * (box.width() + box.height()), 0);
      }
    }
    int n = leaves.size();
    segment = new int[n];
    u0 = new double[n];
    u1 = new double[n];
    speed0 = new double[n];
    speed1 = new double[n];
    from = new double[n + 1];
    lengths = new double[n];
    segmentFrom = new double[segments.size() + 1];
    firstLeaf = new int[segments.size() + 1];
    for (int i = 0; i < n; i++) {
      Leaf leaf = leaves.get(i);
      segment[i] = leaf.segment;
      u0[i] = leaf.u0;
      u1[i] = leaf.u1;
      speed0[i] = segments.get(leaf.segment).speed(leaf.u0);
      speed1[i] = segments.get(leaf.segment).speed(leaf.u1);
      lengths[i] = leaf.length;
      from[i + 1] = from[i] + leaf.length;
      segmentFrom[leaf.segment + 1] = from[i + 1];
      firstLeaf[leaf.segment + 1] = i + 1;
    }
    total = from[n];
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

  /** Adds the leaves of one of these segments, as those of another index. */
  private void copy(int index, int as, List<Leaf> out) {
    for (int leaf = firstLeaf[index]; leaf < firstLeaf[index + 1]; leaf++) {
      out.add(new Leaf(as, u0[leaf], u1[leaf], lengths[leaf]));
    }
  }

  private void divide(
      List<Leaf> out, int i, double a, double b, double whole, double tolerance, int depth) {
    Segment s = segments.get(i);
    if (s instanceof Line || (s instanceof Arc arc && arc.rx() == arc.ry())) {
      out.add(new Leaf(i, a, b, whole));
      return;
    }
    double mid = (a + b) / 2;
    double left = GaussLegendre.length(s, a, mid);
    double right = GaussLegendre.length(s, mid, b);
    if (Math.abs(left + right - whole) <= tolerance || depth == DEEPEST) {
      out.add(new Leaf(i, a, mid, left));
      out.add(new Leaf(i, mid, b, right));
    } else {
      divide(out, i, a, mid, left, tolerance, depth + 1);
      divide(out, i, mid, b, right, tolerance, depth + 1);
    }
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
        && (segment[leaf] < segmentIndex || (segment[leaf] == segmentIndex && u1[leaf] < u))) {
      leaf++;
    }
    return from[leaf] + GaussLegendre.length(segments.get(segmentIndex), u0[leaf], u);
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
    double low = u0[leaf];
    double high = u1[leaf];
    if (length <= 0) {
      return low;
    }
    double even = low + (high - low) * (target / length);
    if (s instanceof Line || (s instanceof Arc arc && arc.rx() == arc.ry())) {
      return even;
    }
    double guess = hermite(leaf, target / length, length);
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
      u = next > low && next < high ? next : (low + high) / 2;
    }
    return u;
  }

  /** The parameter by the speeds at the leaf's ends; NaN or anything at cusps. */
  private double hermite(int leaf, double t, double length) {
    double v = 1 - t;
    return u0[leaf] * v * v * (1 + 2 * t)
        + u1[leaf] * t * t * (3 - 2 * t)
        + length * t * v * (v / speed0[leaf] - t / speed1[leaf]);
  }
}
