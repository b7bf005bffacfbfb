package rovingglyph.server;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import rovingglyph.footage.MadeFootage;

/** The examples of the interface's description: every body has one, and each is taken as it is. */
class ExamplesTest {
  private static final TestServer SERVER = TestServer.shared();

  @TempDir static Path folder;

  private static JsonObject json(HttpResponse<byte[]> answer) {
    return Json.parse(text(answer)).asObject();
  }

  /** What there is for the parameters of a path; a fresh one for every example. */
  private static Map<String, String> ids(String path, Path film) throws IOException {
    JsonObject project = json(SERVER.send("POST", "/api/projects", "{\"name\":\"Examples\"}"));
    String projectId = project.getString("id", "");
    String scene = project.get("scenes").asArray().get(0).asObject().getString("id", "");
    JsonObject put =
        json(SERVER.send("GET", "/api/openapi", null))
            .get("paths")
            .asObject()
            .get("/api/scenes/{id}")
            .asObject()
            .get("put")
            .asObject();
    SERVER.send("PUT", "/api/scenes/" + scene, example(put).toString(), "If-Match", "\"1\"");
    byte[] table = "Words,Colour\na,#000000\n".getBytes(StandardCharsets.UTF_8);
    SERVER.putBytes("/api/scenes/" + scene + "/series", table);
    Map<String, String> out = new HashMap<>();
    out.put("project", projectId);
    out.put("scene", scene);
    out.put("sceneId", scene);
    out.put("revision", "1");
    out.put("number", "0");
    out.put("id", path.startsWith("/api/projects") ? projectId : scene);
    if (path.startsWith("/api/footage")) {
      out.put("id", MadeFootage.kept(SERVER, projectId, film).getString("id", ""));
    }
    if (path.contains("{upload}")) {
      out.put("upload", uploaded(projectId));
    }
    return out;
  }

  private static String uploaded(String project) {
    byte[] file = SERVER.send("GET", "/api/projects/" + project + "/file", null).body();
    String begun = "{\"name\":\"a.zip\",\"size\":" + file.length + "}";
    String id = json(SERVER.send("POST", "/api/project-files", begun)).getString("id", "");
    SERVER.putBytes("/api/uploads/" + id + "/pieces/0", file);
    return id;
  }

  /** Null where it has none. */
  private static JsonValue example(JsonObject operation) {
    JsonObject body =
        operation
            .get("requestBody")
            .asObject()
            .get("content")
            .asObject()
            .get("application/json")
            .asObject();
    if (body.get("example") != null) {
      return body.get("example");
    }
    String ref = body.get("schema").asObject().getString("$ref", "");
    JsonObject schemas =
        json(SERVER.send("GET", "/api/openapi", null))
            .get("components")
            .asObject()
            .get("schemas")
            .asObject();
    JsonValue schema = schemas.get(ref.substring(ref.lastIndexOf('/') + 1));
    return schema == null ? null : schema.asObject().get("example");
  }

  @TestFactory
  List<DynamicTest> everyBodyHasAnExampleThatIsTaken() throws IOException {
    Path film = MadeFootage.make(folder, MadeFootage.KINDS.get(0), 40, true);
    JsonObject paths = json(SERVER.send("GET", "/api/openapi", null)).get("paths").asObject();
    List<DynamicTest> out = new ArrayList<>();
    for (JsonObject.Member path : paths) {
      for (JsonObject.Member m : path.getValue().asObject()) {
        JsonObject operation = m.getValue().asObject();
        JsonValue body = operation.get("requestBody");
        if (body != null
            && body.asObject().get("content").asObject().get("application/json") != null) {
          String method = m.getName().toUpperCase(java.util.Locale.ROOT);
          out.add(
              DynamicTest.dynamicTest(
                  method + " " + path.getName(),
                  () -> isTaken(method, path.getName(), operation, film)));
        }
      }
    }
    assertThat(out).hasSizeGreaterThan(20);
    return out;
  }

  private static void isTaken(String method, String path, JsonObject operation, Path film)
      throws IOException {
    JsonValue example = example(operation);
    assertThat(example).as("its example").isNotNull();
    Map<String, String> ids = ids(path, film);
    String address = path;
    for (Map.Entry<String, String> e : ids.entrySet()) {
      address = address.replace("{" + e.getKey() + "}", e.getValue());
    }
    String body = example.toString().replace(Holds.SCENE, ids.get("scene"));
    HttpResponse<byte[]> answer = SERVER.send(method, address, body, "If-Match", "\"2\"");
    assertThat(answer.statusCode()).as(body + "\n" + text(answer)).isBetween(200, 299);
  }
}
