package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.webexport.AnimatedSvg;

class FilledPathsTest {
  private static final String LINE =
      "{\"id\":\"q\",\"kind\":\"drawn\",\"points\":[{\"x\":920,\"y\":500},{\"x\":990,\"y\":700}]}";

  private static Scene scene(String circle, String items) {
    return SceneCodec.read(document(circle, items));
  }

  private static String document(String circle, String items) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"F","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s,%s,
          {"id":"ring","name":"Ring","kind":"circle","x":500,"y":500,"radius":200%s}],
         "items":[{"kind":"lettering","id":"words","text":"up","path":"p"}%s]}"""
        .formatted(TestScenes.LINE, LINE, circle, items.isEmpty() ? "" : "," + items);
  }

  private static String shape(String path, String more) {
    return "{\"kind\":\"filled-path\",\"id\":\"it\",\"path\":\"" + path + "\"" + more + "}";
  }

  private static FilledPath filled(Scene s, String id) {
    return (FilledPath) s.item(id);
  }

  @Test
  void aClosedPathIsFilledAndAnOpenOneGetsALine() {
    Scene s = SceneEdits.apply(scene("", ""), "{\"op\":\"fillPath\",\"id\":\"a\",\"on\":\"ring\"}");
    s = SceneEdits.apply(s, "{\"op\":\"fillPath\",\"id\":\"b\",\"on\":\"p\"}");
    assertThat(filled(s, "a").filled()).isTrue();
    assertThat(filled(s, "a").movable(Channel.STROKE_WIDTH).base()).isZero();
    assertThat(filled(s, "a").name()).isEqualTo("Ring");
    assertThat(filled(s, "b").filled()).isFalse();
    assertThat(filled(s, "b").movable(Channel.STROKE_WIDTH).base()).isPositive();
    assertThat(s.stack()).as("below the words").containsExactly("a", "b", "words");
  }

  @ParameterizedTest
  @CsvSource({
    "'',                              500, 500, true",
    "'',                              500, 290, false",
    "',\"strokeWidth\":30',           500, 290, true",
    "',\"strokeWidth\":30',           500, 270, false",
    "',\"strokeWidth\":30,\"filled\":false', 500, 500, false",
    "',\"strokeWidth\":30,\"filled\":false', 705, 500, true"
  })
  void itIsHitWhereItIsSeen(String more, double x, double y, boolean hit) {
    PreparedScene s = TestScenes.prepare(document("", shape("ring", more)));
    assertThat(s.itemAt(new Point(x, y), 0, 1).equals("it")).isEqualTo(hit);
  }

  private static final String CLIPPED =
      "{\"kind\":\"colour-field\",\"id\":\"sky\",\"clip\":{\"path\":\"q\",\"inverted\":true}}";

  @Test
  void whereItsPathIsDeletedItKeepsOneOfItsOwn() {
    Scene s = scene("", shape("q", "") + "," + CLIPPED);
    Scene gone = SceneEdits.apply(s, "{\"op\":\"deletePath\",\"of\":\"q\"}");
    assertThat(gone.path("q")).isNull();
    assertThat(gone.path(filled(gone, "it").path())).isNotNull();
    assertThat(gone.path(gone.item("sky").properties().clip().path())).isNotNull();
    Scene moved = SceneEdits.apply(s, "{\"op\":\"deletePath\",\"of\":\"q\",\"to\":\"ring\"}");
    assertThat(filled(moved, "it").path()).isEqualTo("ring");
    assertThat(moved.item("sky").properties().clip().path()).isEqualTo("ring");
    assertThat(moved.item("sky").properties().clip().inverted()).isTrue();
  }

  @Test
  void whereItsPathIsJoinedToAnotherItGoesThere() {
    Scene s = scene("", shape("q", "") + "," + CLIPPED);
    Scene joined =
        SceneEdits.apply(s, "{\"op\":\"join\",\"path\":\"p\",\"other\":\"q\",\"time\":0}");
    assertThat(joined.path("q")).isNull();
    assertThat(filled(joined, "it").path()).isEqualTo("p");
    assertThat(joined.item("sky").properties().clip().path()).isEqualTo("p");
    for (Item i : joined.items().values()) {
      assertThat(SceneCodec.read(SceneCodec.write(joined)).item(i.id())).isEqualTo(i);
    }
  }

  private static final String GROWS =
      ",\"radius\":{\"keyframes\":[{\"time\":0,\"value\":100},{\"time\":4,\"value\":200}]}";

  @ParameterizedTest
  @ValueSource(strings = {"fill", "clip"})
  void aShapeThatMovesGlidesInTheSvg(String how) {
    String item =
        how.equals("fill")
            ? shape("ring", "")
            : "{\"kind\":\"colour-field\",\"id\":\"sky\",\"clip\":{\"path\":\"ring\"}}";
    String svg =
        AnimatedSvg.write(TestScenes.prepare(document("", item).replace(",\"radius\":200", GROWS)));
    int at = svg.indexOf("<animate attributeName=\"d\" calcMode=\"linear\"");
    assertThat(at).isPositive();
    String values = svg.substring(svg.indexOf("values=\"", at) + 8).split("\"")[0];
    assertThat(values.split(";")).as("every frame, and that after the last").hasSize(101);
  }

  @Test
  void oneWhoseCornersChangeTheirCountSteps() {
    String polygon =
        "{\"id\":\"ring\",\"kind\":\"polygon\",\"x\":500,\"y\":500,\"radius\":200,\"count\":"
            + "{\"keyframes\":[{\"time\":0,\"value\":3},{\"time\":4,\"value\":8}]}}";
    String document = document("", shape("ring", ""));
    int from = document.indexOf("{\"id\":\"ring\"");
    int to = document.indexOf("}]", from) + 1;
    String changed = document.substring(0, from) + polygon + document.substring(to);
    assertThat(AnimatedSvg.write(TestScenes.prepare(changed)))
        .contains("<animate attributeName=\"d\" calcMode=\"discrete\"");
  }
}
