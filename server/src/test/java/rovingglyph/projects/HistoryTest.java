package rovingglyph.projects;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.server.TestServer;

class HistoryTest {
  private final TestServer server = TestServer.shared();
  private final SceneStore scenes = server.bean(SceneStore.class);
  private final HistoryStore history = server.bean(HistoryStore.class);

  private UUID newScene(int revisions) {
    UUID id =
        server
            .bean(ProjectStore.class)
            .create("History", List.of(EmptyScene.document("Version 1")))
            .scenes()
            .get(0)
            .id();
    for (int i = 2; i <= revisions; i++) {
      scenes.save(id, i - 1, EmptyScene.document("Version " + i), null, null);
    }
    return id;
  }

  private List<Long> listed(UUID scene) {
    JsonValue list =
        Json.parse(text(server.send("GET", "/api/scenes/" + scene + "/revisions", null)));
    return StreamSupport.stream(list.asArray().spliterator(), false)
        .map(v -> v.asObject().getLong("revision", 0))
        .toList();
  }

  private void age(UUID scene, long revision, String interval, String at) {
    server
        .bean(JdbcClient.class)
        .sql(
            "update scene_revision set saved_at = date_trunc('day', now() - interval '"
                + interval
                + "', 'UTC') + interval '"
                + at
                + "' where scene_id = ? and revision = ?")
        .params(scene, revision)
        .update();
  }

  @Test
  void everythingThatWasKeptIsListedNamedShownAndComesBack() throws Exception {
    UUID scene = newScene(3);
    assertThat(listed(scene)).containsExactly(3L, 2L, 1L);
    String at = "/api/scenes/" + scene + "/revisions/1";
    assertThat(server.send("PATCH", at, "{\"name\":\"For the mayor\"}").statusCode())
        .isEqualTo(204);
    assertThat(text(server.send("GET", at, null))).contains("For the mayor", "\"Version 1\"");
    var picture =
        ImageIO.read(new ByteArrayInputStream(server.send("GET", at + "/picture", null).body()));
    assertThat(picture.getWidth()).isEqualTo(480);
    assertThat(picture.getHeight()).isEqualTo(270);
    assertThat(picture.getRGB(5, 5) & 0xFFFFFF).isEqualTo(0xF3E9D2);
    assertThat(server.send("GET", "/api/scenes/" + scene + "/revisions/9", null).statusCode())
        .isEqualTo(404);
  }

  @Test
  void thePresentPictureIsThatOfTheLatestRevision() throws Exception {
    UUID scene = newScene(1);
    String at = "/api/scenes/" + scene + "/picture";
    byte[] first = server.send("GET", at, null).body();
    var picture = ImageIO.read(new ByteArrayInputStream(first));
    assertThat(picture.getWidth()).isEqualTo(960);
    assertThat(picture.getRGB(5, 5) & 0xFFFFFF).isEqualTo(0xF3E9D2);
    assertThat(server.send("GET", at, null).body()).isEqualTo(first);
    String dark = EmptyScene.document("Version 2").replace("#F3E9D2", "#102030");
    scenes.save(scene, 1, dark, null, null);
    var next = ImageIO.read(new ByteArrayInputStream(server.send("GET", at, null).body()));
    assertThat(next.getRGB(5, 5) & 0xFFFFFF).isEqualTo(0x102030);
    assertThat(
            server.send("GET", "/api/scenes/" + UUID.randomUUID() + "/picture", null).statusCode())
        .isEqualTo(404);
  }

  @Test
  void oldOnesAreThinnedByHourAndDayAndNamedOnesStay() {
    UUID scene = newScene(9);
    age(scene, 1, "40 days", "1 hour");
    age(scene, 2, "40 days", "20 hours");
    age(scene, 3, "5 days", "10 hours 5 minutes");
    age(scene, 4, "5 days", "10 hours 50 minutes");
    age(scene, 5, "5 days", "11 hours 1 minute");
    age(scene, 6, "5 days", "11 hours 2 minutes");
    history.name(scene, 5, "Kept by name");
    history.thin();
    assertThat(listed(scene)).containsExactly(9L, 8L, 7L, 6L, 5L, 4L, 2L);
    assertThat(history.thin()).isZero();
  }

  @Test
  void thePresentRevisionStaysHoweverOldItIs() {
    UUID scene = newScene(2);
    age(scene, 1, "40 days", "1 hour");
    age(scene, 2, "40 days", "2 hours");
    history.thin();
    assertThat(listed(scene)).containsExactly(2L);
  }
}
