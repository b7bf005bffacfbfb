package rovingglyph.e2e;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.footage.KeptBitmaps;
import rovingglyph.footage.MadeFootage;
import rovingglyph.pictures.MadePictures;
import rovingglyph.render.Bitmaps;
import rovingglyph.server.TestServer;

/**
 * What the tests' server keeps: grainy and soft-edged pictures, as PNG and as JPEG, and footage so
 * small that it is always painted larger.
 */
final class KeptPictures {
  private static final List<String> IDS = keep();

  private KeptPictures() {}

  private static List<String> keep() {
    try {
      return List.of(
          keep(MadePictures.landscape("png", 301, 200)),
          keep(MadePictures.landscape("jpeg", 640, 480)),
          keep(MadePictures.disc(160)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String project() {
    TestServer server = TestServer.shared();
    return Json.parse(
            TestServer.text(server.send("POST", "/api/projects", "{\"name\":\"Pictures\"}")))
        .asObject()
        .getString("id", "");
  }

  private static String keep(byte[] file) {
    TestServer server = TestServer.shared();
    String at = "/api/projects/" + project() + "/pictures?name=Made";
    return Json.parse(TestServer.text(server.sendBytes(at, file))).asObject().getString("id", "");
  }

  /** Footage of three seconds, of 12.5 frames a second. */
  private static final class Small {
    static final String ID = keepSmall();

    private static String keepSmall() {
      try {
        Path folder = Files.createTempDirectory("roving-test");
        Path file = MadeFootage.pattern(folder, 40, 24, "25/2", 3);
        demoIsReady();
        String project = project();
        String id = MadeFootage.kept(TestServer.shared(), project, file).getString("id", "");
        Files.delete(file);
        return id;
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  static String footage() {
    return Small.ID;
  }

  /** Waits until the footage of the demo project can be shown. */
  static void demoIsReady() {
    TestServer server = TestServer.shared();
    JsonObject demo =
        Json.parse(TestServer.text(server.send("GET", "/api/projects", null)))
            .asArray()
            .values()
            .stream()
            .map(JsonValue::asObject)
            .filter(p -> p.getString("name", "").equals("Saltmarsh Kite Fair"))
            .findFirst()
            .orElseThrow();
    String id = demo.getString("id", "");
    String list = TestServer.text(server.send("GET", "/api/projects/" + id + "/footage", null));
    Json.parse(list)
        .asArray()
        .forEach(f -> MadeFootage.settled(server, id, f.asObject().getString("id", "")));
  }

  static List<String> ids() {
    return IDS;
  }

  /** These, and those of the demo project. */
  static Bitmaps bitmaps() {
    return TestServer.shared().bean(KeptBitmaps.class);
  }
}
