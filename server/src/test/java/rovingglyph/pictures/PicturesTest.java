package rovingglyph.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.server.TestServer;

/** Pictures of projects over HTTP, and in what is exported. */
class PicturesTest {
  private static final TestServer SERVER = TestServer.shared();

  private String project;
  private String scene;

  @BeforeEach
  void aNewProject() {
    JsonObject p = object(SERVER.send("POST", "/api/projects", "{\"name\":\"Pictures\"}"));
    project = p.getString("id", "");
    scene = p.get("scenes").asArray().get(0).asObject().getString("id", "");
  }

  private static JsonObject object(HttpResponse<byte[]> r) {
    assertThat(r.statusCode()).as(text(r)).isBetween(200, 299);
    return Json.parse(text(r)).asObject();
  }

  private HttpResponse<byte[]> upload(String name, byte[] file) {
    return SERVER.sendBytes("/api/projects/" + project + "/pictures?name=" + name, file);
  }

  private JsonArray list() {
    return Json.parse(text(SERVER.send("GET", "/api/projects/" + project + "/pictures", null)))
        .asArray();
  }

  private HttpResponse<byte[]> remove(String id, boolean used) {
    return SERVER.send(
        "DELETE", "/api/projects/" + project + "/pictures/" + id + "?used=" + used, null);
  }

  /** Keeps a scene of 80 by 40 that shows a picture from edge to edge, and nothing else. */
  private void show(String id, boolean shown) {
    JsonObject kept = object(SERVER.send("GET", "/api/scenes/" + scene, null));
    String item =
        """
        {"kind":"picture","id":"it","name":"Quarters","image":"%s","pixelWidth":80,"pixelHeight":40,
         "x":40,"y":20,"width":80,"height":40}"""
            .formatted(id);
    String document =
        """
        {"format":"roving-glyph-scene","version":2,"name":"Kites","width":80,"height":40,"rate":"25",
         "length":1,"background":"#000000","items":[%s]}"""
            .formatted(shown ? item : "");
    HttpResponse<byte[]> saved =
        SERVER.send(
            "PUT",
            "/api/scenes/" + scene,
            document,
            "If-Match",
            "\"" + kept.get("revision") + "\"");
    assertThat(saved.statusCode()).as(text(saved)).isEqualTo(200);
  }

  @Test
  void aPictureIsKeptOnceAndGivenInEverySize() throws IOException {
    byte[] file = MadePictures.jpeg(300, 200, 6);
    JsonObject kept = object(upload("Quay%20%26%20kites", file));
    assertThat(kept.getString("name", "")).isEqualTo("Quay & kites");
    assertThat(kept.getInt("width", 0)).as("turned upright").isEqualTo(200);
    assertThat(object(upload("Again", file)).getString("id", ""))
        .isEqualTo(kept.getString("id", ""));
    assertThat(list()).hasSize(1);
    String at = "/api/pictures/" + kept.getString("id", "");
    JsonArray levels = Json.parse(text(SERVER.send("GET", at + "/levels", null))).asArray();
    for (int i = 0; i < levels.size(); i++) {
      HttpResponse<byte[]> level = SERVER.send("GET", at + "/levels/" + i, null);
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(level.body()));
      assertThat(image.getWidth()).isEqualTo(levels.get(i).asObject().getInt("width", 0));
      assertThat(level.headers().firstValue("Cache-Control").orElse("")).contains("immutable");
    }
    HttpResponse<byte[]> same = SERVER.send("GET", at + "/file", null);
    assertThat(same.body()).as("as it was uploaded").isEqualTo(file);
    assertThat(same.headers().firstValue("Content-Security-Policy").orElse("")).contains("sandbox");
    for (String gone : List.of("/levels/-1", "/levels/99", "x/levels", "x/levels/0", "x/file")) {
      assertThat(SERVER.send("GET", at + gone, null).statusCode()).as(gone).isEqualTo(404);
    }
  }

  @Test
  void whatCannotBeUsedLeavesNothing() throws IOException {
    HttpResponse<byte[]> refused = upload("Bad", "kite".getBytes(StandardCharsets.UTF_8));
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(text(refused)).contains("PNG, JPEG, WebP, AVIF, GIF and SVG");
    assertThat(list()).isEmpty();
    String nowhere = "/api/projects/00000000-0000-0000-0000-000000000000/pictures";
    assertThat(SERVER.sendBytes(nowhere, MadePictures.png(8, 8)).statusCode()).isEqualTo(404);
    assertThat(upload("Large", new byte[50_000_001]).statusCode()).isEqualTo(413);
  }

  @Test
  void oneThatAScenesShowsIsOnlyTakenOutOnPurpose() throws IOException {
    String id = object(upload("Shown", MadePictures.png(80, 40))).getString("id", "");
    assertThat(list().get(0).asObject().getBoolean("used", true)).isFalse();
    show(id, true);
    assertThat(list().get(0).asObject().getBoolean("used", false)).isTrue();
    HttpResponse<byte[]> refused = remove(id, false);
    assertThat(refused.statusCode()).isEqualTo(409);
    assertThat(text(refused)).contains("It is shown in Kites");
    assertThat(remove(id, true).statusCode()).isEqualTo(204);
    assertThat(remove(id, true).statusCode()).isEqualTo(404);
    assertThat(SERVER.send("GET", "/api/pictures/" + id + "/levels", null).statusCode())
        .as("the scene still shows it")
        .isEqualTo(200);
  }

  @Test
  void oneThatNothingShowsAnyMoreIsGone() throws IOException {
    String id = object(upload("Lone", MadePictures.png(62, 34))).getString("id", "");
    assertThat(remove(id, false).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("GET", "/api/pictures/" + id + "/levels", null).statusCode())
        .isEqualTo(404);
    String versioned = object(upload("Versioned", MadePictures.png(66, 34))).getString("id", "");
    show(versioned, true);
    show(versioned, false);
    assertThat(remove(versioned, false).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("GET", "/api/pictures/" + versioned + "/levels", null).statusCode())
        .as("a version that is kept shows it")
        .isEqualTo(200);
  }

  @Test
  void oneThatIsOnlyInASceneShownWithinAWaitingExportStays() throws IOException {
    String id = object(upload("Within", MadePictures.png(58, 34))).getString("id", "");
    String document =
        "{\"scene\":{},\"shown\":{\"s\":{\"items\":[{\"kind\":\"picture\",\"image\":\"%s\"}]}}}";
    JdbcClient jdbc = SERVER.bean(JdbcClient.class);
    jdbc.sql(
            """
            insert into export
              (id, scene_id, scene_name, file_name, format, options, document, state, frames_total)
            values (gen_random_uuid(), ?::uuid, 'Kites', 'k.png', 'png', '{}', ?::json, 'WAITING', 1)""")
        .params(scene, document.formatted(id))
        .update();
    assertThat(remove(id, false).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("GET", "/api/pictures/" + id + "/levels", null).statusCode())
        .isEqualTo(200);
    jdbc.sql("delete from export where scene_id = ?::uuid").param(scene).update();
  }

  @Test
  void aCopyOfAProjectHasItsPictures() throws IOException {
    upload("First", MadePictures.png(40, 30));
    upload("Second", MadePictures.gif(40, 30));
    JsonObject copy = object(SERVER.send("POST", "/api/projects/" + project + "/duplicate", null));
    project = copy.getString("id", "");
    assertThat(list())
        .extracting(p -> p.asObject().getString("name", ""))
        .containsExactly("First", "Second");
  }

  private JsonObject exported(String format) throws InterruptedException {
    JsonObject e =
        object(
            SERVER.send(
                "POST", "/api/scenes/" + scene + "/exports", "{\"format\":\"" + format + "\"}"));
    while (List.of("waiting", "running").contains(e.getString("state", ""))) {
      Thread.sleep(50);
      e = object(SERVER.send("GET", "/api/exports/" + e.getString("id", ""), null));
    }
    return e;
  }

  private byte[] file(JsonObject export) {
    return SERVER.send("GET", "/api/exports/" + export.getString("id", "") + "/file", null).body();
  }

  @Test
  void exportsShowIt() throws IOException, InterruptedException {
    String id = object(upload("Shown", MadePictures.png(80, 40))).getString("id", "");
    show(id, true);
    BufferedImage still = ImageIO.read(new ByteArrayInputStream(file(exported("png"))));
    assertThat(
            List.of(
                still.getRGB(10, 10),
                still.getRGB(70, 10),
                still.getRGB(10, 30),
                still.getRGB(70, 30)))
        .containsExactly(0xFFFF0000, 0xFF00FF00, 0xFF0000FF, 0xFFFFFFFF);
    String svg = new String(file(exported("svg")), StandardCharsets.UTF_8);
    assertThat(svg).contains("data:image/png;base64,iVBOR");
  }

  @Test
  void anExportWithoutItsPictureSaysWhichIsMissing() throws InterruptedException {
    show("picture-0123", true);
    JsonObject failed = exported("png");
    assertThat(failed.getString("state", "")).isEqualTo("failed");
    assertThat(failed.getString("message", "")).contains("\"Quarters\" is not there");
  }

  @Test
  void theDemoProjectHasItsPicture() {
    int shown =
        SERVER
            .bean(JdbcClient.class)
            .sql(
                "select count(*) from project_picture p join scene s using (project_id)"
                    + " where s.name = 'Night market sign' and s.document::text like '%' || p.picture_id || '%'")
            .query(Integer.class)
            .single();
    assertThat(shown).isPositive();
  }
}
