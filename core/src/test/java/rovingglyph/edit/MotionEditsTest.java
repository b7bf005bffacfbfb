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
import rovingglyph.document.CueFile;
import rovingglyph.document.MotionCodec;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.FrameEntries;
import rovingglyph.frame.Op;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.proof.LoopCheck;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Recipe;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Spelling;
import rovingglyph.seat.Placement;

/** Recipes, edits of several keyframes, cues and the loop check. */
class MotionEditsTest {
  private static final String KEYS =
      "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0,\"easing\":\"gentle-start\"},"
          + "{\"time\":1,\"value\":100,\"easing\":\"hold\"},{\"time\":2,\"value\":100},{\"time\":3,\"value\":40}]}";

  private static Scene scene(String path, String seat) {
    return SceneCodec.read(document(path, "abcd", seat, ""));
  }

  private static Scene edit(Scene s, String op, String more) {
    return SceneEdits.apply(
        s, "{\"op\":\"" + op + "\",\"item\":\"l\",\"channel\":\"pathOffset\"," + more + "}");
  }

  private static AnimatedValue offset(Scene s) {
    return s.item("l").movable(Channel.PATH_OFFSET);
  }

  private static List<Double> times(Scene s) {
    return offset(s).keyframes().stream().map(Keyframe::time).toList();
  }

  private static List<Double> values(Scene s) {
    return offset(s).keyframes().stream().map(Keyframe::value).toList();
  }

  private static Scene recipe(Scene s, String kind, String more) {
    String rest = more.isEmpty() ? "" : "," + more;
    return SceneEdits.apply(
        s, "{\"op\":\"recipe\",\"item\":\"l\",\"kind\":\"" + kind + "\"" + rest + "}");
  }

  @Test
  void enterHoldLeaveLandsOutsideRestsAndLeavesOnwardOrBack() {
    Scene s = recipe(scene(LINE, ""), "enter-hold-leave", "\"enter\":1,\"hold\":1.6,\"leave\":0.4");
    assertThat(times(s)).containsExactly(0.0, 1.0, 2.6, 3.0);
    PreparedScene p = prepare(SceneCodec.write(s));
    PreparedLettering l = p.letterings().get("l");
    assertThat(l.values(0).pathOffset()).isLessThan(-200);
    assertThat(l.values(2).pathOffset()).isZero();
    assertThat(l.values(3).pathOffset()).isGreaterThan(800);
    assertThat(l.touches(l.values(0), p.area())).isFalse();
    Scene back = recipe(s, "enter-hold-leave", "\"leaves\":\"back\",\"arrives\":\"centred\"");
    PreparedLettering b = prepare(SceneCodec.write(back)).letterings().get("l");
    assertThat(b.values(4.4).pathOffset()).isEqualTo(b.values(0).pathOffset());
    assertThatThrownBy(() -> recipe(s, "enter-hold-leave", "\"enter\":0"))
        .hasMessageContaining("at least one frame");
  }

  @Test
  void anEndlessLapClosesWholeOrByOneRepeat() {
    for (String more :
        List.of("\"laps\":1", "\"laps\":-2,\"eased\":true", "\"laps\":1,\"parts\":3")) {
      PreparedScene p = prepare(SceneCodec.write(recipe(scene(CIRCLE, ""), "endless-lap", more)));
      double end = p.letterings().get("l").values(4).pathOffset();
      double lap = 2 * Math.PI * 200;
      double parts = more.contains("parts") ? 3 : 1;
      assertThat(Math.IEEEremainder(end, lap / parts)).isCloseTo(0, within(1e-9));
      assertThat(end).isNotZero();
    }
    assertThatThrownBy(() -> recipe(scene(CIRCLE, ""), "endless-lap", "\"laps\":0.5"))
        .hasMessageContaining("whole laps");
  }

  @Test
  void aRecipeReplacesOnlyWhatAnotherOfItsSortWrote() {
    Scene s = scene(LINE, "\"baselineShift\":{\"keyframes\":[{\"time\":1,\"value\":9}]}");
    s = recipe(s, "enter-hold-leave", "\"enter\":1");
    s = recipe(s, "letter-reveal", "\"enter\":1,\"hold\":1,\"leave\":1,\"rise\":30");
    s = recipe(s, "sway", "\"amplitude\":20,\"period\":2");
    Lettering l = (Lettering) s.item("l");
    assertThat(l.movable(Channel.PATH_OFFSET).keyframes()).isEmpty();
    assertThat(l.movable(Channel.PATH_OFFSET).sway().amplitude()).isEqualTo(20);
    assertThat(l.movable(Channel.REVEAL_TO).keyframes()).hasSize(2);
    assertThat(l.movable(Channel.REVEAL_FROM).keyframes()).hasSize(2);
    assertThat(l.movable(Channel.BASELINE_SHIFT).keyframes()).hasSize(1);
    assertThat(l.letterEffects().recipes()).hasSize(2);
    assertThat(SceneCodec.read(SceneCodec.write(s))).isEqualTo(s);
    Scene bare =
        SceneEdits.apply(s, "{\"op\":\"recipe\",\"item\":\"l\",\"drop\":\"letter-reveal\"}");
    l = (Lettering) bare.item("l");
    assertThat(l.letterEffects().reveal()).isNull();
    assertThat(l.movable(Channel.REVEAL_TO).base()).isEqualTo(100);
    assertThat(l.movable(Channel.PATH_OFFSET).sway()).isNotNull();
  }

  @ParameterizedTest
  @EnumSource(Recipe.Kind.class)
  void everyRecipeWritesMotionThatCanBeEditedOn(Recipe.Kind kind) {
    Scene s = recipe(scene(CIRCLE, ""), Spelling.of(kind), "");
    Lettering l = (Lettering) s.item("l");
    assertThat(kind.writes().stream().anyMatch(c -> l.movable(c).moves())).isTrue();
    assertThat(prepare(SceneCodec.write(s)).at(1).numbers()).isNotEmpty();
  }

  @Test
  void aRevealShowsLetterByLetterWithItsRise() {
    String more =
        "\"reveal\":{\"by\":\"letters\",\"soft\":0,\"fade\":false,\"rise\":40},\"revealTo\":50";
    PreparedLettering l = prepare(document(LINE, "ab cd", "", more)).letterings().get("l");
    List<Placement> p = l.placements(l.values(0));
    assertThat(p.get(0).visible()).isTrue();
    assertThat(p.get(1).visible()).isTrue();
    assertThat(p.get(3).visible()).isFalse();
    assertThat(p.get(4).at().y()).isCloseTo(540, within(1e-6));
    String words = more.replace("letters", "words").replace("50", "49");
    PreparedLettering w = prepare(document(LINE, "ab cd", "", words)).letterings().get("l");
    assertThat(w.placements(w.values(0)).stream().map(Placement::visible).toList())
        .containsExactly(true, true, false, false, false);
    String soft = more.replace("\"soft\":0,\"fade\":false", "\"soft\":100");
    PreparedLettering s = prepare(document(LINE, "ab cd", "", soft)).letterings().get("l");
    List<Placement> faint = s.placements(s.values(0));
    assertThat(faint.get(0).alpha()).isGreaterThan(faint.get(4).alpha()).isLessThan(1);
  }

  @Test
  void aClockSweepShowsByAngleFromItsLetter() {
    String more = "\"sweep\":{\"letter\":0,\"soft\":0,\"fade\":false},\"sweepTo\":90";
    // 24 letters of 50 px on a lap of 1256 px: a quarter is 314 px, six letters.
    String text = "abcdefghijklmnopqrstuvwx";
    PreparedLettering l = prepare(document(CIRCLE, text, "", more)).letterings().get("l");
    assertThat(l.placements(l.values(0)).stream().filter(Placement::visible)).hasSize(6);
    String counter = more.replace("\"soft\"", "\"counter\":true,\"soft\"");
    PreparedLettering c = prepare(document(CIRCLE, text, "", counter)).letterings().get("l");
    assertThat(c.placements(c.values(0)).get(23).visible()).isTrue();
    assertThat(c.placements(c.values(0)).get(2).visible()).isFalse();
    // The sweep begins before its letter wherever that is.
    PreparedLettering moved =
        prepare(document(CIRCLE, text, "\"pathOffset\":300", more)).letterings().get("l");
    assertThat(moved.placements(moved.values(0)).get(0).visible()).isTrue();
    assertThat(moved.placements(moved.values(0)).get(7).visible()).isFalse();
  }

  @Test
  void aTrailIsDrawnUnderTheLettersAndGoesWithThem() {
    String with =
        "\"trail\":{\"colour\":\"#FF0000\",\"width\":3,\"with\":true,\"lead\":10,\"lag\":20}";
    PreparedScene s = prepare(document(LINE, "ab", "\"pathOffset\":200", with));
    FrameEntries.Entry line = FrameEntries.of(s.at(0)).get(0);
    assertThat(line.paint().rgb()).isEqualTo(0xFF0000);
    assertThat(line.op()).isEqualTo(Op.STROKE);
    PreparedLettering l = s.letterings().get("l");
    assertThat(l.trail(l.seating(l.values(0)), false)).isEqualTo("M280 500L410 500");
    PreparedLettering own =
        prepare(document(LINE, "ab", "", "\"trail\":{\"width\":3},\"trailFrom\":25,\"trailTo\":50"))
            .letterings()
            .get("l");
    assertThat(own.trail(own.seating(own.values(0)), false)).isEqualTo("M300 500L500 500");
    PreparedLettering round =
        prepare(document(CIRCLE, "ab", "\"pathOffset\":-50", with)).letterings().get("l");
    assertThat(round.trail(round.seating(round.values(0)), false)).containsSubsequence("M", "M");
  }

  @Test
  void severalKeyframesAreMovedStretchedMirroredAndSwapped() {
    Scene s = scene(LINE, KEYS);
    Scene moved = edit(s, "moveKeys", "\"indexes\":[2,3],\"by\":0.4,\"value\":10");
    assertThat(times(moved)).containsExactly(0.0, 1.0, 2.4, 3.4);
    assertThat(values(moved)).containsExactly(0.0, 100.0, 110.0, 50.0);
    assertThat(times(edit(s, "stretchKeys", "\"about\":0,\"factor\":0.5")))
        .containsExactly(0.0, 0.52, 1.0, 1.52);
    Scene mirrored = edit(s, "mirrorKeys", "\"indexes\":[0,1,2,3]");
    assertThat(values(mirrored)).containsExactly(40.0, 100.0, 100.0, 0.0);
    assertThat(offset(mirrored).keyframes().get(2).easing()).isEqualTo(Easing.EASE_OUT);
    assertThat(values(edit(s, "swapKeys", "\"indexes\":[0,3]")))
        .containsExactly(40.0, 100.0, 100.0, 0.0);
    assertThat(times(edit(s, "removeKeys", "\"indexes\":[0,2]"))).containsExactly(1.0, 3.0);
    assertThatThrownBy(() -> edit(s, "moveKeys", "\"indexes\":[1],\"by\":1"))
        .hasMessageContaining("one frame");
    assertThatThrownBy(() -> edit(s, "swapKeys", "\"indexes\":[1]")).hasMessageContaining("two");
  }

  @Test
  void aHoldPutsWhatComesLaterOff() {
    Scene s = edit(scene(LINE, KEYS), "holdKey", "\"indexes\":[0],\"seconds\":0.8");
    assertThat(times(s)).containsExactly(0.0, 0.8, 1.8, 2.8, 3.8);
    assertThat(values(s)).startsWith(0.0, 0.0, 100.0);
    assertThat(offset(s).keyframes().get(1).easing()).isEqualTo(Easing.EASE_IN);
  }

  @Test
  void copiesArePastedAsTheyAreOrOnward() {
    Scene s = scene(LINE, KEYS);
    String keys = MotionCodec.keys(offset(s).keyframes().subList(0, 2), Channel.PATH_OFFSET);
    Scene same = edit(s, "pasteKeys", "\"time\":3.5,\"keys\":" + keys);
    assertThat(values(same)).endsWith(40.0, 0.0, 100.0);
    Scene onward = edit(s, "pasteKeys", "\"time\":3,\"onward\":true,\"keys\":" + keys);
    assertThat(values(onward)).containsExactly(0.0, 100.0, 100.0, 40.0, 140.0);
    assertThat(times(onward)).endsWith(4.0);
    assertThatThrownBy(
            () ->
                SceneEdits.apply(
                    s,
                    "{\"op\":\"pasteKeys\",\"item\":\"l\",\"channel\":\"opacity\",\"time\":0,\"keys\":[{\"time\":0,\"value\":900}]}"))
        .hasMessageContaining("does not fit opacity");
  }

  @Test
  void keyframesFollowTheirCue() {
    Scene s =
        SceneEdits.apply(
            scene(LINE, KEYS), "{\"op\":\"addCue\",\"id\":\"c\",\"name\":\"Gust\",\"time\":1.5}");
    s = edit(s, "follows", "\"index\":3,\"cue\":\"c\"");
    assertThat(times(s)).containsExactly(0.0, 1.0, 1.52, 2.0);
    s = SceneEdits.apply(s, "{\"op\":\"cue\",\"cue\":\"c\",\"time\":3.2,\"name\":\"Lull\"}");
    assertThat(times(s)).containsExactly(0.0, 1.0, 2.0, 3.2);
    assertThat(s.cues().get(0).name()).isEqualTo("Lull");
    s = SceneEdits.apply(s, "{\"op\":\"deleteCue\",\"cue\":\"c\"}");
    assertThat(offset(s).keyframes().get(3).cue()).isNull();
    assertThat(times(s)).endsWith(3.2);
  }

  @Test
  void cueFilesAreRead() {
    String vtt =
        "WEBVTT\n\nNOTE by hand\nof the fair\n\n1\n00:01.500 --> 00:02.000 line:0\n<b>Up</b> it goes\n\n00:00:03.000 --> 00:04.000\n\n";
    assertThat(CueFile.read(vtt))
        .containsExactly(new CueFile.Entry(1.5, "Up it goes"), new CueFile.Entry(3, "Cue 2"));
    String srt =
        "1\r\n00:00:01,250 --> 00:00:02,000\r\nGust\r\n\r\n2\r\n01:00:00,000 --> 01:00:01,000\r\nEnd";
    assertThat(CueFile.read(srt)).extracting(CueFile.Entry::start).containsExactly(1.25, 3600.0);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          1#00:00:01 -> 00:02                       | Line 1
          1#0:0:a --> 00:02                         | Line 2
          WEBVTT##00:01.000 --> soon#x              | Line 3
          WEBVTT##hello there                       | Line 3
          ''                                        | no cue
          """)
  void brokenCueFilesNameTheLine(String file, String told) {
    assertThatThrownBy(() -> CueFile.read(file.replace('#', '\n'))).hasMessageContaining(told);
  }

  @Test
  void theLoopCheckNamesWhatDoesNotCloseAndMendsIt() {
    String turns =
        "\"rotation\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":355}]}";
    PreparedScene open = prepare(document(CIRCLE, "ab", "", turns));
    List<LoopCheck.Difference> found = LoopCheck.of(open);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).sentence()).contains("rotation ends -5");
    AnimatedValue mended = LoopCheck.fixed(found.get(0), 0);
    assertThat(mended.keyframes().get(1).value()).isEqualTo(360);
    PreparedScene lap =
        prepare(
            document(
                CIRCLE,
                "ab",
                "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":1200}]}",
                ""));
    LoopCheck.Difference d = LoopCheck.of(lap).get(0);
    assertThat(LoopCheck.fixed(d, 2 * Math.PI * 200).keyframes().get(1).landing().laps())
        .isEqualTo(1);
    assertThat(
            LoopCheck.of(prepare(SceneCodec.write(recipe(scene(CIRCLE, ""), "endless-lap", "")))))
        .isEmpty();
    // What is out of the frame at both ends closes, wherever it is.
    assertThat(
            LoopCheck.of(
                prepare(
                    SceneCodec.write(recipe(scene(LINE, ""), "enter-hold-leave", "\"hold\":1")))))
        .isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"cruise", "sway", "stagger"})
  void motionIsAddedAndTakenAwayByEdits(String part) {
    Scene s = edit(scene(LINE, KEYS), "motion", "\"" + part + "\":{\"amount\":5,\"amplitude\":3}");
    assertThat(SceneCodec.write(s)).contains("\"" + part + "\":{");
    assertThat(times(s)).hasSize(4);
    Scene without = edit(s, "motion", "\"" + part + "\":null");
    assertThat(without).isEqualTo(scene(LINE, KEYS));
    assertThatThrownBy(() -> edit(s, "motion", "\"sway\":{\"period\":-1}"))
        .hasMessageContaining("period");
  }
}
