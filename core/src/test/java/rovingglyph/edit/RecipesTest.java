package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Recipe;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Spelling;

/** The numbers of the recipes, and what they leave alone. Scenes last 4 s at 25 fps. */
class RecipesTest {
  private static Scene with(Scene s, String kind, String more) {
    String rest = more.isEmpty() ? "" : "," + more.replace('\'', '"');
    return SceneEdits.apply(
        s, "{\"op\":\"recipe\",\"item\":\"l\",\"kind\":\"" + kind + "\"" + rest + "}");
  }

  private static Scene on(String path, String kind, String more) {
    return with(SceneCodec.read(document(path, "abcd", "", "")), kind, more);
  }

  private static Lettering lettering(Scene s) {
    return (Lettering) s.item("l");
  }

  private static List<Double> times(AnimatedValue m) {
    return m.keyframes().stream().map(Keyframe::time).toList();
  }

  private static PreparedLettering prepared(Scene s) {
    return prepare(SceneCodec.write(s)).letterings().get("l");
  }

  @ParameterizedTest
  @EnumSource(Recipe.Kind.class)
  void everyRecipeMovesSomethingComesBackAsWrittenAndCanBeTakenAway(Recipe.Kind kind) {
    Scene before = SceneCodec.read(document(CIRCLE, "abcd", "", ""));
    Scene s = with(before, Spelling.of(kind), "");
    assertThat(kind.writes()).anySatisfy(c -> assertThat(lettering(s).movable(c).moves()).isTrue());
    assertThat(lettering(s).letterEffects().recipes())
        .extracting(Recipe::kind)
        .containsExactly(kind);
    Scene again = SceneCodec.read(SceneCodec.write(s));
    assertThat(lettering(again)).isEqualTo(lettering(s));
    Scene gone =
        SceneEdits.apply(
            s, "{\"op\":\"recipe\",\"item\":\"l\",\"drop\":\"" + Spelling.of(kind) + "\"}");
    assertThat(lettering(gone).letterEffects().recipes()).isEmpty();
    assertThat(lettering(gone).values().values()).noneMatch(AnimatedValue::moves);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "enter-hold-leave | 'enter':0 | at least one frame",
        "enter-hold-leave | 'hold':-1 | $.hold: is -1, out of range (allowed: 0 to 3000)",
        "enter-hold-leave | 'leave':4000 | $.leave: is 4000, out of range (allowed: 0 to 3000)",
        "endless-lap | 'laps':0 | whole laps",
        "endless-lap | 'laps':0.5 | whole laps",
        "steady-cruise | 'pace':'warp' | $.pace: is an unknown choice: \"warp\"",
        "sway | 'period':0 | period",
        "sway | 'shape':'square root' | shape",
        "letter-reveal | 'enter':0 | at least one frame",
        "stand-up | 'enter':0 | at least one frame",
        "stand-up | 'enter':4 | at least one frame",
        "stand-up | 'laps':0.5 | whole laps",
        "magic | | $.kind: is an unknown choice: \"magic\"",
      })
  void whatARecipeCannotBeIsSaid(String kind, String more, String said) {
    assertThatThrownBy(() -> on(CIRCLE, kind, more == null ? "" : more))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(said);
  }

  @Test
  void lapsMayBeginLater() {
    PreparedLettering l = prepared(on(CIRCLE, "endless-lap", "'laps':-2,'start':1.2"));
    double length = l.seating(l.values(0)).contour().length();
    assertThat(l.values(1.2).pathOffset()).isZero();
    assertThat(l.values(0.6).pathOffset()).isZero();
    assertThat(l.values(4).pathOffset()).isCloseTo(-2 * length, within(1e-6));
  }

  @Test
  void aRecipeIsForALettering() {
    Scene s = SceneCodec.read(document(LINE, "a", "", ""));
    assertThatThrownBy(
            () -> SceneEdits.apply(s, "{\"op\":\"recipe\",\"item\":\"p\",\"kind\":\"sway\"}"))
        .hasMessageContaining("lettering");
  }

  @Test
  void timesAreBroughtOntoFrames() {
    Scene s = on(LINE, "enter-hold-leave", "'enter':0.51,'hold':0.99,'leave':0.5");
    assertThat(times(lettering(s).movable(Channel.PATH_OFFSET)))
        .containsExactly(0.0, 0.52, 1.52, 2.0);
  }

  @Test
  void wordsThatStayDoNotLeave() {
    Scene s = on(LINE, "enter-hold-leave", "'enter':0.8,'hold':1,'leave':1,'leaves':'stays'");
    assertThat(times(lettering(s).movable(Channel.PATH_OFFSET))).containsExactly(0.0, 0.8);
    PreparedLettering l = prepared(s);
    assertThat(l.values(0.8).pathOffset()).isEqualTo(l.values(4).pathOffset());
    assertThat(l.values(0).pathOffset()).isLessThan(l.values(4).pathOffset());
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, -1, -3})
  void lapsGoWholeTimesRoundEitherWay(int laps) {
    PreparedLettering l = prepared(on(CIRCLE, "endless-lap", "'laps':" + laps));
    double way = l.values(4).pathOffset() - l.values(0).pathOffset();
    assertThat(way).isCloseTo(laps * 2 * Math.PI * 200, within(1e-6));
    // Steady: half way at half time.
    assertThat(l.values(2).pathOffset() - l.values(0).pathOffset())
        .isCloseTo(way / 2, within(1e-6));
  }

  @Test
  void anEasedLapLingersAtItsEnds() {
    PreparedLettering l = prepared(on(CIRCLE, "endless-lap", "'laps':1,'eased':true"));
    double lap = 2 * Math.PI * 200;
    assertThat(l.values(0.4).pathOffset()).isLessThan(0.1 * lap / 2);
    assertThat(l.values(2).pathOffset()).isCloseTo(lap / 2, within(1.0));
  }

  @ParameterizedTest
  @CsvSource({"per-second, 100, 100", "laps, 2, 628.3185", "letters, 2, 100"})
  void aCruiseIsToldInThePaceThatSuits(String pace, double amount, double perSecond) {
    // Letters of 50 px; two laps of 1256.6 px in 4 s.
    PreparedLettering l =
        prepared(on(CIRCLE, "steady-cruise", "'pace':'" + pace + "','amount':" + amount));
    assertThat(l.values(3).pathOffset() - l.values(2).pathOffset())
        .isCloseTo(perSecond, within(1e-3));
  }

  @Test
  void aSwayKeepsToItsWidthAndPeriod() {
    PreparedLettering l = prepared(on(LINE, "sway", "'amplitude':80,'period':2"));
    double least = Double.POSITIVE_INFINITY;
    double greatest = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < 200; i++) {
      double v = l.values(i * 0.01).pathOffset();
      least = Math.min(least, v);
      greatest = Math.max(greatest, v);
      assertThat(l.values(i * 0.01 + 2).pathOffset()).isCloseTo(v, within(1e-9));
    }
    assertThat(greatest).isCloseTo(80, within(0.1));
    assertThat(least).isCloseTo(-80, within(0.1));
  }

  @Test
  void aRevealThatLeavesGoesAwayFromTheFirstLetterOn() {
    Scene s =
        on(
            LINE,
            "letter-reveal",
            "'by':'letters','enter':1,'hold':1,'leave':1,'soft':0,'fade':false");
    PreparedLettering l = prepared(s);
    assertThat(shown(l, 0)).isZero();
    assertThat(shown(l, 1.5)).isEqualTo(4);
    assertThat(shown(l, 3.2)).isZero();
    boolean first = l.placements(l.values(2.5)).get(0).visible();
    boolean last = l.placements(l.values(2.5)).get(3).visible();
    assertThat(first).isFalse();
    assertThat(last).isTrue();
    assertThat(lettering(s).letterEffects().reveal().by()).isEqualTo(Reveal.By.LETTERS);
  }

  private static long shown(PreparedLettering l, double time) {
    return l.placements(l.values(time)).stream().filter(p -> p.visible()).count();
  }

  @Test
  void oneThatTravelsAndOneThatShowsStandTogether() {
    Scene s = with(on(CIRCLE, "endless-lap", ""), "letter-reveal", "");
    assertThat(lettering(s).letterEffects().recipes()).hasSize(2);
    Scene swapped = with(s, "sway", "");
    assertThat(lettering(swapped).letterEffects().recipes())
        .extracting(Recipe::kind)
        .containsExactly(Recipe.Kind.LETTER_REVEAL, Recipe.Kind.SWAY);
    assertThat(lettering(swapped).movable(Channel.PATH_OFFSET).keyframes()).isEmpty();
    assertThat(lettering(swapped).movable(Channel.REVEAL_TO).keyed()).isTrue();
  }

  @Test
  void whatWasMovedByHandElsewhereIsLeftAlone() {
    String size = "\"size\":{\"keyframes\":[{\"time\":0,\"value\":50},{\"time\":1,\"value\":90}]}";
    Scene s = with(SceneCodec.read(document(LINE, "abcd", "", size)), "sway", "");
    assertThat(lettering(s).movable(Channel.SIZE).keyframes()).hasSize(2);
  }

  @ParameterizedTest
  @CsvSource({"carousel", "stand-up"})
  void ringsInSpaceTakeAClosedPath(String kind) {
    assertThatThrownBy(() -> on(LINE, kind, "")).hasMessageContaining("closed path");
  }

  /** Turns of about the time that is asked for, but whole ones, so that the loop closes. */
  @ParameterizedTest
  @CsvSource({"4, 1", "2.2, 2", "1, 4", "9, 1", "0.9, 4"})
  void aCarouselTurnsWholeTimesWithinTheScene(double period, int turns) {
    PreparedLettering l = prepared(on(CIRCLE, "carousel", "'period':" + period));
    double lap = l.seating(l.values(0)).lap();
    double begins = l.values(0).pathOffset();
    assertThat(l.values(4).pathOffset() - begins).isCloseTo(-turns * lap, within(1e-6));
    assertThat(l.lettering().properties().plane().stance()).isEqualTo(Plane.Stance.STANDING);
    PreparedLettering other = prepared(on(CIRCLE, "carousel", "'counter':true,'period':" + period));
    assertThat(other.values(4).pathOffset() - begins).isCloseTo(turns * lap, within(1e-6));
  }

  /** Flat on, its letters lying on it; then tipped back, its letters standing, and round. */
  @Test
  void aRingStandsUpThenTurns() {
    Scene s = on(CIRCLE, "stand-up", "'start':0.4,'enter':1.2,'laps':2");
    PreparedLettering l = prepared(s);
    assertThat(value(l, Channel.TILT, 0)).isZero();
    assertThat(value(l, Channel.LEAN, 0.4)).isEqualTo(90);
    assertThat(value(l, Channel.TILT, 1.6)).isEqualTo(76);
    assertThat(value(l, Channel.LEAN, 1.6)).isZero();
    assertThat(l.values(1.6).pathOffset()).isZero();
    assertThat(l.values(4).pathOffset()).isCloseTo(-2 * l.seating(l.values(0)).lap(), within(1e-6));
    // What it is turned into stays when the movement is taken away or written anew.
    Scene again = with(s, "stand-up", "'start':0,'enter':2");
    assertThat(value(prepared(again), Channel.TILT, 2)).isEqualTo(76);
    Scene other = with(s, "carousel", "");
    assertThat(lettering(other).movable(Channel.TILT)).isEqualTo(new AnimatedValue(76));
    assertThat(lettering(other).movable(Channel.LEAN)).isEqualTo(new AnimatedValue(0));
  }

  /** A plane that is there is kept as it was turned. */
  @Test
  void ringsInSpaceKeepTheirPlane() {
    String plane = "\"plane\":{\"tilt\":50,\"swing\":9,\"backs\":\"hidden\"}";
    Scene before = SceneCodec.read(document(CIRCLE, "abcd", "", plane));
    Lettering round = lettering(with(before, "carousel", ""));
    assertThat(round.properties()).isEqualTo(lettering(before).properties());
    Lettering up = lettering(with(before, "stand-up", ""));
    assertThat(up.properties().plane())
        .isEqualTo(lettering(before).properties().plane().standing(Plane.Stance.STANDING));
    assertThat(times(up.movable(Channel.TILT))).containsExactly(0.0, 1.2);
    assertThat(up.movable(Channel.TILT).keyframes().get(1).value()).isEqualTo(50);
    assertThat(up.movable(Channel.SWING)).isEqualTo(new AnimatedValue(9));
  }

  private static double value(PreparedLettering l, Channel c, double time) {
    return Timeline.value(l.lettering().movable(c), time);
  }
}
