package rovingglyph.footage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.FramePainter;
import rovingglyph.server.TestServer;
import rovingglyph.uploads.StoredFiles;

/**
 * Footage of projects over HTTP, and in what is exported: every frame is the one that it is to be.
 */
class FootageTest {
  private static final TestServer SERVER = TestServer.shared();
  private static final int FRAMES = 70;

  @TempDir Path folder;
  private String project;
  private String scene;

  @BeforeEach
  void aNewProject() {
    JsonObject p = object(SERVER.send("POST", "/api/projects", "{\"name\":\"Footage\"}"));
    project = p.getString("id", "");
    scene = p.get("scenes").asArray().get(0).asObject().getString("id", "");
  }

  static Stream<MadeFootage.Kind> kinds() {
    return MadeFootage.KINDS.stream();
  }

  private static JsonObject object(HttpResponse<byte[]> r) {
    assertThat(r.statusCode()).as(text(r)).isBetween(200, 299);
    return Json.parse(text(r)).asObject();
  }

  /** When a frame of a kind begins, as it was made. */
  private static double time(MadeFootage.Kind kind, int n) {
    if (kind.name().startsWith("varying")) {
      return (n * 43 + (n % 3 == 0 ? 0 : 13)) / 1000.0;
    }
    return kind.name().startsWith("broadcast")
        ? n * 1001 / 30000.0
        : n / Double.parseDouble(kind.rate());
  }

  /** The frame that is to be seen at a moment, a tenth of a frame allowed for. */
  private static int wanted(MadeFootage.Kind kind, double moment, double rate) {
    return IntStream.range(0, FRAMES)
        .filter(n -> n == 0 || time(kind, n) <= moment + 0.1 / rate)
        .max()
        .orElseThrow();
  }

  private static String document(JsonObject kept, String rate, double length, String more) {
    return """
    {"format":"roving-glyph-scene","version":2,"name":"Sea","width":320,"height":180,"rate":"%s",
     "length":%s,"background":"#000000","items":[{"kind":"footage","id":"it","image":"%s",
     "pixelWidth":320,"pixelHeight":180,"rate":%s,"length":%s,"width":320,"height":180,
     "x":160,"y":90%s}]}"""
        .formatted(
            rate,
            length,
            kept.getString("id", ""),
            kept.getDouble("rate", 0),
            kept.getDouble("length", 0),
            more);
  }

  private static BufferedImage image(byte[] file) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(file));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void everyFrameOfTheStageAndOfTheRenderIsTheOneOfItsTime(MadeFootage.Kind kind) throws Exception {
    JsonObject kept =
        MadeFootage.kept(SERVER, project, MadeFootage.make(folder, kind, FRAMES, false));
    assertThat(kept.getString("state", "")).as("%s", kept).isEqualTo("ready");
    String id = kept.getString("id", "");
    JsonObject frames = object(SERVER.send("GET", "/api/footage/" + id + "/frames", null));
    JsonArray times = frames.get("times").asArray();
    assertThat(times).hasSize(FRAMES);
    for (int n = 0; n < FRAMES; n++) {
      assertThat(times.get(n).asDouble())
          .as("frame %d", n)
          .isCloseTo(time(kind, n), within(0.0011));
    }
    if (frames.getString("type", "").equals("image/jpeg")) {
      assertThat(runs(id, frames.get("runs").asArray()))
          .isEqualTo(IntStream.range(0, FRAMES).boxed().toList());
    }
    assertRender(kind, kept);
  }

  private List<Integer> runs(String id, JsonArray counts) throws IOException {
    List<Integer> out = new java.util.ArrayList<>();
    for (int r = 0; r < counts.size(); r++) {
      byte[] run = SERVER.send("GET", "/api/footage/" + id + "/runs/" + r, null).body();
      ByteBuffer head = ByteBuffer.wrap(run);
      int count = head.getInt();
      assertThat(count).isEqualTo(counts.get(r).asInt());
      int at = 4 + 4 * count;
      for (int i = 0; i < count; i++) {
        int length = head.getInt();
        out.add(MadeFootage.number(image(Arrays.copyOfRange(run, at, at + length))));
        at += length;
      }
    }
    return out;
  }

  /** One after another, slower and faster, and at times of chance. */
  private void assertRender(MadeFootage.Kind kind, JsonObject kept) throws IOException {
    double rate = kept.getDouble("rate", 0);
    Random random = new Random(5);
    try (KeptBitmaps.Borrowed bitmaps = SERVER.bean(KeptBitmaps.class).borrow()) {
      for (double speed : new double[] {1, 0.4, 3}) {
        String json = document(kept, "25", 4, ",\"speed\":" + speed);
        PreparedScene prepared = Preparation.prepare(SceneCodec.read(json), r -> null);
        try (FramePainter painter = new FramePainter(prepared, bitmaps, 1)) {
          for (int n = 0; n < 50; n++) {
            double t = n / 25.0;
            assertThat(MadeFootage.number(image(painter.png(t))))
                .as("frame %d at speed %s", n, speed)
                .isEqualTo(
                    wanted(kind, Math.min(t * speed, kept.getDouble("length", 0) - 0.02), rate));
          }
          for (int n = 0; n < 15; n++) {
            double t = random.nextInt(75) / 25.0;
            assertThat(MadeFootage.number(image(painter.png(t))))
                .as("at %s at speed %s", t, speed)
                .isEqualTo(
                    wanted(kind, Math.min(t * speed, kept.getDouble("length", 0) - 0.02), rate));
          }
        }
      }
    }
  }

  private void save(String document) {
    JsonObject before = object(SERVER.send("GET", "/api/scenes/" + scene, null));
    String revision = "\"" + before.get("revision") + "\"";
    HttpResponse<byte[]> saved =
        SERVER.send("PUT", "/api/scenes/" + scene, document, "If-Match", revision);
    assertThat(saved.statusCode()).as(text(saved)).isEqualTo(200);
  }

  private String asked(String format) {
    return asked(format, "");
  }

  /**
   * @param more options, each after a comma
   */
  private String asked(String format, String more) {
    String what = "{\"format\":\"" + format + "\"" + more + "}";
    return object(SERVER.send("POST", "/api/scenes/" + scene + "/exports", what))
        .getString("id", "");
  }

  private static JsonObject export(String id) {
    return object(SERVER.send("GET", "/api/exports/" + id, null));
  }

  /** The export once something holds of it. */
  private static JsonObject until(String id, Predicate<JsonObject> holds)
      throws InterruptedException {
    for (int i = 0; i < 600; i++) {
      JsonObject now = export(id);
      if (holds.test(now)) {
        return now;
      }
      assertThat(now.getString("state", "")).as(now.toString()).isNotEqualTo("failed");
      Thread.sleep(100);
    }
    throw new AssertionError("not within a minute: " + export(id));
  }

  private JsonObject exported(String format) throws InterruptedException {
    return exported(format, "");
  }

  private JsonObject exported(String format, String more) throws InterruptedException {
    return until(asked(format, more), e -> e.getString("state", "").equals("done"));
  }

  private static byte[] said(String... command) throws IOException {
    Process p = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
    return p.getInputStream().readAllBytes();
  }

  private Path video() throws InterruptedException, IOException {
    JsonObject done = exported("mp4");
    assertThat(done.getString("state", "")).as("%s", done).isEqualTo("done");
    byte[] file =
        SERVER.send("GET", "/api/exports/" + done.getString("id", "") + "/file", null).body();
    return Files.write(folder.resolve("out.mp4"), file);
  }

  @Test
  void aVideoHasEveryFrameAndTheSoundWhereItIsToBe() throws Exception {
    MadeFootage.Kind kind = MadeFootage.KINDS.get(2);
    JsonObject kept =
        MadeFootage.kept(SERVER, project, MadeFootage.make(folder, kind, FRAMES, true));
    assertThat(kept.getBoolean("sound", false)).isTrue();
    save(document(kept, "30000/1001", 4, ",\"shownFrom\":1,\"in\":0.5,\"atEnd\":\"hold\""));
    Path video = video();
    said("ffmpeg", "-v", "error", "-i", video.toString(), folder + "/f%03d.png");
    for (int n = 31; n < 119; n++) {
      double t = n * 1001 / 30000.0 - 1 + 0.5;
      double moment = Math.min(t, kept.getDouble("length", 0) - 0.02);
      BufferedImage seen = ImageIO.read(folder.resolve("f%03d.png".formatted(n + 1)).toFile());
      assertThat(MadeFootage.number(seen))
          .as("frame %d", n)
          .isEqualTo(wanted(kind, moment, kept.getDouble("rate", 0)));
    }
    double[] loud = loudness(video);
    double end = 1 + kept.getDouble("length", 0) - 0.5;
    for (int i = 0; i < loud.length; i++) {
      double t = (i + 0.5) / 50;
      if (Math.min(Math.abs(t - 1), Math.abs(t - end)) > 0.04) {
        assertThat(loud[i]).as("at %s s", t).matches(l -> t > 1 && t < end ? l > 0.02 : l < 0.002);
      }
    }
    assertThat(loud.length / 50.0).isCloseTo(4, within(0.06));
  }

  /** The loudest of every fiftieth of a second. */
  private double[] loudness(Path video) throws IOException {
    byte[] pcm =
        said(
            "ffmpeg",
            "-v",
            "error",
            "-i",
            video.toString(),
            "-ac",
            "1",
            "-ar",
            "8000",
            "-f",
            "s16le",
            "-");
    double[] out = new double[pcm.length / 320];
    for (int i = 0; i < out.length * 160; i++) {
      int sample = pcm[2 * i + 1] << 8 | pcm[2 * i] & 255;
      out[i / 160] = Math.max(out[i / 160], Math.abs(sample) / 32768.0);
    }
    return out;
  }

  @Test
  void soundFollowsSpeedLevelFadesAndLoops() throws Exception {
    MadeFootage.Kind kind = MadeFootage.KINDS.get(0);
    JsonObject kept = MadeFootage.kept(SERVER, project, MadeFootage.make(folder, kind, 50, true));
    save(
        document(
            kept,
            "25",
            4,
            ",\"speed\":2,\"atEnd\":\"loop\",\"level\":6,\"fadeIn\":1,\"fadeOut\":1,\"shownTo\":3"));
    double[] loud = loudness(video());
    double full = Arrays.stream(loud, 75, 95).max().orElseThrow();
    assertThat(loud[25]).as("half up").isCloseTo(full / 2, within(full * 0.06));
    assertThat(loud[125]).as("half down").isCloseTo(full / 2, within(full * 0.06));
    assertThat(Arrays.stream(loud, 155, loud.length).max().orElseThrow()).isLessThan(0.002);
    // The tone of the source has an amplitude of an eighth; 6 dB are twice that.
    assertThat(full).isCloseTo(0.125 * 1.995, within(0.03));
  }

  /** A range of frames is heard with its sound, in step to a frame, in every file that has one. */
  @ParameterizedTest
  @ValueSource(strings = {"wav", "mp4", "mp4-av1", "mp4-hevc", "mov-prores", "mov-png", "webm"})
  void aRangeHasTheSoundOfItsFrames(String format) throws Exception {
    MadeFootage.Kind kind = MadeFootage.KINDS.get(0);
    JsonObject kept = MadeFootage.kept(SERVER, project, MadeFootage.make(folder, kind, 50, true));
    save(document(kept, "25", 4, ",\"shownFrom\":1,\"shownTo\":2,\"in\":0"));
    JsonObject done = exported(format, ",\"from\":15,\"to\":64");
    assertThat(done.getString("state", "")).as("%s", done).isEqualTo("done");
    Path file = folder.resolve("out");
    String made = "/api/exports/" + done.getString("id", "") + "/file";
    Files.write(file, SERVER.send("GET", made, null).body());
    double[] loud = loudness(file);
    assertThat(loud.length / 50.0).isCloseTo(2, within(0.08));
    for (int i = 0; i < Math.min(loud.length, 98); i++) {
      double t = 0.6 + (i + 0.5) / 50;
      if (Math.min(Math.abs(t - 1), Math.abs(t - 2)) > 0.04) {
        assertThat(loud[i]).as("at %s s", t).matches(l -> t > 1 && t < 2 ? l > 0.02 : l < 0.004);
      }
    }
  }

  @Test
  void anUploadGoesOnWhereItBrokeOffAndCanBeGivenUp() throws Exception {
    byte[] file = new byte[StoredFiles.PIECE * 2 + 100];
    String begun = "{\"name\":\"Long\",\"size\":" + file.length + "}";
    String at = "/api/projects/" + project + "/uploads";
    String id = object(SERVER.send("POST", at, begun)).getString("id", "");
    String upload = "/api/uploads/" + id;
    byte[] piece = Arrays.copyOf(file, StoredFiles.PIECE);
    assertThat(SERVER.putBytes(upload + "/pieces/0", piece).statusCode()).isEqualTo(204);
    assertThat(SERVER.putBytes(upload + "/pieces/2", new byte[100]).statusCode()).isEqualTo(204);
    assertThat(object(SERVER.send("GET", upload, null)).getInt("received", 0)).isEqualTo(1);
    HttpResponse<byte[]> early = SERVER.send("POST", upload + "/end", "");
    assertThat(early.statusCode()).isEqualTo(409);
    assertThat(text(early)).contains("Piece 1 is missing");
    assertThat(SERVER.putBytes(upload + "/pieces/1", new byte[5]).statusCode()).isEqualTo(422);
    assertThat(SERVER.putBytes(upload + "/pieces/3", piece).statusCode()).isEqualTo(422);
    assertThat(SERVER.putBytes(upload + "/pieces/1", piece).statusCode()).isEqualTo(204);
    HttpResponse<byte[]> none = SERVER.send("POST", upload + "/end", "");
    assertThat(none.statusCode()).isEqualTo(422);
    assertThat(text(none)).contains("MP4, MOV, WebM, GIF");
    assertThat(SERVER.send("GET", upload, null).statusCode()).as("nothing is left").isEqualTo(404);
    String other = object(SERVER.send("POST", at, begun)).getString("id", "");
    assertThat(SERVER.send("DELETE", "/api/uploads/" + other, null).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("GET", "/api/uploads/" + other, null).statusCode()).isEqualTo(404);
    String huge = String.format(Locale.ROOT, "{\"name\":\"Huge\",\"size\":%d}", 3L << 30);
    assertThat(text(SERVER.send("POST", at, huge))).contains("more than 2 GiB");
  }

  @Test
  void footageThatNothingShowsGoesWithItsFileAndCopiesOfProjectsHaveIt() throws Exception {
    Path file = MadeFootage.make(folder, MadeFootage.KINDS.get(1), 9, true);
    String id = MadeFootage.kept(SERVER, project, file).getString("id", "");
    JsonObject copy = object(SERVER.send("POST", "/api/projects/" + project + "/duplicate", ""));
    String listed = "/api/projects/" + copy.getString("id", "") + "/footage";
    assertThat(text(SERVER.send("GET", listed, null))).contains(id);
    String at = "/api/footage/" + id + "/still";
    String own = "/api/projects/" + project + "/footage/" + id;
    assertThat(SERVER.send("DELETE", own, null).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("GET", at, null).statusCode()).as("the copy has it").isEqualTo(200);
    int before = files();
    assertThat(SERVER.send("DELETE", listed + "/" + id, null).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("GET", at, null).statusCode()).isEqualTo(404);
    assertThat(before - files()).as("its file and its sound").isEqualTo(2);
  }

  private static int files() {
    return SERVER
        .bean(JdbcClient.class)
        .sql("select count(*) from stored_file")
        .query(Integer.class)
        .single();
  }

  /** A node that ended in the middle of it: another begins it again. */
  @Test
  void footageThatWasBeingPreparedIsPreparedAfterARestart() throws Exception {
    Path file = MadeFootage.make(folder, MadeFootage.KINDS.get(0), 33, false);
    String id = MadeFootage.kept(SERVER, project, file).getString("id", "");
    JdbcClient jdbc = SERVER.bean(JdbcClient.class);
    jdbc.sql("update footage set state = 'PREPARING', times = null where id = ?")
        .param(id)
        .update();
    SERVER.stop();
    SERVER.start();
    assertThat(MadeFootage.settled(SERVER, project, id).getString("state", "")).isEqualTo("ready");
    JsonObject frames = object(SERVER.send("GET", "/api/footage/" + id + "/frames", null));
    assertThat(frames.get("times").asArray()).hasSize(33);
  }

  @Test
  void anExportWaitsForItsFootageAndLetsOthersPass() throws Exception {
    Path file = MadeFootage.make(folder, MadeFootage.KINDS.get(0), 12, false);
    JsonObject kept = MadeFootage.kept(SERVER, project, file);
    kept = MadeFootage.settled(SERVER, project, kept.getString("id", ""));
    save(document(kept, "25", 0.2, ""));
    JdbcClient jdbc = SERVER.bean(JdbcClient.class);
    String state = "update footage set state = ? where id = ?";
    jdbc.sql(state).params("PREPARING", kept.getString("id", "")).update();
    String waits = asked("png");
    until(waits, e -> !e.get("waitsFor").isNull());
    assertThat(export(waits).getString("waitsFor", "")).contains("still being prepared");
    save(
        "{\"format\":\"roving-glyph-scene\",\"version\":2,\"name\":\"Empty\",\"width\":64,\"height\":36,\"rate\":\"25\",\"length\":0.2}");
    until(asked("png"), e -> e.getString("state", "").equals("done"));
    assertThat(export(waits).getString("state", "")).isIn("waiting", "running");
    jdbc.sql(state).params("READY", kept.getString("id", "")).update();
    until(waits, e -> e.getString("state", "").equals("done"));
    assertThat(export(waits).get("waitsFor").isNull()).isTrue();
  }

  @Test
  void theSameFileIsKeptOnceAndGoesWithTheLastThatShowsIt() throws Exception {
    Path file = MadeFootage.make(folder, MadeFootage.KINDS.get(5), 12, false);
    String id = MadeFootage.kept(SERVER, project, file).getString("id", "");
    assertThat(MadeFootage.kept(SERVER, project, file).getString("id", "")).isEqualTo(id);
    save(document(MadeFootage.settled(SERVER, project, id), "25", 1, ""));
    String at = "/api/projects/" + project + "/footage/" + id;
    HttpResponse<byte[]> refused = SERVER.send("DELETE", at, null);
    assertThat(refused.statusCode()).isEqualTo(409);
    assertThat(text(refused)).contains("It is shown in Sea");
    assertThat(SERVER.send("DELETE", at + "?used=true", null).statusCode()).isEqualTo(204);
    assertThat(SERVER.send("GET", "/api/footage/" + id + "/frames", null).statusCode())
        .as("the scene still shows it")
        .isEqualTo(200);
  }
}
