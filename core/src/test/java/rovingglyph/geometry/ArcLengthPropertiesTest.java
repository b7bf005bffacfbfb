package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * Arc lengths of random paths against a slow reference: Richardson-extrapolated chords, summed in
 * order of size. Cusps, loops, zero-length handles, tiny and huge segments are among them.
 */
class ArcLengthPropertiesTest {
  private static final double[] SCALES = {1e-3, 1, 300, 1e5};

  static Contour random(long seed) {
    Random r = new Random(seed);
    List<Segment> out = new ArrayList<>();
    Point pen = point(r, 300);
    int n = 1 + r.nextInt(4);
    for (int i = 0; i < n; i++) {
      double scale = SCALES[r.nextInt(SCALES.length)];
      Point to = pen.plus(point(r, scale));
      Segment s =
          switch (r.nextInt(6)) {
            case 0 -> new Line(pen, to);
            case 1 -> new Quadratic(pen, pen.plus(point(r, scale)), to);
            // A cusp: handles that cross so that the derivative vanishes half way.
            case 2 -> new Cubic(pen, to, pen, to);
            // A handle of no length.
            case 3 -> new Cubic(pen, pen, pen.plus(point(r, scale)), to);
            case 4 ->
                new Arc(pen, scale, scale * r.nextDouble(), r.nextDouble(), 0, 5 * r.nextDouble());
            default ->
                new Cubic(pen, pen.plus(point(r, 3 * scale)), pen.plus(point(r, 3 * scale)), to);
          };
      out.add(s);
      pen = s.end();
    }
    return new Contour(out, false);
  }

  private static Point point(Random r, double scale) {
    return new Point((r.nextDouble() - 0.5) * scale, (r.nextDouble() - 0.5) * scale);
  }

  /**
   * Halves until the chord and the two half chords say that the rest is below 1e-9 of the whole.
   */
  private static double reference(Segment s, double a, double b, double tolerance, int depth) {
    int n = 64;
    double coarse = chords(s, a, b, n);
    double fine = chords(s, a, b, 2 * n);
    // Chords miss the length by a term in h squared: what is left after it is taken away is tiny.
    double better = fine + (fine - coarse) / 3;
    if (Math.abs(fine - coarse) < tolerance || depth == 0) {
      return better;
    }
    double mid = (a + b) / 2;
    return reference(s, a, mid, tolerance, depth - 1) + reference(s, mid, b, tolerance, depth - 1);
  }

  private static double chords(Segment s, double a, double b, int n) {
    double sum = 0;
    Point last = s.point(a);
    for (int i = 1; i <= n; i++) {
      Point p = s.point(a + (b - a) * i / n);
      sum += p.distance(last);
      last = p;
    }
    return sum;
  }

  @Property(tries = 1000, seed = "8440")
  void lengthsAreRightToAMillionth(@ForAll long seed) {
    Contour c = random(seed);
    double rough = 0;
    for (Segment s : c.segments()) {
      rough += chords(s, 0, 1, 64);
    }
    double expected = 0;
    for (Segment s : c.segments()) {
      expected += reference(s, 0, 1, rough * 1e-9, 24);
    }
    assertThat(Math.abs(c.length() - expected)).isLessThanOrEqualTo(1e-7 * expected + 1e-12);
  }

  @Property(tries = 1000, seed = "8441")
  void distancesComeBackFromThePlacesTheyLeadTo(@ForAll long seed) {
    Contour c = random(seed);
    for (int i = 0; i <= 10; i++) {
      double d = c.length() * i / 10;
      Contour.Station s = c.at(d);
      assertThat(s.point().x()).isFinite();
      assertThat(s.tangent().length()).isBetween(1 - 1e-9, 1 + 1e-9);
      assertThat(s.curvature()).isNotNaN();
      assertThat(c.between(0, d).length())
          .isCloseTo(d, org.assertj.core.data.Offset.offset(1e-6 * c.length() + 1e-9));
    }
  }

  @Property(tries = 300, seed = "8442")
  void aMappedContourIsTheMapOfEachPoint(@ForAll long seed) {
    Random r = new Random(seed);
    Affine map =
        new Affine(
            r.nextDouble() * 4 - 2,
            r.nextDouble() * 4 - 2,
            r.nextDouble() * 4 - 2,
            r.nextDouble() * 4 - 2,
            100 * r.nextDouble(),
            7);
    for (Segment s : random(seed).segments()) {
      Segment mapped = s.mapped(map);
      for (double u = 0; u <= 1; u += 0.125) {
        double size = 1 + mapped.bounds().width() + mapped.bounds().height();
        assertThat(mapped.point(u).distance(map.apply(s.point(u)))).isLessThan(1e-7 * size);
      }
    }
  }

  /** A contour made from one much like it measures the same as one made afresh. */
  @Property(tries = 300, seed = "8443")
  void whatIsTakenOverFromAnotherContourIsRight(@ForAll long seed) {
    Random r = new Random(seed);
    List<Segment> before = new ArrayList<>(random(seed).segments());
    before.addAll(random(seed + 1).segments());
    List<Segment> after = new ArrayList<>(before);
    int at = r.nextInt(after.size());
    switch (r.nextInt(3)) {
      case 0 -> after.set(at, new Line(point(r, 300), point(r, 300)));
      case 1 -> after.add(at, new Cubic(point(r, 9), point(r, 99), point(r, 9), point(r, 300)));
      default -> after.remove(at);
    }
    if (after.isEmpty()) {
      return;
    }
    Contour fresh = new Contour(after, false);
    Contour quick = new Contour(after, false, new Contour(before, false));
    assertThat(quick.length()).isEqualTo(fresh.length());
    for (int i = 0; i <= 20; i++) {
      double d = fresh.length() * i / 20;
      assertThat(quick.at(d)).isEqualTo(fresh.at(d));
    }
  }
}
