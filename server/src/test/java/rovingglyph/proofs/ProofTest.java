package rovingglyph.proofs;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.projects.ProjectStore;
import rovingglyph.server.TestServer;

/** What is found in painted frames, asked for as the interface does. */
class ProofTest {
  private final TestServer server = TestServer.shared();

  /** Words on a line, on a sheet of a colour, with the background half covered in another one. */
  private UUID scene(String sheet, String half, String more) {
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Proof","width":1280,"height":720,
         "rate":"25","length":2,"background":"%s",
         "paths":[{"id":"p","kind":"drawn","points":[{"x":140,"y":400},{"x":1140,"y":400}]}],
         "items":[
          {"kind":"colour-field","id":"half","area":"rectangle","x":960,"y":360,"width":640,
           "height":720,"fill":"%s"},
          {"kind":"lettering","id":"l","text":"kites over dunes","face":"league-spartan",
           "path":"p","seat":{"fit":"spread"},"size":110,"fill":"#FFFFFF"%s}]}"""
            .formatted(sheet, half, more);
    return server.bean(ProjectStore.class).create("Proof", List.of(document)).scenes().get(0).id();
  }

  private JsonArray found(UUID scene) {
    JsonArray out = new JsonArray();
    for (int from = 0; from >= 0; ) {
      String at = "/api/scenes/" + scene + "/proof?from=" + from;
      JsonObject part = Json.parse(text(server.send("GET", at, null))).asObject();
      part.get("findings").asArray().forEach(out::add);
      from = part.getInt("next", -1);
    }
    return out;
  }

  @ParameterizedTest
  @CsvSource({
    "#203040, #102030, ''",
    "#E8E8E8, #F0F0F0, 'what is behind it: a contrast of 1.2 to 1'",
    "#203040, #F0F0F0, '% of its letters: a contrast of 1.1 to 1, where 3 to 1 reads well'"
  })
  void wordsAreComparedWithWhatIsReallyBehindThem(String sheet, String half, String says) {
    JsonArray found = found(scene(sheet, half, ""));
    assertThat(found.size()).as(found.toString()).isEqualTo(says.isEmpty() ? 0 : 1);
    if (!says.isEmpty()) {
      assertThat(found.get(0).asObject().getString("message", "")).contains(says);
      assertThat(found.get(0).asObject().getString("item", "")).isEqualTo("l");
    }
  }

  @Test
  void anOutlineHelps() {
    String outline =
        ",\"effects\":[{\"kind\":\"outline\",\"id\":\"o\",\"side\":\"outside\",\"width\":8,\"colour\":\"#102030\"}]";
    assertThat(found(scene("#E8E8E8", "#F0F0F0", outline))).isEmpty();
  }

  @Test
  void aBlinkingFieldFlashes() {
    StringBuilder keys = new StringBuilder();
    for (int i = 0; i <= 10; i++) {
      String of = "{\"time\":%s,\"value\":%s,\"easing\":\"hold\"}";
      keys.append(i > 0 ? "," : "").append(of.formatted(i * 0.12, i % 2 * 100));
    }
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Blink","width":640,"height":360,
         "rate":"25","length":2,"background":"#000000","items":[{"kind":"colour-field","id":"f",
         "fill":"#FFFFFF","opacity":{"keyframes":[%s]}}]}"""
            .formatted(keys);
    UUID scene =
        server.bean(ProjectStore.class).create("Blink", List.of(document)).scenes().get(0).id();
    assertThat(found(scene).toString()).contains("It flashes more than three times in a second");
  }

  @Test
  void manyAtOnceAreToldToComeAgain() throws Exception {
    UUID scene = scene("#203040", "#102030", "");
    List<Thread> all = new ArrayList<>();
    Set<Integer> answers = ConcurrentHashMap.newKeySet();
    for (int i = 0; i < 12; i++) {
      Thread t =
          new Thread(
              () ->
                  answers.add(
                      server.send("GET", "/api/scenes/" + scene + "/proof", null).statusCode()));
      all.add(t);
      t.start();
    }
    for (Thread t : all) {
      t.join();
    }
    assertThat(answers).containsExactlyInAnyOrder(200, 503);
  }

  @Test
  void ofASceneThatIsNotThereNothingIsFound() {
    assertThat(server.send("GET", "/api/scenes/" + UUID.randomUUID() + "/proof", null).statusCode())
        .isEqualTo(404);
  }
}
