package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;

/** Items of every kind are copied, within a scene and into another one. */
class CopiesTest {
  private static final String RING =
      "{\"id\":\"ring\",\"kind\":\"circle\",\"x\":500,\"y\":500,\"radius\":200}";

  /** A finish, a clip, and a path that carries it; all of it moves. */
  private static final String DRESSED =
      """
      "blendMode":"multiply","shownTo":3.5,
      "effects":[{"kind":"drop-shadow","id":"s","dx":9,"stdDeviation":{"keyframes":[
        {"time":0,"value":2},{"time":3,"value":20}]}},{"kind":"outline","id":"o","width":6}],
      "clip":{"path":"ring","inverted":true,"softEdge":4},
      "ride":{"path":"ring","point":[500,440],"pathOffset":{"keyframes":[
        {"time":0,"value":0},{"time":4,"value":600}]}}""";

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static Scene scene(String items) {
    return SceneCodec.read(
        """
        {"format":"roving-glyph-scene","version":2,"name":"Copies","width":1000,"height":1000,
         "rate":"25","length":4,"paths":[%s,%s],"items":[%s]}"""
            .formatted(TestScenes.PATHS, RING, items));
  }

  private static final Scene EMPTY =
      SceneCodec.read(
          """
          {"format":"roving-glyph-scene","version":2,"name":"Other","width":1000,"height":1000,
           "rate":"25","length":4,"paths":[],"items":[]}""");

  private static Scene edited(Scene scene, JsonObject edit) {
    return SceneEdits.apply(scene, edit.toString());
  }

  private static Scene duplicated(Scene scene, String id) {
    return edited(
        scene,
        new JsonObject()
            .add("op", "duplicate")
            .add("items", new JsonArray().add(id))
            .add("id", "new"));
  }

  private static Scene pasted(Scene scene, String copied, boolean same) {
    return edited(
        scene,
        new JsonObject()
            .add("op", "paste")
            .add("id", "new")
            .add("copied", copied)
            .add("same", same));
  }

  private static Scene without(Scene scene, String... ids) {
    JsonArray items = new JsonArray();
    Stream.of(ids).forEach(items::add);
    return edited(scene, new JsonObject().add("op", "deleteItem").add("items", items));
  }

  private static void assertLooksAlike(Scene actual, Scene wanted) {
    for (double time : new double[] {0, 0.9, 2.3, 3.8}) {
      assertThat(TestScenes.prepare(SceneCodec.write(actual)).at(time).numbers())
          .as("at " + time)
          .isEqualTo(TestScenes.prepare(SceneCodec.write(wanted)).at(time).numbers());
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aDuplicateIsSeenAsTheOriginalWas(String kind) {
    Scene one = scene(TestScenes.item(kind, DRESSED));
    Scene two = duplicated(one, "it");
    assertThat(two.stack()).hasSize(one.stack().size() + 1).startsWith(one.stack().get(0));
    Scene left = without(two, "it");
    assertLooksAlike(left, one);
    // It has paths of its own: those of the first may go.
    for (var path : one.paths()) {
      assertThat(left.path(path.id())).isEqualTo(path);
    }
    assertThat(left.paths()).hasSizeGreaterThan(one.paths().size());
  }

  /** In a group it stays in it, and so stands where the first one stands. */
  @Test
  void aDuplicateStandsBesideTheOriginalInItsGroup() {
    Scene one =
        scene(TestScenes.item("group", "\"x\":300,\"rotation\":30,\"scale\":0.5," + DRESSED));
    Scene two = duplicated(one, "in");
    assertThat(((Group) two.item("it")).members()).hasSize(2).startsWith("in");
    assertLooksAlike(without(two, "in"), one);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void inAnotherSceneItIsSeenAsItWas(String kind) {
    Scene one = scene(TestScenes.item(kind, DRESSED));
    boolean cut = kind.equals("foreground-cut");
    String copied = Copies.copy(one, cut ? List.of("rest", "it") : List.of("it"));
    assertLooksAlike(pasted(EMPTY, copied, false), one);
    if (cut) {
      String alone = Copies.copy(one, List.of("it"));
      assertThatThrownBy(() -> pasted(EMPTY, alone, false)).hasMessageContaining("copy both");
    }
  }

  private static Scene everything() {
    try {
      return SceneCodec.read(Files.readString(Path.of("src/test/resources/everything.json")));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static Stream<String> ids() {
    return everything().items().keySet().stream();
  }

  /** The original stays as it was, and what the copy holds to is what the original held to. */
  @ParameterizedTest
  @MethodSource("ids")
  void whatACopyHeldToItHoldsToAgainInItsScene(String id) {
    Scene one = everything();
    Scene two = duplicated(one, id);
    Group round = one.groupOf(id);
    one.items().values().stream()
        .filter(i -> round == null || !i.id().equals(round.id()))
        .forEach(i -> assertThat(two.item(i.id())).isEqualTo(i));
    List<String> row = round == null ? two.stack() : two.groupOf(id).members();
    Item copy = two.item(row.get(row.indexOf(id) + 1));
    Item item = one.item(id);
    assertThat(one.item(copy.id())).isNull();
    assertThat(copy.properties().effects()).isEqualTo(item.properties().effects());
    assertThat(copy.properties().matte()).isEqualTo(item.properties().matte());
    assertThat(copy.properties().pin()).isEqualTo(item.properties().pin());
    assertThat(copy.properties().ride() == null).isEqualTo(item.properties().ride() == null);
    assertThat(copy.values().keySet()).isEqualTo(item.values().keySet());
    if (item instanceof Lettering l) {
      assertThat(((Lettering) copy).path()).isNotEqualTo(l.path());
      assertThat(copy.values().toString()).isEqualTo(item.values().toString());
    }
    if (item instanceof Group g) {
      assertThat(((Group) copy).members()).doesNotContainAnyElementsOf(g.members());
    }
    if (item instanceof ForegroundCut c) {
      assertThat(((ForegroundCut) copy).source()).isEqualTo(c.source());
    }
  }

  /** Copied together they hold to each other, not to the first ones. */
  @Test
  void copiesHoldToEachOther() {
    Scene one = everything();
    String copied = Copies.copy(one, List.copyOf(one.stack()));
    Scene two = pasted(one, copied, true);
    assertThat(two.items()).hasSize(2 * one.items().size());
    Scene rest = without(two, one.items().keySet().toArray(String[]::new));
    assertThat(rest.items()).hasSize(one.items().size());
    Lettering words =
        rest.letterings().stream().filter(l -> l.name().equals("Title")).findFirst().orElseThrow();
    assertThat(rest.item(words.properties().matte().item())).isNotNull();
    assertThat(rest.pinned(words.properties().pin().to())).isNotNull();
    assertThat(SceneCodec.write(rest)).contains("\"lettering\":\"new-");
    // Into another scene they bring nothing that is not there: cues stay behind.
    Scene other = pasted(EMPTY, copied, false);
    assertThat(other.items()).hasSize(one.items().size());
    assertThat(SceneCodec.write(other)).doesNotContain("\"cue\":");
  }

  @Test
  void whatIsNoCopyIsRefusedInWords() {
    for (String text :
        List.of("", "hello", "[]", "{}", "null", "{\"format\":\"roving-glyph-copy\"}")) {
      assertThatThrownBy(() -> pasted(EMPTY, text, false))
          .as(text)
          .isInstanceOf(IllegalArgumentException.class);
    }
    String later =
        Copies.copy(everything(), List.of("kite")).replace("\"version\":1", "\"version\":9");
    assertThatThrownBy(() -> pasted(EMPTY, later, false)).hasMessageContaining("newer version");
  }

  /** Damaged copies are refused in words or make a good scene; nothing else comes of them. */
  @Test
  void damagedCopiesDoNoHarm() {
    String good = Copies.copy(everything(), List.copyOf(everything().stack()));
    Random random = new Random(5);
    int refused = 0;
    for (int i = 0; i < 400; i++) {
      StringBuilder text = new StringBuilder(good);
      for (int k = random.nextInt(4); k >= 0; k--) {
        int at = random.nextInt(text.length());
        switch (random.nextInt(3)) {
          case 0 -> text.setCharAt(at, "\"{}[],:0a-".charAt(random.nextInt(10)));
          case 1 -> text.delete(at, Math.min(text.length(), at + random.nextInt(30)));
          default -> text.insert(at, Json.value(random.nextInt()).toString());
        }
      }
      try {
        Scene two = pasted(EMPTY, text.toString(), random.nextBoolean());
        assertThat(SceneCodec.read(SceneCodec.write(two))).isEqualTo(two);
      } catch (IllegalArgumentException e) {
        refused++;
        assertThat(e.getMessage()).isNotBlank();
      }
    }
    assertThat(refused).isGreaterThan(100);
  }
}
