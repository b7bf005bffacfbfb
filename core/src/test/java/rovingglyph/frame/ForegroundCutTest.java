package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.webexport.AnimatedSvg;

/** Parts of items of every kind that are painted once more, before the words. */
class ForegroundCutTest {
  /** Half of what {@link TestScenes#item} is, to the right of x = 500. */
  private static final String HALF =
      "{\"id\":\"half\",\"kind\":\"rectangle\",\"x\":550,\"y\":440,\"width\":100,\"height\":120}";

  private static final String WORDS =
      "{\"kind\":\"lettering\",\"id\":\"words\",\"text\":\"nnnnnnnnnn\",\"path\":\"p\"}";

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static String document(String kind, String more, String items) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Cuts","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s,%s],"items":[%s,%s%s]}"""
        .formatted(TestScenes.PATHS, HALF, TestScenes.item(kind, more), WORDS, items);
  }

  private static PreparedScene cut(String kind, String more) {
    Scene s = SceneCodec.read(document(kind, more, ""));
    String edit = "{\"op\":\"cutForeground\",\"id\":\"front\",\"item\":\"it\",\"along\":\"half\"}";
    Scene out = SceneEdits.apply(s, edit);
    assertThat(SceneCodec.read(SceneCodec.write(out))).isEqualTo(out);
    return TestScenes.prepare(SceneCodec.write(out));
  }

  private static List<FrameEntries.Entry> front(PreparedScene p, double time) {
    List<FrameEntries.Entry> all = FrameEntries.of(p.at(time));
    List<Op> ops = all.stream().map(FrameEntries.Entry::op).toList();
    assertThat(ops.get(ops.size() - 1)).isEqualTo(Op.POP);
    int begins = ops.size() - 1;
    for (int open = 1; open > 0; ) {
      begins--;
      open += ops.get(begins) == Op.POP ? 1 : ops.get(begins) == Op.PUSH ? -1 : 0;
    }
    return all.subList(begins, all.size());
  }

  /** It is on top, as the item is but for what lies outside the path, and found only there. */
  @ParameterizedTest
  @MethodSource("kinds")
  void isTheItemOnceMoreBeforeTheWords(String kind) {
    PreparedScene p = cut(kind, "");
    assertThat(p.scene().stack()).endsWith("words", "front");
    List<FrameEntries.Entry> front = front(p, 0);
    List<FrameEntries.Entry> item = FrameEntries.of(itemAlone(kind).at(0));
    assertThat(front.subList(1, item.size() + 1)).usingRecursiveComparison().isEqualTo(item);
    assertThat(front.get(item.size() + 1).op()).isEqualTo(Op.MATTE);
    assertThat(p.itemAt(new Point(527, 470), 0, 3)).isEqualTo("front");
    assertThat(p.itemAt(new Point(477, 470), 0, 3)).isNotEqualTo("front");
    assertThat(p.box("front", 0).left()).isCloseTo(500, within(1e-6));
  }

  private static PreparedScene itemAlone(String kind) {
    String json = document(kind, "", "").replace("," + WORDS, "");
    return TestScenes.prepare(json);
  }

  /** Its path stays on the same spot of the item, whatever moves, turns and scales that. */
  @ParameterizedTest
  @MethodSource("kinds")
  void goesWithThePlaceOfTheItem(String kind) {
    boolean placed = List.of("drawing", "picture", "group").contains(kind);
    String moves =
        "{\"keyframes\":[{\"time\":0,\"value\":%s},{\"time\":4,\"value\":%s,\"easing\":\"steady\"}]}";
    String place =
        "\"rotation\":" + moves.formatted("0", "90") + ",\"scale\":" + moves.formatted("1", "3");
    String ride =
        "\"ride\":{\"path\":\"half\",\"point\":[500,420],\"pathOffset\":"
            + moves.formatted("0", "300")
            + "}";
    PreparedScene p = cut(kind, placed ? place + "," + ride : ride);
    ForegroundCut c = (ForegroundCut) p.scene().item("front");
    Projection before = p.cutArea(c).map(0);
    // At its own time the path is where it is.
    assertThat(before.apply(new Point(500, 420)).distance(new Point(500, 420))).isLessThan(1e-6);
    for (double t = 0.3; t < 4; t += 0.7) {
      Affine own = own(p, t).times(own(p, 0).inverse());
      for (Point corner : List.of(new Point(500, 380), new Point(600, 500))) {
        Point now = p.cutArea(c).map(t).apply(corner);
        assertThat(now.distance(own.apply(corner))).isLessThan(1e-6);
      }
    }
  }

  /** Of the first of the item's outlines, or its box's corners where it is none. */
  private static Affine own(PreparedScene p, double time) {
    Affine map = p.carriage(p.scene().item("it")).first(time);
    return p.scene().item("it") instanceof rovingglyph.scene.Transformed t
        ? map.times(rovingglyph.motion.Place.map(t, time))
        : map;
  }

  /** With the last cut grown: what is cut may be a cut, too. */
  private static String last(String json, int grow) {
    return json.replaceFirst("(?s)(.*)\"grow\":0", "$1\"grow\":" + grow);
  }

  /** A grown area has a line round it, a shrunk one is without it; the edge is blurred. */
  @ParameterizedTest
  @MethodSource("kinds")
  void growsShrinksAndIsSoft(String kind) {
    String json = SceneCodec.write(cut(kind, "").scene());
    String grown = last(json, 6).replace("\"cutEdge\":0", "\"cutEdge\":20");
    List<FrameEntries.Entry> more = front(TestScenes.prepare(grown), 0);
    FrameEntries.Entry line = more.get(more.size() - 3);
    assertThat(line.op()).isEqualTo(Op.STROKE);
    assertThat(line.line().get(0)).isEqualTo(12);
    assertThat(TestScenes.prepare(grown).box("front", 0).left()).isLessThanOrEqualTo(494);
    List<FrameEntries.Entry> less = front(TestScenes.prepare(last(json, -6)), 0);
    assertThat(less.subList(less.size() - 6, less.size()))
        .extracting(FrameEntries.Entry::op)
        .containsExactly(Op.PUSH, Op.FILL, Op.MATTE, Op.STROKE, Op.POP, Op.POP);
    String svg = AnimatedSvg.write(TestScenes.prepare(grown));
    assertThat(svg).contains("stroke-width=\"12\"", "filter:blur(calc(max(0,20)*0.25*1px))");
  }

  /** Hidden with the item, gone with it, and with the path it keeps a copy of its own. */
  @ParameterizedTest
  @MethodSource("kinds")
  void goesWithTheItem(String kind) {
    Scene s = cut(kind, "").scene();
    String hide = "{\"op\":\"change\",\"items\":[\"it\"],\"fields\":{\"hidden\":true}}";
    PreparedScene hidden = TestScenes.prepare(SceneCodec.write(SceneEdits.apply(s, hide)));
    assertThat(hidden.itemAt(new Point(527, 470), 0, 3)).isEqualTo("words");
    assertThat(AnimatedSvg.write(hidden)).doesNotContain("-cut\"");
    Scene gone = SceneEdits.apply(s, "{\"op\":\"deleteItem\",\"item\":\"it\"}");
    assertThat(gone.item("front")).isNull();
    assertThat(gone.stack()).doesNotContain("front");
    Scene kept = SceneEdits.apply(s, "{\"op\":\"deletePath\",\"of\":\"half\"}");
    String path = ((ForegroundCut) kept.item("front")).path();
    assertThat(kept.path(path).name()).endsWith("(kept)");
  }

  @Test
  void isNeverAPartOfItself() {
    Scene s = cut("drawing", "").scene();
    String itself = "{\"op\":\"cutForeground\",\"id\":\"a\",\"item\":\"g\",\"along\":\"half\"}";
    Scene grouped =
        SceneEdits.apply(s, "{\"op\":\"group\",\"id\":\"g\",\"items\":[\"it\",\"words\"]}");
    Scene fine = SceneEdits.apply(grouped, itself);
    String inside = "{\"op\":\"restack\",\"item\":\"a\",\"into\":\"g\"}";
    Scene circle = SceneEdits.apply(fine, inside);
    assertThatThrownBy(() -> SceneCodec.read(SceneCodec.write(circle)))
        .hasMessageContaining("a part of itself");
    String round =
        document("drawing", "", "")
            .replace(
                "\"items\":[",
                "\"items\":[{\"kind\":\"foreground-cut\",\"id\":\"a\",\"source\":\"b\",\"path\":\"half\"},"
                    + "{\"kind\":\"foreground-cut\",\"id\":\"b\",\"source\":\"a\",\"path\":\"half\"},"
                    + "{\"kind\":\"foreground-cut\",\"id\":\"c\",\"source\":\"none\",\"path\":\"none\"},");
    assertThatThrownBy(() -> SceneCodec.read(round))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("$.items[0].source: the cut would be a part of itself")
        .hasMessageContaining("$.items[2].source: no item has the id")
        .hasMessageContaining("$.items[2].path: no path has the id");
  }
}
