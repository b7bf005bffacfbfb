package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class SpaceTest {
  private static final Offset<Double> EXACT = within(1e-9);
  private static final double INFINITE = Double.POSITIVE_INFINITY;

  private static Space turned(double tilt, double swing, Point centre, double far) {
    return Space.FLAT.turned(Math.toRadians(tilt), Math.toRadians(swing), centre, far);
  }

  /** A circle seen at a tilt is the ellipse that its four ends say, wherever it is looked at. */
  @Test
  void aTiltedCircleIsTheKnownEllipse() {
    double r = 300;
    double far = 1200;
    Point centre = new Point(640, 380);
    Projection m = turned(60, 0, centre, far).plane();
    double sin = Math.sin(Math.toRadians(60));
    double cos = Math.cos(Math.toRadians(60));
    double top = -r * cos / (1 + r * sin / far);
    double bottom = r * cos / (1 - r * sin / far);
    double middle = (top + bottom) / 2;
    double down = (bottom - top) / 2;
    double across = r / Math.sqrt(1 - Math.pow(r * sin / far, 2));
    for (int i = 0; i < 360; i++) {
      double a = Math.toRadians(i);
      Point p = m.apply(centre.plus(new Point(r * Math.cos(a), r * Math.sin(a))));
      double x = (p.x() - centre.x()) / across;
      double y = (p.y() - centre.y() - middle) / down;
      assertThat(x * x + y * y).isCloseTo(1, EXACT);
    }
  }

  /** The same as the matrices of CSS's perspective, rotateY and rotateX, one after the other. */
  @Test
  void turnsAsTheMatricesOfCssDo() {
    Random random = new Random(3);
    for (int n = 0; n < 200; n++) {
      double tilt = random.nextDouble() * 360 - 180;
      double swing = random.nextDouble() * 360 - 180;
      double far = 800 + random.nextDouble() * 2000;
      Point centre = new Point(random.nextInt(1000), random.nextInt(1000));
      Point3 p = new Point3(random.nextInt(1000), random.nextInt(1000), random.nextInt(200) - 100);
      double t = Math.toRadians(tilt);
      double s = Math.toRadians(swing);
      double x = p.x() - centre.x();
      double y = p.y() - centre.y();
      double toward = -p.z();
      double y1 = y * Math.cos(t) - toward * Math.sin(t);
      double z1 = y * Math.sin(t) + toward * Math.cos(t);
      double x2 = x * Math.cos(s) + z1 * Math.sin(s);
      double z2 = -x * Math.sin(s) + z1 * Math.cos(s);
      double w = 1 - z2 / far;
      if (w < 0.1) {
        continue;
      }
      Point seen = turned(tilt, swing, centre, far).apply(p);
      assertThat(seen.x()).isCloseTo(centre.x() + x2 / w, within(1e-7));
      assertThat(seen.y()).isCloseTo(centre.y() + y1 / w, within(1e-7));
    }
  }

  @Test
  void oneTurnWithinAnotherIsSeenByOneEye() {
    Space outer = turned(30, 0, new Point(500, 500), 1000);
    Space both = outer.turned(Math.toRadians(40), 0, new Point(500, 500), 200);
    Projection whole = turned(70, 0, new Point(500, 500), 1000).plane();
    for (Point p : new Point[] {new Point(450, 460), new Point(520, 610)}) {
      assertThat(both.plane().apply(p).distance(whole.apply(p))).isLessThan(1e-9);
    }
    Space placed = Space.FLAT.times(Affine.translate(20, 30)).times(both);
    assertThat(placed.plane().apply(new Point(450, 460)))
        .isEqualTo(whole.apply(new Point(450, 460)).plus(new Point(20, 30)));
  }

  @Test
  void edgeOnNothingIsWithoutANumber() {
    for (double tilt : new double[] {90, -90, 270, 89.9999999}) {
      for (double far : new double[] {10, 1000, INFINITE}) {
        Space space = turned(tilt, 90, new Point(3, 4), far);
        Point p = space.apply(new Point3(100, -200, 50));
        assertThat(p.x()).isFinite();
        assertThat(p.y()).isFinite();
        Point flat = space.plane().apply(new Point(100, 200));
        assertThat(flat.x()).isFinite();
        assertThat(flat.y()).isFinite();
      }
    }
  }

  @Test
  void whatIsCutByAHalfPlaneLiesInIt() {
    SubPath square =
        new SubPath(
            List.of(
                new Line(new Point(0, 0), new Point(10, 0)),
                new Line(new Point(10, 0), new Point(10, 10)),
                new Line(new Point(10, 10), new Point(0, 10))),
            true);
    SubPath half = new HalfPlane(1, 0, -4).area(square);
    Rect box = Rect.EMPTY;
    for (Segment s : half.segments()) {
      box = box.union(s.bounds());
    }
    assertThat(box).isEqualTo(new Rect(4, 0, 10, 10));
    assertThat(new HalfPlane(1, 0, -40).area(square).segments()).isEmpty();
  }
}
