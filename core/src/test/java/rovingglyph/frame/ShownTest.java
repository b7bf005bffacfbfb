package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.CORNER;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.seat.Placement;

/** What reaches the frame: bent letters, reveals, sweeps, the line under the letters, blur. */
class ShownTest {
  private static final Point CENTRE = new Point(500, 500);

  /** All points of outlines that are of one frame alone. */
  private static List<Point> points(Frame frame) {
    return FrameEntries.of(frame).stream().flatMap(e -> e.points().stream()).toList();
  }

  private static List<Boolean> shown(String path, String text, String more, double time) {
    PreparedLettering l = prepare(document(path, text, "", more)).letterings().get("l");
    return l.placements(l.values(time)).stream().map(Placement::visible).toList();
  }

  private static List<Double> alphas(String path, String text, String more, double time) {
    PreparedLettering l = prepare(document(path, text, "", more)).letterings().get("l");
    return l.placements(l.values(time)).stream().map(Placement::alpha).toList();
  }

  @ParameterizedTest
  @CsvSource({"left, 1", "right, -1"})
  void bentLettersStandBetweenTwoCircles(String side, int outward) {
    String seat = "\"method\":\"bent\",\"side\":\"" + side + "\",\"baselineShift\":10";
    List<Point> points = points(prepare(document(CIRCLE, "abc", seat, "")).at(0));
    double foot = 200 + 10.0 * outward;
    double head = 200 + 80.0 * outward;
    assertThat(points).hasSizeGreaterThan(3 * 5);
    for (Point p : points) {
      double radius = p.distance(CENTRE);
      assertThat(radius)
          .isBetween(Math.min(foot, head) - 0.01, Math.max(foot, head) + 0.01)
          .satisfiesAnyOf(
              r -> assertThat(r).isCloseTo(foot, within(0.01)),
              r -> assertThat(r).isCloseTo(head, within(0.01)),
              // The sides of the boxes go straight from one circle to the other.
              r -> assertThat(r).isStrictlyBetween(Math.min(foot, head), Math.max(foot, head)));
    }
  }

  @Test
  void theStepsOfABentEdgeLeaveItsCircleByNoMoreThanATenth() {
    List<Point> points = points(prepare(document(CIRCLE, "a", "\"method\":\"bent\"", "")).at(0));
    for (int i = 1; i < points.size(); i++) {
      Point a = points.get(i - 1);
      Point b = points.get(i);
      boolean onFoot =
          Math.abs(a.distance(CENTRE) - 200) < 0.01 && Math.abs(b.distance(CENTRE) - 200) < 0.01;
      if (onFoot) {
        assertThat(a.plus(b).times(0.5).distance(CENTRE)).isGreaterThan(199.9);
      }
    }
  }

  @Test
  void onAStraightLineBentLettersAreAsTheyAre() {
    Affine plain = FrameEntries.of(prepare(document(LINE, "a", "", "")).at(0)).get(0).maps().get(0);
    double left = plain.e() + 0.1 * plain.a();
    List<Point> bent = points(prepare(document(LINE, "a", "\"method\":\"bent\"", "")).at(0));
    assertThat(bent.stream().mapToDouble(Point::x).min().orElseThrow())
        .isCloseTo(left, within(1e-6));
    assertThat(bent.stream().mapToDouble(Point::y).min().orElseThrow())
        .isCloseTo(430, within(1e-6));
    assertThat(bent.stream().mapToDouble(Point::y).max().orElseThrow())
        .isCloseTo(500, within(1e-6));
  }

  @Test
  void theAddedTurnOfABentLetterMayLag() {
    String seat =
        "\"method\":\"bent\",\"letterTurn\":{\"keyframes\":[{\"time\":0,\"value\":0},"
            + "{\"time\":1,\"value\":90}],\"stagger\":{\"delay\":10}}";
    List<Point> points = points(prepare(document(LINE, "ab", seat, "")).at(1));
    double firstTop =
        points.subList(0, points.size() / 2).stream().mapToDouble(Point::y).min().orElseThrow();
    double secondTop =
        points.subList(points.size() / 2, points.size()).stream()
            .mapToDouble(Point::y)
            .min()
            .orElseThrow();
    assertThat(firstTop).as("turned on its side").isGreaterThan(480);
    assertThat(secondTop).as("still to come").isCloseTo(430, within(1e-6));
  }

  @Test
  void aRevealByWordsShowsWholeWords() {
    String more = "\"reveal\":{\"by\":\"words\",\"soft\":0,\"fade\":false},\"revealTo\":50";
    assertThat(shown(LINE, "ab cd", more, 0)).containsExactly(true, true, true, false, false);
  }

  @Test
  void aSoftRevealFadesThroughItsEdge() {
    String more = "\"reveal\":{\"by\":\"letters\",\"soft\":50,\"fade\":true},\"revealTo\":50";
    List<Double> alphas = alphas(LINE, "abcdefgh", more, 0);
    assertThat(alphas.get(0)).isEqualTo(1);
    assertThat(alphas.get(7)).isEqualTo(0);
    for (int i = 1; i < alphas.size(); i++) {
      assertThat(alphas.get(i)).isLessThanOrEqualTo(alphas.get(i - 1));
    }
    assertThat(alphas).anySatisfy(a -> assertThat(a).isStrictlyBetween(0.0, 1.0));
  }

  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void aClockSweepGoesEitherWayRound(boolean counter) {
    // Twelve letters of 50 px reach round 600 of the lap's 1257 px from the top, clockwise.
    String more =
        "\"sweep\":{\"startAngle\":-90,\"soft\":0,\"fade\":false,\"counter\":"
            + counter
            + "},\"sweepTo\":90";
    List<Boolean> shown = shown(CIRCLE, "abcdefghijkl", more, 0);
    // A quarter is 314 px: six middles at 25, 75, ... lie in it, and none on the other way round.
    assertThat(shown.stream().filter(b -> b).count()).isEqualTo(counter ? 0 : 6);
  }

  @Test
  void theLineUnderTheLettersIsDashedAndCutToItsShare() {
    String more =
        "\"trail\":{\"colour\":\"#336699\",\"width\":4,\"dash\":[6,3],\"cap\":\"round\"},"
            + "\"trailFrom\":25,\"trailTo\":75";
    FrameEntries.Entry n = FrameEntries.of(prepare(document(LINE, "a", "", more)).at(0)).get(0);
    assertThat(n.op()).isEqualTo(Op.STROKE);
    assertThat(n.paint()).extracting("rgb", "alpha").containsExactly(0x336699, 1.0);
    assertThat(n.line()).as("width, cap, dashes").containsExactly(4.0, 1.0, 6.0, 3.0);
    assertThat(n.steps()).containsExactly(PathStep.MOVE, PathStep.LINE);
    assertThat(n.points().get(0).x()).isCloseTo(300, within(1e-6));
    assertThat(n.points().get(1).x()).isCloseTo(700, within(1e-6));
  }

  @Test
  void aLineThatGoesWithTheLettersRoundACornerHasBothPieces() {
    String more =
        "\"trail\":{\"colour\":\"#000000\",\"width\":2,\"with\":true,\"lead\":20,\"lag\":10}";
    String at = "\"pathOffset\":380";
    List<Point> n =
        FrameEntries.of(prepare(document(CORNER, "ab", at, more)).at(0)).get(0).points();
    // From (470, 500) over the corner to 100 px past it: tail 380 - 10, head 480 + 20.
    assertThat(n.stream().flatMapToDouble(p -> DoubleStream.of(p.x(), p.y())).toArray())
        .containsExactly(new double[] {470, 500, 500, 500, 500, 600}, within(1e-6));
  }

  @Test
  void theShutterIsOpenAroundTheFramesTimeByEachItemsOwnAngle() {
    String moving =
        offsets("{\"time\":0,\"value\":0}", "{\"time\":4,\"value\":400,\"easing\":\"steady\"}");
    String own = document(LINE, "a", moving, "\"blur\":90");
    String scene = own.replace("\"rate\"", "\"blur\":{\"angle\":360,\"samples\":8},\"rate\"");
    // 100 px a second at 25 frames a second are 4 px a frame; a quarter of it with its own angle.
    for (String json : List.of(scene, scene.replace(",\"blur\":90", ""))) {
      PreparedScene s = prepare(json);
      assertThat(s.blurs()).isTrue();
      double way = left(s.at(2, 0.5)) - left(s.at(2, -0.5));
      assertThat(way).isCloseTo(json.equals(scene) ? 1 : 4, within(1e-6));
    }
    assertThat(prepare(document(LINE, "a", moving, "")).blurs()).isFalse();
  }

  /** Where the first letter stands. */
  private static double left(Frame frame) {
    return FrameEntries.of(frame).get(0).maps().get(0).e();
  }
}
