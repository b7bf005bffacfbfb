package rovingglyph.exports;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.server.TestServer;

/** Files for pipelines, and addresses that are told when they are done. */
class RenderRequestTest {
  private static final TestServer SERVER = TestServer.shared();

  /** Somebody who is told. */
  private static final class Listener implements AutoCloseable {
    private final ServerSocket socket;
    private final BlockingQueue<String> heard = new LinkedBlockingQueue<>();
    private final Supplier<String> answer;

    Listener(Supplier<String> answer) throws IOException {
      this.answer = answer;
      socket = new ServerSocket(0, 10, InetAddress.getLoopbackAddress());
      Thread t = new Thread(this::listen);
      t.setDaemon(true);
      t.start();
    }

    private void listen() {
      while (!socket.isClosed()) {
        try (Socket s = socket.accept()) {
          BufferedReader in =
              new BufferedReader(new InputStreamReader(s.getInputStream(), StandardCharsets.UTF_8));
          int length = 0;
          for (String line = in.readLine(); !line.isEmpty(); line = in.readLine()) {
            if (line.startsWith("Content-Length: ")) {
              length = Integer.parseInt(line.substring(16));
            }
          }
          char[] body = new char[length];
          for (int n = 0; n < length; n += in.read(body, n, length - n)) {}
          heard.add(new String(body));
          s.getOutputStream().write(answer.get().getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
          // It was closed, or hung up.
        }
      }
    }

    String address() {
      return "http://127.0.0.1:" + socket.getLocalPort() + "/told?by=glyph";
    }

    @Override
    public void close() throws IOException {
      socket.close();
    }
  }

  private String scene;
  private String document;

  @BeforeEach
  void begin() throws IOException {
    JsonObject made =
        Json.parse(text(SERVER.send("POST", "/api/projects", "{\"name\":\"Fair\"}"))).asObject();
    scene = made.get("scenes").asArray().get(0).asObject().getString("id", "");
    document = Files.readString(Path.of("../demo/kite-string-entrance.json"));
    SERVER.send("PUT", "/api/scenes/" + scene, document, "If-Match", "\"1\"");
  }

  private static HttpResponse<byte[]> render(JsonObject body) {
    return SERVER.send("POST", "/api/render", body.toString());
  }

  private static JsonObject files(String json) {
    return new JsonObject().add("files", Json.parse(json));
  }

  private static JsonObject ended(JsonObject status) throws InterruptedException {
    for (int i = 0; i < 600; i++) {
      JsonObject e =
          Json.parse(text(SERVER.send("GET", "/api/exports/" + status.getString("id", ""), null)))
              .asObject();
      if (List.of("done", "failed", "cancelled").contains(e.getString("state", ""))) {
        return e;
      }
      Thread.sleep(50);
    }
    throw new AssertionError("never ended");
  }

  private static byte[] file(JsonObject status) throws InterruptedException {
    JsonObject e = ended(status);
    assertThat(e.getString("state", "")).as(e.toString()).isEqualTo("done");
    return SERVER.send("GET", "/api/exports/" + e.getString("id", "") + "/file", null).body();
  }

  @Test
  void aKeptSceneAndItsDocumentWithTheSameValuesAreTheSameFile() throws Exception {
    JsonObject asked =
        files("[{\"format\":\"png\",\"options\":{\"at\":2,\"size\":50}},{\"format\":\"vtt\"}]")
            .add("values", Json.parse("{\"sky.text\":\"Low tide\",\"sky.fill\":\"#F00\"}"));
    JsonArray kept = Json.parse(text(render(new JsonObject(asked).add("scene", scene)))).asArray();
    JsonArray sent =
        Json.parse(text(render(new JsonObject(asked).add("document", Json.parse(document)))))
            .asArray();
    assertThat(kept).hasSize(2);
    byte[] png = file(kept.get(0).asObject());
    assertThat(png).isEqualTo(file(sent.get(0).asObject()));
    assertThat(new String(file(sent.get(1).asObject()), StandardCharsets.UTF_8))
        .contains("Low tide");
    byte[] plain =
        file(
            Json.parse(
                    text(
                        render(
                            files("[{\"format\":\"png\",\"options\":{\"at\":2,\"size\":50}}]")
                                .add("scene", scene))))
                .asArray()
                .get(0)
                .asObject());
    assertThat(plain).isNotEqualTo(png);
    JsonObject again =
        Json.parse(
                text(
                    SERVER.send(
                        "POST",
                        "/api/exports/" + sent.get(0).asObject().getString("id", "") + "/again",
                        null)))
            .asObject();
    assertThat(file(again)).isEqualTo(png);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"files\":[{\"format\":\"png\"}]}|422|one of them is needed",
        "{\"scene\":\"SCENE\",\"document\":{},\"files\":[{\"format\":\"png\"}]}|422|not both",
        "{\"scene\":\"SCENE\"}|422|names no file",
        "{\"scene\":\"SCENE\",\"files\":[{\"format\":\"tape\"}]}|422|$.files[0].format",
        "{\"scene\":\"SCENE\",\"files\":[{\"format\":\"gif\",\"options\":{\"size\":1}}]}|422|size",
        "{\"scene\":\"SCENE\",\"files\":[{\"format\":\"png\"}],\"values\":{\"sky.fill\":\"red\"}}|400|sky.fill",
        "{\"scene\":\"SCENE\",\"files\":[{\"format\":\"png\"}],\"values\":{\"sky\":\"red\"}}|422|ITEM.FIELD",
        "{\"scene\":\"SCENE\",\"files\":[{\"format\":\"png\"}],\"values\":{\"sky.wind\":\"5\"}}|400|no such field",
        "{\"scene\":\"x\",\"files\":[{\"format\":\"png\"}]}|404|scene",
        "{\"document\":{\"format\":\"x\"},\"files\":[{\"format\":\"png\"}]}|422|not a scene",
        "{\"document\":[],\"files\":[{\"format\":\"png\"}]}|422|not an object",
        "{\"scene\":\"SCENE\",\"files\":[{\"format\":\"png\"}],\"webhook\":\"ftp://a.example/\"}|422|http://",
      })
  void whatCannotBeIsToldWithItsField(String body, int status, String told) {
    HttpResponse<byte[]> answer = SERVER.send("POST", "/api/render", body.replace("SCENE", scene));
    assertThat(text(answer)).contains(told);
    assertThat(answer.statusCode()).isEqualTo(status);
  }

  @Test
  void oneFileThatCannotBeMadeMeansNone() {
    String at = "/api/scenes/" + scene + "/exports";
    String before = text(SERVER.send("GET", at, null));
    HttpResponse<byte[]> answer =
        render(files("[{\"format\":\"png\"},{\"format\":\"wav\"}]").add("scene", scene));
    assertThat(answer.statusCode()).isEqualTo(400);
    assertThat(text(SERVER.send("GET", at, null))).isEqualTo(before);
  }

  @Test
  void anAddressIsToldOnceWhenAFileHasEnded() throws Exception {
    try (Listener listener = new Listener(() -> "HTTP/1.1 204 No Content\r\n\r\n")) {
      JsonObject status = asked(listener.address());
      String heard = listener.heard.poll(20, TimeUnit.SECONDS);
      assertThat(heard).isNotNull();
      JsonObject told = Json.parse(heard).asObject();
      assertThat(told.getString("export", "")).isEqualTo(status.getString("id", ""));
      assertThat(told.getString("scene", "")).isEqualTo(scene);
      assertThat(told.getString("state", "")).isEqualTo("done");
      byte[] file = SERVER.send("GET", told.getString("file", ""), null).body();
      assertThat(file).hasSize(told.getInt("size", 0));
      assertThat(settled(status)).isEqualTo("told");
      assertThat(listener.heard.poll(2, TimeUnit.SECONDS)).isNull();
    }
  }

  private JsonObject asked(String webhook) {
    HttpResponse<byte[]> answer =
        render(files("[{\"format\":\"vtt\"}]").add("scene", scene).add("webhook", webhook));
    assertThat(answer.statusCode()).as(text(answer)).isEqualTo(202);
    return Json.parse(text(answer)).asArray().get(0).asObject();
  }

  private static String settled(JsonObject status) throws InterruptedException {
    for (int i = 0; i < 300; i++) {
      JsonObject e =
          Json.parse(text(SERVER.send("GET", "/api/exports/" + status.getString("id", ""), null)))
              .asObject();
      if (!e.get("webhook").isNull() && !e.getString("webhook", "").equals("waiting")) {
        return e.getString("webhook", "");
      }
      Thread.sleep(50);
    }
    throw new AssertionError("never told");
  }

  @Test
  void oneThatDoesNotTakeItIsTriedAgain() throws Exception {
    int[] calls = {0};
    Supplier<String> answer =
        () -> calls[0]++ == 0 ? "HTTP/1.1 503 Busy\r\n\r\n" : "HTTP/1.1 200 OK\r\n\r\n";
    try (Listener listener = new Listener(answer)) {
      JsonObject status = asked(listener.address());
      String first = listener.heard.poll(20, TimeUnit.SECONDS);
      assertThat(listener.heard.poll(20, TimeUnit.SECONDS)).isEqualTo(first);
      assertThat(settled(status)).isEqualTo("told");
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "http://localhost/",
        "http://LOCALHOST./",
        "http://db/",
        "http://a.local/",
        "http://x.internal/",
        "http://a.localhost:8080/",
        "http://10.1.2.3/",
        "https://192.168.0.9/",
        "http://172.20.0.1/",
        "http://169.254.169.254/latest",
        "http://[::1]/",
        "http://[fd00::1]/",
        "http://[fe80::1]/",
        "http://[::ffff:10.0.0.1]/",
        "http://[64:ff9b::a00:1]/",
        "http://0.0.0.0/",
        "http://2130706433/",
        "http://100.64.0.1/",
        "http://198.18.0.1/",
        "http://224.0.0.1/",
        "http://255.255.255.255/",
        "http://[2002:a00:1::]/",
        "http://0/"
      })
  void addressesInsideAreRefused(String address) {
    HttpResponse<byte[]> answer =
        render(files("[{\"format\":\"vtt\"}]").add("scene", scene).add("webhook", address));
    assertThat(answer.statusCode()).as(address).isEqualTo(422);
    assertThat(text(answer)).contains("$.webhook").containsAnyOf("inside", "no address");
  }
}
