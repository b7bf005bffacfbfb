package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class CurveFitTest {
  private static List<Point> circle(int n) {
    List<Point> out = new ArrayList<>();
    for (int i = 0; i <= n; i++) {
      double t = Math.PI * i / n;
      out.add(new Point(200 * Math.cos(t), -200 * Math.sin(t)));
    }
    return out;
  }

  @Test
  void halfACircleTakesFewCubicsWithinTheTolerance() {
    CurveFit.Fitted f = CurveFit.fit(circle(300), null, null, 0.5);
    assertThat(f.cubics()).hasSizeLessThanOrEqualTo(4);
    assertThat(f.error()).isLessThanOrEqualTo(0.5);
    Contour c = new Contour(f.cubics(), false);
    for (Point p : circle(77)) {
      assertThat(c.nearest(p).point().distance(p)).isLessThan(0.6);
    }
  }

  @Test
  void aCubicIsFoundAgainFromItsPoints() {
    Cubic c =
        new Cubic(new Point(0, 0), new Point(50, -120), new Point(200, 90), new Point(300, 0));
    List<Point> row = new ArrayList<>();
    for (int i = 0; i <= 60; i++) {
      row.add(c.point(i / 60.0));
    }
    CurveFit.Fitted f = CurveFit.fit(row, c.tangent(0), c.tangent(1), 0.2);
    assertThat(f.cubics()).hasSize(1);
    assertThat(f.cubics().get(0).p1().distance(c.p1())).isLessThan(4);
  }

  @Test
  void pointsOnOneSpotGiveACurveOfNoLength() {
    List<Point> row = List.of(new Point(5, 5), new Point(5, 5), new Point(5, 5));
    assertThat(new Contour(CurveFit.fit(row, null, null, 1).cubics(), false).length()).isZero();
  }

  @Test
  void simplifyingKeepsCornersAndStraightPieces() {
    List<Segment> square = new ArrayList<>();
    double[][] xy = {{0, 0}, {50, 0}, {100, 0}, {100, 100}, {0, 100}, {0, 0}};
    for (int i = 0; i + 1 < xy.length; i++) {
      square.add(new Line(new Point(xy[i][0], xy[i][1]), new Point(xy[i + 1][0], xy[i + 1][1])));
    }
    CurveFit.Fitted f = Refit.simplified(new Contour(square, true), 0.5);
    assertThat(f.cubics()).hasSize(4);
    assertThat(new Contour(f.cubics(), true).length()).isCloseTo(400, within(0.01));
  }

  @Test
  void aLineBesideACircleIsACircle() {
    Contour c = new Contour(List.of(new Arc(Point.ORIGIN, 200, 200, 0, 0, 2 * Math.PI)), true);
    for (double by : new double[] {40, -60}) {
      Contour beside = new Contour(Refit.beside(c, by), true);
      for (int i = 0; i < 50; i++) {
        double r = beside.at(beside.length() * i / 50).point().length();
        assertThat(r).isCloseTo(200 + by, within(0.15));
      }
    }
    assertThat(Refit.beside(c, -260)).isEmpty();
  }

  @Test
  void besideACornerTheLineStaysAtTheDistanceAndDoesNotCrossItself() {
    Contour corner =
        new Contour(
            List.of(
                new Line(new Point(0, 0), new Point(300, 0)),
                new Line(new Point(300, 0), new Point(300, 300))),
            false);
    for (double by : new double[] {50, -50}) {
      Contour beside = new Contour(Refit.beside(corner, by), false);
      for (int i = 0; i <= 60; i++) {
        Point p = beside.at(beside.length() * i / 60).point();
        assertThat(corner.nearest(p).point().distance(p)).isCloseTo(50, within(2.0));
      }
    }
  }
}
