package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Point;
import rovingglyph.proof.LoopCheck;
import rovingglyph.proof.Proof;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;
import rovingglyph.schema.Spelling;
import rovingglyph.webexport.AnimatedSvg;

/** Blend mode, effects and clip, which items of every kind may have. */
class AppearanceTest {
  private static final String BLUR =
      "\"effects\":[{\"id\":\"e\",\"kind\":\"blur\",\"stdDeviation\":%s}]";
  private static final String CLIP = "\"clip\":{\"path\":\"c\"%s}";

  /** A scene with an item "it" whose ink reaches from (400, 400) on past (600, 480). */
  private static String document(String kind, String more) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Looks","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s,{"id":"c","kind":"circle","x":450,"y":480,"radius":60}],"items":[%s]}"""
        .formatted(TestScenes.PATHS, TestScenes.item(kind, more));
  }

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static List<FrameEntries.Entry> frame(String document, double time) {
    return FrameEntries.of(TestScenes.prepare(document).at(time));
  }

  private static List<Op> ops(String kind, String more) {
    // A lettering of 16 letters is one fill, as a drawing of one part is.
    return frame(document(kind, more), 0).stream().map(FrameEntries.Entry::op).toList();
  }

  @Test
  void oneBlurAfterAnotherIsASingleOne() {
    String two =
        "\"effects\":[{\"id\":\"e\",\"kind\":\"blur\",\"stdDeviation\":12},"
            + "{\"id\":\"f\",\"kind\":\"blur\",\"stdDeviation\":5}]";
    assertThat(TestScenes.prepare(document("drawing", two)).at(0).numbers())
        .containsExactly(
            TestScenes.prepare(document("drawing", BLUR.formatted(13))).at(0).numbers());
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void asksForLayersOnlyWhereItDoesSomething(String kind) {
    List<Op> own = TestScenes.ops(kind);
    assertThat(ops(kind, "\"blendMode\":\"normal\"")).isEqualTo(own);
    assertThat(ops(kind, BLUR.formatted(0))).isEqualTo(own);
    assertThat(ops(kind, BLUR.formatted(5).replace("\"kind\"", "\"off\":true,\"kind\"")))
        .isEqualTo(own);
    assertThat(ops(kind, BLUR.formatted(5)))
        .isEqualTo(joined(List.of(Op.PUSH), own, List.of(Op.POP)));
    assertThat(ops(kind, CLIP.formatted("")))
        .isEqualTo(joined(List.of(Op.PUSH), own, List.of(Op.MATTE, Op.FILL, Op.POP)));
    assertThat(ops(kind, CLIP.formatted(",\"softEdge\":8") + "," + BLUR.formatted(5)))
        .as("the effects, then the clip")
        .isEqualTo(
            joined(
                List.of(Op.PUSH, Op.PUSH),
                own,
                List.of(Op.POP, Op.MATTE, Op.PUSH, Op.FILL, Op.POP, Op.POP)));
  }

  @SafeVarargs
  private static List<Op> joined(List<Op>... parts) {
    return Stream.of(parts).flatMap(List::stream).toList();
  }

  @ParameterizedTest
  @EnumSource(BlendMode.class)
  void blendsByEveryMode(BlendMode mode) {
    String more = "\"blendMode\":\"" + Spelling.of(mode) + "\"";
    for (String kind : kinds().toList()) {
      Scene s = SceneCodec.read(document(kind, more));
      assertThat(SceneCodec.read(SceneCodec.write(s)).item("it")).isEqualTo(s.item("it"));
      FrameEntries.Entry first = frame(document(kind, more), 0).get(0);
      Op plain = TestScenes.ops(kind).get(0);
      assertThat(first.op()).isEqualTo(mode == BlendMode.NORMAL ? plain : Op.PUSH);
      if (mode != BlendMode.NORMAL) {
        assertThat(first.layer().blend()).isEqualTo(mode);
        assertThat(AnimatedSvg.write(TestScenes.prepare(document(kind, more))))
            .contains("mix-blend-mode:" + Spelling.of(mode));
      }
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aBlurMovesLikeAnyValueAndIsKeptInItsRange(String kind) {
    String moving =
        "{\"keyframes\":[{\"time\":0,\"value\":2},{\"time\":2,\"value\":10,\"easing\":\"steady\"}]}";
    String json = document(kind, BLUR.formatted(moving));
    for (double t : new double[] {0, 0.5, 1, 1.5, 2, 3}) {
      FrameEntries.Entry push = frame(json, t).get(0);
      assertThat(push.layer().effects()).hasSize(1);
      assertThat(push.layer().effects().get(0)[1]).isBetween(2.0, 10.0);
    }
    assertThat(frame(json, 0).get(0).layer().effects().get(0)[1]).isEqualTo(2);
    assertThat(frame(json, 2).get(0).layer().effects().get(0)[1]).isEqualTo(10);
    Scene s = SceneCodec.read(json);
    assertThat(SceneCodec.read(SceneCodec.write(s))).isEqualTo(s);
    assertThat(s.item("it").moves()).isTrue();
    assertThat(AnimatedSvg.write(TestScenes.prepare(json))).contains("filter:blur(");
    assertThat(LoopCheck.of(TestScenes.prepare(json)))
        .as("it does not close")
        .anySatisfy(d -> assertThat(d.channel().label()).isEqualTo("Blur"));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aBlurGrowsWithTheGroupsRoundIt(String kind) {
    String json =
        document(kind, BLUR.formatted(5))
            .replace(
                "\"items\":[",
                "\"items\":[{\"kind\":\"group\",\"id\":\"o\",\"members\":[\"it\"],\"scale\":3},");
    assertThat(frame(json, 0).get(0).layer().effects().get(0)[1]).isCloseTo(15, within(1e-9));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void theBoxOfALayerHoldsAllOfIt(String kind) {
    List<FrameEntries.Entry> all = frame(document(kind, BLUR.formatted(5)), 0);
    FrameSink.Layer layer = all.get(0).layer();
    for (Point p : all.get(1).points()) {
      assertThat(p.x()).isBetween(layer.left(), layer.right());
      assertThat(p.y()).isBetween(layer.top(), layer.bottom());
    }
    assertThat(layer.left()).isLessThanOrEqualTo(400);
    assertThat(layer.right()).isGreaterThanOrEqualTo(600).isLessThan(1000);
    String inverted = CLIP.formatted(",\"inverted\":true") + "," + BLUR.formatted(5);
    assertThat(frame(document(kind, inverted), 0).get(0).layer().left())
        .as("the blur reaches farther")
        .isCloseTo(layer.left() - 15, within(1e-9));
    String within = CLIP.formatted("") + "," + BLUR.formatted(5);
    FrameSink.Layer clipped = frame(document(kind, within), 0).get(0).layer();
    assertThat(clipped.right()).as("no more than the clip leaves").isLessThan(layer.right());
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void whatTheClipLeavesOutIsNotHit(String kind) {
    Point inside = new Point(425, 470);
    Point outside = new Point(525, 470);
    PreparedScene plain = TestScenes.prepare(document(kind, "\"name\":\"Whole\""));
    PreparedScene clipped = TestScenes.prepare(document(kind, CLIP.formatted("")));
    PreparedScene inverted =
        TestScenes.prepare(document(kind, CLIP.formatted(",\"inverted\":true")));
    assertThat(plain.itemAt(inside, 0, 1)).isNotEmpty();
    assertThat(plain.itemAt(outside, 0, 1)).isNotEmpty();
    assertThat(clipped.itemAt(inside, 0, 1)).isNotEmpty();
    assertThat(clipped.itemAt(outside, 0, 1)).isEmpty();
    assertThat(inverted.itemAt(inside, 0, 1)).isEmpty();
    assertThat(inverted.itemAt(outside, 0, 1)).isNotEmpty();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void anEffectThatIsNotKnownIsKeptAndToldAndNotPainted(String kind) {
    String json =
        document(
            kind, "\"effects\":[{\"id\":\"e\",\"kind\":\"sparkle\",\"glints\":[1,{\"of\":2}]}]");
    assertThat(frame(json, 0)).extracting(FrameEntries.Entry::op).isEqualTo(TestScenes.ops(kind));
    assertThat(SceneCodec.write(SceneCodec.read(json)))
        .contains("\"kind\":\"sparkle\"", "\"glints\":[1,{\"of\":2}]");
    assertThat(Proof.of(TestScenes.prepare(json)))
        .anySatisfy(f -> assertThat(f.message()).contains("sparkle", "kept"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"blendMode\":\"glow\" | blendMode | unknown choice",
        "\"blendMode\":7 | blendMode | not a text",
        "\"effects\":[{\"id\":\"e\"}] | effects[0].kind | is missing",
        "\"effects\":[{\"kind\":\"blur\"}] | effects[0].id | is missing",
        "\"effects\":[{\"id\":\"e\",\"kind\":\"blur\",\"stdDeviation\":-1}] | effects[0].stdDeviation | out of range",
        "\"effects\":[{\"id\":\"e\",\"kind\":\"blur\",\"stdDeviation\":251}] | effects[0].stdDeviation | 0 to 250",
        "\"effects\":[{\"id\":\"e\",\"kind\":\"blur\"},{\"id\":\"e\",\"kind\":\"blur\"}] | effects[1].id | used twice",
        "\"effects\":[{\"id\":\"e\",\"kind\":\"blur\",\"stdDeviation\":{\"stagger\":{\"delay\":1}}}] | effects[0].stdDeviation.stagger | only letters",
        "\"effects\":[{\"id\":\"e\",\"kind\":\"blur\",\"stdDeviation\":{\"keyframes\":[{\"time\":0,\"value\":1},{\"time\":0.01,\"value\":2}]}}] | effects[0].stdDeviation.keyframes[1].time | two keyframes",
        "\"clip\":{\"path\":\"none\"} | clip.path | no path has the id",
        "\"clip\":{\"path\":\"c\",\"softEdge\":1001} | clip.softEdge | out of range",
        "\"clip\":{\"path\":\"c\",\"inverted\":1} | clip.inverted | neither true nor false"
      })
  void isToldWithItsPlaceWhereItIsWrong(String more, String path, String reason) {
    for (String kind : kinds().toList()) {
      int index = TestScenes.index(kind);
      assertThatThrownBy(() -> SceneCodec.read(document(kind, more)))
          .as(kind)
          .isInstanceOfSatisfying(
              DocumentException.class,
              e -> {
                Problem p = e.problems().get(0);
                assertThat(p.path()).isEqualTo("$.items[" + index + "]." + path);
                assertThat(p.reason() + p.allowed()).contains(reason);
              });
    }
  }

  private static Scene edited(Scene scene, String edit) {
    Scene out = SceneEdits.apply(scene, edit.replace('\'', '"'));
    assertThat(SceneCodec.read(SceneCodec.write(out))).isEqualTo(out);
    return out;
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void isEditedOnEveryKind(String kind) {
    Scene s = SceneCodec.read(document(kind, "\"name\":\"Kite\""));
    s = edited(s, "{'op':'addEffect','items':['it'],'kind':'blur','effect':'a'}");
    s = edited(s, "{'op':'addEffect','items':['it'],'kind':'blur','effect':'b'}");
    s = edited(s, "{'op':'key','item':'it','channel':'effect-b-stdDeviation','time':1,'value':30}");
    s = edited(s, "{'op':'moveEffect','item':'it','effect':'b','to':0}");
    s = edited(s, "{'op':'switchEffect','item':'it','effect':'a'}");
    Item it = s.item("it");
    assertThat(it.properties().effects()).extracting("id").containsExactly("b", "a");
    assertThat(it.properties().effects()).extracting("off").containsExactly(false, true);
    assertThat(it.movable(Channel.of("effect-b-stdDeviation")).keyframes()).hasSize(1);
    s = edited(s, "{'op':'removeEffect','item':'it','effect':'b'}");
    assertThat(s.item("it").movable(Channel.of("effect-b-stdDeviation"))).isNull();
    s = edited(s, "{'op':'blend','items':['it'],'mode':'screen'}");
    assertThat(s.item("it").properties().blend()).isEqualTo(BlendMode.SCREEN);
    s = edited(s, "{'op':'clip','items':['it'],'path':'c'}");
    s = edited(s, "{'op':'clip','items':['it'],'inverted':true}");
    s = edited(s, "{'op':'set','item':'it','channel':'softEdge','time':0,'value':12}");
    assertThat(s.item("it").properties().clip())
        .extracting("path", "inverted")
        .containsExactly("c", true);
    Scene copied = edited(s, "{'op':'deletePath','of':'c'}");
    assertThat(copied.path("c")).isNull();
    assertThat(copied.path(copied.item("it").properties().clip().path())).isNotNull();
    Scene moved = edited(s, "{'op':'deletePath','of':'c','to':'p'}");
    assertThat(moved.item("it").properties().clip().path()).isEqualTo("p");
    s = edited(s, "{'op':'clip','items':['it'],'path':null}");
    assertThat(s.item("it").properties().clip()).isNull();
    assertThat(s.item("it").movable(Channel.SOFT_EDGE)).isNull();
    assertThat(s.item("it").properties().name()).isEqualTo("Kite");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'op':'addEffect','items':['it'],'kind':'sparkle','effect':'a'} | $.kind: is an unknown choice: \"sparkle\"",
        "{'op':'addEffect','items':[],'kind':'blur','effect':'a'} | Choose an item",
        "{'op':'addEffect','items':['gone'],'kind':'blur','effect':'a'} | no such item",
        "{'op':'removeEffect','item':'it','effect':'gone'} | no such effect",
        "{'op':'blend','items':['it'],'mode':'glow'} | $.mode: is an unknown choice: \"glow\"",
        "{'op':'clip','items':['it'],'path':'gone'} | no such path",
        "{'op':'filling','item':'it','filling':'linear'} | no such colour field"
      })
  void anEditThatCannotBeDoneSaysWhy(String edit, String reason) {
    Scene s = SceneCodec.read(document("drawing", "\"name\":\"Kite\""));
    assertThatThrownBy(() -> SceneEdits.apply(s, edit.replace('\'', '"')))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(reason);
  }

  @Test
  void aClickGoesThroughAFieldOverTheWholeFrame() {
    String more = "\"area\":\"%s\"";
    Point on = new Point(500, 480);
    assertThat(
            TestScenes.prepare(document("colour-field", more.formatted("rectangle")))
                .itemAt(on, 0, 1))
        .isEqualTo("it");
    assertThat(
            TestScenes.prepare(document("colour-field", more.formatted("frame"))).itemAt(on, 0, 1))
        .isEmpty();
  }

  @Test
  void aNewFieldLiesBehindAllAndItsGradientEndsInNothing() {
    Scene s = SceneCodec.read(document("drawing", "\"name\":\"Kite\""));
    s = edited(s, "{'op':'addColourField','id':'f'}");
    assertThat(s.stack()).containsExactly("f", "it");
    s = edited(s, "{'op':'filling','item':'f','filling':'radial'}");
    ColourField f = (ColourField) s.item("f");
    assertThat(f.fill().stops()).extracting("opacity").containsExactly(100.0, 0.0);
    FramePaint paint =
        FrameEntries.of(TestScenes.prepare(SceneCodec.write(s)).at(0)).get(0).paint();
    assertThat(paint.kind()).isEqualTo(FramePaint.Kind.RADIAL);
    assertThat(paint.map().apply(Point.ORIGIN)).as("its middle").isEqualTo(new Point(500, 500));
    assertThat(paint.map().apply(new Point(1, 0))).as("its rim").isEqualTo(new Point(500, 1000));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"filling\":\"linear\" | stops | 2 to 8",
        "\"filling\":\"striped\" | filling | plain, linear, radial",
        "\"area\":\"moon\" | area | frame, rectangle",
        "\"stops\":[{\"offset\":50,\"colour\":\"#000000\"},{\"offset\":20,\"colour\":\"#000000\"}] | stops[1].offset | ascending",
        "\"stops\":[{\"offset\":101}] | stops[0].offset | 0 to 100",
        "\"stops\":[{\"colour\":\"red\"}] | stops[0].colour | #RRGGBB",
        "\"stops\":[{\"opacity\":-1}] | stops[0].opacity | 0 to 100",
        "\"width\":0 | width | 1 to 100000",
        "\"fill\":3 | fill | not a text"
      })
  void aFieldIsToldWithItsPlaceWhereItIsWrong(String more, String path, String reason) {
    assertThatThrownBy(() -> SceneCodec.read(document("colour-field", more)))
        .isInstanceOfSatisfying(
            DocumentException.class,
            e -> {
              Problem p = e.problems().get(0);
              assertThat(p.path()).isEqualTo("$.items[0]." + path);
              assertThat(p.reason() + p.allowed()).contains(reason);
            });
  }
}
