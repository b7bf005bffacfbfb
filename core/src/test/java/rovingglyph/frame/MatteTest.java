package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Spelling;
import rovingglyph.webexport.AnimatedSvg;

/** Items of which so much is seen as another one covers. */
class MatteTest {
  private static final String MATTE = ",\"matte\":{\"item\":\"%s\"%s}";

  /** A drawing "seen", measured by an item "it" of a kind. */
  private static String document(String kind, String more, String of) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Mattes","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s],"items":[%s,
         {"kind":"drawing","id":"seen","x":500,"y":400,"scale":2,"parts":[{"d":"M0 0H90V90Z","fill":"#445566"}]%s}]}"""
        .formatted(TestScenes.PATHS, TestScenes.item(kind, more), of);
  }

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  static Stream<Arguments> kindsAndWays() {
    return kinds()
        .flatMap(
            k ->
                Stream.of(Matte.By.values())
                    .flatMap(
                        by ->
                            Stream.of(true, false).map(inverted -> Arguments.of(k, by, inverted))));
  }

  private static List<FrameEntries.Entry> frame(String document, double time) {
    return FrameEntries.of(TestScenes.prepare(document).at(time));
  }

  /** What it is measured by is painted once more in its layer, hidden or not, and in the SVG. */
  @ParameterizedTest
  @MethodSource("kindsAndWays")
  void isMeasuredByItemsOfEveryKind(String kind, Matte.By by, boolean inverted) {
    String of =
        MATTE.formatted("it", ",\"by\":\"" + Spelling.of(by) + "\",\"inverted\":" + inverted);
    List<FrameEntries.Entry> all = frame(document(kind, "\"hidden\":true", of), 0);
    List<Op> ops = all.stream().map(FrameEntries.Entry::op).toList();
    assertThat(ops.get(0)).isEqualTo(Op.PUSH);
    assertThat(ops.get(1)).isEqualTo(Op.FILL);
    assertThat(ops.get(2)).isEqualTo(Op.MATTE);
    assertThat(ops.get(ops.size() - 1)).isEqualTo(Op.POP);
    assertThat(ops.subList(3, ops.size())).contains(Op.FILL);
    assertThat(all.get(2).line())
        .containsExactly(inverted ? 1.0 : 0.0, by == Matte.By.LUMINANCE ? 1.0 : 0.0);
    String svg = AnimatedSvg.write(TestScenes.prepare(document(kind, "\"hidden\":true", of)));
    assertThat(svg).contains("-matte)\"");
    assertThat(svg.contains("mask-type:alpha")).isEqualTo(by == Matte.By.ALPHA && !inverted);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void standsInTheFrameWhereverWhatItMeasuresStands(String kind) {
    String json = document(kind, "\"hidden\":true", MATTE.formatted("it", ""));
    String grouped =
        json.replace(
            "\"items\":[",
            "\"items\":[{\"kind\":\"group\",\"id\":\"o\",\"members\":[\"seen\"],\"x\":300,"
                + "\"scale\":{\"keyframes\":[{\"time\":0,\"value\":1},{\"time\":4,\"value\":3}]},"
                + "\"rotation\":30},");
    assertThat(measure(grouped, 2)).isEqualTo(measure(json, 2)).isNotEmpty();
    assertThat(AnimatedSvg.write(TestScenes.prepare(grouped))).contains("scale(calc(1/var(");
  }

  /** What an inverted matte is measured by is filtered in the frame: groups may lie far from it. */
  @Test
  void anInvertedMatteIsFilteredInThePixelsOfTheFrame() {
    String json =
        document("drawing", "\"hidden\":true", MATTE.formatted("it", ",\"inverted\":true"))
            .replace(
                "\"items\":[",
                "\"items\":[{\"kind\":\"group\",\"id\":\"o\",\"members\":[\"it\",\"seen\"],\"x\":3000},");
    String svg = AnimatedSvg.write(TestScenes.prepare(json));
    int filter = svg.indexOf("filter=\"url(#");
    assertThat(svg.substring(0, filter)).contains("translate(calc(3000*-1px)");
    assertThat(svg.substring(filter)).contains("translate(calc(3000*1px)");
  }

  /** The maps and points after the matte begins. */
  private static List<String> measure(String json, double time) {
    List<FrameEntries.Entry> all = frame(json, time);
    int from = all.stream().map(FrameEntries.Entry::op).toList().indexOf(Op.MATTE);
    return all.subList(from + 1, all.size()).stream()
        .filter(e -> e.op() == Op.FILL)
        .map(e -> e.maps() + " " + e.points())
        .toList();
  }

  @Test
  void aClipAndAMatteBothCut() {
    String of = MATTE.formatted("it", "") + ",\"clip\":{\"path\":\"area\"}";
    List<Op> ops =
        frame(document("drawing", "", of), 0).stream().map(FrameEntries.Entry::op).toList();
    assertThat(ops.stream().filter(o -> o == Op.MATTE)).hasSize(2);
    assertThat(ops.stream().filter(o -> o == Op.PUSH)).hasSize(2);
  }

  @Test
  void isRefusedWhereItComesRoundToItself() {
    String by = MATTE.formatted("seen", "");
    assertThatThrownBy(
            () -> SceneCodec.read(document("drawing", by.substring(1), MATTE.formatted("it", ""))))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("measured by itself");
    assertThatThrownBy(() -> SceneCodec.read(document("drawing", "", MATTE.formatted("none", ""))))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("no item has the id");
  }

  @Test
  void manyMattesOfGroupsInMattesAreRefusedBeforeTheyHoldUp() {
    StringBuilder items = new StringBuilder();
    for (int g = 0; g < 4; g++) {
      StringBuilder members = new StringBuilder();
      for (int i = 0; i < 20; i++) {
        String id = "i" + g + "_" + i;
        members.append(i > 0 ? "," : "").append('"').append(id).append('"');
        items.append("{\"kind\":\"drawing\",\"id\":\"" + id + "\",\"parts\":[]");
        items.append(g == 0 ? "" : MATTE.formatted("g" + (g - 1), "")).append("},");
      }
      items.append("{\"kind\":\"group\",\"id\":\"g" + g + "\",\"members\":[" + members + "]},");
    }
    String json = document("drawing", "", "").replace("\"items\":[", "\"items\":[" + items);
    assertThatThrownBy(() -> SceneCodec.read(json))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("fewer mattes");
  }

  @Test
  void isChosenChangedAndGoesWithWhatItWasMeasuredBy() {
    Scene s = SceneCodec.read(document("drawing", "", ""));
    Scene on = edited(s, "{'op':'matte','items':['seen'],'matte':'it','by':'luminance'}");
    Scene turned = edited(on, "{'op':'matte','items':['seen'],'inverted':true}");
    Matte matte = turned.item("seen").properties().matte();
    assertThat(matte.item()).isEqualTo("it");
    assertThat(matte.by()).isEqualTo(Matte.By.LUMINANCE);
    assertThat(matte.inverted()).isTrue();
    assertThatThrownBy(() -> edited(on, "{'op':'matte','items':['it'],'matte':'seen'}"))
        .hasMessageContaining("measured by itself");
    assertThat(edited(on, "{'op':'deleteItem','item':'it'}").item("seen").properties().matte())
        .isNull();
    assertThat(edited(on, "{'op':'matte','items':['seen'],'matte':null}")).isEqualTo(s);
  }

  private static Scene edited(Scene scene, String edit) {
    Scene out = SceneEdits.apply(scene, edit.replace('\'', '"'));
    assertThat(SceneCodec.read(SceneCodec.write(out))).isEqualTo(out);
    return out;
  }

  /** Outlines in groups that grow, in a scene of the web, as in the frame. */
  @Test
  void linesInGroupsThatGrowAreOfTheGroupsWidthInTheSvg() {
    String line = ",\"effects\":[{\"id\":\"o\",\"kind\":\"outline\",\"width\":7}]";
    String json =
        document("drawing", "\"hidden\":true", line)
            .replace(
                "\"items\":[",
                "\"items\":[{\"kind\":\"group\",\"id\":\"o\",\"members\":[\"seen\"],\"scale\":3},");
    FrameEntries.Entry stroke =
        frame(json, 0).stream().filter(e -> e.op() == Op.STROKE).findFirst().orElseThrow();
    assertThat(stroke.line().get(0)).isEqualTo(42);
    assertThat(AnimatedSvg.write(TestScenes.prepare(json))).contains("--line:7;");
  }
}
