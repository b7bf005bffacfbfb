package rovingglyph.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Spelling;
import rovingglyph.webexport.AnimatedSvg;

/** Shadows and glows of items of every kind. */
class ShadowsTest {
  private static final String MOVING =
      "{\"keyframes\":[{\"time\":0,\"value\":%s},{\"time\":2,\"value\":%s}]}";

  private static String document(String kind, String more) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Shadows","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s],"items":[%s]}"""
        .formatted(TestScenes.PATHS, TestScenes.item(kind, more));
  }

  private static String effect(String kind, String more) {
    return "\"effects\":[{\"id\":\"e\",\"kind\":\"" + kind + "\"" + more + "}]";
  }

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  static Stream<Arguments> kindsAndEffects() {
    return kinds().flatMap(k -> Stream.of(Effect.Kind.values()).map(e -> Arguments.of(k, e)));
  }

  private static List<FrameEntries.Entry> frame(String document, double time) {
    return FrameEntries.of(TestScenes.prepare(document).at(time));
  }

  private static Scene edited(Scene scene, String edit) {
    Scene out = SceneEdits.apply(scene, edit.replace('\'', '"'));
    assertThat(SceneCodec.read(SceneCodec.write(out))).isEqualTo(out);
    return out;
  }

  @ParameterizedTest
  @MethodSource("kindsAndEffects")
  void isAddedToEveryKindAndSeenAndSwitchedOff(String kind, Effect.Kind effect) {
    Scene plain = SceneCodec.read(document(kind, "\"name\":\"Kite\""));
    String word = Spelling.of(effect);
    Scene s = edited(plain, "{'op':'addEffect','items':['it'],'kind':'" + word + "','effect':'a'}");
    String json = SceneCodec.write(s);
    assertThat(frame(json, 1)).hasSizeGreaterThan(frame(SceneCodec.write(plain), 1).size());
    assertThat(AnimatedSvg.write(TestScenes.prepare(json)))
        .contains(effect == Effect.Kind.OUTLINE ? "stroke=" : "filter");
    Scene off = edited(s, "{'op':'switchEffect','item':'it','effect':'a'}");
    assertThat(TestScenes.prepare(SceneCodec.write(off)).at(1).numbers())
        .containsExactly(TestScenes.prepare(SceneCodec.write(plain)).at(1).numbers());
  }

  /** Every number and colour moves in the frame and in the SVG. */
  @ParameterizedTest
  @MethodSource("kindsAndEffects")
  void everyValueOfItMoves(String kind, Effect.Kind effect) {
    for (Effect.Parameter p : effect.parameters()) {
      boolean colour = p.kind() == Channel.Kind.COLOUR;
      String moving =
          colour
              ? MOVING.formatted("\"#102030\"", "\"#F0E0D0\"")
              : MOVING.formatted(
                  p.start() == p.max() ? p.max() / 3 : p.start() + (p.max() - p.start()) * 0.001,
                  Math.min(p.max(), p.start() + Math.max(p.start(), 5)));
      String more = ",\"" + p.name() + "\":" + moving;
      // A ground that does not lie below the item throws nothing.
      String ground = p.name().startsWith("ground") ? "" : ",\"groundX\":500,\"groundY\":500";
      String gaps = p == Effect.DASH ? ",\"gap\":5" : "";
      boolean graded = !Effect.of("e", effect, Spelling.of(effect)).uses(p);
      String also = effect == CAST ? ground : graded ? ",\"filling\":\"linear\"" : gaps;
      String document = document(kind, effect(Spelling.of(effect), more + also));
      assertThat(TestScenes.prepare(document).at(0).numbers())
          .as(p.name())
          .isNotEqualTo(TestScenes.prepare(document).at(1.3).numbers());
      if (kind.equals("footage")) {
        continue; // An SVG has none of it.
      }
      String still = document.replace(moving, colour ? "\"#102030\"" : String.valueOf(p.start()));
      assertThat(animations(document)).as(p.name()).isGreaterThan(animations(still));
    }
  }

  private static final Effect.Kind CAST = Effect.Kind.CAST_SHADOW;

  private static int animations(String document) {
    return AnimatedSvg.write(TestScenes.prepare(document)).split("<animate|@keyframes").length;
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aDropShadowFallsFartherInGroupsThatTurnAndGrow(String kind) {
    String json =
        document(kind, effect("drop-shadow", ",\"dx\":10,\"dy\":0,\"stdDeviation\":2,\"spread\":3"))
            .replace(
                "\"items\":[",
                "\"items\":[{\"kind\":\"group\",\"id\":\"o\",\"members\":[\"it\"],\"scale\":2,"
                    + "\"rotation\":90},");
    FrameSink.Layer layer = frame(json, 0).get(0).layer();
    double[] n = layer.effects().get(0);
    assertThat(n[0]).isEqualTo(LayerEffects.Kind.SHADOW.ordinal());
    assertThat(n[1]).isCloseTo(0, within(1e-9));
    assertThat(n[2]).isCloseTo(20, within(1e-9));
    assertThat(n[3]).isCloseTo(6, within(1e-9));
    assertThat(n[4]).isCloseTo(4, within(1e-9));
    assertThat(layer.reach()).as("how far it is seen").isCloseTo(20 + 3 * 4 + 6, within(1e-9));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void isFadedWithTheItemAsAWhole(String kind) {
    List<FrameEntries.Entry> all =
        frame(document(kind, effect("drop-shadow", "") + ",\"opacity\":40"), 0);
    assertThat(all.get(0).op()).isEqualTo(Op.PUSH);
    assertThat(all.get(0).layer().alpha()).isCloseTo(0.4, within(1e-9));
    assertThat(all.get(1).layer().effects()).hasSize(1);
    assertThat(all).filteredOn(e -> e.op() == Op.FILL).allMatch(e -> e.paint().alpha() == 1);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aBlendedGlowIsAPictureOfItsOwnBeneath(String kind) {
    String glow = ",\"blendMode\":\"screen\",\"strength\":200";
    List<FrameEntries.Entry> all = frame(document(kind, effect("glow", glow)), 0);
    assertThat(all.get(0).layer().blend()).isEqualTo(BlendMode.SCREEN);
    assertThat(all.get(1).layer().effects().get(0)[8]).as("alone").isEqualTo(1);
    assertThat(all.get(1).layer().effects().get(0)[5]).as("strength").isEqualTo(2);
    assertThat(all).filteredOn(e -> e.op() == Op.FILL).hasSizeGreaterThan(1);
    assertThat(
            frame(document(kind, effect("glow", glow + ",\"side\":\"inner\"")), 0).get(0).layer())
        .satisfies(
            l ->
                assertThat(l.effects().get(0))
                    .startsWith(LayerEffects.Kind.INNER_GLOW.ordinal())
                    .endsWith(BlendMode.SCREEN.ordinal()));
  }

  @Test
  void aPointLandsBesideItsFootAsFarAsTheThrowIsLong() {
    String cast =
        effect(
            "cast-shadow",
            ",\"groundX\":300,\"groundY\":500,\"direction\":30,\"throw\":80,\"farEnd\":100");
    Scene s = SceneCodec.read(document("drawing", cast));
    Item it = s.item("it");
    CastShadow shadow = Appearance.cast(it, it.properties().effect("e"), 0);
    assertThat(shadow.thrown().apply(new Point(444, 500))).isEqualTo(new Point(444, 500));
    Point landed = shadow.thrown().apply(new Point(444, 400));
    assertThat(landed.x()).isCloseTo(444 + 80 * Math.cos(Math.PI / 6), within(1e-9));
    assertThat(landed.y()).isCloseTo(500 + 80 * Math.sin(Math.PI / 6), within(1e-9));
    assertThat(shadow.marks())
        .containsExactly(
            new double[] {300, 500, 460, 500, 300, 400, 300 + landed.x() - 444, landed.y()},
            within(1e-9));
  }

  /** The bands of different blur are one whole at every height, less what fades. */
  @Test
  void theBandsOfACastShadowMakeOneWhole() {
    for (double fade : new double[] {0, 0.3, 1}) {
      for (int stop = 0; stop < CastShadow.stops(); stop++) {
        double sum = 0;
        for (int band = 0; band < CastShadow.stops(); band++) {
          sum += CastShadow.seen(CastShadow.stops(), band, stop, fade);
        }
        assertThat(sum).isCloseTo(1 - fade * CastShadow.stop(stop), within(1e-12));
        assertThat(CastShadow.seen(1, 0, stop, fade)).isCloseTo(sum, within(1e-12));
      }
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aShadowThrownAlongTheGroundIsNotSeen(String kind) {
    String flat = effect("cast-shadow", ",\"direction\":0,\"groundY\":500");
    assertThat(frame(document(kind, flat), 0))
        .extracting(FrameEntries.Entry::op)
        .isEqualTo(TestScenes.ops(kind));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aNewGroundLiesRightBelowTheItem(String kind) {
    PreparedScene prepared = TestScenes.prepare(document(kind, "\"name\":\"Kite\""));
    Rect box = prepared.box("it", 1);
    assertThat(box.bottom()).isGreaterThan(400);
    Scene s =
        SceneEdits.apply(
            prepared.scene(),
            prepared,
            "{\"op\":\"addEffect\",\"items\":[\"it\"],\"kind\":\"cast-shadow\",\"effect\":\"a\",\"at\":1}");
    Item it = s.item("it");
    Effect e = it.properties().effect("a");
    assertThat(Appearance.value(it, e, Effect.GROUND_Y, 1)).isCloseTo(box.bottom(), within(0.06));
    assertThat(Appearance.value(it, e, Effect.FAR_END, 1)).isCloseTo(box.height(), within(0.06));
  }

  @Test
  void itsHandlesMoveTheGroundTheLineAndTheThrow() {
    Scene s = SceneCodec.read(document("drawing", effect("cast-shadow", ",\"farEnd\":100")));
    String edit = "{'op':'castShadow','item':'it','effect':'e','grip':'%s','x':%s,'y':%s,'time':0}";
    s = edited(s, edit.formatted("ground", 320, 480));
    s = edited(s, edit.formatted("line", 420, 580));
    Item it = s.item("it");
    Effect e = it.properties().effect("e");
    assertThat(Appearance.value(it, e, Effect.GROUND_ANGLE, 0)).isCloseTo(45, within(1e-9));
    Scene thrown = edited(s, edit.formatted("throw", 320, 580));
    double[] marks = Appearance.cast(thrown.item("it"), e, 0).marks();
    assertThat(marks[6]).isCloseTo(320, within(1e-6));
    assertThat(marks[7]).isCloseTo(580, within(1e-6));
    assertThatThrownBy(() -> edited(thrown, edit.formatted("line", 0, 0).replace("'e'", "'x'")))
        .hasMessageContaining("no such shadow");
  }

  /** Shadows of groups show the shadows of what is in them, and so on: they multiply. */
  @Test
  void shadowsOfShadowsAreLimited() {
    String three =
        "\"effects\":[{\"id\":\"a\",\"kind\":\"cast-shadow\"},{\"id\":\"b\",\"kind\":\"cast-shadow\"},"
            + "{\"id\":\"c\",\"kind\":\"cast-shadow\"%s}]";
    String nested =
        document("drawing", three.formatted(""))
            .replace(
                "\"items\":[",
                "\"items\":[{\"kind\":\"group\",\"id\":\"o\",\"members\":[\"it\"],%s},"
                        .formatted(three)
                    + "{\"kind\":\"group\",\"id\":\"q\",\"members\":[\"o\"],%s},".formatted(three));
    assertThat(
            SceneCodec.read(
                nested
                    .replace("\"c\",", "\"c\",\"off\":true,")
                    .replace("%s", "")
                    .replaceAll("\\{\"id\":\"b\",\"kind\":\"cast-shadow\"},", "")))
        .as("5 x 5 x 5 paintings")
        .isNotNull();
    assertThatThrownBy(() -> SceneCodec.read(nested.replace("%s", "")))
        .hasMessageContaining("effects")
        .hasMessageContaining("painted 2197 times")
        .hasMessageContaining("at most 200");
  }

  @Test
  void whatIsChosenIsCheckedAndKept() {
    Scene s = SceneCodec.read(document("drawing", effect("glow", "")));
    String edit = "{'op':'chooseForEffect','item':'it','effect':'e','option':'%s','choice':'%s'}";
    Scene inner = edited(s, edit.formatted("side", "inner"));
    assertThat(inner.item("it").properties().effect("e").choice(Effect.GLOW_SIDE))
        .isEqualTo(Effect.GlowSide.INNER);
    assertThatThrownBy(() -> edited(s, edit.formatted("side", "upper")))
        .hasMessageContaining("outer, inner");
    assertThatThrownBy(() -> edited(s, edit.formatted("join", "round")))
        .hasMessageContaining("nothing of that name");
  }

  @Test
  void oneItemsFinishIsUsedOnOthersOfAnyKind() {
    String from = effect("drop-shadow", ",\"dx\":" + MOVING.formatted(3, 30));
    Scene s = SceneCodec.read(document("picture", from));
    String finish = from.substring(from.indexOf('['));
    for (String kind : kinds().toList()) {
      Scene other = SceneCodec.read(document(kind, effect("blur", "")));
      Scene added =
          edited(other, "{'op':'useFinish','items':['it'],'effects':%s}".formatted(finish));
      List<Effect> effects = added.item("it").properties().effects();
      assertThat(effects).extracting(Effect::kind).containsExactly(Effect.Kind.DROP_SHADOW);
      assertThat(added.item("it").movable(Channel.effect(effects.get(0).id(), Effect.DX)))
          .isEqualTo(s.item("it").movable(Channel.of("effect-e-dx")));
      Scene none = edited(added, "{'op':'useFinish','items':['it'],'effects':[]}");
      assertThat(none.item("it").properties().effects()).isEmpty();
      assertThat(none.item("it").values()).doesNotContainKey(Channel.of("effect-e-dx"));
    }
  }
}
