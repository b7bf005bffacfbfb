package rovingglyph.scene;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneBundle;
import rovingglyph.document.SceneCodec;

/** Scenes that show each other. */
class SceneShelfTest {
  private static String document(String... shown) {
    String items =
        IntStream.range(0, shown.length)
            .mapToObj(
                i -> "{\"kind\":\"inset\",\"id\":\"i%d\",\"scene\":\"%s\"}".formatted(i, shown[i]))
            .collect(Collectors.joining(","));
    return "{\"format\":\"roving-glyph-scene\",\"version\":2,\"items\":[" + items + "]}";
  }

  private static Scene scene(String... shown) {
    return SceneCodec.read(document(shown));
  }

  @Test
  void hasWhatScenesShowAndWhatTheseShow() {
    SceneShelf shelf = new SceneShelf();
    shelf.put("pier", scene("kite"));
    assertThat(shelf.missing(scene("pier", "dune"))).containsExactlyInAnyOrder("kite", "dune");
    shelf.put("kite", scene());
    Scene filled = shelf.filled(scene("pier", "dune"));
    assertThat(filled.shown()).containsOnlyKeys("pier");
    assertThat(filled.shown().get("pier").shown()).containsOnlyKeys("kite");
    assertThat(shelf.filled(scene("pier")).shown().get("pier"))
        .as("the same one as long as nothing changes")
        .isSameAs(filled.shown().get("pier"));
  }

  @Test
  void tellsTheCircleInWhichASceneWouldHoldItself() {
    SceneShelf shelf = new SceneShelf();
    shelf.put("pier", scene("dune", "kite"));
    shelf.put("kite", scene("flag"));
    shelf.put("flag", scene("sign"));
    shelf.put("dune", scene());
    assertThat(shelf.circle("sign", scene("pier")))
        .containsExactly("sign", "pier", "kite", "flag", "sign");
    assertThat(shelf.circle("sign", scene("sign"))).containsExactly("sign", "sign");
    assertThat(shelf.circle("mast", scene("pier"))).isEmpty();
  }

  @Test
  void whatHoldsEachOtherComesToAnEnd() {
    SceneShelf shelf = new SceneShelf();
    shelf.put("a", scene("b", "c"));
    shelf.put("b", scene("a"));
    shelf.put("c", scene("c"));
    Scene filled = shelf.filled(scene("a", "b", "c"));
    assertThat(filled.shown()).containsOnlyKeys("a", "b", "c");
    assertThat(filled.shown().get("a").shown()).as("b holds it").containsOnlyKeys("c");
    assertThat(filled.shown().get("c").shown()).isEmpty();
  }

  @Test
  void moreThanCanBePaintedIsCountedAndLeftOut() {
    SceneShelf shelf = new SceneShelf();
    // Ten in each of ten in each of ten: a thousand and more.
    String[] ten = new String[10];
    for (int level = 0; level < 40; level++) {
      Arrays.fill(ten, "level" + (level + 1));
      shelf.put("level" + level, scene(ten));
    }
    shelf.put("level40", scene());
    assertThat(shelf.count(scene("level38"))).isEqualTo(111);
    assertThat(shelf.count(scene("level0"))).isEqualTo(SceneShelf.MOST_INSETS + 1);
    assertThat(shelf.filled(scene("level0")).shown()).isEmpty();
    assertThat(shelf.filled(scene("level38")).shown()).containsOnlyKeys("level38");
  }

  @Test
  void aDocumentTakesThoseItShowsAlong() {
    Map<String, String> shown = Map.of("pier", document("kite"), "kite", document());
    String bundle = SceneBundle.write(document("pier"), shown);
    Scene read = SceneBundle.read(bundle);
    assertThat(read).isEqualTo(SceneBundle.filled(document("pier"), shown));
    assertThat(read.shown().get("pier").shown()).containsOnlyKeys("kite");
    assertThat(SceneBundle.write(document(), Map.of())).isEqualTo(document());
    assertThat(SceneBundle.read(document()).insets()).isEqualTo(List.of());
  }
}
