package rovingglyph.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.drawn;
import static rovingglyph.TestScenes.offsets;
import static rovingglyph.TestScenes.prepare;
import static rovingglyph.TestScenes.with;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;

/** Landings in a frame of 1000 px with boxes from 10 to 40 px in each letter's 50 px. */
class LandingTest {
  private static final String ENTER_AND_LEAVE =
      offsets(
          "{\"time\":0,\"value\":0,\"landing\":\"out-before\"}",
          "{\"time\":1,\"value\":0,\"landing\":\"at-rest\"}",
          "{\"time\":2,\"value\":33,\"landing\":\"at-rest\"}",
          "{\"time\":3,\"value\":0,\"landing\":\"out-after\"}");

  private static List<Keyframe> solved(String document) {
    return prepare(document)
        .letterings()
        .get("l")
        .lettering()
        .movable(Channel.PATH_OFFSET)
        .keyframes();
  }

  @Test
  void justOutOfFrameIsMeasuredOnTheOutlines() {
    List<Keyframe> keys =
        solved(
            document(
                drawn(-200, 500, 1200, 500),
                "abcd",
                ENTER_AND_LEAVE + ",\"align\":\"middle\"",
                ""));
    // At rest the text runs from 400 to 600 and its ink from 410 to 590.
    assertThat(keys.get(0).value()).isCloseTo(-590, within(0.01)).isLessThanOrEqualTo(-590);
    assertThat(keys.get(1).value()).isZero();
    assertThat(keys.get(2).value()).isZero();
    assertThat(keys.get(3).value()).isCloseTo(590, within(0.01)).isGreaterThanOrEqualTo(590);
  }

  @Test
  void noOutlineTouchesTheFrameThereAndOneDoesAHairFurtherIn() {
    String arch =
        "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":["
            + "{\"x\":-100,\"y\":900,\"out\":[300,-700]},{\"x\":1100,\"y\":800,\"in\":[-300,-900]}]}";
    PreparedScene scene =
        prepare(document(arch, "kites", ENTER_AND_LEAVE + ",\"align\":\"middle\"", ""));
    PreparedLettering l = scene.letterings().get("l");
    for (double t : new double[] {0, 3}) {
      double inward = t == 0 ? 0.01 : -0.01;
      double offset = l.values(t).pathOffset();
      assertThat(l.touches(l.values(t), scene.area())).isFalse();
      assertThat(l.touches(l.values(t).with(Channel.PATH_OFFSET, offset + inward), scene.area()))
          .isTrue();
    }
  }

  private static Stream<Arguments> insides() {
    String arch =
        "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":["
            + "{\"x\":-100,\"y\":900,\"out\":[300,-700]},{\"x\":1100,\"y\":800,\"in\":[-300,-900]}]}";
    return Stream.of(drawn(-200, 500, 1200, 500), arch, drawn(500, -300, 420, 1300))
        .flatMap(
            path ->
                Stream.of(0.0, 24.0, 120.5)
                    .flatMap(px -> Stream.of("", GROUPED).map(g -> Arguments.of(path, px, g))));
  }

  private static final String GROUPED =
      "\"groups\":[{\"id\":\"g\",\"members\":[\"l\"],\"centre\":[500,500],\"x\":510,"
          + "\"y\":490,\"scale\":0.8,\"rotation\":20}]";

  @ParameterizedTest
  @MethodSource("insides")
  void justInsideAllIsSoFarFromTheEdgesAndAHairFurtherOutIsNot(
      String path, double px, String groups) {
    String land = "{\"time\":%d,\"value\":0,\"landing\":\"%s\",\"distance\":" + px + "}";
    String offset =
        offsets(
            land.formatted(0, "inside-before"),
            "{\"time\":1,\"value\":0,\"landing\":\"at-rest\"}",
            land.formatted(3, "inside-after"));
    String document =
        document(
            path,
            "kites",
            offset + ",\"align\":\"middle\"",
            "\"rotation\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":30}]}");
    PreparedScene scene = prepare(groups.isEmpty() ? document : with(document, groups));
    PreparedLettering l = scene.letterings().get("l");
    assertThat(l.unsolved()).isEmpty();
    for (double t : new double[] {0, 3}) {
      double offsetThere = l.values(t).pathOffset();
      double outwards = t == 0 ? -0.02 : 0.02;
      assertThat(keepsOff(scene, l, t, offsetThere, px - 0.01)).isTrue();
      assertThat(keepsOff(scene, l, t, offsetThere + outwards, px)).isFalse();
    }
  }

  private static boolean keepsOff(
      PreparedScene scene, PreparedLettering l, double t, double offset, double px) {
    Rect in = scene.area().grown(-px);
    double far = 1e6;
    return Stream.of(
            new Rect(-far, -far, in.left(), far),
            new Rect(in.right(), -far, far, far),
            new Rect(-far, -far, far, in.top()),
            new Rect(-far, in.bottom(), far, far))
        .noneMatch(r -> l.touches(l.values(t).with(Channel.PATH_OFFSET, offset), r));
  }

  @Test
  void whereItFitsNowhereItIsTold() {
    String far = "{\"time\":0,\"value\":7,\"landing\":\"inside-after\",\"distance\":450}";
    PreparedScene scene = prepare(document(CIRCLE, "kites aloft", offsets(far), ""));
    assertThat(scene.letterings().get("l").values(0).pathOffset()).isEqualTo(7);
    assertThat(rovingglyph.proof.Proof.of(scene))
        .anyMatch(f -> f.message().contains("nowhere wholly so far inside"));
  }

  @Test
  void theSizeAtTheKeyframeCounts() {
    String growing =
        "\"size\":{\"keyframes\":[{\"time\":0,\"value\":200},{\"time\":1,\"value\":100}]}";
    String scene =
        document(
                drawn(-200, 500, 1200, 500), "abcd", ENTER_AND_LEAVE + ",\"align\":\"middle\"", "X")
            .replace("\"size\":100,", "")
            .replace("X", growing);
    assertThat(solved(scene).get(0).value()).isCloseTo(-500 - 180, within(0.01));
  }

  @Test
  void wholeLapsAreMultiplesOfTheLength() {
    List<Keyframe> keys =
        solved(
            document(
                CIRCLE,
                "ab",
                offsets(
                    "{\"time\":0,\"value\":0,\"landing\":\"at-rest\"}",
                    "{\"time\":4,\"value\":0,\"landing\":\"whole-laps\",\"laps\":-2}"),
                ""));
    assertThat(keys.get(1).value()).isCloseTo(-2 * 2 * Math.PI * 200, within(1e-9));
  }

  @Test
  void aLandingWithoutSolutionKeepsItsValueAndIsTold() {
    PreparedScene scene =
        prepare(
            document(
                CIRCLE,
                "ab",
                offsets("{\"time\":0,\"value\":123,\"landing\":\"out-before\"}"),
                ""));
    assertThat(scene.letterings().get("l").unsolved()).containsExactly(0);
    assertThat(scene.letterings().get("l").values(0).pathOffset()).isEqualTo(123);
    assertThat(rovingglyph.proof.Proof.of(scene))
        .anyMatch(f -> f.message().contains("never gets out of the frame"));
  }

  @Test
  void twoOutLandingsAloneAreMeasuredFromTheRestingPlace() {
    List<Keyframe> keys =
        solved(
            document(
                drawn(-200, 500, 1200, 500),
                "abcd",
                "\"align\":\"middle\","
                    + offsets(
                        "{\"time\":0,\"value\":0,\"landing\":\"out-before\"}",
                        "{\"time\":4,\"value\":0,\"landing\":\"out-after\"}"),
                ""));
    assertThat(keys.get(0).value()).isCloseTo(-590, within(0.01));
    assertThat(keys.get(1).value()).isCloseTo(590, within(0.01));
  }
}
