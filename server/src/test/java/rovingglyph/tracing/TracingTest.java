package rovingglyph.tracing;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import rovingglyph.server.TestServer;

class TracingTest {
  private static final TestServer SERVER = TestServer.shared();

  private static HttpResponse<byte[]> upload(String path, byte[] body) {
    return SERVER.sendBytes(path, body);
  }

  private static byte[] png(int width, int height) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", out);
    return out.toByteArray();
  }

  @Test
  void aPictureIsKeptOnceAndGivenBackHarmless() throws IOException {
    byte[] picture = png(40, 30);
    HttpResponse<byte[]> first = upload("/api/images", picture);
    assertThat(first.statusCode()).as(text(first)).isEqualTo(201);
    JsonObject kept = Json.parse(text(first)).asObject();
    assertThat(kept.getInt("width", 0)).isEqualTo(40);
    assertThat(text(upload("/api/images", picture))).isEqualTo(text(first));
    String id = kept.getString("id", "");
    HttpResponse<byte[]> got = SERVER.send("GET", "/api/images/" + id, null);
    assertThat(got.body()).isEqualTo(picture);
    assertThat(got.headers().firstValue("Content-Type")).hasValue("image/png");
    assertThat(got.headers().firstValue("Content-Security-Policy").orElse("")).contains("sandbox");
  }

  @Test
  void anSvgTellsItsSizeAndNothingElseIsTaken() throws IOException {
    byte[] svg =
        "<svg width='3in' height='96'><script>x</script></svg>".getBytes(StandardCharsets.UTF_8);
    JsonObject kept = Json.parse(text(upload("/api/images", svg))).asObject();
    assertThat(kept.getInt("width", 0)).isEqualTo(288);
    byte[] cut = Arrays.copyOf(png(40, 30), 12);
    for (byte[] bad : new byte[][] {new byte[0], "GIF89a".getBytes(), cut, "<html/>".getBytes()}) {
      HttpResponse<byte[]> r = upload("/api/images", bad);
      assertThat(r.statusCode()).as(text(r)).isEqualTo(422);
      assertThat(text(r)).contains("detail");
    }
  }

  @Test
  void svgPathsComeBackAndFaultsAreToldPlainly() {
    byte[] svg = "<svg><path id='a' d='M0 0h10'/></svg>".getBytes(StandardCharsets.UTF_8);
    JsonObject found = Json.parse(text(upload("/api/svg-paths", svg))).asObject();
    JsonObject path = found.get("paths").asArray().get(0).asObject();
    assertThat(path.getString("d", "")).isEqualTo("M0 0L10 0");
    HttpResponse<byte[]> empty = upload("/api/svg-paths", new byte[0]);
    assertThat(empty.statusCode()).isEqualTo(422);
    assertThat(text(empty)).contains("The file is empty");
    HttpResponse<byte[]> large = upload("/api/svg-paths", new byte[12_000_000]);
    assertThat(large.statusCode()).isEqualTo(413);
    assertThat(text(large)).contains("12 MB");
  }

  @Test
  void curvesAreKeptWithTheirProjectAndGoWithItsCopy() {
    JsonObject project =
        Json.parse(text(SERVER.send("POST", "/api/projects", "{\"name\":\"Curves\"}"))).asObject();
    String at = "/api/projects/" + project.getString("id", "") + "/curves";
    String wave = "{\"id\":\"w\",\"name\":\"Ebb\",\"kind\":\"wave\",\"cycles\":3}";
    assertThat(SERVER.send("POST", at, wave).statusCode()).isEqualTo(201);
    JsonArray list = Json.parse(text(SERVER.send("GET", at, null))).asArray();
    assertThat(list.get(0).asObject().getString("name", "")).isEqualTo("Ebb");
    HttpResponse<byte[]> bad =
        SERVER.send("POST", at, "{\"id\":\"w\",\"kind\":\"wave\",\"cycles\":-3}");
    assertThat(bad.statusCode()).isEqualTo(422);
    assertThat(text(bad)).contains("$.cycles");
    assertThat(SERVER.send("POST", at, "[]").statusCode()).isEqualTo(422);

    JsonObject copy =
        Json.parse(
                text(
                    SERVER.send(
                        "POST",
                        "/api/projects/" + project.getString("id", "") + "/duplicate",
                        null)))
            .asObject();
    String copied = "/api/projects/" + copy.getString("id", "") + "/curves";
    assertThat(Json.parse(text(SERVER.send("GET", copied, null))).asArray()).hasSize(1);
    String id = list.get(0).asObject().getString("id", "");
    assertThat(SERVER.send("DELETE", at + "/" + id, null).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("DELETE", at + "/" + id, null).statusCode()).isEqualTo(404);
    assertThat(Json.parse(text(SERVER.send("GET", copied, null))).asArray()).hasSize(1);
  }
}
