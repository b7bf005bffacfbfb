package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Typesetting;

/** The motion or the look of one item is put onto another one, for all pairs of kinds. */
class CopiedPartsTest {
  private static final String MOVING =
      "{\"keyframes\":[{\"time\":0,\"value\":20},{\"time\":2,\"value\":70,\"easing\":\"spring\"}]}";

  private static final String MOVES =
      "\"opacity\":"
          + MOVING
          + ",\"rotation\":"
          + MOVING
          + ",\"fill\":\"#C4472D\",\"blendMode\":\"multiply\","
          + "\"effects\":[{\"kind\":\"drop-shadow\",\"id\":\"s\",\"dx\":"
          + MOVING
          + "}]";

  private static Scene scene(String items) {
    return SceneCodec.read(
        """
        {"format":"roving-glyph-scene","version":2,"name":"Copies","width":1000,"height":1000,
         "rate":"25","length":4,"paths":[%s],"items":[%s]}"""
            .formatted(TestScenes.PATHS, items));
  }

  /** The item "it" with what moves, and another one of a kind, "other". */
  private static Scene pair(String from, String to) {
    String other =
        TestScenes.item(to, "\"effects\":[{\"kind\":\"outline\",\"id\":\"mine\",\"width\":6}]")
            .replace("\"it\"", "\"other\"")
            .replace("\"in\"", "\"in-other\"")
            .replace("\"of\"", "\"of-other\"")
            .replace("\"rest\"", "\"rest-other\"");
    return scene(TestScenes.item(from, MOVES) + "," + other);
  }

  static Stream<List<String>> pairs() {
    return TestScenes.ITEM_KINDS.stream()
        .flatMap(a -> TestScenes.ITEM_KINDS.stream().map(b -> List.of(a, b)));
  }

  private static Scene onto(Scene scene, String copied, String part, String... targets) {
    JsonArray items = new JsonArray();
    Stream.of(targets).forEach(items::add);
    return SceneEdits.apply(
        scene,
        new JsonObject()
            .add("op", "pasteOnto")
            .add("items", items)
            .add("copied", copied)
            .add("same", true)
            .add("part", part)
            .toString());
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void whatMovesMovesAndAllElseStays(List<String> kinds) {
    Scene before = pair(kinds.get(0), kinds.get(1));
    String copied = Copies.copy(before, List.of("it"));
    Item from = before.item("it");
    Item to = before.item("other");
    boolean shared =
        from.values().entrySet().stream()
            .anyMatch(e -> e.getValue().moves() && to.movable(e.getKey()) != null);
    if (!shared) {
      assertThatThrownBy(() -> onto(before, copied, "motion", "other"))
          .hasMessageContaining("moves");
      return;
    }
    Scene after = onto(before, copied, "motion", "other");
    assertThat(after.stack()).isEqualTo(before.stack());
    assertThat(after.paths()).isEqualTo(before.paths());
    Item now = after.item("other");
    assertThat(now.properties()).isEqualTo(to.properties());
    now.values()
        .forEach(
            (c, m) -> {
              AnimatedValue there = from.movable(c);
              assertThat(m)
                  .as(c.toString())
                  .isEqualTo(there != null && there.moves() ? there : to.movable(c));
            });
    assertThat(SceneCodec.read(SceneCodec.write(after))).isEqualTo(after);
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void itLooksLikeTheOtherAndStandsStillWhereItStood(List<String> kinds) {
    Scene before = pair(kinds.get(0), kinds.get(1));
    Item from = before.item("it");
    Scene after = onto(before, Copies.copy(before, List.of("it")), "look", "other");
    Item now = after.item("other");
    assertThat(now.properties().effects()).isEqualTo(from.properties().effects());
    assertThat(now.properties().blend()).isEqualTo(from.properties().blend());
    assertThat(now.movable(Channel.of("effect-mine-width"))).isNull();
    assertThat(now.values().keySet()).containsAll(from.appearance());
    if (now.movable(Channel.OPACITY) != null && from.movable(Channel.OPACITY) != null) {
      assertThat(now.movable(Channel.OPACITY)).isEqualTo(new AnimatedValue(20));
    }
    if (now.movable(Channel.FILL) != null && from.movable(Channel.FILL) != null) {
      assertThat(now.movable(Channel.FILL)).isEqualTo(from.movable(Channel.FILL));
    }
    for (Channel c :
        List.of(Channel.X, Channel.Y, Channel.ROTATION, Channel.SCALE, Channel.PATH_OFFSET)) {
      assertThat(now.movable(c)).as(c.toString()).isEqualTo(before.item("other").movable(c));
    }
    assertThat(SceneCodec.read(SceneCodec.write(after))).isEqualTo(after);
  }

  @Test
  void wordsStayInAnotherTypefaceAndComeAsTheOthersDid() {
    Scene before =
        scene(
            """
            {"kind":"lettering","id":"it","text":"kites up","path":"p","face":"bricolage-grotesque",
             "axes":{"wght":700},"casing":"upper","size":140,"reveal":{"soft":20},
             "revealTo":{"keyframes":[{"time":0,"value":0},{"time":1,"value":100}]}},
            {"kind":"lettering","id":"other","text":"wind","path":"p","axes":{"opsz":9},
             "seat":{"align":"middle","pathOffset":30}}""");
    String copied = Copies.copy(before, List.of("it"));
    Lettering from = (Lettering) before.item("it");
    Lettering look = (Lettering) onto(before, copied, "look", "other").item("other");
    assertThat(look.text()).isEqualTo("wind");
    assertThat(look.face()).isEqualTo("bricolage-grotesque");
    assertThat(look.axes()).isEqualTo(from.axes());
    assertThat(look.setting().casing()).isEqualTo(Typesetting.Casing.UPPER);
    assertThat(look.movable(Channel.SIZE).base()).isEqualTo(140);
    assertThat(look.seat()).isEqualTo(((Lettering) before.item("other")).seat());
    assertThat(look.letterEffects().reveal()).isNull();
    Lettering motion = (Lettering) onto(before, copied, "motion", "other").item("other");
    assertThat(motion.face()).isEqualTo("fraunces");
    assertThat(motion.letterEffects().reveal()).isEqualTo(from.letterEffects().reveal());
    assertThat(motion.movable(Channel.REVEAL_TO)).isEqualTo(from.movable(Channel.REVEAL_TO));
  }

  @Test
  void severalCopiesGoToSeveralItemsInTheirOrder() {
    StringBuilder items = new StringBuilder();
    for (int i = 0; i < 5; i++) {
      items
          .append(i == 0 ? "" : ",")
          .append("{\"kind\":\"colour-field\",\"id\":\"c%d\",\"opacity\":%d}".formatted(i, 90 - i));
    }
    Scene before = scene(items.toString());
    Scene after = onto(before, Copies.copy(before, List.of("c0", "c1")), "look", "c2", "c3", "c4");
    for (int i = 2; i < 5; i++) {
      assertThat(after.item("c" + i).movable(Channel.OPACITY).base()).isEqualTo(90 - i % 2);
    }
  }

  @Test
  void nobodyFollowsItself() {
    Scene before =
        scene(
            """
            {"kind":"lettering","id":"it","text":"kites up","path":"p",
             "seat":{"pathOffset":{"value":0,"sway":{"amplitude":9,"period":2},"follow":{"lettering":"other","delay":1}}}},
            {"kind":"lettering","id":"other","text":"wind","path":"p"}""");
    Item now = onto(before, Copies.copy(before, List.of("it")), "motion", "other").item("other");
    assertThat(now.movable(Channel.PATH_OFFSET).sway()).isNotNull();
    assertThat(now.movable(Channel.PATH_OFFSET).follow()).isNull();
  }

  @Test
  void whatIsNoCopyIsRefusedAndNothingIsChanged() {
    Scene before = pair("lettering", "lettering");
    for (String text :
        List.of("", "{}", "kites", "{\"format\":\"roving-glyph-copy\",\"version\":9}")) {
      assertThatThrownBy(() -> onto(before, text, "look", "other"))
          .isInstanceOf(IllegalArgumentException.class);
    }
    String copied = Copies.copy(before, List.of("it"));
    assertThatThrownBy(() -> onto(before, copied, "look")).hasMessageContaining("Choose");
    assertThatThrownBy(() -> onto(before, copied, "look", "nobody"))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
