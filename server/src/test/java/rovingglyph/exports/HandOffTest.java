package rovingglyph.exports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.server.RefusedException;
import rovingglyph.server.TestServer;

/** Names, sets, estimates and lists of files, and how old ones go. */
class HandOffTest {
  private final TestServer server = TestServer.shared();
  private String project;
  private String scene;

  @BeforeEach
  void begin() {
    JsonObject made = json("POST", "/api/projects", "{\"name\":\"Kite & pier\"}").asObject();
    project = made.getString("id", "");
    scene = made.get("scenes").asArray().get(0).asObject().getString("id", "");
  }

  private JsonValue json(String method, String path, String body) {
    return Json.parse(text(server.send(method, path, body)));
  }

  private int status(String method, String path, String body) {
    return server.send(method, path, body).statusCode();
  }

  private JsonObject export(String format, String options) {
    String body = "{\"format\":\"" + format + "\",\"options\":" + options + "}";
    return json("POST", "/api/scenes/" + scene + "/exports", body).asObject();
  }

  private JsonObject done(JsonObject export) throws InterruptedException {
    for (int i = 0; i < 600; i++) {
      JsonObject e = json("GET", "/api/exports/" + export.getString("id", ""), null).asObject();
      if (e.getString("state", "").equals("done")) {
        return e;
      }
      Thread.sleep(50);
    }
    throw new AssertionError("never done");
  }

  private JsonObject plan(String format, String options) {
    String body = "{\"format\":\"" + format + "\",\"options\":" + options + "}";
    return json("POST", "/api/scenes/" + scene + "/export-plan", body).asObject();
  }

  @Test
  void filesAskedForAtOnceAllHaveNamesOfTheirOwn() {
    List<String> names =
        IntStream.range(0, 16)
            .parallel()
            .mapToObj(i -> export("srt", "{}").getString("fileName", ""))
            .toList();
    assertThat(names).doesNotHaveDuplicates().allMatch(n -> n.endsWith(".srt"));
  }

  @Test
  void namesAreAsTheProjectHasThem() {
    String settings = "/api/projects/" + project + "/hand-off";
    assertThat(json("GET", settings, null).asObject().getString("fileNames", ""))
        .isEqualTo(NamePattern.USUAL.text());
    String pattern = "{\"fileNames\":\"{project} {number}_{size}/../{format}\"}";
    assertThat(status("PUT", settings, pattern)).isEqualTo(200);
    assertThat(export("png", "{\"size\":50}").getString("fileName", ""))
        .isEqualTo("Kite-pier-001-960x540-png.png");
    assertThat(export("png", "{}").getString("fileName", ""))
        .isEqualTo("Kite-pier-002-1920x1080-png.png");
    assertThat(status("PUT", settings, "{\"fileNames\":\"clip\"}")).isEqualTo(200);
    assertThat(export("vtt", "{}").getString("fileName", "")).isEqualTo("clip.vtt");
    assertThat(export("vtt", "{}").getString("fileName", "")).isEqualTo("clip-2.vtt");
    String copy =
        json("POST", "/api/projects/" + project + "/duplicate", "").asObject().getString("id", "");
    assertThat(json("GET", "/api/projects/" + copy + "/hand-off", null).asObject())
        .isEqualTo(json("GET", settings, null).asObject());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"fileNames\":\"{scene}-{cat}\"}", "{\"fileNames\":\" \"}", "{\"fileNames\":7}",
        "{\"keepDays\":-1}", "{\"keepDays\":90000}", "{\"keepDays\":\"long\"}"
      })
  void whatCannotBeIsRefusedWithItsField(String body) {
    String settings = "/api/projects/" + project + "/hand-off";
    String before = text(server.send("GET", settings, null));
    var r = server.send("PUT", settings, body);
    assertThat(r.statusCode()).isBetween(400, 422);
    assertThat(text(r)).contains(body.contains("fileNames") ? "fileNames" : "keepDays");
    assertThat(text(server.send("GET", settings, null))).isEqualTo(before);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{scene}-{date}-{time}|Up-away-2026-12-01-",
        "../../etc/{scene}|etc-Up-away",
        "{scene}{scene}|Up-awayUp-away",
        "{|scene"
      })
  void namesAreSuchThatAnySystemTakesThem(String pattern, String begin) {
    NamePattern.Facts facts =
        new NamePattern.Facts(
            "p", "Up & away", "mp4", "1x1", Instant.parse("2026-12-01T12:00:00Z"), 3);
    assertThat(new NamePattern(pattern).name(facts)).startsWith(begin);
    String longName = "\ud83e\ude81x".repeat(300);
    NamePattern.Facts large = new NamePattern.Facts(longName, longName, "", "", Instant.EPOCH, 1);
    assertThat(new NamePattern("a{scene}{project}").name(large).length()).isLessThan(160);
    assertThatThrownBy(() -> NamePattern.checked("{x}")).isInstanceOf(RefusedException.class);
  }

  @Test
  void setsOfFilesAreKeptWithTheProject() {
    String sets = "/api/projects/" + project + "/file-sets";
    String good =
        "{\"name\":\"For the client\",\"files\":[{\"format\":\"mp4\",\"options\":{\"quality\":"
            + "\"small\"}},{\"format\":\"gif\",\"options\":{\"size\":25}}]}";
    assertThat(status("POST", sets, good)).isEqualTo(201);
    JsonArray all = json("GET", sets, null).asArray();
    assertThat(all).hasSize(1);
    assertThat(all.get(0).asObject().get("files").asArray()).hasSize(2);
    for (String wrong :
        List.of(
            "{\"name\":\"x\",\"files\":[]}",
            "{\"name\":\"x\",\"files\":[{\"format\":\"tiff\"}]}",
            "{\"name\":\"x\",\"files\":[{\"format\":\"gif\",\"options\":{\"size\":-4}}]}",
            "{\"name\":\"x\",\"files\":{}}",
            "{\"files\":[{\"format\":\"gif\",\"options\":{}}]}")) {
      assertThat(status("POST", sets, wrong)).as(wrong).isEqualTo(400);
    }
    String id = all.get(0).asObject().getString("id", "");
    assertThat(status("DELETE", sets + "/" + id, null)).isEqualTo(204);
    assertThat(json("GET", sets, null).asArray()).isEmpty();
  }

  @Test
  void filesOfAllScenesAreListedWithWhatWasChosenAndCanBeMadeAgain() throws Exception {
    JsonObject first = done(export("png", "{\"size\":10,\"at\":1.5}"));
    assertThat(first.getString("choices", "")).isEqualTo("time 1.5 s, size 10 %");
    String other =
        json("POST", "/api/projects/" + project + "/scenes", "{\"name\":\"Other\"}")
            .asObject()
            .getString("id", "");
    scene = other;
    export("srt", "{}");
    JsonArray all = json("GET", "/api/exports?project=" + project, null).asArray();
    assertThat(all).hasSize(2);
    assertThat(all.get(0).asObject().getString("sceneId", "")).isEqualTo(other);
    assertThat(json("GET", "/api/exports", null).asArray().size()).isGreaterThanOrEqualTo(2);
    JsonObject again =
        json("POST", "/api/exports/" + first.getString("id", "") + "/again", "").asObject();
    assertThat(again.getString("choices", "")).isEqualTo("time 1.5 s, size 10 %");
    assertThat(again.getString("fileName", "")).isNotEqualTo(first.getString("fileName", ""));
    assertThat(done(again).getLong("size", 0)).isEqualTo(first.getLong("size", 1));
    byte[] picture =
        server.send("GET", "/api/exports/" + first.getString("id", "") + "/picture", null).body();
    assertThat(picture).startsWith((byte) 0x89, (byte) 'P', (byte) 'N', (byte) 'G');
  }

  @Test
  void finishedFilesGoWhenTheyAreOldUnlessTheyAreKeptForEver() throws Exception {
    ExportStore exports = server.bean(ExportStore.class);
    JdbcClient jdbc = server.bean(JdbcClient.class);
    String settings = "/api/projects/" + project + "/hand-off";
    UUID id = UUID.fromString(done(export("srt", "{}")).getString("id", ""));
    jdbc.sql("update export set ended_at = now() - interval '20 days' where id = ?")
        .param(id)
        .update();
    List<Boolean> there = new ArrayList<>();
    for (int days : new int[] {21, 0, 19}) {
      assertThat(status("PUT", settings, "{\"keepDays\":" + days + "}")).isEqualTo(200);
      exports.removeOld(10);
      there.add(exports.find(id).isPresent());
    }
    assertThat(there).containsExactly(true, true, false);
  }

  @ParameterizedTest
  @CsvSource({
    "mp4, 1",
    "mp4-av1, 1",
    "mov-prores, 1",
    "webm, 1",
    "gif, 1",
    "apng, 1",
    "webp, 1",
    "png-sequence, 1",
    "png, 1",
    "pdf, 1",
    "mp4, 3"
  })
  void whatAFileWillBeIsToldBefore(String format, int every) throws Exception {
    String options = every == 1 ? "{\"size\":25}" : "{\"size\":25,\"every\":3}";
    String asked = format.equals("pdf") ? "{}" : options;
    JsonObject plan = plan(format, asked);
    // A busy machine may find it too long to measure, and says so by saying nothing.
    for (int i = 0; i < 8 && plan.get("bytes").isNull(); i++) {
      plan = plan(format, asked);
    }
    assertThat(plan.get("unsupportedReason").isNull()).isTrue();
    JsonObject made = done(export(format, asked));
    assertThat(plan.getInt("frames", 0)).isEqualTo(made.getInt("framesTotal", -1));
    double ratio = plan.getDouble("bytes", 0) / made.getLong("size", 1);
    assertThat(ratio).as("estimate by size").isBetween(0.3, 3.0);
    assertThat(plan.getDouble("workSeconds", 0)).isPositive();
  }

  @Test
  void whatIsInTheWayIsToldBeforeToo() {
    JsonObject plan = plan("mp4", "{\"from\":9000}");
    assertThat(plan.getString("unsupportedReason", "")).contains("frames 0 to");
    assertThat(plan.get("bytes").isNull()).isTrue();
    assertThat(
            status(
                "POST", "/api/scenes/" + scene + "/exports", "{\"format\":\"mp4\",\"from\":9000}"))
        .isEqualTo(400);
    assertThat(status("POST", "/api/scenes/" + scene + "/export-plan", "{\"format\":\"tiff\"}"))
        .isEqualTo(400);
  }

  @Test
  void theSnippetIsTriedOutOnAPageThatReachesNothingOfOurs() {
    String options = URLEncoder.encode("{\"plays\":\"hover\"}", StandardCharsets.UTF_8);
    var page = server.send("GET", "/api/scenes/" + scene + "/try-out?options=" + options, null);
    assertThat(page.statusCode()).isEqualTo(200);
    assertThat(text(page).split("<roving-glyph plays=\"hover\"", -1)).hasSize(4);
    assertThat(page.headers().allValues("Content-Security-Policy"))
        .singleElement()
        .asString()
        .startsWith("sandbox allow-scripts; default-src 'none'")
        .contains("frame-ancestors 'self'");
    JsonObject code =
        json("GET", "/api/scenes/" + scene + "/snippet?options=" + options, null).asObject();
    assertThat(code.getString("code", "")).startsWith("<roving-glyph plays=\"hover\"");
    for (String wrong : List.of("{", "[]", "{\"plays\":\"soon\"}", "7")) {
      String asked = URLEncoder.encode(wrong, StandardCharsets.UTF_8);
      assertThat(status("GET", "/api/scenes/" + scene + "/try-out?options=" + asked, null))
          .as(wrong)
          .isBetween(400, 422);
    }
  }
}
