package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Spelling;
import rovingglyph.webexport.AnimatedSvg;

/** Letters filled with gradients, or with nothing. */
class FillingTest {
  private static final String STOPS =
      ",\"stops\":[{\"offset\":0,\"colour\":\"#FF0000\"},{\"offset\":100,\"colour\":\"#0000FF\"}]";

  private static String graded(String across, String more) {
    String seat =
        "\"pathOffset\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":80}]}";
    return TestScenes.document(
        TestScenes.LINE,
        "nnnn",
        seat,
        "\"filling\":\"linear\",\"across\":\"" + across + "\"" + STOPS + more);
  }

  /** Where the gradients of the letters begin and end in the frame. */
  private static List<Point[]> ends(String json, double time) {
    return FrameEntries.of(TestScenes.prepare(json).at(time)).stream()
        .filter(e -> e.op() == Op.FILL && e.paint().kind() == FramePaint.Kind.LINEAR)
        .map(
            e ->
                new Point[] {
                  e.paint().map().apply(Point.ORIGIN), e.paint().map().apply(new Point(1, 0))
                })
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    // A letter's advance is 50 px from 100 px on; the row is of four; the path is 800 px long.
    "frame, 0, 1000, 0, 1000",
    "letter, 100, 150, 250, 300",
    "run, 100, 300, 100, 300",
    "path, 100, 900, 100, 900"
  })
  void aGradientGoesAcross(String across, double from, double to, double lastFrom, double lastTo) {
    List<Point[]> all = ends(graded(across, ""), 0);
    assertThat(all).hasSize(4);
    assertThat(all.get(0)[0].x()).isCloseTo(from, within(1e-6));
    assertThat(all.get(0)[1].x()).isCloseTo(to, within(1e-6));
    assertThat(all.get(3)[0].x()).isCloseTo(lastFrom, within(1e-6));
    assertThat(all.get(3)[1].x()).isCloseTo(lastTo, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({"frame, 0", "letter, 40", "run, 40", "path, 0"})
  void goesWithTheLettersOrLetsThemMoveThroughIt(String across, double moved) {
    double before = ends(graded(across, ""), 0).get(2)[0].x();
    assertThat(ends(graded(across, ""), 2).get(2)[0].x() - before).isCloseTo(moved, within(1e-6));
  }

  /** Round a circle the row goes on over the seam of the path, and its gradient with it. */
  @Test
  void aGradientAlongTheTextGoesOnWhereThePathComesRound() {
    String lap = "\"pathOffset\":{\"cruise\":{\"pace\":\"laps\",\"amount\":1}}";
    String json =
        TestScenes.document(
            TestScenes.CIRCLE,
            "nnnn nnnn",
            lap,
            "\"filling\":\"linear\",\"across\":\"run\"" + STOPS);
    for (double t = 0; t < 4; t += 0.2) {
      for (FrameEntries.Entry e : FrameEntries.of(TestScenes.prepare(json).at(t))) {
        // Where the letter stands between the two ends of its gradient.
        double at =
            e.paint()
                .map()
                .inverse()
                .apply(new Point(e.maps().get(0).e(), e.maps().get(0).f()))
                .x();
        assertThat(at).as("at " + t).isBetween(-0.01, 1.01);
      }
    }
  }

  @ParameterizedTest
  @EnumSource(Filling.Across.class)
  void itsEndsMoveInTheFrameAndInTheSvg(Filling.Across across) {
    String moving = "{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":50}]}";
    String json = graded(Spelling.of(across), ",\"fromX\":" + moving);
    double first = ends(json, 0).get(0)[0].x() - ends(json, 0).get(0)[1].x();
    double later = ends(json, 2).get(0)[0].x() - ends(json, 2).get(0)[1].x();
    assertThat(later).isGreaterThan(first + 1);
    assertThat(AnimatedSvg.write(TestScenes.prepare(json)))
        .contains("<animate attributeName=\"x1\"")
        .contains("fill=\"url(#");
  }

  @Test
  void itsEndsLagFromLetterToLetter() {
    String moving =
        "{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":40}],"
            + "\"stagger\":{\"delay\":0.5,\"order\":\"forward\",\"seed\":0}}";
    List<Point[]> all = ends(graded("letter", ",\"fromX\":" + moving), 2);
    // Letters stand 50 px apart; each has moved by a tenth of its advance less than the last.
    for (int i = 1; i < 4; i++) {
      assertThat(all.get(i)[0].x() - all.get(i - 1)[0].x()).isCloseTo(50 - 2.5, within(1e-6));
    }
  }

  @Test
  void lettersWithAColourByARuleKeepIt() {
    String rule = ",\"rules\":[{\"by\":\"letters\",\"every\":4,\"from\":1,\"fill\":\"#00FF00\"}]";
    assertThat(ends(graded("run", rule), 0)).hasSize(3);
    String none = graded("run", rule).replace("linear", "none");
    assertThat(FrameEntries.of(TestScenes.prepare(none).at(0)))
        .singleElement()
        .satisfies(e -> assertThat(e.paint().rgb()).isEqualTo(0x00FF00));
  }

  /** An outline round letters that are seen through leaves them out. */
  @ParameterizedTest
  @CsvSource({"linear, false", "none, true", "plain, false"})
  void anOutlineIsCutOutWhereNothingHidesIt(String filling, boolean cut) {
    String json =
        graded("letter", ",\"effects\":[{\"id\":\"o\",\"kind\":\"outline\"}]")
            .replace("\"linear\"", "\"" + filling + "\"");
    assertThat(FrameEntries.of(TestScenes.prepare(json).at(0)))
        .extracting(FrameEntries.Entry::op)
        .satisfies(ops -> assertThat(ops.contains(Op.MATTE)).isEqualTo(cut));
    assertThat(AnimatedSvg.write(TestScenes.prepare(json)).contains("<mask")).isEqualTo(cut);
  }

  @Test
  void choosingItGivesStopsAndGoesAcrossTheWhole() {
    Scene s = SceneCodec.read(TestScenes.document(TestScenes.LINE, "nnnn", "", ""));
    Lettering l = filled(s, "'filling':'linear'");
    assertThat(l.filling().stops()).hasSize(2);
    assertThat(l.movable(Channel.TO_Y).base()).isEqualTo(100);
    assertThat(l.movable(Channel.TO_X).base()).isZero();
    Lettering along = filled(s.withItem(l), "'across':'run'");
    assertThat(along.filling().kind()).isEqualTo(Filling.Kind.LINEAR);
    assertThat(along.movable(Channel.TO_X).base()).isEqualTo(100);
    Lettering round = filled(s.withItem(along), "'filling':'radial','across':'letter'");
    assertThat(round.movable(Channel.FROM_X).base()).isEqualTo(50);
    Scene own = s.withItem(round.with(Channel.FROM_X, round.movable(Channel.FROM_X).with(31)));
    assertThat(filled(own, "'across':'frame'").movable(Channel.FROM_X).base()).isEqualTo(31);
  }

  private static Lettering filled(Scene s, String what) {
    String edit = ("{'op':'fillLetters','item':'l'," + what + "}").replace('\'', '"');
    Scene out = SceneEdits.apply(s, edit);
    assertThat(SceneCodec.read(SceneCodec.write(out))).isEqualTo(out);
    return (Lettering) out.item("l");
  }

  @Test
  void aGradientWithoutColoursIsRefused() {
    String json = graded("run", "").replace(STOPS, "");
    assertThatThrownBy(() -> SceneCodec.read(json))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("too few entries");
  }
}
