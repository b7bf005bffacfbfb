package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.webexport.AnimatedSvg;

/** Demo documents with parts of them changed at random: told what is wrong, or used as they are. */
class DocumentFuzzTest {
  private static final List<String> ODD =
      List.of(
          "null",
          "true",
          "-1",
          "0",
          "1e-300",
          "1e308",
          "-1e308",
          "\"\"",
          "\"x\"",
          "[]",
          "{}",
          "[[]]",
          "[null]",
          "{\"keyframes\":[]}",
          "{\"keyframes\":[{}]}",
          "\"#FFFFFF\"",
          "0.5",
          "[0,0]",
          "{\"still\":1,\"cruise\":{}}",
          "{\"still\":1,\"sway\":{\"period\":0.01}}");

  private final Random random = new Random(20);

  private JsonValue odd() {
    return Json.parse(ODD.get(random.nextInt(ODD.size())));
  }

  /** The value with about one in {@code rarity} of its parts changed, left out or doubled. */
  private JsonValue changed(JsonValue v, int rarity) {
    if (random.nextInt(rarity) == 0) {
      return odd();
    }
    if (v.isObject()) {
      JsonObject out = new JsonObject();
      for (JsonObject.Member m : v.asObject()) {
        if (random.nextInt(rarity) > 0) {
          out.add(m.getName(), changed(m.getValue(), rarity));
        }
      }
      return out;
    }
    if (v.isArray()) {
      JsonArray out = new JsonArray();
      for (JsonValue e : v.asArray()) {
        out.add(changed(e, rarity));
        if (random.nextInt(rarity) == 0) {
          out.add(e);
        }
      }
      return out;
    }
    return v;
  }

  private static String demo(String name) throws IOException {
    return Files.readString(Path.of("../demo/" + name + ".json"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"kite-string-entrance", "wind-rose-badge", "dune-ribbon", "opening-stamp"})
  void changedDocumentsAreToldOrUsed(String name) throws IOException {
    JsonValue good = Json.parse(demo(name));
    int used = 0;
    for (int i = 0; i < 400; i++) {
      String json = changed(good, 20 + random.nextInt(400)).toString();
      Scene scene;
      try {
        scene = SceneCodec.read(json);
      } catch (DocumentException e) {
        assertThat(e.problems()).isNotEmpty().allSatisfy(p -> assertThat(p.path()).startsWith("$"));
        continue;
      } catch (RuntimeException e) {
        fail("reading threw " + e + " for " + json, e);
        return;
      }
      used++;
      assertThat(SceneCodec.read(SceneCodec.write(scene))).as(json).isNotNull();
      use(scene, json);
    }
    assertThat(used).as("some documents stay good").isGreaterThan(20);
  }

  private static void use(Scene scene, String json) {
    try {
      PreparedScene p = Preparation.prepare(scene, TestScenes::run);
      for (double t : new double[] {0, scene.length() / 3, scene.length()}) {
        for (double n : p.at(t).numbers()) {
          assertThat(Double.isFinite(n)).as(json).isTrue();
        }
      }
      Proof.of(p);
    } catch (RuntimeException e) {
      fail("using threw " + e + " for " + json, e);
    }
  }

  @Test
  void textCutAnywhereIsToldAsBrokenJson() throws IOException {
    String text = demo("opening-stamp");
    for (int i = 0; i < 300; i++) {
      String cut = text.substring(0, random.nextInt(text.lastIndexOf('}')));
      try {
        SceneCodec.read(cut);
        fail("half a document was read: " + cut.length());
      } catch (DocumentException e) {
        assertThat(e.problems()).isNotEmpty();
      }
    }
  }

  @Test
  void aChangedSceneThatIsGoodStillMakesAnSvg() throws IOException {
    JsonValue good = Json.parse(demo("opening-stamp"));
    int made = 0;
    for (int i = 0; i < 40 && made < 5; i++) {
      try {
        Scene s = SceneCodec.read(changed(good, 300).toString());
        assertThat(AnimatedSvg.write(Preparation.prepare(s, TestScenes::run)))
            .startsWith("<svg")
            .doesNotContain("NaN", "Infinity", "undefined");
        made++;
      } catch (DocumentException e) {
        assertThat(e.problems()).isNotEmpty();
      }
    }
    assertThat(made).isPositive();
  }
}
