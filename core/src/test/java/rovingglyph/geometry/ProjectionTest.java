package rovingglyph.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ProjectionTest {
  private static final double NEAR = 1e-9;

  private static List<Point> corners(Random r) {
    List<Point> out = new ArrayList<>();
    for (Point p : new Rect(100, 80, 600, 400).corners()) {
      out.add(p.plus(new Point(r.nextDouble() * 150 - 75, r.nextDouble() * 150 - 75)));
    }
    return out;
  }

  private static Projection chance(Random r) {
    return Projection.of(corners(r), corners(r));
  }

  private static Point within(Random r) {
    return new Point(150 + r.nextDouble() * 400, 120 + r.nextDouble() * 240);
  }

  @Test
  void fourCornersGoWhereTheyAreWanted() {
    Random r = new Random(1);
    for (int i = 0; i < 200; i++) {
      List<Point> from = corners(r);
      List<Point> to = corners(r);
      Projection p = Projection.of(from, to);
      for (int k = 0; k < 4; k++) {
        assertThat(p.apply(from.get(k)).distance(to.get(k))).isLessThan(NEAR * 1e3);
      }
      Point at = within(r);
      assertThat(p.inverse().apply(p.apply(at)).distance(at)).isLessThan(1e-6);
      Projection after = chance(r);
      assertThat(after.times(p).apply(at).distance(after.apply(p.apply(at)))).isLessThan(1e-6);
    }
  }

  @Test
  void aMapWithoutPerspectiveStaysOne() {
    Affine m = new Affine(1.2, 0.3, -0.4, 0.9, 30, -20);
    Projection p = Projection.of(m).times(Affine.rotate(1)).times(Projection.of(m).inverse());
    assertThat(p.isFlat()).isTrue();
    Point at = new Point(3, 4);
    Point expected = m.times(Affine.rotate(1)).times(m.inverse()).apply(at);
    assertThat(p.apply(at).distance(expected)).isLessThan(NEAR);
  }

  @Test
  void whatDoesNotBulgeGoesNowhere() {
    List<Point> square = new Rect(0, 0, 10, 10).corners();
    List<Point> crossed = List.of(square.get(0), square.get(2), square.get(1), square.get(3));
    Point inner = new Point(4, 4);
    List<Point> dented = List.of(square.get(0), square.get(1), inner, square.get(3));
    List<Point> flat = List.of(square.get(0), square.get(1), square.get(1), square.get(3));
    for (List<Point> wrong : List.of(crossed, dented, flat)) {
      assertThat(Projection.of(square, wrong)).isNull();
      assertThat(Projection.of(wrong, square)).isNull();
    }
  }

  @Test
  void nearAPointItIsTheMapOfThere() {
    Random r = new Random(2);
    for (int i = 0; i < 100; i++) {
      Projection p = chance(r);
      Point at = within(r);
      Affine near = p.near(at);
      assertThat(near.apply(at).distance(p.apply(at))).isLessThan(1e-9);
      Point beside = at.plus(new Point(1e-4, -2e-4));
      assertThat(near.apply(beside).distance(p.apply(beside))).isLessThan(1e-8);
    }
  }

  /** A circle of radius r lying at a tilt, seen from a distance d: the ellipse is in textbooks. */
  @Test
  void aCircleThatLiesIsSeenAsTheKnownEllipse() {
    double tilt = Math.toRadians(60);
    double d = 900;
    double radius = 200;
    Projection seen = new Projection(1, 0, 0, Math.cos(tilt), 0, 0, 0, -Math.sin(tilt) / d, 1);
    Contour circle =
        new Contour(new Arc(Point.ORIGIN, radius, radius, 0, 0, 2 * Math.PI).cubics(), true);
    Contour shown = circle.mapped(seen);
    double s = radius * Math.sin(tilt) / d;
    double middle = radius * Math.cos(tilt) * s / (1 - s * s);
    double down = radius * Math.cos(tilt) / (1 - s * s);
    double across = radius / Math.sqrt(1 - s * s);
    for (int i = 0; i < 400; i++) {
      Point p = shown.at(shown.length() * i / 400).point();
      double off = Math.hypot(p.x() / across, (p.y() - middle) / down) - 1;
      assertThat(off * down).isBetween(-0.02, 0.02);
    }
  }

  private static Cubic curve(Random r) {
    return new Cubic(within(r), within(r), within(r), within(r));
  }

  @Test
  void aPathIsWhereItsPointsAre() {
    Random r = new Random(3);
    for (int i = 0; i < 200; i++) {
      Projection p = chance(r);
      Cubic c = curve(r);
      List<SubPath> seen =
          ProjectedPath.line(new SubPath(List.of(c), false), p, ProjectedPath.EXACT);
      assertThat(seen).hasSize(1);
      Contour shown = new Contour(seen.get(0).segments(), false);
      for (int k = 0; k <= 30; k++) {
        Point at = p.apply(c.point(k / 30.0));
        assertThat(shown.nearest(at).point().distance(at)).isLessThan(0.03);
      }
    }
  }

  @Test
  void whatIsBesideTheEyeIsCutOff() {
    Random r = new Random(4);
    for (int i = 0; i < 300; i++) {
      double turn = r.nextDouble() * 7;
      double g = Math.cos(turn) / 300;
      double h = Math.sin(turn) / 300;
      Projection p = new Projection(1, 0, 0, 1, 0, 0, g, h, 1 - 300 * (g + h));
      List<Segment> round = new ArrayList<>();
      Point at = within(r);
      Point start = at;
      for (int k = 0; k < 4; k++) {
        Point next = k == 3 ? start : within(r).times(3);
        round.add(k % 2 == 0 ? new Line(at, next) : new Cubic(at, within(r), within(r), next));
        at = next;
      }
      SubPath area = ProjectedPath.area(new SubPath(round, true), p, ProjectedPath.EXACT);
      List<SubPath> parts = new ArrayList<>(List.of(area));
      parts.addAll(ProjectedPath.line(new SubPath(round, true), p, ProjectedPath.EXACT));
      for (SubPath part : parts) {
        Point last = null;
        for (Segment s : part.segments()) {
          assertThat(last == null || last.distance(s.start()) < 1e-6).isTrue();
          last = s.end();
          Rect box = s.bounds();
          assertThat(box.width() + box.height()).isFinite();
          // Back in the plane it lies where something is seen.
          Point back = p.inverse().apply(s.point(0.5));
          assertThat(p.weight(back)).isGreaterThan(Projection.NEAREST * 0.99);
        }
      }
      assertThat(new Contour(round, true).mapped(p).length()).isFinite();
    }
  }

  @Test
  void theBoxOfARectangleHoldsWhatIsSeenOfIt() {
    Random r = new Random(5);
    for (int i = 0; i < 100; i++) {
      Projection p = chance(r);
      Rect box = new Rect(120, 100, 500, 350);
      Rect seen = p.apply(box).grown(1e-6);
      for (int k = 0; k < 20; k++) {
        Point at = new Point(120 + r.nextDouble() * 380, 100 + r.nextDouble() * 250);
        assertThat(seen.contains(p.apply(at))).isTrue();
      }
    }
  }
}
