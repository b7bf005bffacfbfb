package rovingglyph.server;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is refused, in which words, and that nothing of it costs more than it should. */
class RefusalsTest {
  private final TestServer server = TestServer.shared();

  private JsonObject json(String method, String path, String body) {
    return Json.parse(text(server.send(method, path, body))).asObject();
  }

  private JsonObject newProject() {
    return json("POST", "/api/projects", "{\"name\":\"Refusals\"}");
  }

  private String newScene() {
    return newProject().get("scenes").asArray().get(0).asObject().getString("id", "");
  }

  private String document(String scene) {
    return json("GET", "/api/scenes/" + scene, null).get("document").toString();
  }

  private HttpResponse<byte[]> save(String scene, long base, String document, String key) {
    return server.send(
        "PUT",
        "/api/scenes/" + scene,
        document,
        "If-Match",
        "\"" + base + "\"",
        "Idempotency-Key",
        key);
  }

  @Test
  void aSaveThatIsSentAgainIsKeptOnceAndIsNoConflict() {
    String scene = newScene();
    String document = document(scene);
    assertThat(text(save(scene, 1, document, "one"))).isEqualTo("{\"revision\":2}");
    assertThat(text(save(scene, 1, document, "one"))).isEqualTo("{\"revision\":2}");
    assertThat(text(save(scene, 2, document, "two"))).isEqualTo("{\"revision\":3}");
    HttpResponse<byte[]> late = save(scene, 1, document, "three");
    assertThat(late.statusCode()).isEqualTo(412);
    assertThat(Json.parse(text(late)).asObject().get("keysSince").toString())
        .isEqualTo("[\"one\",\"two\"]");
    assertThat(json("GET", "/api/scenes/" + scene, null).getLong("revision", 0)).isEqualTo(3);
  }

  @Test
  void whatIsStoredIsReadBackCharacterByCharacter() {
    String scene = newScene();
    StringBuilder numbers = new StringBuilder();
    for (int i = 0; i < 20_000; i++) {
      numbers.append(i == 0 ? "" : ",").append("1e300");
    }
    String document = document(scene).replaceFirst("\\{", "{\"own\":[" + numbers + "],");
    assertThat(save(scene, 1, document, "a").statusCode()).isEqualTo(200);
    assertThat(document(scene)).hasSize(document.length()).contains("1e300");
    json("POST", "/api/scenes/" + scene + "/duplicate", null);
    assertThat(save(scene, 2, document.replace("[1e300", "[1e131000"), "b").statusCode())
        .isEqualTo(422);
  }

  @Test
  void aSceneWithoutANameCanBeExportedAndListed() {
    String scene = newScene();
    String nameless = document(scene).replaceFirst("\"name\":\"First scene\",", "");
    assertThat(save(scene, 1, nameless, "a").statusCode()).isEqualTo(200);
    server.send("POST", "/api/scenes/" + scene + "/exports", "{\"format\":\"svg\"}");
    HttpResponse<byte[]> list = server.send("GET", "/api/scenes/" + scene + "/exports", null);
    assertThat(list.statusCode()).isEqualTo(200);
    assertThat(text(list)).contains("Untitled");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "[null]",
        "[{\"face\":\"fraunces\",\"text\":\"a\",\"axes\":{\"wght\":null}}]",
        "[{\"face\":\"\\u0000\",\"text\":\"a\"}]",
        "[{\"face\":\"fraunces\",\"text\":5}]",
        "{}",
        "null"
      })
  void textsToShapeThatAreNoneAreTold(String body) {
    HttpResponse<byte[]> r = server.send("POST", "/api/shape", body);
    // A null axis is one that was left out.
    assertThat(r.statusCode()).as(body).isIn(body.contains("null}") ? 200 : 422, 422);
  }

  @Test
  void shapingIsBoundedByAllItsTextsTogether() {
    String one = "{\"face\":\"fraunces\",\"text\":\"" + "kite ".repeat(4000) + "\"}";
    assertThat(
            server.send("POST", "/api/shape", "[" + one + "," + one + "," + one + "]").statusCode())
        .isEqualTo(200);
    HttpResponse<byte[]> r =
        server.send("POST", "/api/shape", "[" + (one + ",").repeat(199) + one + "]");
    assertThat(r.statusCode()).isBetween(413, 422);
  }

  @ParameterizedTest
  @ValueSource(strings = {"5", "null", "{}", "[]"})
  void anEasingNeedsANameThatIsText(String name) {
    String project = newProject().getString("id", "");
    String body = "{\"name\":" + name + ",\"curve\":[0.1,0.9,0.2,1.1]}";
    assertThat(server.send("POST", "/api/projects/" + project + "/easings", body).statusCode())
        .isEqualTo(400);
    String good = "{\"name\":\"Whip\",\"curve\":[0.1,0.9,0.2,1.1]}";
    String nowhere = "/api/projects/" + UUID.randomUUID() + "/easings";
    assertThat(server.send("POST", nowhere, good).statusCode()).isEqualTo(404);
  }

  @Test
  void anSvgThatDrawsWithoutEndIsRefusedQuickly() {
    String line = "M0 0" + "L1 2 3 4 5 6".repeat(1000);
    String uses = "<use href=\"#a\"/>".repeat(400);
    String svg =
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"9\" height=\"9\"><path id=\"a\" d=\""
            + line
            + "\"/>"
            + uses
            + "</svg>";
    HttpResponse<byte[]> r =
        server.sendBytes("/api/svg-paths", svg.getBytes(StandardCharsets.UTF_8));
    assertThat(r.statusCode()).isEqualTo(422);
    assertThat(text(r)).contains("30000 segments");
    String long1 =
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"9\" height=\"9\"><path d=\"M0 0"
            + "C1 2 3 4 5 6".repeat(700_000)
            + "\"/></svg>";
    long begun = System.nanoTime();
    r = server.sendBytes("/api/svg-paths", long1.getBytes(StandardCharsets.UTF_8));
    assertThat(r.statusCode()).isEqualTo(422);
    assertThat(text(r)).contains("segments");
    assertThat((System.nanoTime() - begun) / 1e9).isLessThan(12);
  }

  @ParameterizedTest
  @CsvSource({
    "http://localhost, 403",
    "https://localhost:PORT, 403",
    "ftp://[::1], 403",
    "http://127.0.0.1:PORT, 200",
    "http://localhost:PORT, 403",
    "null, 403"
  })
  void anOriginIsComparedWithSchemeAndPort(String origin, int status) {
    int port = URI.create(server.address()).getPort();
    String own = origin.replace("PORT", Integer.toString(port));
    assertThat(server.send("GET", "/api/projects", null, "Origin", own).statusCode())
        .isEqualTo(status);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "GET / HTTP/1.1\r\nHost: HOST\r\n",
        "GET /%zz HTTP/1.1\r\nHost: HOST\r\n",
        "GET /api/projects HTTP/1.1\r\nHost: elsewhere.example\r\n",
        "GET /[]{}|^ HTTP/1.1\r\nHost: HOST\r\n",
        "GET /error HTTP/1.1\r\nHost: HOST\r\n",
        "GET /nothing HTTP/1.1\r\nHost: HOST\r\n",
        "BREW / HTTP/1.1\r\nHost: HOST\r\n",
        "GET / HTTP/1.1\r\n"
      })
  void everyAnswerCarriesTheSafeHeaders(String request) throws IOException {
    String host = server.address().substring("http://".length());
    String answer = raw(request.replace("HOST", host) + "Connection: close\r\n\r\n");
    assertThat(answer)
        .contains("Content-Security-Policy: default-src 'self'; script-src 'self'")
        .contains("X-Content-Type-Options: nosniff")
        .contains("X-Frame-Options: DENY")
        .contains("Referrer-Policy: no-referrer")
        .doesNotContain("HTTP/1.1 500")
        .doesNotContain("<html lang=\"en\"><head><title>HTTP Status");
  }

  private String raw(String request) throws IOException {
    try (Socket s = new Socket("127.0.0.1", URI.create(server.address()).getPort());
        OutputStream out = s.getOutputStream()) {
      out.write(request.getBytes(StandardCharsets.ISO_8859_1));
      out.flush();
      return new String(s.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @Test
  void anAbsentDatabaseIsToldWithinTwoSecondsAndTheServerGoesOnByItself() throws Exception {
    String scene = newScene();
    String document = document(scene);
    server.stopDatabase();
    try {
      long begun = System.nanoTime();
      HttpResponse<byte[]> r = save(scene, 1, document, "x");
      assertThat(r.statusCode()).isEqualTo(503);
      assertThat(r.headers().firstValue("Retry-After")).isPresent();
      assertThat(server.send("GET", "/api/projects", null).statusCode()).isEqualTo(503);
      assertThat((System.nanoTime() - begun) / 1e9).isLessThan(4);
    } finally {
      server.startDatabase();
    }
    // It takes a moment until connections are there again; sent again, it is the same save.
    HttpResponse<byte[]> again = save(scene, 1, document, "x");
    for (int i = 0; i < 100 && again.statusCode() == 503; i++) {
      Thread.sleep(100);
      again = save(scene, 1, document, "x");
    }
    assertThat(text(again)).isEqualTo("{\"revision\":2}");
  }
}
