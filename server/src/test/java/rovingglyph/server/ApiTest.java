package rovingglyph.server;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;

class ApiTest {
  private static TestServer server;

  @BeforeAll
  static void start() {
    server = TestServer.shared();
  }

  private static JsonObject json(String method, String path, String body, String... headers) {
    HttpResponse<byte[]> r = server.send(method, path, body, headers);
    assertThat(r.statusCode()).as(text(r)).isBetween(200, 299);
    return r.body().length == 0 ? new JsonObject() : Json.parse(text(r)).asObject();
  }

  private static JsonObject newProject(String name) {
    return json("POST", "/api/projects", new JsonObject().add("name", name).toString());
  }

  private static String firstScene(JsonObject project) {
    return project.get("scenes").asArray().get(0).asObject().getString("id", "");
  }

  private static JsonObject project(String id) {
    for (JsonValue p : Json.parse(text(server.send("GET", "/api/projects", null))).asArray()) {
      if (p.asObject().getString("id", "").equals(id)) {
        return p.asObject();
      }
    }
    throw new AssertionError("no project " + id);
  }

  private static HttpResponse<byte[]> save(String scene, long base, String document) {
    return server.send("PUT", "/api/scenes/" + scene, document, "If-Match", "\"" + base + "\"");
  }

  private static String document(String scene) {
    return json("GET", "/api/scenes/" + scene, null).get("document").toString();
  }

  @Test
  void easingsAreKeptWithTheirProjectAndBadOnesRefused() {
    String project = newProject("Easings").getString("id", "");
    String at = "/api/projects/" + project + "/easings";
    String id =
        json("POST", at, "{\"name\":\"Whip\",\"curve\":[0.1,0.9,0.2,1.1]}").getString("id", "");
    json("POST", at, "{\"name\":\"Loose\",\"curve\":{\"spring\":[90,4,1]}}");
    assertThat(text(server.send("GET", at, null))).contains("Whip", "[0.1,0.9,0.2,1.1]", "spring");
    for (String bad :
        new String[] {
          "{\"name\":\"x\",\"curve\":[2,0,0,1]}", "{\"name\":\"\",\"curve\":\"hold\"}", "[]", "{"
        }) {
      assertThat(server.send("POST", at, bad).statusCode()).as(bad).isEqualTo(400);
    }
    server.send("DELETE", at + "/" + id, null);
    assertThat(text(server.send("GET", at, null))).doesNotContain("Whip").contains("Loose");
  }

  @Test
  void finishesAreKeptWithTheirProjectAndGoWithItsCopy() {
    String project = newProject("Finishes").getString("id", "");
    String at = "/api/projects/" + project + "/finishes";
    String glow = "[{\"id\":\"e\",\"kind\":\"glow\",\"strength\":200}]";
    String id =
        json("POST", at, "{\"name\":\"Lantern\",\"effects\":" + glow + "}").getString("id", "");
    String copy = json("POST", "/api/projects/" + project + "/duplicate", "").getString("id", "");
    for (String bad :
        new String[] {
          "{\"name\":\"x\",\"effects\":[{\"id\":\"e\",\"kind\":\"glow\",\"strength\":-1}]}",
          "{\"name\":\"x\",\"effects\":{}}",
          "{\"name\":\"x\",\"effects\":" + glow.replace("]", "," + glow.substring(1)) + "}",
          "{\"name\":\"x\"}",
          "{\"name\":\"\",\"effects\":" + glow + "}"
        }) {
      assertThat(server.send("POST", at, bad).statusCode()).as(bad).isEqualTo(400);
    }
    server.send("DELETE", at + "/" + id, null);
    assertThat(text(server.send("GET", at, null))).isEqualTo("[]");
    assertThat(text(server.send("GET", "/api/projects/" + copy + "/finishes", null)))
        .contains("Lantern", glow);
  }

  @Test
  void anEmptyDatabaseGetsTheDemoProjectWithKiteStringFirst() {
    JsonObject first =
        Json.parse(text(server.send("GET", "/api/projects", null))).asArray().get(0).asObject();
    assertThat(first.getString("name", "")).isEqualTo("Saltmarsh Kite Fair");
    assertThat(
            first.get("scenes").asArray().values().stream()
                .map(s -> s.asObject().getString("name", "")))
        .startsWith("Kite-string entrance", "Wind rose badge", "Dune ribbon");
  }

  @Test
  void aSavedDocumentComesBackWithItsUnknownFields() {
    String scene = firstScene(newProject("Keeping"));
    String changed =
        document(scene)
            .replace("\"name\":\"First scene\"", "\"name\":\"Böen & <b>\",\"own\":{\"n\":0.1}");
    assertThat(text(save(scene, 1, changed))).isEqualTo("{\"revision\":2}");
    JsonObject kept = json("GET", "/api/scenes/" + scene, null);
    assertThat(kept.getLong("revision", 0)).isEqualTo(2);
    assertThat(kept.get("document").asObject().get("own").toString()).isEqualTo("{\"n\":0.1}");
    assertThat(kept.get("document").asObject().getString("name", "")).isEqualTo("Böen & <b>");
  }

  @Test
  void theSecondToSaveIsToldAndNothingIsOverwritten() {
    String scene = firstScene(newProject("Two tabs"));
    String document = document(scene);
    assertThat(save(scene, 1, document.replace("First scene", "Mine")).statusCode()).isEqualTo(200);
    HttpResponse<byte[]> late = save(scene, 1, document.replace("First scene", "Theirs"));
    assertThat(late.statusCode()).isEqualTo(412);
    assertThat(late.headers().firstValue("Content-Type")).contains("application/problem+json");
    assertThat(Json.parse(text(late)).asObject().getLong("revision", 0)).isEqualTo(2);
    assertThat(document(scene)).contains("Mine");
    assertThat(save(scene, 2, document.replace("First scene", "Theirs")).statusCode())
        .isEqualTo(200);
    assertThat(
            server
                .bean(JdbcClient.class)
                .sql(
                    "select document ->> 'name' from scene_revision where scene_id = ? order by revision")
                .param(UUID.fromString(scene))
                .query(String.class)
                .list())
        .containsExactly("First scene", "Mine", "Theirs");
  }

  @Test
  void aBadDocumentIsRefusedWithEveryProblemAndNothingIsHalfSaved() {
    String scene = firstScene(newProject("Bad input"));
    String before = document(scene);
    HttpResponse<byte[]> r =
        save(
            scene,
            1,
            before
                .replace("\"width\":1920", "\"width\":-1")
                .replace("\"length\":6", "\"length\":1e999"));
    assertThat(r.statusCode()).isEqualTo(422);
    assertThat(Json.parse(text(r)).asObject().get("problems").asArray().values())
        .extracting(p -> p.asObject().getString("path", ""))
        .containsExactlyInAnyOrder("$.width", "$.length");
    for (String bad :
        new String[] {
          "{broken",
          "null",
          "[]",
          before.replace("\"version\":2", "\"version\":7"),
          before.replace("First scene", "nul \\u0000"),
          before.replace("First scene", "half \\ud83d"),
          before.replace("{", "{\"free\":\"\\u0000\",")
        }) {
      assertThat(save(scene, 1, bad).statusCode()).as(bad).isBetween(400, 499);
    }
    assertThat(document(scene)).isEqualTo(before);
    assertThat(save(scene, 1, " ".repeat(5_000_000)).statusCode()).isEqualTo(422);
    assertThat(server.send("PUT", "/api/scenes/" + scene, before).statusCode()).isEqualTo(428);
  }

  @Test
  void deletingCanBeUndone() {
    JsonObject p = newProject("Gone and back");
    String id = p.getString("id", "");
    String scene = firstScene(p);
    assertThat(server.send("DELETE", "/api/scenes/" + scene, null).statusCode()).isEqualTo(204);
    assertThat(project(id).get("scenes").asArray().get(0).asObject().getBoolean("deleted", false))
        .isTrue();
    server.send("POST", "/api/scenes/" + scene + "/restore", null);
    assertThat(project(id).get("scenes").asArray().get(0).asObject().getBoolean("deleted", true))
        .isFalse();
    json("DELETE", "/api/projects/" + id, null);
    assertThat(project(id).getBoolean("deleted", false)).isTrue();
    json("POST", "/api/projects/" + id + "/restore", null);
    assertThat(project(id).getBoolean("deleted", true)).isFalse();
  }

  @Test
  void aSceneIsMadeWithTheFrameThatIsAskedFor() {
    String at = "/api/projects/" + newProject("Frames").getString("id", "") + "/scenes";
    JsonObject usual = json("POST", at, "{\"name\":\"Usual\"}").get("document").asObject();
    assertThat(usual.getInt("width", 0)).isEqualTo(1920);
    JsonObject tall = json("POST", at, "{\"name\":\"Tall\",\"width\":1080,\"height\":1350}");
    assertThat(tall.get("document").asObject().getInt("width", 0)).isEqualTo(1080);
    assertThat(tall.get("document").asObject().getInt("height", 0)).isEqualTo(1350);
    for (String wrong : List.of("8", "1e9", "\"wide\"", "100.5")) {
      var answer = server.send("POST", at, "{\"name\":\"Wrong\",\"width\":" + wrong + "}");
      assertThat(answer.statusCode()).as(wrong).isBetween(400, 422);
      assertThat(TestServer.text(answer)).as(wrong).contains("width");
    }
  }

  @Test
  void projectsAndScenesAreRenamedAndDuplicated() {
    JsonObject p = newProject("First <name> \"quoted\"");
    String id = p.getString("id", "");
    assertThat(p.getString("name", "")).isEqualTo("First <name> \"quoted\"");
    json("PATCH", "/api/projects/" + id, "{\"name\":\"Second\"}");
    String scene = firstScene(p);
    json("PATCH", "/api/scenes/" + scene, "{\"name\":\"Renamed\"}");
    assertThat(document(scene)).contains("\"Renamed\"");
    JsonObject copy = json("POST", "/api/scenes/" + scene + "/duplicate", null);
    assertThat(copy.get("document").asObject().getString("name", "")).isEqualTo("Renamed copy");
    JsonObject whole = json("POST", "/api/projects/" + id + "/duplicate", null);
    assertThat(whole.getString("name", "")).isEqualTo("Second copy");
    assertThat(whole.get("scenes").asArray()).hasSize(2);
    assertThat(server.send("POST", "/api/projects", "{\"name\":\"  \"}").statusCode())
        .isEqualTo(400);
    assertThat(server.send("GET", "/api/scenes/" + UUID.randomUUID(), null).statusCode())
        .isEqualTo(404);
  }

  @Test
  void exportsRunInTheBackgroundAndCanBeCancelled() throws Exception {
    String scene = firstScene(newProject("Export"));
    String small =
        document(scene)
            .replace("1920", "160")
            .replace("1080", "90")
            .replace("\"length\":6", "\"length\":0.4");
    save(scene, 1, small);
    for (String format : new String[] {"mp4", "png", "svg", "png-sequence", "apng"}) {
      JsonObject done = await(export(scene, format), "done");
      byte[] file =
          server.send("GET", "/api/exports/" + done.getString("id", "") + "/file", null).body();
      assertThat(file.length).isEqualTo(done.getInt("size", 0)).isGreaterThan(100);
    }
    save(scene, 2, small.replace("0.4", "600").replace("160", "1280").replace("90", "720"));
    String id = export(scene, "mp4");
    JsonObject running = await(id, "running");
    assertThat(running.getInt("framesTotal", 0)).isEqualTo(15_000);
    assertThat(server.send("DELETE", "/api/exports/" + id, null).statusCode()).isEqualTo(204);
    await(id, "cancelled");
    // The one that was cancelled must not stand in the way of the next.
    await(export(scene, "png"), "done");
  }

  @Test
  void anExportThatCannotBeIsRefusedWithTheRemedy() {
    String scene = firstScene(newProject("Odd"));
    save(scene, 1, document(scene).replace("1920", "161"));
    HttpResponse<byte[]> r =
        server.send("POST", "/api/scenes/" + scene + "/exports", "{\"format\":\"mp4\"}");
    assertThat(r.statusCode()).isEqualTo(400);
    assertThat(text(r)).contains("161").contains("162");
    assertThat(
            server
                .send("POST", "/api/scenes/" + scene + "/exports", "{\"format\":\"tiff\"}")
                .statusCode())
        .isEqualTo(400);
  }

  private static String export(String scene, String format) {
    return json("POST", "/api/scenes/" + scene + "/exports", "{\"format\":\"" + format + "\"}")
        .getString("id", "");
  }

  private static JsonObject await(String export, String state) throws InterruptedException {
    JsonObject e = null;
    for (int i = 0; i < 300; i++) {
      e = json("GET", "/api/exports/" + export, null);
      if (e.getString("state", "").equals(state)) {
        return e;
      }
      Thread.sleep(100);
    }
    throw new AssertionError("never " + state + ": " + e);
  }

  @Test
  void onlyItsOwnAddressIsAnswered() throws IOException {
    URI own = URI.create(server.address());
    assertThat(raw(own.getPort(), "evil.example")).startsWith("HTTP/1.1 403");
    assertThat(raw(own.getPort(), "127.0.0.1.evil.example:" + own.getPort()))
        .startsWith("HTTP/1.1 403");
    assertThat(raw(own.getPort(), "localhost:" + own.getPort())).startsWith("HTTP/1.1 200");
    assertThat(
            server.send("GET", "/api/projects", null, "Origin", "http://evil.example").statusCode())
        .isEqualTo(403);
    assertThat(server.send("GET", "/api/projects", null, "Origin", "null").statusCode())
        .isEqualTo(403);
    assertThat(server.send("GET", "/api/projects", null, "Origin", server.address()).statusCode())
        .isEqualTo(200);
  }

  private static String raw(int port, String host) throws IOException {
    try (Socket s = new Socket("127.0.0.1", port);
        OutputStream out = s.getOutputStream()) {
      out.write(
          ("GET /api/faces HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n")
              .getBytes(StandardCharsets.US_ASCII));
      return new String(s.getInputStream().readNBytes(16), StandardCharsets.US_ASCII);
    }
  }

  @Test
  void aDocumentReadsBackAfterARestart() {
    String scene = firstScene(newProject("Restart"));
    save(scene, 1, document(scene).replace("First scene", "Still here"));
    server.stop();
    server.start();
    assertThat(document(scene)).contains("Still here");
  }

  @Test
  void theInterfaceIsDescribed() {
    assertThat(text(server.send("GET", "/api/openapi", null)))
        .contains("/api/scenes/{id}", "If-Match");
    assertThat(server.send("GET", "/api/docs", null).statusCode()).isEqualTo(302);
    assertThat(text(server.send("GET", "/", null))).contains("Roving Glyph");
  }
}
