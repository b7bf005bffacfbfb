package rovingglyph.exports;

import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.JsonObject;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Encoding;
import rovingglyph.render.Progress;
import rovingglyph.render.Take;
import rovingglyph.render.VideoWriter;
import rovingglyph.server.TestServer;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/** Exports that hang, die or run out of memory end with a reason and free their node. */
class JamTest {
  private final TestServer server = TestServer.shared();
  private final AskedExports exports = new AskedExports(server);

  private JsonObject await(String export, String state, double seconds)
      throws InterruptedException {
    JsonObject e = null;
    for (int i = 0; i < seconds * 20; i++) {
      e = exports.json("GET", "/api/exports/" + export, null);
      if (e.getString("state", "").equals(state)) {
        return e;
      }
      Thread.sleep(50);
    }
    throw new AssertionError("never " + state + ": " + e);
  }

  /** The one that takes painted frames: others may be at work on footage. */
  private static ProcessHandle ffmpeg() throws InterruptedException {
    for (int i = 0; i < 200; i++) {
      var found =
          ProcessHandle.current()
              .descendants()
              .filter(p -> p.info().commandLine().orElse("").contains("ffmpeg"))
              .filter(p -> p.info().commandLine().orElse("").contains("-i pipe:0"))
              .findFirst();
      if (found.isPresent()) {
        return found.get();
      }
      Thread.sleep(50);
    }
    throw new AssertionError("ffmpeg was never started");
  }

  private static void signal(String signal, ProcessHandle p) throws Exception {
    new ProcessBuilder("kill", signal, Long.toString(p.pid())).start().waitFor();
  }

  @Test
  void aStoppedEncoderThatIsCancelledFreesItsNodeWithinTwoSeconds() throws Exception {
    String id = exports.export(exports.sceneOf(1280, 720, 600), "mp4");
    await(id, "running", 20);
    ProcessHandle ffmpeg = ffmpeg();
    signal("-STOP", ffmpeg);
    Thread.sleep(600);
    server.send("DELETE", "/api/exports/" + id, null);
    long begun = System.nanoTime();
    assertThat(ffmpeg.onExit().get(2, TimeUnit.SECONDS).isAlive()).isFalse();
    await(exports.export(exports.sceneOf(160, 90, 0.4), "png"), "done", 20);
    assertThat((System.nanoTime() - begun) / 1e9).isLessThan(6);
  }

  @Test
  void aKilledEncoderIsToldAsSuch() throws Exception {
    String id = exports.export(exports.sceneOf(1280, 720, 10), "mp4");
    await(id, "running", 20);
    signal("-KILL", ffmpeg());
    assertThat(await(id, "failed", 20).getString("message", "")).contains("signal 9", "again");
  }

  @Test
  void anExportThatEndedItsNodeThreeTimesIsGivenUp() throws Exception {
    String scene = exports.sceneOf(160, 90, 0.4);
    JdbcClient jdbc = server.bean(JdbcClient.class);
    UUID id = UUID.randomUUID();
    jdbc.sql(
            "insert into export (id, scene_id, file_name, format, document, state, frames_total,"
                + " tries) select ?, id, 'a.png', 'png', document, 'RUNNING', 1, 3 from scene where id = ?")
        .params(id, UUID.fromString(scene))
        .update();
    server.bean(ExportJobs.class).enqueue(id);
    assertThat(await(id.toString(), "failed", 20).getString("message", "")).contains("3 times");
  }

  @Test
  void aVideoWithoutBackgroundSaysThatItIsOnBlack() throws Exception {
    String scene = exports.sceneOf(160, 90, 0.2);
    String document =
        exports
            .json("GET", "/api/scenes/" + scene, null)
            .get("document")
            .toString()
            .replaceFirst("\"background\":\"#[0-9A-F]{6}\"", "\"background\":null");
    server.send("PUT", "/api/scenes/" + scene, document, "If-Match", "\"2\"");
    assertThat(await(exports.export(scene, "mp4"), "done", 20).getString("message", ""))
        .contains("black");
  }

  /**
   * Run in a JVM of its own with little memory: paints more than fits, and says what came of it.
   */
  public static final class Starved {
    public static void main(String[] args) throws Exception {
      String json = Files.readString(Path.of(args[0]));
      Shaper shaper = new Shaper(FaceCatalogue.shipped());
      var scene = Preparation.prepare(SceneCodec.read(json), shaper);
      try {
        VideoWriter.write(
            Take.whole(scene, Bitmaps.NONE), Encoding.h264(16), Path.of(args[1]), new Progress());
        System.exit(3);
      } catch (OutOfMemoryError e) {
        System.exit(7);
      }
    }
  }

  @Test
  void aPainterWithoutMemoryEndsTheExportInsteadOfJammingIt() throws Exception {
    String document =
        exports
            .json("GET", "/api/scenes/" + exports.sceneOf(8192, 8192, 1), null)
            .get("document")
            .toString();
    Path file = Files.writeString(Files.createTempFile("roving-test", ".json"), document);
    Process p =
        new ProcessBuilder(
                "bash",
                "-c",
                // Images lie outside the heap: the process as a whole is kept small.
                "ulimit -v 2000000; exec \"$@\"",
                "starved",
                ProcessHandle.current().info().command().orElse("java"),
                "-Xmx256m",
                "-XX:+UseSerialGC",
                "-XX:CompressedClassSpaceSize=64m",
                "-XX:ReservedCodeCacheSize=64m",
                "-cp",
                System.getProperty("java.class.path"),
                Starved.class.getName(),
                file.toString(),
                file + ".mp4")
            .inheritIO()
            .start();
    assertThat(p.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(p.exitValue()).isEqualTo(7);
  }
}
