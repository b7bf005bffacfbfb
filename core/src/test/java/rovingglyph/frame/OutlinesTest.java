package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.geometry.Affine;
import rovingglyph.scene.Effect;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Spelling;
import rovingglyph.webexport.AnimatedSvg;

/** Lines along the edges of items of every kind. */
class OutlinesTest {
  private static String document(String kind, String more) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Lines","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s],"items":[%s]}"""
        .formatted(TestScenes.PATHS, TestScenes.item(kind, more));
  }

  private static String outline(String more) {
    return "\"effects\":[{\"id\":\"o\",\"kind\":\"outline\"" + more + "}]";
  }

  private static List<FrameEntries.Entry> frame(String document, double time) {
    return FrameEntries.of(TestScenes.prepare(document).at(time));
  }

  static Stream<Arguments> kindsAndSides() {
    return TestScenes.ITEM_KINDS.stream()
        .flatMap(k -> Stream.of(Effect.LineSide.values()).map(s -> Arguments.of(k, s)));
  }

  /** Of the width that is asked for, in the pixels round the item, whatever its own scale. */
  @ParameterizedTest
  @MethodSource("kindsAndSides")
  void isOfItsWidthOnItemsOfEveryKindInGroupsThatGrow(String kind, Effect.LineSide side) {
    String scaled = kind.equals("lettering") ? ",\"size\":80" : "";
    scaled = List.of("drawing", "picture", "group").contains(kind) ? ",\"scale\":0.5" : scaled;
    String line = outline(",\"width\":7,\"side\":\"" + Spelling.of(side) + "\"") + scaled;
    String json =
        document(kind, line)
            .replace(
                "\"items\":[",
                "\"items\":[{\"kind\":\"group\",\"id\":\"o\",\"members\":[\"it\"],\"scale\":2},");
    List<FrameEntries.Entry> strokes =
        frame(json, 0).stream().filter(e -> e.op() == Op.STROKE).toList();
    assertThat(strokes).isNotEmpty();
    double seen = side == Effect.LineSide.CENTRED ? 14 : 28;
    for (FrameEntries.Entry e : strokes) {
      assertThat(e.line().get(0)).isCloseTo(seen, within(1e-9));
    }
  }

  @ParameterizedTest
  @MethodSource("kindsAndSides")
  void liesBeneathOrOverAndIsCutWhereItIsToBe(String kind, Effect.LineSide side) {
    List<Op> ops =
        frame(document(kind, outline(",\"side\":\"" + Spelling.of(side) + "\"")), 0).stream()
            .map(FrameEntries.Entry::op)
            .toList();
    int fill = ops.lastIndexOf(Op.FILL);
    int stroke = ops.indexOf(Op.STROKE);
    assertThat(stroke < fill).isEqualTo(side == Effect.LineSide.OUTSIDE);
    // What an inset shows is clipped to its frame.
    boolean inside = side == Effect.LineSide.INSIDE;
    assertThat(ops.contains(Op.CLIP)).isEqualTo(inside || kind.equals("inset"));
    // A picture may be seen through: the line is not to shine through it.
    boolean cut = side == Effect.LineSide.OUTSIDE && List.of("picture", "footage").contains(kind);
    assertThat(ops.contains(Op.MATTE)).isEqualTo(cut || kind.equals("foreground-cut"));
  }

  @ParameterizedTest
  @MethodSource("kindsAndSides")
  void theBoxOfTheItemReachesRoundIt(String kind, Effect.LineSide side) {
    String more =
        outline(",\"width\":30,\"join\":\"miter\",\"side\":\"" + Spelling.of(side) + "\"");
    double plain = TestScenes.prepare(document(kind, "")).box("it", 0).left();
    assertThat(TestScenes.prepare(document(kind, more)).box("it", 0).left())
        .isLessThanOrEqualTo(plain - (side == Effect.LineSide.INSIDE ? 0 : 15));
  }

  @Test
  void theLaterOfTwoOutsideLiesBeneath() {
    String two =
        "\"effects\":[{\"id\":\"a\",\"kind\":\"outline\",\"colour\":\"#000001\"},"
            + "{\"id\":\"b\",\"kind\":\"outline\",\"colour\":\"#000002\"}]";
    assertThat(frame(document("drawing", two), 0))
        .filteredOn(e -> e.op() == Op.STROKE)
        .extracting(e -> e.paint().rgb())
        .containsExactly(2, 1);
    assertThat(
            frame(
                document("drawing", two.replace("outline\"", "outline\",\"side\":\"centred\"")), 0))
        .filteredOn(e -> e.op() == Op.STROKE)
        .extracting(e -> e.paint().rgb())
        .containsExactly(1, 2);
  }

  /**
   * A box of 0.3 by 0.7 em: a quarter of 2 em round it is 0.5 em, from its lower left corner up.
   */
  @Test
  void isDrawnFromWhereTheContourBegins() {
    List<FrameEntries.Entry> all =
        frame(document("lettering", "\"size\":100," + outline(",\"drawn\":25")), 0);
    FrameEntries.Entry stroke =
        all.stream().filter(e -> e.op() == Op.STROKE).findFirst().orElseThrow();
    assertThat(stroke.steps()).containsExactly(PathStep.MOVE, PathStep.LINE);
    assertThat(stroke.points().get(0).y()).isCloseTo(500, within(1e-9));
    assertThat(stroke.points().get(1).y()).isCloseTo(450, within(1e-9));
    assertThat(frame(document("lettering", outline(",\"drawn\":0")), 0))
        .noneMatch(e -> e.op() == Op.STROKE);
  }

  /** On letters that are squeezed the line is squeezed too, as a transform of SVG has it. */
  @Test
  void isStretchedWithALetterThatIsStretched() {
    String squeezed = "\"size\":80,\"seat\":{\"fit\":\"stretch\"}," + outline(",\"width\":7");
    List<FrameEntries.Entry> strokes =
        frame(document("lettering", squeezed), 0).stream()
            .filter(e -> e.op() == Op.STROKE)
            .toList();
    assertThat(strokes).isNotEmpty();
    for (FrameEntries.Entry e : strokes) {
      Affine map = e.maps().get(0);
      assertThat(map.a()).isNotCloseTo(map.d(), within(1e-3));
      assertThat(e.line().get(0) * map.d()).isCloseTo(14, within(1e-6));
    }
  }

  @Test
  void lettersAreDrawnOneAfterTheOther() {
    String moving =
        "{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":1,\"value\":100}],"
            + "\"stagger\":{\"delay\":0.1,\"order\":\"forward\",\"seed\":0}}";
    String json = document("lettering", outline(",\"drawn\":" + moving));
    assertThat(frame(json, 0.55)).filteredOn(e -> e.op() == Op.STROKE).hasSize(6);
    assertThat(frame(json, 3)).filteredOn(e -> e.op() == Op.STROKE).hasSize(16);
    String svg = AnimatedSvg.write(TestScenes.prepare(json));
    assertThat(svg).contains("stroke-dasharray:0 9").contains("pathLength");
    assertThatThrownBy(
            () -> TestScenes.prepare(document("drawing", outline(",\"drawn\":" + moving))))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("only letters lag");
    assertThatThrownBy(
            () -> TestScenes.prepare(document("lettering", outline(",\"width\":" + moving))))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("only letters lag");
  }

  @ParameterizedTest
  @CsvSource({"10, 5, 2", "0, 5, 2", "10, 0, 0", "0.2, 0.2, 0"})
  void isDashedWhereThereAreGaps(double dash, double gap, int numbers) {
    String more = outline(",\"dash\":" + dash + ",\"gap\":" + gap);
    FrameEntries.Entry stroke =
        frame(document("drawing", more), 0).stream()
            .filter(e -> e.op() == Op.STROKE)
            .findFirst()
            .orElseThrow();
    assertThat(stroke.line()).hasSize(2 + numbers);
  }

  /** Letters that fade are each one with their outlines; the others lie over those of all. */
  @Test
  void aLetterThatFadesIsOneWithItsOutline() {
    String reveal = ",\"reveal\":{\"by\":\"letters\",\"soft\":100},\"revealTo\":50,\"opacity\":100";
    List<FrameEntries.Entry> all =
        frame(document("lettering", outline(",\"width\":3") + reveal), 0);
    long fading = all.stream().filter(e -> e.op() == Op.PUSH && e.layer().alpha() < 1).count();
    assertThat(fading).isGreaterThan(2);
    assertThat(all)
        .filteredOn(e -> e.op() == Op.FILL || e.op() == Op.STROKE)
        .allMatch(e -> e.paint().alpha() == 1);
  }
}
