package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/**
 * The nearest place against brute force: thousands of places, and each of their valleys refined.
 */
class NearestPropertiesTest {
  /** The least distance of a segment by looking everywhere. */
  private static double bruteForce(Segment s, Point p) {
    int n = 4000;
    double[] d = new double[n + 1];
    double best = Double.POSITIVE_INFINITY;
    for (int i = 0; i <= n; i++) {
      d[i] = s.point((double) i / n).distance(p);
      best = Math.min(best, d[i]);
    }
    double least = best;
    for (int i = 0; i <= n; i++) {
      boolean valley = (i == 0 || d[i] <= d[i - 1]) && (i == n || d[i] <= d[i + 1]);
      if (valley) {
        least = Math.min(least, refined(s, p, Math.max(0, i - 1.0) / n, Math.min(n, i + 1.0) / n));
      }
    }
    return least;
  }

  private static double refined(Segment s, Point p, double from, double to) {
    double low = from;
    double high = to;
    for (int i = 0; i < 100; i++) {
      double a = low + (high - low) / 3;
      double b = high - (high - low) / 3;
      if (s.point(a).distance(p) <= s.point(b).distance(p)) {
        high = b;
      } else {
        low = a;
      }
    }
    return s.point((low + high) / 2).distance(p);
  }

  /**
   * Random cubics, with loops, cusps and handles far away, from a tenth of a px to the farthest.
   */
  private static Cubic cubic(Random r) {
    double scale = Math.pow(10, r.nextInt(7) - 1);
    Point[] q = new Point[4];
    for (int i = 0; i < 4; i++) {
      q[i] = new Point((r.nextDouble() - 0.5) * scale, (r.nextDouble() - 0.5) * scale);
    }
    if (r.nextInt(8) == 0) {
      q[r.nextInt(4)] = q[r.nextInt(4)];
    }
    return new Cubic(q[0], q[1], q[2], q[3]);
  }

  private static void check(Segment s, Point p) {
    Contour.Nearest n = new Contour(List.of(s), false).nearest(p);
    double found = n.point().distance(p);
    assertThat(found - bruteForce(s, p)).as(s + " and " + p).isLessThan(1e-6);
  }

  @Property(tries = 4000, seed = "18")
  void noPlaceOfACubicIsNearer(@ForAll long seed) {
    Random r = new Random(seed);
    Cubic c = cubic(r);
    double reach = c.bounds().width() + c.bounds().height() + 1e-3;
    Point near = c.point(r.nextDouble());
    check(c, near.plus(new Point((r.nextDouble() - 0.5) * reach, (r.nextDouble() - 0.5) * reach)));
  }

  @Property(tries = 1500, seed = "19")
  void norOfAnArcOfAnEllipse(@ForAll long seed) {
    Random r = new Random(seed);
    double size = Math.pow(10, r.nextInt(5));
    double ry = r.nextInt(3) == 0 ? size : size * r.nextDouble();
    Arc a =
        new Arc(
            new Point(r.nextDouble() * size, r.nextDouble() * size),
            size,
            ry,
            6 * r.nextDouble(),
            6 * r.nextDouble() - 3,
            (r.nextDouble() - 0.5) * 4 * Math.PI * 0.999);
    check(
        a,
        a.centre()
            .plus(new Point((r.nextDouble() - 0.5) * 3 * size, (r.nextDouble() - 0.5) * 3 * size)));
  }

  @Test
  void ofEquallyNearPlacesTheFirstIsGiven() {
    Contour circle = new Contour(List.of(new Arc(Point.ORIGIN, 50, 50, 0, 0, 2 * Math.PI)), true);
    assertThat(circle.nearest(new Point(-70, 0)).distance())
        .isCloseTo(50 * Math.PI, org.assertj.core.data.Offset.offset(1e-6));
    assertThat(circle.nearest(Point.ORIGIN).distance()).isZero();
  }
}
