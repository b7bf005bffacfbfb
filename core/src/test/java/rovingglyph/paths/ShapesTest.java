package rovingglyph.paths;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.document;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKind;

class ShapesTest {
  static GuidePath path(String fields) {
    return SceneCodec.read(document("{\"id\":\"p\"," + fields + "}", "a", "", "")).path("p");
  }

  static Contour contour(String fields) {
    return GuideContour.of(path(fields));
  }

  private static Scene with(ShapeKind kind) {
    Scene empty =
        SceneCodec.read(
            document("{\"id\":\"q\",\"kind\":\"line\"}", "a", "", "")
                .replace("\"path\":\"p\"", "\"path\":\"q\""));
    String word = kind.name().toLowerCase();
    return SceneEdits.apply(empty, "{\"op\":\"newShape\",\"id\":\"p\",\"kind\":\"" + word + "\"}");
  }

  /** How far the second contour lies from the first, at equal shares of the length. */
  static double farthest(Contour a, Contour b) {
    double worst = 0;
    for (int i = 0; i < 200; i++) {
      worst =
          Math.max(
              worst,
              a.at(a.length() * i / 200).point().distance(b.at(b.length() * i / 200).point()));
    }
    return worst;
  }

  @ParameterizedTest
  @EnumSource(ShapeKind.class)
  void everyShapeIsWrittenAndReadAgainAndTurnsIntoPointsUnchanged(ShapeKind kind) {
    Scene s = with(kind);
    assertThat(SceneCodec.read(SceneCodec.write(s)).path("p")).isEqualTo(s.path("p"));
    Contour before = GuideContour.of(s.path("p"));
    assertThat(before.closed()).isEqualTo(kind.closed());
    Scene points = SceneEdits.apply(s, "{\"op\":\"toPoints\",\"path\":\"p\"}");
    Contour after = GuideContour.of(points.path("p"));
    assertThat(farthest(before, after)).isLessThan(0.01);
  }

  @ParameterizedTest
  @EnumSource(ShapeKind.class)
  void everyShapeFollowsMovesTurnsScalesAndMirrors(ShapeKind kind) {
    Scene s = with(kind);
    Contour before = GuideContour.of(s.path("p"));
    String about = "\"path\":\"p\",\"x\":100,\"y\":50";
    List<String> edits =
        List.of(
            "{\"op\":\"movePath\"," + about + "}",
            "{\"op\":\"rotate\",\"angle\":33," + about + "}",
            "{\"op\":\"scale\",\"sx\":1.7,\"sy\":1.7," + about + "}",
            "{\"op\":\"scale\",\"sx\":-1,\"sy\":1," + about + "}",
            "{\"op\":\"scale\",\"sx\":1,\"sy\":-1," + about + "}");
    for (String edit : edits) {
      s = SceneEdits.apply(s, edit);
    }
    Contour after = GuideContour.of(s.path("p"));
    for (int i = 0; i < 40; i++) {
      Point p = before.at(before.length() * i / 40).point().plus(new Point(100, 50));
      Point o = p.minus(new Point(100, 50));
      double a = Math.toRadians(33);
      Point turned =
          new Point(
              o.x() * Math.cos(a) - o.y() * Math.sin(a), o.x() * Math.sin(a) + o.y() * Math.cos(a));
      Point expected = new Point(100 - 1.7 * turned.x(), 50 - 1.7 * turned.y());
      assertThat(after.at(after.length() * i / 40).point().distance(expected)).isLessThan(0.02);
    }
  }

  @Test
  void lengthsAreThoseOfTheClosedForms() {
    assertThat(contour("\"kind\":\"circle\",\"radius\":200").length())
        .isCloseTo(400 * Math.PI, within(1e-9));
    assertThat(contour("\"kind\":\"arc\",\"radius\":200,\"sweep\":90").length())
        .isCloseTo(100 * Math.PI, within(1e-9));
    String corners = "\"topLeft\":30,\"topRight\":30,\"bottomRight\":30,\"bottomLeft\":30";
    assertThat(contour("\"kind\":\"rectangle\",\"width\":300,\"height\":200," + corners).length())
        .isCloseTo(1000 - 240 + 60 * Math.PI, within(1e-9));
    // Ellipse with half axes 3 and 2, by the arithmetic-geometric mean: 15.865439589...
    assertThat(contour("\"kind\":\"ellipse\",\"width\":600,\"height\":400").length())
        .isCloseTo(1586.5439589290588, within(1e-4));
    assertThat(contour("\"kind\":\"polygon\",\"radius\":100,\"count\":6,\"rounding\":0").length())
        .isCloseTo(600, within(1e-9));
    assertThat(
            contour("\"kind\":\"loop\",\"radius\":50,\"turns\":2,\"runIn\":70,\"runOut\":30")
                .length())
        .isCloseTo(100 + 200 * Math.PI, within(1e-9));
    // Archimedes: with r = b t the length to t is b/2 (t sqrt(1+t^2) + asinh t).
    double b = 100 / (2 * Math.PI);
    double t = 2 * Math.PI;
    double spiral = b / 2 * (t * Math.sqrt(1 + t * t) + Math.log(t + Math.sqrt(1 + t * t)));
    assertThat(contour("\"kind\":\"spiral\",\"innerRadius\":0,\"radius\":100,\"turns\":1").length())
        .isCloseTo(spiral, within(0.01));
  }

  @Test
  void roundingsThatDoNotFitAreScaledDownTogether() {
    String full = "\"topLeft\":500,\"topRight\":500,\"bottomRight\":500,\"bottomLeft\":500";
    Contour c = contour("\"kind\":\"rectangle\",\"width\":300,\"height\":200," + full);
    assertThat(c.length()).isCloseTo(200 + 200 * Math.PI, within(1e-6));
    assertThat(c.corners()).isEmpty();
  }

  @Test
  void aWaveIsASine() {
    Contour c =
        contour("\"kind\":\"wave\",\"length\":800,\"amplitude\":100,\"cycles\":2,\"phase\":30");
    for (int i = 0; i <= 100; i++) {
      Point p = c.at(c.length() * i / 100).point();
      double y = -100 * Math.sin(2 * Math.PI * 2 * (p.x() + 400) / 800 + Math.toRadians(30));
      assertThat(p.y()).isCloseTo(y, within(0.02));
    }
  }

  @Test
  void theNoiseLineIsTheSameForItsSeedAndMovesWithItsFlow() {
    String noise = "\"kind\":\"noise\",\"length\":900,\"amplitude\":100,\"grain\":150,\"seed\":7";
    Contour still = contour(noise);
    assertThat(farthest(still, contour(noise))).isZero();
    assertThat(farthest(still, contour(noise.replace(":7", ":8")))).isGreaterThan(5);
    Contour flown = contour(noise + ",\"flow\":60");
    double y = flown.nearest(new Point(0, 0)).point().y();
    Point there = flown.nearest(new Point(0, y)).point();
    assertThat(
            still
                .nearest(there.plus(new Point(60, 0)))
                .point()
                .distance(there.plus(new Point(60, 0))))
        .isLessThan(0.01);
    assertThat(still.corners()).isEmpty();
  }

  @Test
  void numbersOfAShapeMoveOverTimeAndTheLetteringRidesAlong() {
    String wave =
        "{\"id\":\"p\",\"kind\":\"wave\",\"x\":500,\"y\":500,\"phase\":{\"keyframes\":["
            + "{\"time\":0,\"value\":0},{\"time\":4,\"value\":360}]}}";
    GuidePath p = SceneCodec.read(document(wave, "ab", "", "")).path("p");
    assertThat(GuideContour.moves(p)).isTrue();
    assertThat(farthest(GuideContour.of(p, 0), GuideContour.of(p, 4))).isLessThan(1e-6);
    assertThat(farthest(GuideContour.of(p, 0), GuideContour.of(p, 2))).isGreaterThan(50);
    var prepared = rovingglyph.TestScenes.prepare(document(wave, "ab", "", ""));
    double[] first = prepared.at(0).numbers();
    double[] later = prepared.at(1).numbers();
    assertThat(later).isNotEqualTo(first);
    assertThat(prepared.at(0).numbers()).isEqualTo(first);
  }

  @Test
  void earlierCirclesAreReadWithTheirCentreAndDirection() {
    GuidePath p =
        path(
            "\"kind\":\"circle\",\"centre\":[30,40],\"radius\":9,\"direction\":\"counterclockwise\"");
    assertThat(p.movable(Channel.X).base()).isEqualTo(30);
    assertThat(GuideContour.of(p).at(1).point().x()).isLessThan(30);
  }

  @Test
  void anArcIsToldByChordAndHeightToo() {
    GuidePath arc =
        path(
            "\"kind\":\"arc\",\"x\":100,\"y\":100,\"radius\":200,\"startAngle\":-150,\"sweep\":120");
    Scene s =
        SceneCodec.read(
            document(
                "{\"id\":\"p\",\"kind\":\"arc\",\"radius\":200,\"startAngle\":-150,\"sweep\":120}",
                "a",
                "",
                ""));
    Scene e = SceneEdits.apply(s, "{\"op\":\"chord\",\"path\":\"p\",\"chord\":300,\"height\":80}");
    Contour before = GuideContour.of(s.path("p"));
    Contour c = GuideContour.of(e.path("p"));
    assertThat(c.at(0).point().distance(c.at(c.length()).point())).isCloseTo(300, within(1e-9));
    assertThat(c.at(c.length() / 2).point().distance(before.at(before.length() / 2).point()))
        .isLessThan(1e-9);
    assertThat(ArcByChord.chord(200, 120)).isCloseTo(200 * Math.sqrt(3), within(1e-9));
    assertThat(ArcByChord.height(200, 120)).isCloseTo(100, within(1e-9));
    assertThat(arc).isNotNull();
  }

  @Test
  void aClosedShapeBeginsWhereItIsClicked() {
    for (String kind : List.of("ellipse", "rectangle", "star", "circle", "polygon")) {
      for (String way : List.of("false", "true")) {
        String fields = "\"id\":\"p\",\"kind\":\"" + kind + "\",\"reversed\":" + way;
        Scene s = SceneCodec.read(document("{" + fields + "}", "a", "", ""));
        Point on = GuideContour.of(s.path("p")).at(321).point();
        Scene e =
            SceneEdits.apply(
                s, "{\"op\":\"startAt\",\"path\":\"p\",\"x\":" + on.x() + ",\"y\":" + on.y() + "}");
        assertThat(GuideContour.of(e.path("p")).at(0).point().distance(on)).isLessThan(1e-3);
      }
    }
  }

  @Test
  void smoothCurvesGoThroughOrNearTheirPoints() {
    String points = "\"points\":[[0,0],[100,-80],[220,40],[300,0]]";
    Contour through = contour("\"kind\":\"smooth\"," + points);
    for (Point p : List.of(new Point(0, 0), new Point(100, -80), new Point(220, 40))) {
      assertThat(through.nearest(p).point().distance(p)).isLessThan(1e-6);
    }
    assertThat(through.corners()).isEmpty();
    Contour near = contour("\"kind\":\"smooth\",\"rule\":\"near\"," + points);
    assertThat(near.at(0).point().length()).isLessThan(1e-9);
    assertThat(near.nearest(new Point(100, -80)).point().distance(new Point(100, -80)))
        .isBetween(5.0, 60.0);
    Contour closed = contour("\"kind\":\"smooth\",\"closed\":true," + points);
    assertThat(closed.closed()).isTrue();
    assertThat(closed.corners()).isEmpty();
  }

  @Test
  void aFreehandStrokeIsSteadiedAndFittedWithFewPoints() {
    StringBuilder samples = new StringBuilder();
    java.util.Random r = new java.util.Random(3);
    for (int i = 0; i <= 500; i++) {
      double x = 2.0 * i;
      double y = 120 * Math.sin(i / 80.0) + r.nextDouble() * 4 - 2;
      samples.append(i > 0 ? "," : "").append("[" + x + "," + y + "]");
    }
    String stroke = "\"kind\":\"freehand\",\"samples\":[" + samples + "]";
    FreehandCurve.Drawn fitted = fitted(stroke + ",\"steadiness\":40,\"simplicity\":30");
    assertThat(fitted.cubics()).hasSizeLessThan(25);
    assertThat(fitted.error()).isBetween(0.5, 20.0);
    int simpler = fitted(stroke + ",\"steadiness\":40,\"simplicity\":60").cubics().size();
    int closer = fitted(stroke + ",\"steadiness\":0,\"simplicity\":0").cubics().size();
    assertThat(simpler).isLessThan(fitted.cubics().size() + 1);
    assertThat(closer).isGreaterThan(2 * fitted.cubics().size());
  }

  private static FreehandCurve.Drawn fitted(String fields) {
    return FreehandCurve.of((rovingglyph.scene.FreehandPath) path(fields));
  }

  @Test
  void aShapeOverTimeGoesFromPointToPointAlsoWithUnlikeCounts() {
    String moving =
        "\"kind\":\"drawn\",\"points\":[{\"x\":0,\"y\":0},{\"x\":400,\"y\":0}],\"shapes\":["
            + "{\"time\":0,\"points\":[{\"x\":0,\"y\":0},{\"x\":400,\"y\":0}]},"
            + "{\"time\":2,\"points\":[{\"x\":0,\"y\":200},{\"x\":100,\"y\":100},{\"x\":400,\"y\":200}]}]";
    GuidePath p = path(moving);
    assertThat(GuideContour.moves(p)).isTrue();
    assertThat(GuideContour.of(p, 0).length()).isCloseTo(400, within(1e-9));
    Contour half = GuideContour.of(p, 1);
    assertThat(half.at(0).point()).isEqualTo(new Point(0, 100));
    assertThat(half.at(half.length()).point()).isEqualTo(new Point(400, 100));
    assertThat(half.nearest(new Point(110, 50)).point().y()).isLessThan(60);
    assertThat(GuideContour.of(p, 99).at(0).point()).isEqualTo(new Point(0, 200));
  }

  @Test
  void badPathsAreToldWithTheFieldAndTheRemedy() {
    Stream.of(
            "\"kind\":\"circle\",\"radius\":0|radius",
            "\"kind\":\"star\",\"count\":1|count",
            "\"kind\":\"wave\",\"cycles\":1e308|cycles",
            "\"kind\":\"smooth\",\"points\":[[1,2]]|two points",
            "\"kind\":\"smooth\",\"points\":[[1,2],[1,2]]|one spot",
            "\"kind\":\"smooth\",\"points\":[[1,\"x\"],[1,2]]|pair of numbers",
            "\"kind\":\"freehand\",\"samples\":7|samples",
            "\"kind\":\"squiggle\"|squiggle")
        .map(s -> s.split("\\|"))
        .forEach(
            c ->
                org.assertj.core.api.Assertions.assertThatThrownBy(() -> path(c[0]))
                    .hasMessageContaining(c[1]));
  }
}
