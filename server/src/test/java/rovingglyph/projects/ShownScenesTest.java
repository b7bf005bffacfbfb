package rovingglyph.projects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.schema.DocumentException;
import rovingglyph.server.TestServer;

/** Scenes of a project that show others. */
class ShownScenesTest {
  private static final TestServer SERVER = TestServer.shared();
  private final SceneStore scenes = SERVER.bean(SceneStore.class);
  private final ProjectStore projects = SERVER.bean(ProjectStore.class);
  private final ShownScenes shown = SERVER.bean(ShownScenes.class);

  private static String showing(String name, UUID... others) {
    String items =
        Stream.of(others)
            .map(o -> "{\"kind\":\"inset\",\"id\":\"i%s\",\"scene\":\"%s\"}".formatted(o, o))
            .collect(Collectors.joining(","));
    return """
        {"format":"roving-glyph-scene","version":2,"name":"%s","items":[%s]}"""
        .formatted(name, items);
  }

  /** Pier shows Kite, Sign shows Pier. */
  private ProjectStore.Project three() {
    ProjectStore.Project p = projects.create("Insets", List.of(showing("Kite")));
    UUID pier = scenes.create(p.id(), showing("Pier", p.scenes().get(0).id())).id();
    scenes.create(p.id(), showing("Sign", pier));
    return projects.get(p.id());
  }

  private static UUID id(ProjectStore.Project p, int at) {
    return p.scenes().get(at).id();
  }

  @Test
  void comeWithThoseThatTheyShow() {
    ProjectStore.Project p = three();
    HttpResponse<byte[]> answer =
        SERVER.send(
            "GET",
            "/api/projects/%s/shown-scenes?scene=%s&scene=gone".formatted(p.id(), id(p, 1)),
            null);
    JsonArray found = Json.parse(TestServer.text(answer)).asArray();
    assertThat(found.values())
        .extracting(v -> v.asObject().getString("name", ""))
        .containsExactlyInAnyOrder("Pier", "Kite");
    assertThat(shown.of(three().id(), List.of(id(p, 1).toString()))).as("of no other").isEmpty();
    Scene sign = shown.filled(p.id(), scenes.get(id(p, 2)).document());
    assertThat(sign.shown().get(id(p, 1).toString()).shown()).containsOnlyKeys(id(p, 0).toString());
  }

  @Test
  void noneIsKeptThatWouldShowItself() {
    ProjectStore.Project p = three();
    assertThatThrownBy(() -> scenes.save(id(p, 0), 1, showing("Kite", id(p, 2)), null, null))
        .isInstanceOf(DocumentException.class)
        .satisfies(
            e ->
                assertThat(((DocumentException) e).problems().get(0).sentence())
                    .contains("$.items[0].scene", "Kite shows Sign shows Pier shows Kite"));
    assertThatThrownBy(() -> scenes.save(id(p, 1), 1, showing("Pier", id(p, 1)), null, null))
        .isInstanceOf(DocumentException.class);
    assertThat(scenes.get(id(p, 0)).revision()).isEqualTo(1);
  }

  @Test
  void oneThatOthersShowIsDeletedOnlyWhenAskedTwice() {
    ProjectStore.Project p = three();
    String path = "/api/scenes/" + id(p, 0);
    HttpResponse<byte[]> refused = SERVER.send("DELETE", path, null);
    assertThat(refused.statusCode()).isEqualTo(409);
    assertThat(TestServer.text(refused)).contains("It is shown in Pier");
    assertThat(SERVER.send("DELETE", path + "?used=true", null).statusCode()).isEqualTo(204);
    assertThat(shown.of(p.id(), List.of(id(p, 0).toString()))).isEmpty();
    assertThat(SERVER.send("DELETE", "/api/scenes/" + id(p, 2), null).statusCode()).isEqualTo(204);
  }

  @Test
  void copiesOfAProjectShowTheirOwn() {
    ProjectStore.Project copy = projects.duplicate(three().id());
    assertThat(copy.scenes())
        .extracting(SceneStore.Entry::name)
        .containsExactly("Kite", "Pier", "Sign");
    for (int i = 1; i < 3; i++) {
      Scene scene = SceneCodec.read(scenes.get(id(copy, i)).document());
      assertThat(SceneShelf.shownBy(scene)).isEqualTo(Set.of(id(copy, i - 1).toString()));
    }
  }

  @Test
  void anExportTakesAlongWhatWasShownWhenItWasAskedFor() {
    ProjectStore.Project p = three();
    HttpResponse<byte[]> asked =
        SERVER.send("POST", "/api/scenes/" + id(p, 1) + "/exports", "{\"format\":\"png\"}");
    assertThat(asked.statusCode()).isEqualTo(202);
    HttpResponse<byte[]> picture =
        SERVER.send("GET", "/api/scenes/" + id(p, 1) + "/revisions/1/picture", null);
    assertThat(picture.statusCode()).isEqualTo(200);
    // Nothing is shown of one that is gone, and no file says it were whole.
    scenes.delete(id(p, 0), true);
    String body = "{\"format\":\"svg\"}";
    String late =
        TestServer.text(SERVER.send("POST", "/api/scenes/" + id(p, 1) + "/exports", body));
    String export = Json.parse(late).asObject().getString("id", "");
    String state = "";
    for (int i = 0; i < 100 && !state.equals("failed"); i++) {
      String now = TestServer.text(SERVER.send("GET", "/api/exports/" + export, null));
      state = Json.parse(now).asObject().getString("state", "");
      if (state.equals("failed")) {
        assertThat(now).contains("is not there");
      }
      sleep();
    }
    assertThat(state).isEqualTo("failed");
  }

  private static void sleep() {
    try {
      Thread.sleep(100);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
