package rovingglyph.exports;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import rovingglyph.server.TestServer;

/** Scenes of any size and length on a server, and what is asked for of them. */
record AskedExports(TestServer server) {
  JsonObject json(String method, String path, String body) {
    return Json.parse(text(server.send(method, path, body))).asObject();
  }

  /** The id of a scene of its own, px and s. */
  String sceneOf(int width, int height, double length) {
    String scene =
        json("POST", "/api/projects", "{\"name\":\"Jams\"}")
            .get("scenes")
            .asArray()
            .get(0)
            .asObject()
            .getString("id", "");
    String document =
        json("GET", "/api/scenes/" + scene, null)
            .get("document")
            .toString()
            .replace("\"width\":1920", "\"width\":" + width)
            .replace("\"height\":1080", "\"height\":" + height)
            .replace("\"length\":6", "\"length\":" + length);
    assertThat(
            server.send("PUT", "/api/scenes/" + scene, document, "If-Match", "\"1\"").statusCode())
        .isEqualTo(200);
    return scene;
  }

  /** Asks for a file of a scene; its id. */
  String export(String scene, String format) {
    return json("POST", "/api/scenes/" + scene + "/exports", "{\"format\":\"" + format + "\"}")
        .getString("id", "");
  }
}
