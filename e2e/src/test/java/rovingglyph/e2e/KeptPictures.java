package rovingglyph.e2e;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import rovingglyph.pictures.MadePictures;
import rovingglyph.pictures.PictureStore;
import rovingglyph.render.Bitmaps;
import rovingglyph.server.TestServer;

/** Pictures that the tests' server keeps: grainy and soft-edged ones, as PNG and as JPEG. */
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

  private static String keep(byte[] file) {
    TestServer server = TestServer.shared();
    JsonObject project =
        Json.parse(TestServer.text(server.send("POST", "/api/projects", "{\"name\":\"Pictures\"}")))
            .asObject();
    String at = "/api/projects/" + project.getString("id", "") + "/pictures?name=Made";
    return Json.parse(TestServer.text(server.sendBytes(at, file))).asObject().getString("id", "");
  }

  static List<String> ids() {
    return IDS;
  }

  /** These, and those of the demo project. */
  static Bitmaps bitmaps() {
    return TestServer.shared().bean(PictureStore.class);
  }
}
