package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What every kind of segment must do. */
class SegmentTest {
  static Stream<Segment> segments() {
    Point a = new Point(10, -20);
    Point b = new Point(90, 200);
    Point c = new Point(-60, 30);
    Point d = new Point(140, 70);
    return Stream.of(
        new Line(a, b),
        new Quadratic(a, b, c),
        new Cubic(a, b, c, d),
        new Cubic(a, a, d, d),
        new Arc(a, 50, 50, 0, 0.3, 2),
        new Arc(a, 80, 30, 0.7, -1, -4.5),
        Arc.between(a, 40, 90, 30, true, false, d));
  }

  @ParameterizedTest
  @MethodSource("segments")
  void derivativesAreThoseOfThePoints(Segment s) {
    double h = 1e-5;
    for (double u = 0.1; u < 1; u += 0.2) {
      Point slope = s.point(u + h).minus(s.point(u - h)).times(1 / (2 * h));
      assertThat(s.derivative(u).distance(slope)).isLessThan(1e-4 * (1 + slope.length()));
      assertThat(s.speed(u)).isCloseTo(s.derivative(u).length(), within(1e-9 * (1 + s.speed(u))));
      Point bend = s.derivative(u + h).minus(s.derivative(u - h)).times(1 / (2 * h));
      assertThat(s.secondDerivative(u).distance(bend)).isLessThan(1e-3 * (1 + bend.length()));
    }
  }

  @ParameterizedTest
  @MethodSource("segments")
  void splittingKeepsTheCurve(Segment s) {
    Segment[] parts = s.split(0.3);
    for (double u = 0; u <= 1; u += 0.125) {
      assertThat(parts[0].point(u).distance(s.point(0.3 * u))).isLessThan(1e-9);
      assertThat(parts[1].point(u).distance(s.point(0.3 + 0.7 * u))).isLessThan(1e-9);
    }
  }

  @ParameterizedTest
  @MethodSource("segments")
  void reversingTurnsItRound(Segment s) {
    for (double u = 0; u <= 1; u += 0.125) {
      assertThat(s.reversed().point(u).distance(s.point(1 - u))).isLessThan(1e-9);
      assertThat(s.reversed().tangent(u).plus(s.tangent(1 - u)).length()).isLessThan(1e-5);
    }
  }

  @ParameterizedTest
  @MethodSource("segments")
  void boundsAreTight(Segment s) {
    Rect sampled = Rect.EMPTY;
    for (int i = 0; i <= 20_000; i++) {
      sampled = sampled.include(s.point(i / 20_000.0));
    }
    Rect b = s.bounds();
    assertThat(b.left())
        .isLessThanOrEqualTo(sampled.left())
        .isCloseTo(sampled.left(), within(1e-4));
    assertThat(b.top()).isLessThanOrEqualTo(sampled.top()).isCloseTo(sampled.top(), within(1e-4));
    assertThat(b.right())
        .isGreaterThanOrEqualTo(sampled.right())
        .isCloseTo(sampled.right(), within(1e-4));
    assertThat(b.bottom())
        .isGreaterThanOrEqualTo(sampled.bottom())
        .isCloseTo(sampled.bottom(), within(1e-4));
  }

  @Test
  void aHandleOfNoLengthStillHasATangent() {
    Point a = new Point(0, 0);
    Cubic c = new Cubic(a, a, new Point(60, 80), new Point(60, 80));
    for (double u : new double[] {0, 0.5, 1}) {
      assertThat(c.tangent(u).distance(new Point(0.6, 0.8))).isLessThan(1e-6);
    }
  }

  @Test
  void svgArcsFollowTheSpecification() {
    Point from = new Point(0, 0);
    assertThat(Arc.between(from, 0, 5, 0, false, true, new Point(9, 0))).isInstanceOf(Line.class);
    assertThat(Arc.between(from, 5, 5, 0, false, true, from)).isNull();
    Arc scaledUp = (Arc) Arc.between(from, 1, 1, 0, false, true, new Point(10, 0));
    assertThat(scaledUp.rx()).isCloseTo(5, within(1e-9));
    for (boolean large : new boolean[] {false, true}) {
      for (boolean clockwise : new boolean[] {false, true}) {
        Arc arc = (Arc) Arc.between(from, 30, 20, 25, large, clockwise, new Point(25, 10));
        assertThat(arc.start().distance(from)).isLessThan(1e-9);
        assertThat(arc.end().distance(new Point(25, 10))).isLessThan(1e-9);
        assertThat(Math.abs(arc.sweep()) > Math.PI).isEqualTo(large);
        assertThat(arc.sweep() > 0).isEqualTo(clockwise);
      }
    }
  }

  @Test
  void affinesComposeLikeMatrices() {
    Affine turn = Affine.rotate(0.4, new Point(3, 4));
    assertThat(turn.apply(new Point(3, 4)).distance(new Point(3, 4))).isLessThan(1e-12);
    Affine both = Affine.translate(5, 6).times(Affine.scale(2));
    assertThat(both.apply(new Point(1, 1))).isEqualTo(new Point(7, 8));
    assertThat(both.apply(new Rect(0, 0, 1, 2))).isEqualTo(new Rect(5, 6, 7, 10));
    assertThat(both.apply(Rect.EMPTY).isEmpty()).isTrue();
  }
}
