package rovingglyph.bench;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Encoding;
import rovingglyph.render.FramePainter;
import rovingglyph.render.Progress;
import rovingglyph.render.Raster;
import rovingglyph.render.Take;
import rovingglyph.render.VideoWriter;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/**
 * The whole export of a scene, from its document to the file, against ffmpeg alone on the same raw
 * frames from a file; in turn, so that a drift of the machine's speed falls on both. Goal: a median
 * ratio of at most 1.25.
 */
final class ExportRatio {
  private static final int ROUNDS = 5;
  private static final Encoding MP4 = Encoding.h264(16);

  private ExportRatio() {}

  static void run(Path document) throws IOException, InterruptedException {
    String json = Files.readString(document);
    Shaper shaper = new Shaper(FaceCatalogue.shipped());
    PreparedScene scene = Preparation.prepare(SceneCodec.read(json), shaper);
    Path folder = Files.createTempDirectory("roving-bench");
    Path raw = folder.resolve("frames.raw");
    Path out = folder.resolve("out.mp4");
    try {
      writeRaw(scene, raw);
      List<Double> ratios = new ArrayList<>();
      for (int i = 0; i <= ROUNDS; i++) {
        long begin = System.nanoTime();
        PreparedScene again = Preparation.prepare(SceneCodec.read(json), shaper);
        VideoWriter.write(Take.whole(again, Bitmaps.NONE), MP4, out, new Progress());
        double whole = (System.nanoTime() - begin) / 1e9;
        double alone = ffmpegAlone(scene, raw, out);
        if (i > 0) {
          // The first round warms up the JVM and the page cache.
          ratios.add(whole / alone);
          System.out.printf(
              "export %.2f s, ffmpeg alone %.2f s, ratio %.3f%n", whole, alone, whole / alone);
        }
      }
      Collections.sort(ratios);
      System.out.printf(
          "Export ratio over %d rounds: least %.3f, median %.3f, greatest %.3f (goal 1.10)%n",
          ROUNDS, ratios.get(0), ratios.get(ROUNDS / 2), ratios.get(ROUNDS - 1));
    } finally {
      Files.deleteIfExists(raw);
      Files.deleteIfExists(out);
      Files.deleteIfExists(folder);
    }
  }

  private static double ffmpegAlone(PreparedScene scene, Path raw, Path out)
      throws IOException, InterruptedException {
    long begin = System.nanoTime();
    Process p =
        new ProcessBuilder(
                VideoWriter.command(Take.whole(scene, Bitmaps.NONE), MP4, raw.toString(), out))
            .inheritIO()
            .start();
    if (p.waitFor() != 0) {
      throw new IOException("ffmpeg failed");
    }
    return (System.nanoTime() - begin) / 1e9;
  }

  private static void writeRaw(PreparedScene scene, Path raw) throws IOException {
    try (FramePainter painter = new FramePainter(scene, Bitmaps.NONE, 1);
        Raster raster = painter.raster(Raster.Pixels.OPAQUE);
        FileChannel file =
            FileChannel.open(raw, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
      for (int f = 0; f < scene.scene().frameCount(); f++) {
        painter.paint(raster, scene.scene().rate().timeOf(f));
        file.write(raster.bytes());
      }
    }
  }
}
