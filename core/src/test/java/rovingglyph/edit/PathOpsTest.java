package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;

import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SmoothPath;

class PathOpsTest {
  private static final String ARCH =
      "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":["
          + "{\"x\":0,\"y\":300,\"out\":[60,-90]},{\"x\":150,\"y\":120,\"in\":[-60,50],\"out\":[60,-50]},"
          + "{\"x\":400,\"y\":100,\"in\":[-90,-20],\"out\":[90,20]},"
          + "{\"x\":700,\"y\":300,\"in\":[-80,-120]}]}";

  private static Scene scene(String path, String seat) {
    return SceneCodec.read(document(path, "ab", seat, ""));
  }

  private static Scene edit(Scene s, String op, String more) {
    return SceneEdits.apply(s, "{\"op\":\"" + op + "\"" + (more.isEmpty() ? "" : "," + more) + "}");
  }

  private static Scene onPath(Scene s, String op, String more) {
    return edit(s, op, "\"path\":\"p\"" + (more.isEmpty() ? "" : "," + more));
  }

  private static List<Knot> knots(Scene s) {
    return ((DrawnPath) s.path("p")).points();
  }

  private static double length(Scene s) {
    return GuideContour.of(s.path("p")).length();
  }

  private static Lettering lettering(Scene s) {
    return s.letterings().get(0);
  }

  @Test
  void offsetsKeepTheirShareOfTheLengthOrTheirDistance() {
    String moving = offsets("{\"time\":0,\"value\":-80}", "{\"time\":2,\"value\":400}");
    Scene share = scene(LINE, moving);
    Scene after = onPath(share, "movePoint", "\"index\":1,\"x\":1700,\"y\":500");
    assertThat(length(after)).isCloseTo(1600, within(1e-9));
    assertThat(lettering(after).movable(Channel.PATH_OFFSET).keyframes())
        .extracting(k -> k.value())
        .containsExactly(-160.0, 800.0);
    Scene distance = scene(LINE, moving + ",\"reshape\":\"keep-distance\"");
    after = onPath(distance, "movePoint", "\"index\":1,\"x\":1700,\"y\":500");
    assertThat(lettering(after).movable(Channel.PATH_OFFSET).keyframes())
        .extracting(k -> k.value())
        .containsExactly(-80.0, 400.0);
    Scene wider =
        edit(
            scene(CIRCLE, "\"pathOffset\":100"),
            "set",
            "\"item\":\"p\",\"channel\":\"radius\",\"time\":0,\"value\":400");
    assertThat(lettering(wider).movable(Channel.PATH_OFFSET).base()).isCloseTo(200, within(1e-9));
  }

  @Test
  void aPinnedLetteringStaysOnItsSpotWhenAnotherPartIsReshaped() {
    Scene s =
        edit(scene(ARCH, "\"align\":\"middle\",\"startMargin\":200"), "pin", "\"item\":\"l\"");
    Point spot = GuideContour.of(s.path("p")).at(lettering(s).seat().pin()).point();
    Scene after = onPath(s, "movePoint", "\"index\":0,\"x\":-500,\"y\":900");
    Point now = GuideContour.of(after.path("p")).at(lettering(after).seat().pin()).point();
    assertThat(now.distance(spot)).isLessThan(1e-3);
    Scene back = onPath(after, "reverse", "");
    Point turned = GuideContour.of(back.path("p")).at(lettering(back).seat().pin()).point();
    assertThat(turned.distance(spot)).isLessThan(1e-3);
    assertThat(lettering(edit(back, "pin", "\"item\":\"l\",\"on\":false")).seat().pin()).isNull();
  }

  @Test
  void deletedPointsLeaveTheirNeighboursRefitted() {
    Scene s = scene(ARCH, "");
    Contour before = GuideContour.of(s.path("p"));
    Scene after = onPath(s, "delete", "\"indexes\":[1,2]");
    assertThat(knots(after)).hasSize(2);
    Contour now = GuideContour.of(after.path("p"));
    double worst = 0;
    for (int i = 0; i <= 50; i++) {
      Point p = before.at(before.length() * i / 50).point();
      worst = Math.max(worst, now.nearest(p).point().distance(p));
    }
    assertThat(worst).isLessThan(40);
    assertThat(now.at(0).tangent().distance(before.at(0).tangent())).isLessThan(1e-6);
    Scene straight = scene(rovingglyph.TestScenes.drawn(0, 0, 50, 90, 100, 0), "");
    Scene line = onPath(straight, "delete", "\"index\":1");
    assertThat(GuideContour.of(line.path("p")).length()).isCloseTo(100, within(1e-9));
  }

  @Test
  void handlesAreBrokenJoinedAndMadeSymmetric() {
    Scene s = scene(ARCH, "");
    Scene broken = onPath(s, "moveOut", "\"index\":1,\"x\":150,\"y\":20,\"broken\":true");
    assertThat(knots(broken).get(1).kind()).isEqualTo(Knot.Kind.CORNER);
    assertThat(knots(broken).get(1).in()).isEqualTo(new Point(-60, 50));
    Scene joined = onPath(broken, "kind", "\"indexes\":[1],\"kind\":\"smooth\"");
    Knot k = knots(joined).get(1);
    assertThat(k.in().unit().plus(k.out().unit()).length()).isLessThan(1e-9);
    assertThat(k.out().length()).isCloseTo(100, within(1e-9));
    Knot even = knots(onPath(joined, "kind", "\"index\":1,\"kind\":\"symmetric\"")).get(1);
    assertThat(even.in().plus(even.out()).length()).isLessThan(1e-9);
    Scene moved =
        onPath(
            onPath(joined, "kind", "\"index\":1,\"kind\":\"symmetric\""),
            "moveIn",
            "\"index\":1,\"x\":100,\"y\":120");
    assertThat(knots(moved).get(1).out())
        .satisfies(p -> assertThat(p.distance(new Point(50, 0))).isZero());
    Knot smooth = knots(onPath(s, "smooth", "\"indexes\":[1,2]")).get(2);
    assertThat(smooth.out().length()).isCloseTo(new Point(300, 200).length() / 3, within(1e-9));
  }

  @Test
  void chosenPointsMoveAlignAndSpread() {
    Scene s = scene(ARCH, "");
    assertThat(knots(onPath(s, "movePoints", "\"indexes\":[1,2],\"x\":5,\"y\":-7")).get(2).at())
        .isEqualTo(new Point(405, 93));
    assertThat(knots(onPath(s, "align", "\"indexes\":[0,1,3],\"edge\":\"bottom\"")))
        .extracting(k -> k.at().y())
        .containsExactly(300.0, 300.0, 100.0, 300.0);
    assertThat(knots(onPath(s, "distribute", "\"indexes\":[0,1,2,3],\"across\":true")))
        .extracting(k -> Math.round(k.at().x()))
        .containsExactly(0L, 233L, 467L, 700L);
    assertThatThrownBy(() -> onPath(s, "align", "\"indexes\":[9],\"edge\":\"top\""))
        .hasMessageContaining("no point 10");
  }

  @Test
  void cutsAndJoinsUndoEachOther() {
    Scene s = scene(ARCH, "");
    Scene two = onPath(s, "cut", "\"index\":2,\"id\":\"q\"");
    assertThat(two.paths()).hasSize(2);
    assertThat(knots(two)).hasSize(3);
    Scene one = onPath(two, "join", "\"other\":\"q\"");
    assertThat(one.paths()).hasSize(1);
    assertThat(length(one)).isCloseTo(length(s), within(1e-9));
    Scene closed = onPath(s, "close", "");
    Scene opened = onPath(closed, "cut", "\"index\":1");
    assertThat(knots(opened)).hasSize(5);
    assertThat(knots(opened).get(0).at()).isEqualTo(knots(opened).get(4).at());
    assertThat(length(opened)).isCloseTo(length(closed), within(1e-9));
    assertThatThrownBy(() -> onPath(s, "cut", "\"index\":0")).hasMessageContaining("between");
    assertThatThrownBy(() -> onPath(closed, "join", "\"other\":\"p\""))
        .hasMessageContaining("itself");
  }

  @Test
  void joinedPathsTakeTheNearestEndsAndTheirLetterings() {
    String two = LINE + ",{\"id\":\"q\",\"kind\":\"line\",\"x\":1200,\"y\":520,\"length\":500}";
    Scene s =
        SceneCodec.read(document(two, "ab", "", "").replace("\"path\":\"p\"", "\"path\":\"q\""));
    Scene joined = onPath(s, "join", "\"other\":\"q\"");
    assertThat(lettering(joined).path()).isEqualTo("p");
    double gap = new Point(50, 20).length();
    assertThat(length(joined)).isCloseTo(800 + gap + 500, within(1e-9));
  }

  @Test
  void simplifyingTakesPointsAwayWithinTheTolerance() {
    Scene wave = scene("{\"id\":\"p\",\"kind\":\"wave\",\"x\":500,\"y\":500}", "");
    Scene points = onPath(wave, "toPoints", "");
    Scene simple = onPath(points, "simplify", "\"tolerance\":1");
    assertThat(knots(simple).size()).isLessThan(knots(points).size() / 2);
    Contour c = GuideContour.of(simple.path("p"));
    for (Knot k : knots(points)) {
      assertThat(c.nearest(k.at()).point().distance(k.at())).isLessThan(1.2);
    }
  }

  @Test
  void pathsFitTheFrameAndTurnAboutAPoint() {
    Scene s = onPath(scene(ARCH, ""), "fit", "");
    var box = GuideContour.of(s.path("p")).bounds();
    assertThat(box.width()).isCloseTo(800, within(1e-6));
    assertThat(box.centre().x()).isCloseTo(500, within(1e-6));
    Scene turned = onPath(scene(LINE, ""), "rotate", "\"x\":100,\"y\":500,\"angle\":90");
    assertThat(knots(turned).get(1).at().y()).isCloseTo(1300, within(1e-9));
    Scene dragged = onPath(scene(LINE, ""), "dragEnd", "\"last\":true,\"x\":100,\"y\":900");
    assertThat(knots(dragged).get(1).at().distance(new Point(100, 900))).isLessThan(1e-9);
  }

  @Test
  void aPathInUseIsDeletedWithACopyKeptOrAnotherTaken() {
    Scene s = edit(scene(LINE, ""), "newShape", "\"id\":\"q\",\"kind\":\"circle\"");
    Scene kept = edit(s, "deletePath", "\"of\":\"p\"");
    assertThat(kept.path("p")).isNull();
    Contour copy = GuideContour.of(kept.path(lettering(kept).path()));
    assertThat(copy.length()).isCloseTo(800, within(1e-9));
    Scene other = edit(s, "deletePath", "\"of\":\"p\",\"to\":\"q\"");
    assertThat(lettering(other).path()).isEqualTo("q");
    assertThat(other.paths()).hasSize(1);
  }

  @Test
  void copiesStandBesideAndParallelsAtTheirDistance() {
    Scene s = scene(CIRCLE, "");
    Scene ring = edit(s, "parallelPath", "\"of\":\"p\",\"id\":\"q\",\"distance\":50");
    assertThat(ring.path("q").movable(Channel.RADIUS).base()).isEqualTo(250);
    Scene inner =
        edit(onPath(s, "reverse", ""), "parallelPath", "\"of\":\"p\",\"id\":\"q\",\"distance\":50");
    assertThat(inner.path("q").movable(Channel.RADIUS).base()).isEqualTo(150);
    Scene beside =
        edit(scene(ARCH, ""), "parallelPath", "\"of\":\"p\",\"id\":\"q\",\"distance\":30");
    Contour a = GuideContour.of(beside.path("p"));
    Contour b = GuideContour.of(beside.path("q"));
    for (int i = 0; i <= 20; i++) {
      Point p = b.at(b.length() * i / 20).point();
      assertThat(a.nearest(p).point().distance(p)).isCloseTo(30, within(0.5));
    }
    Scene copy = edit(s, "duplicatePath", "\"of\":\"p\",\"id\":\"q\",\"seat\":\"l\"");
    assertThat(lettering(copy).path()).isEqualTo("q");
    assertThat(copy.path("q").movable(Channel.X).base()).isEqualTo(530);
  }

  @Test
  void importedPathsComeInTogetherAndSeatTheLettering() {
    Scene s =
        edit(
            scene(LINE, ""),
            "importPaths",
            "\"fit\":true,\"seat\":\"l\",\"paths\":[{\"id\":\"a\",\"name\":\"A\",\"d\":\"M0 0Q10 -20 20 0\"},"
                + "{\"id\":\"b\",\"d\":\"M0 10A5 5 0 1 1 10 10Z\"}]");
    assertThat(s.paths()).hasSize(3);
    assertThat(lettering(s).path()).isEqualTo("a");
    assertThat(GuideContour.of(s.path("a")).bounds().width()).isGreaterThan(500);
    assertThat(((DrawnPath) s.path("b")).closed()).isTrue();
    assertThatThrownBy(() -> edit(s, "importPaths", "\"paths\":[{\"id\":\"c\",\"d\":\"nothing\"}]"))
        .hasMessageContaining("draws nothing");
  }

  @Test
  void smoothPathsGainAndLosePoints() {
    Scene s = scene("{\"id\":\"p\",\"kind\":\"smooth\",\"points\":[[0,0],[100,0],[200,0]]}", "");
    Scene more = onPath(s, "insert", "\"x\":140,\"y\":12");
    assertThat(((SmoothPath) more.path("p")).points())
        .containsExactly(new Point(0, 0), new Point(100, 0), new Point(140, 12), new Point(200, 0));
    Scene fewer = onPath(more, "delete", "\"indexes\":[0,2]");
    assertThat(((SmoothPath) fewer.path("p")).points()).hasSize(2);
    assertThatThrownBy(() -> onPath(fewer, "delete", "\"index\":0"))
        .hasMessageContaining("two points");
    Scene near = onPath(s, "rule", "\"rule\":\"near\"");
    assertThat(((SmoothPath) near.path("p")).rule()).isEqualTo(SmoothPath.Rule.NEAR);
  }

  @Test
  void aPathChangesShapeOnlyWhenAskedTo() {
    Scene s = scene(LINE, "");
    Scene on = onPath(s, "changeShape", "\"on\":true,\"time\":0");
    Scene later = onPath(on, "movePoint", "\"index\":1,\"x\":900,\"y\":100,\"time\":2");
    assertThat(((DrawnPath) later.path("p")).shapes()).hasSize(2);
    assertThat(GuideContour.of(later.path("p"), 0).length()).isCloseTo(800, within(1e-9));
    assertThat(GuideContour.of(later.path("p"), 1).at(9e9).point()).isEqualTo(new Point(900, 300));
    assertThat(SceneCodec.read(SceneCodec.write(later)).path("p")).isEqualTo(later.path("p"));
    Scene off = onPath(later, "changeShape", "\"on\":false,\"time\":2");
    assertThat(((DrawnPath) off.path("p")).shapes()).isEmpty();
    assertThat(knots(off).get(1).at()).isEqualTo(new Point(900, 100));
  }

  @Test
  void aLetteringIsAddedOnThePathOrOnANewCircle() {
    Scene empty =
        SceneCodec.read(
            "{\"format\":\"roving-glyph-scene\",\"version\":1,\"width\":1000,\"height\":500}");
    Scene s = edit(empty, "addLettering", "\"id\":\"n\",\"circle\":\"c\"");
    assertThat(lettering(s).path()).isEqualTo("c");
    assertThat(lettering(s).movable(Channel.SIZE).base()).isEqualTo(50);
    Scene more = edit(scene(LINE, ""), "addLettering", "\"id\":\"n\",\"on\":\"p\"");
    assertThat(more.letterings().get(1).path()).isEqualTo("p");
    assertThat(SceneCodec.read(SceneCodec.write(more)).stack()).endsWith("n");
  }
}
