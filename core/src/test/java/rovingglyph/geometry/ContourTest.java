package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ContourTest {
  private static Contour open(Segment... segments) {
    return new Contour(List.of(segments), false);
  }

  @Test
  void aCircleIsPlacedToABillionth() {
    Contour circle =
        new Contour(
            List.of(new Arc(new Point(540, 480), 300, 300, 0, -Math.PI / 2, 2 * Math.PI)), true);
    assertThat(circle.length()).isCloseTo(2 * Math.PI * 300, within(1e-9));
    for (int degrees = -720; degrees <= 720; degrees += 7) {
      Contour.Station s = circle.at(Math.toRadians(degrees) * 300);
      double a = Math.toRadians(degrees - 90.0);
      assertThat(s.point().x()).isCloseTo(540 + 300 * Math.cos(a), within(1e-9));
      assertThat(s.point().y()).isCloseTo(480 + 300 * Math.sin(a), within(1e-9));
      assertThat(s.tangent().x()).isCloseTo(-Math.sin(a), within(1e-9));
      assertThat(s.curvature()).isCloseTo(1.0 / 300, within(1e-12));
    }
  }

  /** The parabola y = x^2 from 0 to 1: sqrt(5)/2 + asinh(2)/4. */
  @Test
  void aParabolaHasItsClosedForm() {
    Contour c = open(new Quadratic(new Point(0, 0), new Point(0.5, 0), new Point(1, 1)));
    double asinh2 = Math.log(2 + Math.sqrt(5));
    assertThat(c.length()).isCloseTo(Math.sqrt(5) / 2 + asinh2 / 4, within(1e-12));
  }

  /** x = u - u^3/3, y = u^2 has speed 1 + u^2, so from 0 to 1 a length of 4/3. */
  @Test
  void aCubicWithPolynomialSpeedHasItsClosedForm() {
    double third = 1.0 / 3;
    Contour c =
        open(
            new Cubic(
                new Point(0, 0),
                new Point(third, 0),
                new Point(2 * third, third),
                new Point(2 * third, 1)));
    assertThat(c.length()).isCloseTo(4.0 / 3, within(1e-12));
    assertThat(c.at(0.5 + 0.125 / 3).point().distance(new Point(0.5 - 0.125 / 3, 0.25)))
        .isLessThan(1e-9);
  }

  /** Ramanujan's second approximation is good to 1e-9 of the length at this flatness. */
  @Test
  void anEllipseAgreesWithItsSeries() {
    Contour c = new Contour(List.of(new Arc(Point.ORIGIN, 200, 150, 0.3, 0, 2 * Math.PI)), true);
    double h = Math.pow(50.0 / 350, 2);
    double series = Math.PI * 350 * (1 + 3 * h / (10 + Math.sqrt(4 - 3 * h)));
    assertThat(c.length()).isCloseTo(series, within(1e-7));
  }

  @Test
  void randomCubicsAgreeWithASlowReference() {
    Random random = new Random(7);
    for (int i = 0; i < 300; i++) {
      double scale = Math.pow(10, random.nextInt(6) - 1);
      Point[] p = new Point[4];
      for (int k = 0; k < 4; k++) {
        p[k] = new Point(random.nextDouble() * scale, random.nextDouble() * scale);
      }
      if (i % 10 == 0) {
        p[3] = p[0];
      }
      Cubic cubic = new Cubic(p[0], p[1], p[2], p[3]);
      Contour c = open(cubic);
      double slow = slowLength(cubic, 1);
      assertThat(c.length()).isCloseTo(slow, within(1e-6 * slow));
      double u = 0.1 + 0.8 * random.nextDouble();
      Point there = c.at(slowLength(cubic, u)).point();
      assertThat(there.distance(cubic.point(u))).isLessThan(2e-6 * slow);
    }
  }

  /** Chords with Richardson's extrapolation. */
  private static double slowLength(Segment s, double to) {
    double coarse = chords(s, to, 20000);
    double fine = chords(s, to, 40000);
    return fine + (fine - coarse) / 3;
  }

  private static double chords(Segment s, double to, int n) {
    double sum = 0;
    Point last = s.start();
    for (int i = 1; i <= n; i++) {
      Point p = s.point(to * i / n);
      sum += p.distance(last);
      last = p;
    }
    return sum;
  }

  @Test
  void aCuspAndRepeatedPointsStayFinite() {
    Contour cusp =
        open(new Cubic(new Point(0, 0), new Point(100, 100), new Point(0, 100), new Point(100, 0)));
    Point p = new Point(5, 5);
    Contour dot = open(new Cubic(p, p, p, p), new Line(p, p));
    Contour withGap = open(new Line(p, p), new Line(p, new Point(15, 5)), new Line(p, p));
    for (int i = -5; i < 40; i++) {
      for (Contour c : List.of(cusp, dot, withGap)) {
        Contour.Station s = c.at(i * 7.3);
        assertThat(s.point().x() + s.point().y() + s.curvature()).isFinite();
        assertThat(s.tangent().length()).isCloseTo(1, within(1e-9));
      }
    }
    assertThat(dot.length()).isZero();
    assertThat(withGap.length()).isEqualTo(10);
  }

  @Test
  void distancesOutsideAreClampedOrWrapped() {
    Contour line = open(new Line(new Point(0, 0), new Point(10, 0)));
    assertThat(line.at(-3).point()).isEqualTo(new Point(0, 0));
    assertThat(line.at(12).point()).isEqualTo(new Point(10, 0));
    assertThat(square().at(-10).point().distance(new Point(0, 10))).isLessThan(1e-9);
    assertThat(square().at(410).point().distance(new Point(10, 0))).isLessThan(1e-9);
  }

  private static Contour square() {
    Point[] p = {new Point(0, 0), new Point(100, 0), new Point(100, 100), new Point(0, 100)};
    List<Segment> sides = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      sides.add(new Line(p[i], p[(i + 1) % 4]));
    }
    return new Contour(sides, true);
  }

  @Test
  void cornersAreFoundAlsoWhereAClosedContourJoins() {
    assertThat(square().corners())
        .extracting(Contour.Corner::distance)
        .containsExactly(0.0, 100.0, 200.0, 300.0);
    assertThat(square().corners()).allMatch(c -> Math.abs(c.turn() - Math.PI / 2) < 1e-12);
  }

  @Test
  void nearestFindsDistanceAndSide() {
    Contour.Nearest n = square().nearest(new Point(30, -7));
    assertThat(n.distance()).isCloseTo(30, within(1e-6));
    assertThat(n.across()).isCloseTo(7, within(1e-6));
  }

  @Test
  void reversedRunsTheOtherWay() {
    Contour c =
        open(new Cubic(new Point(0, 0), new Point(50, 80), new Point(90, -40), new Point(120, 10)));
    for (double d = 0; d <= c.length(); d += 9) {
      Contour.Station there = c.reversed().at(c.length() - d);
      assertThat(there.point().distance(c.at(d).point())).isLessThan(1e-8);
      assertThat(there.tangent().dot(c.at(d).tangent())).isCloseTo(-1, within(1e-9));
    }
  }
}
