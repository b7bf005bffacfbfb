package rovingglyph.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Every operation of the interface's own description with what a client should not send: no answer
 * of 500, none late. {@code -Droving.fuzz=20000} sends more than the usual few hundred.
 */
class FuzzTest {
  private static final int REQUESTS = Integer.getInteger("roving.fuzz", 600);
  private static final long LATEST_MILLIS = 5000;

  /** An operation and an example of its body; null where it has none. */
  private record Operation(String method, String path, String body) {}

  private final TestServer server = TestServer.shared();
  private final HttpClient client = HttpClient.newHttpClient();
  private final Random random = new Random(20260926);

  private String project;
  private String scene;
  private String document;

  private JsonObject json(String method, String path, String body) {
    return Json.parse(TestServer.text(server.send(method, path, body))).asObject();
  }

  private void prepare() {
    JsonObject p = json("POST", "/api/projects", "{\"name\":\"Fuzz\"}");
    project = p.getString("id", "");
    scene = p.get("scenes").asArray().get(0).asObject().getString("id", "");
    String kite =
        Json.parse(TestServer.text(server.send("GET", "/api/projects", null)))
            .asArray()
            .get(0)
            .asObject()
            .get("scenes")
            .asArray()
            .get(0)
            .asObject()
            .getString("id", "");
    document = json("GET", "/api/scenes/" + kite, null).get("document").toString();
  }

  private List<Operation> operations() {
    JsonObject paths = json("GET", "/api/openapi", null).get("paths").asObject();
    List<Operation> out = new ArrayList<>();
    for (JsonObject.Member path : paths) {
      for (JsonObject.Member method : path.getValue().asObject()) {
        JsonValue body = method.getValue().asObject().get("requestBody");
        out.add(
            new Operation(
                method.getName().toUpperCase(),
                path.getName(),
                body == null ? null : example(path.getName())));
      }
    }
    return out;
  }

  private String example(String path) {
    if (path.endsWith("/shape")) {
      return "[{\"face\":\"fraunces\",\"text\":\"Kite\",\"axes\":{\"wght\":400},\"features\":{\"smcp\":1}}]";
    }
    if (path.endsWith("/easings")) {
      return "{\"name\":\"Whip\",\"curve\":[0.1,0.9,0.2,1.1]}";
    }
    if (path.endsWith("/finishes")) {
      return "{\"name\":\"Lantern\",\"effects\":[{\"id\":\"e\",\"kind\":\"glow\",\"strength\":200}]}";
    }
    if (path.endsWith("/curves")) {
      return "{\"id\":\"c\",\"name\":\"Line\",\"kind\":\"drawn\",\"closed\":false,\"points\":"
          + "[{\"x\":0,\"y\":0},{\"x\":50,\"y\":9}]}";
    }
    if (path.endsWith("/exports")) {
      return "{\"format\":\"png\",\"at\":0}";
    }
    if (path.matches(".*/(svg-paths|images|faces)")) {
      return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"10\" height=\"10\"><path d=\"M0 0L9 9\"/></svg>";
    }
    return path.equals("/api/scenes/{id}") ? document : "{\"name\":\"Name\"}";
  }

  private static final String[] WRONG = {
    "null",
    "true",
    "-1",
    "0",
    "1e308",
    "1e309",
    "1e200000",
    "-1e-200000",
    "\"\"",
    "\"\\u0000\"",
    "\"\\ud800\"",
    "[]",
    "{}",
    "[null]",
    "[[[[]]]]",
    "{\"\\u0000\":1}",
    "{\"\\udfff\":{}}",
    "\"" + "x".repeat(70_000) + "\"",
    "9".repeat(500),
    "[1e131000]",
    "{\"wght\":null}"
  };

  /** A body with one value of it in the place of another, one taken out, or bytes of it changed. */
  private String mutated(String body) {
    int kind = random.nextInt(10);
    if (kind == 0) {
      return WRONG[random.nextInt(WRONG.length)];
    }
    if (kind == 1) {
      return body.substring(0, random.nextInt(body.length() + 1));
    }
    if (kind == 2) {
      int at = random.nextInt(body.length());
      return body.substring(0, at) + (char) random.nextInt(0x300) + body.substring(at);
    }
    try {
      return changed(Json.parse(body)).toString();
    } catch (RuntimeException e) {
      int at = random.nextInt(body.length());
      return body.substring(0, at) + WRONG[random.nextInt(WRONG.length)] + body.substring(at);
    }
  }

  private JsonValue changed(JsonValue v) {
    boolean deeper = random.nextInt(4) > 0;
    if (v.isObject() && !v.asObject().isEmpty() && deeper) {
      List<String> names = v.asObject().names();
      String name = names.get(random.nextInt(names.size()));
      if (random.nextInt(12) == 0) {
        v.asObject().remove(name);
      } else {
        v.asObject().set(name, changed(v.asObject().get(name)));
      }
      return v;
    }
    if (v.isArray() && !v.asArray().isEmpty() && deeper) {
      int at = random.nextInt(v.asArray().size());
      v.asArray().set(at, changed(v.asArray().get(at)));
      return v;
    }
    return Json.parse(WRONG[random.nextInt(WRONG.length)]);
  }

  private static final String[] IDS = {
    "%00",
    "nobody",
    "00000000-0000-0000-0000-000000000000",
    "%ED%A0%80",
    "..%2f..",
    "%25",
    "'",
    "x".repeat(3000),
    "-1",
    "999999999999999999999999"
  };

  private String filled(String path) {
    String own = path.startsWith("/api/scenes/{id}") ? scene : project;
    return path.replaceAll("\\{(project|sceneId|id|revision)\\}", "{$1}")
        .replace("{project}", random.nextInt(4) == 0 ? id() : project)
        .replace("{sceneId}", random.nextInt(4) == 0 ? id() : scene)
        .replace("{revision}", random.nextInt(3) == 0 ? id() : "1")
        .replace("{id}", random.nextInt(3) == 0 ? id() : own);
  }

  private String id() {
    return IDS[random.nextInt(IDS.length)];
  }

  @Test
  void nothingThatAClientCanSendIsAFailureOrLate() throws Exception {
    prepare();
    List<Operation> all = operations();
    assertThat(all).hasSizeGreaterThan(25);
    List<String> wrong = new ArrayList<>();
    long slowest = 0;
    for (int i = 0; i < REQUESTS && wrong.size() < 20; i++) {
      Operation op = all.get(i % all.size());
      String body = op.body() == null ? null : mutated(op.body());
      HttpRequest request = request(op, body);
      if (request == null) {
        continue;
      }
      long begun = System.nanoTime();
      HttpResponse<String> r =
          client.send(request, HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
      long millis = (System.nanoTime() - begun) / 1_000_000;
      slowest = Math.max(slowest, millis);
      boolean told = r.statusCode() < 400 || isProblem(r);
      if (r.statusCode() >= 500 || millis > LATEST_MILLIS || !told) {
        String sent = body == null ? "" : body.substring(0, Math.min(body.length(), 300));
        wrong.add(
            r.statusCode()
                + " in "
                + millis
                + " ms: "
                + request.method()
                + " "
                + request.uri()
                + " "
                + sent
                + " -> "
                + r.body().substring(0, Math.min(200, r.body().length())));
      }
    }
    System.out.println("Fuzz: " + REQUESTS + " requests, the slowest " + slowest + " ms");
    assertThat(wrong).isEmpty();
    assertThat(server.send("GET", "/api/projects", null).statusCode()).isEqualTo(200);
  }

  private static boolean isProblem(HttpResponse<String> r) {
    return r.headers().firstValue("Content-Type").orElse("").startsWith("application/problem+json");
  }

  /** Null where the address itself is none. */
  private HttpRequest request(Operation op, String body) {
    String query = random.nextInt(6) == 0 ? "?project=" + id() : "";
    try {
      HttpRequest.Builder b =
          HttpRequest.newBuilder(URI.create(server.address() + filled(op.path()) + query))
              .timeout(Duration.ofSeconds(30));
      if (random.nextInt(5) > 0) {
        b.header("If-Match", random.nextInt(3) == 0 ? "\"x\"" : "\"" + random.nextInt(3) + "\"");
      }
      if (random.nextInt(3) == 0) {
        b.header(
            "Idempotency-Key",
            random.nextInt(4) == 0 ? "k".repeat(500) : "key" + random.nextInt(9));
      }
      String[] types = {
        "application/json", "application/json", "application/json", "application/octet-stream",
        "multipart/form-data", "text/plain;charset=utf-16", "application/x-www-form-urlencoded",
            "bad"
      };
      if (body != null) {
        b.header("Content-Type", types[random.nextInt(types.length)]);
      }
      return b.method(
              op.method(),
              body == null
                  ? HttpRequest.BodyPublishers.noBody()
                  : HttpRequest.BodyPublishers.ofString(body))
          .build();
    } catch (IllegalArgumentException e) {
      return null;
    }
  }
}
