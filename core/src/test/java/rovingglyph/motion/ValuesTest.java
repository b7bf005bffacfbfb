package rovingglyph.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.document.EasingCodec;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Stagger;
import rovingglyph.scene.Sway;
import rovingglyph.scene.Typesetting.ColourMix;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.DocumentException;
import rovingglyph.seat.Placement;

/** Values that cruise, sway, lag behind, follow others, or are colours. */
class ValuesTest {
  private static double offset(PreparedScene s, String id, double time) {
    return s.letterings().get(id).values(time).pathOffset();
  }

  @Test
  void cruiseGoesOnForEverOrWholeLapsInALoop() {
    PreparedScene px =
        prepare(
            document(LINE, "ab", "\"pathOffset\":{\"still\":5,\"cruise\":{\"amount\":30}}", ""));
    assertThat(offset(px, "l", 2)).isCloseTo(65, within(1e-9));
    PreparedScene laps =
        prepare(
            document(
                CIRCLE, "ab", "\"pathOffset\":{\"cruise\":{\"pace\":\"laps\",\"amount\":-2}}", ""));
    assertThat(offset(laps, "l", 4)).isCloseTo(-2 * 2 * Math.PI * 200, within(1e-9));
    // The laps stay laps: an edit must not turn them into px.
    assertThat(SceneCodec.write(laps.scene())).contains("\"pace\":\"laps\",\"amount\":-2");
    PreparedScene letters =
        prepare(
            document(
                LINE, "ab", "\"pathOffset\":{\"cruise\":{\"pace\":\"letters\",\"amount\":3}}", ""));
    assertThat(offset(letters, "l", 1)).isCloseTo(150, within(1e-9));
  }

  @Test
  void swayGoesBackAndForth() {
    Sway sine = new Sway(10, 2, 90, Sway.Shape.SINE, 1, UnknownFields.NONE);
    assertThat(sine.at(0)).isCloseTo(10, within(1e-12));
    assertThat(sine.at(1)).isCloseTo(-10, within(1e-12));
    Sway triangle = new Sway(10, 4, 0, Sway.Shape.TRIANGLE, 1, UnknownFields.NONE);
    assertThat(triangle.at(0)).isCloseTo(0, within(1e-12));
    assertThat(triangle.at(0.5)).isCloseTo(5, within(1e-12));
    assertThat(triangle.at(1)).isCloseTo(10, within(1e-12));
    assertThat(triangle.at(3)).isCloseTo(-10, within(1e-12));
    Sway noise = new Sway(10, 0.5, 0, Sway.Shape.NOISE, 7, UnknownFields.NONE);
    for (double t = 0; t < 8; t += 0.01) {
      assertThat(noise.at(t)).isBetween(-10.0, 10.0);
      assertThat(Math.abs(noise.at(t + 0.01) - noise.at(t))).isLessThan(1);
      assertThat(noise.at(t + 4)).isCloseTo(noise.at(t), within(1e-9));
    }
  }

  @ParameterizedTest
  @CsvSource({"FORWARD,0 1 2 3", "BACKWARD,3 2 1 0", "MIDDLE,1 0 0 1"})
  void lettersLagInOrder(Stagger.Order order, String expected) {
    double[] lags = new Stagger(0.5, order, 1, UnknownFields.NONE).lags(4);
    double[] ranks = Arrays.stream(expected.split(" ")).mapToDouble(Double::parseDouble).toArray();
    for (int i = 0; i < 4; i++) {
      assertThat(lags[i]).isEqualTo(ranks[i] * 0.5);
    }
  }

  @Test
  void atRandomEveryRankIsTakenOnceAndTheSeedDecides() {
    double[] one = new Stagger(1, Stagger.Order.RANDOM, 3, UnknownFields.NONE).lags(40);
    double[] sorted = one.clone();
    Arrays.sort(sorted);
    for (int i = 0; i < 40; i++) {
      assertThat(sorted[i]).isEqualTo(i);
    }
    assertThat(one).isEqualTo(new Stagger(1, Stagger.Order.RANDOM, 3, UnknownFields.NONE).lags(40));
    assertThat(one)
        .isNotEqualTo(new Stagger(1, Stagger.Order.RANDOM, 4, UnknownFields.NONE).lags(40));
  }

  @Test
  void aStaggeredValueReachesLetterByLetter() {
    String rise =
        "\"baselineShift\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":1,\"value\":100}],"
            + "\"stagger\":{\"delay\":0.5}}";
    PreparedLettering l = prepare(document(LINE, "a bc", rise, "")).letterings().get("l");
    List<Placement> p = l.placements(l.values(1));
    assertThat(p.get(0).at().y()).isCloseTo(400, within(1e-9));
    // The space is not counted.
    assertThat(p.get(2).at().y()).isCloseTo(450, within(1e-9));
    assertThat(p.get(3).at().y()).isCloseTo(500, within(1e-9));
  }

  private static String two(String first, String second) {
    return document(LINE, "one", first, "")
        .replace(
            "\"letterings\":[",
            "\"letterings\":[{\"id\":\"m\",\"text\":\"two\",\"path\":\"p\",\"seat\":{"
                + second
                + "}},");
  }

  @Test
  void aValueFollowsAnothersLaterLargerAndElsewhere() {
    String go =
        "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":2,\"value\":100}]}";
    String follow =
        "\"pathOffset\":{\"follow\":{\"lettering\":\"l\",\"factor\":-1,\"delay\":0.5,\"offset\":7}}";
    PreparedScene s = prepare(two(go, follow));
    assertThat(offset(s, "m", 1.5)).isCloseTo(-50 + 7, within(1e-9));
    assertThat(offset(s, "m", 0)).isCloseTo(7, within(1e-9));
  }

  @Test
  void whatFollowedADeletedLetteringStaysWhereItBegins() {
    String go =
        "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":30},{\"time\":2,\"value\":100}]}";
    String follow = "\"pathOffset\":{\"follow\":{\"lettering\":\"l\",\"factor\":2}}";
    Scene prepared = prepare(two(go, follow)).scene();
    Scene left = SceneEdits.apply(prepared, "{\"op\":\"deleteItem\",\"item\":\"l\"}");
    assertThat(left.stack()).containsExactly("m");
    assertThat(left.item("m").movable(Channel.PATH_OFFSET).moves()).isFalse();
    assertThat(left.item("m").movable(Channel.PATH_OFFSET).base()).isEqualTo(60);
    assertThat(SceneCodec.read(SceneCodec.write(left))).isEqualTo(left);
  }

  @Test
  void followingRoundInACircleIsRefusedByName() {
    String to = "\"pathOffset\":{\"follow\":{\"lettering\":\"%s\"}}";
    assertThatThrownBy(() -> SceneCodec.read(two(to.formatted("m"), to.formatted("l"))))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("\u201cone\u201d")
        .hasMessageContaining("\u201ctwo\u201d")
        .hasMessageContaining("circle");
    assertThatThrownBy(() -> SceneCodec.read(two("", to.formatted("nobody"))))
        .hasMessageContaining("nobody");
  }

  @Test
  void coloursAreMixedInTheirSpace() {
    int red = 0xFF0000;
    int blue = 0x0000FF;
    assertThat(Colours.mix(red, blue, 0, ColourMix.OKLCH)).isEqualTo(red);
    assertThat(Colours.mix(red, blue, 1, ColourMix.OKLCH)).isEqualTo(blue);
    assertThat(Colours.mix(red, blue, 0.5, ColourMix.SRGB)).isEqualTo(0x800080);
    // CSS: color-mix(in oklch, red, blue) is oklch(0.54 0.285 326.6), clipped.
    int mid = Colours.mix(red, blue, 0.5, ColourMix.OKLCH);
    assertThat(mid >> 16 & 255).isBetween(180, 200);
    assertThat(mid >> 8 & 255).isZero();
    assertThat(mid & 255).isBetween(180, 200);
    int grey = Colours.mix(0x000000, 0xFFFFFF, 0.5, ColourMix.OKLCH);
    assertThat(grey).isEqualTo(0x636363);
  }

  @Test
  void aMovingColourGoesThroughItsKeyframes() {
    String fill =
        "\"mix\":\"srgb\",\"fill\":{\"keyframes\":[{\"time\":0,\"value\":\"#000000\"},{\"time\":2,\"value\":\"#FF8000\"}]}";
    PreparedScene s = prepare(document(LINE, "a", "", fill));
    assertThat((int) s.letterings().get("l").values(1).get(Channel.FILL)).isEqualTo(0x804000);
    assertThat(SceneCodec.write(s.scene())).contains("\"value\":\"#FF8000\"");
    assertThatThrownBy(
            () -> SceneCodec.read(document(LINE, "a", "", "\"fill\":{\"sway\":{\"amplitude\":1}}")))
        .hasMessageContaining("sway");
  }

  @ParameterizedTest
  @EnumSource(Easing.Kind.class)
  void everyEasingGoesFromNoughtToOne(Easing.Kind kind) {
    Easing e = Easing.of(kind);
    assertThat(Easings.progress(e, 0)).isCloseTo(0, within(1e-12));
    assertThat(Easings.progress(e, 1)).isCloseTo(1, within(1e-12));
    for (double x = 0; x <= 1; x += 0.01) {
      assertThat(Easings.progress(e, x)).isBetween(-1.0, 2.0);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"spring\":[1000000,0.001,0.001]}",
        "{\"spring\":[0.001,1000000,1000000]}",
        "{\"spring\":[100,20,1]}",
        "{\"spring\":[100,500,1]}",
        "{\"bounce\":[20]}",
        "{\"steps\":[1000]}",
        "{\"list\":[-100,100]}"
      })
  void extremeNumbersStayFinite(String json) {
    Easing e = EasingCodec.read(com.eclipsesource.json.Json.parse(json));
    for (double x = 0; x <= 1; x += 0.001) {
      assertThat(Easings.progress(e, x)).isFinite();
    }
  }

  /** CSS Easing Functions Level 2: steps(n) jumps at the end of each step; linear() is even. */
  @Test
  void stepsAndListsAreThoseOfCss() {
    Easing steps = Easing.by(Easing.Kind.STEPS, List.of(4.0));
    assertThat(Easings.progress(steps, 0.24)).isZero();
    assertThat(Easings.progress(steps, 0.25)).isEqualTo(0.25);
    assertThat(Easings.progress(steps, 0.99)).isEqualTo(0.75);
    Easing list = Easing.by(Easing.Kind.LIST, List.of(0.0, 0.25, 1.0));
    assertThat(Easings.progress(list, 0.25)).isCloseTo(0.125, within(1e-12));
    assertThat(Easings.progress(list, 0.75)).isCloseTo(0.625, within(1e-12));
  }

  @Test
  void aSpringSwingsAsTheClosedFormSays() {
    // Critically damped: 1 - (1 + t) e^-t, with t up to where a thousandth is left.
    Easing e = Easing.by(Easing.Kind.SPRING, List.of(100.0, 20.0, 1.0));
    double settled = -Math.log(1e-3);
    double t = settled * 0.3;
    double rest = (1 + settled) * Math.exp(-settled);
    assertThat(Easings.progress(e, 0.3))
        .isCloseTo(1 - (1 + t) * Math.exp(-t) + rest * 0.3, within(1e-9));
    Easing loose = Easing.by(Easing.Kind.SPRING, List.of(100.0, 2.0, 1.0));
    double most = 0;
    for (double x = 0; x < 1; x += 0.001) {
      most = Math.max(most, Easings.progress(loose, x));
    }
    // The first overshoot of a spring with damping 0.1 is e^(-0.1 pi / sqrt(0.99)).
    assertThat(most).isCloseTo(1 + Math.exp(-0.1 * Math.PI / Math.sqrt(0.99)), within(0.01));
  }

  @Test
  void centredInFrameBringsTheMiddleOfTheTextToTheMiddleOfTheFrame() {
    String seat =
        "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0,\"landing\":\"centred\"}]}";
    PreparedLettering l = prepare(document(LINE, "abcd", seat, "")).letterings().get("l");
    List<Placement> p = l.placements(l.values(0));
    assertThat((p.get(1).at().x() + p.get(2).at().x()) / 2).isCloseTo(500, within(1e-3));
  }

  @Test
  void aDocumentWithAllOfItIsReadAsItWasWritten() {
    String seat =
        "\"fit\":\"repeat\",\"method\":\"bent\",\"evenSpacing\":true,\"leastGap\":3,\"seamGap\":4,"
            + "\"overlong\":\"shrink\",\"spreadBy\":\"words\",\"orientation\":\"fixed\",\"fixedAngle\":12,"
            + "\"letterTurn\":{\"still\":1,\"sway\":{\"amplitude\":2,\"period\":3},\"stagger\":{\"delay\":0.1}}";
    String more =
        "\"casing\":\"title\",\"features\":{\"smcp\":1,\"kern\":0},\"mix\":\"srgb\",\"faceName\":\"Own\","
            + "\"phrases\":{\"separator\":\"-\",\"space\":1,\"times\":0},"
            + "\"rules\":[{\"by\":\"word\",\"match\":\"x\",\"axes\":{\"wght\":700},\"size\":50}],"
            + "\"rows\":{\"count\":4,\"kind\":\"parallel\",\"step\":-3,\"phrase\":2,\"phase\":9},"
            + "\"profiles\":[{\"of\":\"axis\",\"axis\":\"wght\",\"along\":\"path\",\"points\":[[0,100],[1,900]]}],"
            + "\"size\":{\"keyframes\":[{\"time\":0,\"value\":9,\"easing\":{\"spring\":[1,2,3]}},"
            + "{\"time\":1,\"value\":20,\"easing\":{\"steps\":[3]}}]}";
    Scene once = SceneCodec.read(document(CIRCLE, "x y", seat, more));
    assertThat(SceneCodec.read(SceneCodec.write(once))).isEqualTo(once);
  }
}
