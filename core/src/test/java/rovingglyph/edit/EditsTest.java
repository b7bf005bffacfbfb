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
import rovingglyph.motion.Timeline;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Easing;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Scene;

class EditsTest {
  private static final String MOVING =
      document(
          LINE,
          "a",
          offsets(
              "{\"time\":0,\"value\":0,\"easing\":\"gentle-stop\"}",
              "{\"time\":2,\"value\":100,\"landing\":\"at-rest\"}"),
          "");

  private static AnimatedValue edited(String json, String edit) {
    return SceneEdits.apply(SceneCodec.read(json), edit).item("l").movable(Channel.PATH_OFFSET);
  }

  private static String edit(String op, String more) {
    return "{\"op\":\"%s\",\"item\":\"l\",\"channel\":\"pathOffset\",%s}".formatted(op, more);
  }

  @Test
  void aStillValueStaysStillAndAMovingOneGetsAKeyframe() {
    AnimatedValue still =
        edited(document(LINE, "a", "", ""), edit("set", "\"time\":1,\"value\":7"));
    assertThat(still).isEqualTo(new AnimatedValue(7));
    AnimatedValue moving = edited(MOVING, edit("set", "\"time\":1.01,\"value\":7"));
    assertThat(moving.keyframes()).extracting(Keyframe::time).containsExactly(0.0, 1.0, 2.0);
    assertThat(moving.keyframes().get(1).easing()).isEqualTo(Easing.EASE_OUT);
  }

  @Test
  void settingALandingMakesItAPlainKeyframe() {
    Keyframe k = edited(MOVING, edit("set", "\"time\":2,\"value\":7")).keyframes().get(1);
    assertThat(k.landing()).isNull();
    assertThat(k.value()).isEqualTo(7);
  }

  @Test
  void theRingSetsThePresentValueAndTakesTheLastKeyframeAway() {
    AnimatedValue more = edited(MOVING, edit("toggle", "\"time\":1"));
    double before = Timeline.value(edited(MOVING, edit("move", "\"index\":0,\"time\":0")), 1);
    assertThat(more.keyframes().get(1).value()).isCloseTo(before, within(1e-12));
    String one = document(LINE, "a", offsets("{\"time\":1,\"value\":42}"), "");
    assertThat(edited(one, edit("toggle", "\"time\":1"))).isEqualTo(new AnimatedValue(42));
  }

  @Test
  void aKeyframeMovesPastItsNeighbourButNotOntoIt() {
    AnimatedValue past = edited(MOVING, edit("move", "\"index\":0,\"time\":3,\"value\":5"));
    assertThat(past.keyframes()).extracting(Keyframe::time).containsExactly(2.0, 3.0);
    AnimatedValue onto = edited(MOVING, edit("move", "\"index\":0,\"time\":2"));
    assertThat(onto.keyframes()).extracting(Keyframe::time).containsExactly(0.0, 2.0);
    AnimatedValue early = edited(MOVING, edit("move", "\"index\":1,\"time\":-4"));
    assertThat(early.keyframes()).extracting(Keyframe::time).containsExactly(0.0, 2.0);
  }

  @Test
  void movingInTimeKeepsTheLandingAndAcrossEndsIt() {
    assertThat(edited(MOVING, edit("move", "\"index\":1,\"time\":1")).keyframes().get(1).landing())
        .isNotNull();
    assertThat(
            edited(MOVING, edit("move", "\"index\":1,\"time\":2,\"value\":9"))
                .keyframes()
                .get(1)
                .landing())
        .isNull();
  }

  @Test
  void valuesAreBroughtIntoTheRangeOfTheChannel() {
    Scene s = SceneCodec.read(MOVING);
    Scene e =
        SceneEdits.apply(
            s, "{\"op\":\"set\",\"item\":\"l\",\"channel\":\"opacity\",\"time\":0,\"value\":250}");
    assertThat(e.item("l").movable(Channel.OPACITY).base()).isEqualTo(100);
  }

  @Test
  void editsOfWhatIsNotThereAreRefusedInPlainWords() {
    assertThatThrownBy(() -> edited(MOVING, edit("remove", "\"index\":9")))
        .hasMessageContaining("no keyframe 9");
    assertThatThrownBy(() -> edited(MOVING, edit("dance", "\"time\":1")))
        .hasMessageContaining("no edit");
    assertThatThrownBy(() -> edited(MOVING, edit("set", "\"time\":1")))
        .hasMessageContaining("value");
  }

  private static GuidePath path(String path, String edit) {
    Scene scene = SceneCodec.read(document(path, "a", "", ""));
    return SceneEdits.apply(scene, "{\"path\":\"p\"," + edit + "}").path("p");
  }

  private static final String CURVE =
      "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":0,\"y\":0,\"out\":[100,-200]},"
          + "{\"x\":300,\"y\":40,\"in\":[-90,80],\"out\":[90,-80]},{\"x\":600,\"y\":0,\"in\":[-50,50]}]}";

  private static double farthest(GuidePath a, GuidePath b) {
    Contour one = GuideContour.of(a);
    Contour other = GuideContour.of(b);
    double worst = 0;
    for (double d = 0; d <= one.length(); d += one.length() / 50) {
      worst = Math.max(worst, one.at(d).point().distance(other.at(d).point()));
    }
    return worst;
  }

  @Test
  void aPointAddedOnTheLineKeepsItsShape() {
    GuidePath before = SceneCodec.read(document(CURVE, "a", "", "")).path("p");
    GuidePath after = path(CURVE, "\"op\":\"insert\",\"x\":140,\"y\":-60");
    assertThat(((DrawnPath) after).points()).hasSize(4);
    assertThat(farthest(before, after)).isLessThan(1e-6);
  }

  @Test
  void aPointCanBeAddedOnTheClosingSegment() {
    String closed = CURVE.replace("\"points\"", "\"closed\":true,\"points\"");
    DrawnPath after = (DrawnPath) path(closed, "\"op\":\"insert\",\"x\":300,\"y\":0");
    GuidePath before = SceneCodec.read(document(closed, "a", "", "")).path("p");
    assertThat(after.points()).hasSize(4);
    assertThat(farthest(before, after)).isLessThan(1e-6);
  }

  @Test
  void reversingTwiceGivesTheSamePath() {
    for (String p :
        List.of(CURVE, CURVE.replace("\"points\"", "\"closed\":true,\"points\""), CIRCLE)) {
      GuidePath before = SceneCodec.read(document(p, "a", "", "")).path("p");
      GuidePath once = PathEdits.reverse(before);
      assertThat(PathEdits.reverse(once)).isEqualTo(before);
      double length = GuideContour.of(before).length();
      Point there = GuideContour.of(before).at(length / 3).point();
      assertThat(GuideContour.of(once).at(length * 2 / 3).point().distance(there)).isLessThan(1e-6);
    }
  }

  @Test
  void theOtherHandleOfASmoothPointStaysInLine() {
    DrawnPath d = (DrawnPath) path(CURVE, "\"op\":\"moveOut\",\"index\":1,\"x\":300,\"y\":-160");
    Point in = d.points().get(1).in();
    assertThat(in.x()).isCloseTo(0, within(1e-9));
    assertThat(in.length()).isCloseTo(Math.hypot(90, 80), within(1e-9));
  }

  @Test
  void deletingDownToOnePointIsRefused() {
    assertThatThrownBy(() -> path(LINE, "\"op\":\"delete\",\"index\":0"))
        .hasMessageContaining("two points");
  }

  @Test
  void circleHandlesSetRadiusAndStart() {
    GuidePath c = path(CIRCLE, "\"op\":\"radius\",\"x\":500,\"y\":750");
    assertThat(c.movable(Channel.RADIUS).base()).isEqualTo(250);
    c = path(CIRCLE, "\"op\":\"startAt\",\"x\":500,\"y\":750");
    assertThat(c.movable(Channel.START_ANGLE).base()).isCloseTo(90, within(1e-6));
    assertThatThrownBy(() -> path(CIRCLE, "\"op\":\"delete\",\"index\":0"))
        .hasMessageContaining("kind of path");
  }
}
