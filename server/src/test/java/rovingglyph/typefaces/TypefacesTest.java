package rovingglyph.typefaces;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rovingglyph.server.TestServer;

class TypefacesTest {
  private static final TestServer SERVER = TestServer.shared();
  private static final byte[] STATIC = Fonts.resource("/faces/comfortaa.ttf");
  private String project;

  @BeforeEach
  void aProject() {
    HttpResponse<byte[]> r = SERVER.send("POST", "/api/projects", "{\"name\":\"Faces\"}");
    project = Json.parse(text(r)).asObject().getString("id", "");
  }

  private HttpResponse<byte[]> upload(byte[] font) {
    return SERVER.sendBytes("/api/projects/" + project + "/faces", font);
  }

  private JsonArray faces() {
    return Json.parse(text(SERVER.send("GET", "/api/faces?project=" + project, null))).asArray();
  }

  private static JsonObject shaped(String face, String words) {
    JsonObject one = new JsonObject().add("face", face).add("text", words);
    HttpResponse<byte[]> r = SERVER.send("POST", "/api/shape", new JsonArray().add(one).toString());
    assertThat(r.statusCode()).as(text(r)).isEqualTo(200);
    return Json.parse(text(r)).asArray().get(0).asObject();
  }

  private static int stored() {
    return SERVER
        .bean(org.springframework.jdbc.core.simple.JdbcClient.class)
        .sql("select count(*) from typeface")
        .query(Integer.class)
        .single();
  }

  @Test
  void everyFormatIsTakenAndTellsOfItself() {
    byte[][] files = {
      STATIC,
      Fonts.woff(STATIC),
      Fonts.resource("/faces/lobster.otf"),
      Fonts.resource("/fonts/variable.woff2")
    };
    for (byte[] file : files) {
      HttpResponse<byte[]> r = upload(file);
      assertThat(r.statusCode()).as(text(r)).isEqualTo(201);
      JsonObject face = Json.parse(text(r)).asObject();
      assertThat(face.getString("name", "")).isNotBlank();
      assertThat(face.getString("copyright", "") + face.getString("licence", "")).isNotBlank();
      JsonObject run = shaped(face.getString("id", ""), "ő");
      assertThat(run.getBoolean("faceMissing", true)).isFalse();
      HttpResponse<byte[]> got =
          SERVER.send("GET", "/api/faces/" + face.getString("id", "") + "/file", null);
      assertThat(got.statusCode()).isEqualTo(200);
    }
    JsonObject variable =
        StreamSupport.stream(faces().spliterator(), false)
            .map(JsonValue::asObject)
            .filter(f -> f.getBoolean("own", false) && !f.get("axes").asArray().isEmpty())
            .findFirst()
            .orElseThrow();
    JsonObject axis = variable.get("axes").asArray().get(0).asObject();
    assertThat(axis.getString("tag", "")).isEqualTo("wght");
    assertThat(axis.getDouble("least", 0)).isEqualTo(200);
    assertThat(axis.getDouble("greatest", 0)).isEqualTo(800);
    assertThat(variable.get("instances").asArray().toString()).contains("Bold", "700");
    assertThat(variable.get("features").asArray().toString()).contains("Kerning");
  }

  @Test
  void theSameFileIsStoredOnceAndForgottenWhenNobodyKeepsIt() {
    byte[] font = Fonts.resource("/faces/pacifico.ttf");
    int before = stored();
    String id = Json.parse(text(upload(font))).asObject().getString("id", "");
    assertThat(Json.parse(text(upload(font))).asObject().getString("id", "")).isEqualTo(id);
    String first = project;
    aProject();
    upload(font);
    assertThat(stored()).isEqualTo(before + 1);
    String second = project;
    SERVER.send("DELETE", "/api/projects/" + first + "/faces/" + id, null);
    assertThat(shaped(id, "a").getBoolean("faceMissing", true)).isFalse();
    SERVER.send("DELETE", "/api/projects/" + second + "/faces/" + id, null);
    assertThat(stored()).isEqualTo(before);
    JsonObject run = shaped(id, "still words");
    assertThat(run.getBoolean("faceMissing", false)).isTrue();
    assertThat(run.get("clusters").asArray()).hasSize(11);
    assertThat(SERVER.send("DELETE", "/api/projects/" + second + "/faces/" + id, null).statusCode())
        .isEqualTo(404);
  }

  private void refused(byte[] file, String... reasons) {
    HttpResponse<byte[]> r = upload(file);
    assertThat(r.statusCode()).as(text(r)).isBetween(400, 422);
    assertThat(r.headers().firstValue("Content-Type").orElse("")).contains("problem+json");
    assertThat(text(r)).contains(reasons);
  }

  @Test
  void whatIsNoGoodFontIsRefusedWithTheReason() {
    refused(new byte[0], "no font");
    refused("not a font at all, really".getBytes(StandardCharsets.UTF_8), "no font");
    refused(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13}, "no font");
    refused(Arrays.copyOf(STATIC, STATIC.length / 2), "damaged");
    byte[] wrong = STATIC.clone();
    Arrays.fill(wrong, 12, 300, (byte) 0x41);
    refused(wrong, "damaged");
    refused(Fonts.withGlyphs(STATIC, 60_000), "60000 glyphs", "at most");
    refused(new byte[30_000_001], "30 MB");
    assertThat(upload(Fonts.withGlyphs(STATIC, 3000)).statusCode()).isEqualTo(201);
    assertThat(faces().size()).isGreaterThan(10);
  }

  /** Bytes changed, runs zeroed, pieces cut out: refused or good, and the server lives on. */
  @Test
  void fiveHundredDamagedCopiesNeverDoMoreThanBeRefused() {
    byte[] small = Fonts.resource("/fonts/variable.woff2");
    int[] kept = {0};
    IntStream.range(0, 500)
        .parallel()
        .forEach(
            i -> {
              Random r = new Random(i);
              byte[] font = (i % 2 == 0 ? STATIC : small).clone();
              int at = r.nextInt(font.length);
              int many = 1 + r.nextInt(i % 5 == 0 ? 2000 : 20);
              for (int k = at; k < Math.min(font.length, at + many); k++) {
                font[k] = (byte) (i % 3 == 0 ? 0 : r.nextInt());
              }
              byte[] sent = i % 7 == 0 ? Arrays.copyOf(font, at) : font;
              HttpResponse<byte[]> answer = upload(sent);
              assertThat(answer.statusCode()).as("copy " + i).isIn(201, 400);
              if (answer.statusCode() == 201) {
                String id = Json.parse(text(answer)).asObject().getString("id", "");
                assertThat(shaped(id, "Wind & kites, ős").get("clusters").asArray()).isNotEmpty();
                synchronized (kept) {
                  kept[0]++;
                }
                SERVER.send("DELETE", "/api/projects/" + project + "/faces/" + id, null);
              }
            });
    assertThat(kept[0]).isBetween(1, 499);
    assertThat(SERVER.send("GET", "/api/projects", null).statusCode()).isEqualTo(200);
  }
}
