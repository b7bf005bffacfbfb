package rovingglyph.bench;

import java.io.IOException;
import java.nio.ByteBuffer;
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
import rovingglyph.render.FrameRange;
import rovingglyph.render.Progress;
import rovingglyph.render.Raster;
import rovingglyph.render.Take;
import rovingglyph.render.VideoWriter;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;

/**
 * The whole export of a scene, from its document to the file, against ffmpeg alone on the same raw
 * frames from a file; in turn, so that a drift of the machine's speed falls on both.
 */
final class ExportRatio {
  /**
   * What is exported.
   *
   * @param frames from the first on; as many as there are, at most
   * @param goal that the median ratio should not be above
   */
  private record Kind(
      String name,
      Encoding encoding,
      Raster.Pixels pixels,
      boolean spread,
      int frames,
      int rounds,
      double goal) {
    Take take(PreparedScene scene) {
      int last = Math.min(frames, scene.scene().frameCount()) - 1;
      FrameRange range = new FrameRange(scene.scene().rate(), 0, last, 1);
      // As exports do it: a background leaves nothing to spread.
      boolean spreads = spread && scene.scene().background() == null;
      return new Take(scene, Bitmaps.NONE, range, 1, pixels, spreads);
    }
  }

  private static final List<Kind> KINDS =
      List.of(
          new Kind("MP4", Encoding.h264(16), Raster.Pixels.OPAQUE, false, 100_000, 5, 1.10),
          new Kind("ProRes", Encoding.proRes(), Raster.Pixels.DEEP, true, 50, 3, 1.15),
          new Kind("WebM", Encoding.vp9(24), Raster.Pixels.ALPHA, true, 50, 3, 1.15),
          new Kind("APNG", Encoding.apng(0), Raster.Pixels.ALPHA, false, 50, 3, 1.15));

  private ExportRatio() {}

  static void run(Path document) throws IOException, InterruptedException {
    String json = Files.readString(document);
    Shaper shaper = new Shaper(FaceCatalogue.shipped());
    Path folder = Files.createTempDirectory("roving-bench");
    try {
      for (Kind kind : KINDS) {
        run(kind, json, shaper, folder);
      }
    } finally {
      Files.deleteIfExists(folder.resolve("frames.raw"));
      Files.deleteIfExists(folder.resolve("out"));
      Files.deleteIfExists(folder);
    }
  }

  private static void run(Kind kind, String json, Shaper shaper, Path folder)
      throws IOException, InterruptedException {
    Path raw = folder.resolve("frames.raw");
    Path out = folder.resolve("out");
    Take take = kind.take(Preparation.prepare(SceneCodec.read(json), shaper));
    writeRaw(take, raw);
    List<Double> ratios = new ArrayList<>();
    for (int i = 0; i <= kind.rounds(); i++) {
      long begin = System.nanoTime();
      Take again = kind.take(Preparation.prepare(SceneCodec.read(json), shaper));
      VideoWriter.write(again, kind.encoding(), out, new Progress());
      double whole = (System.nanoTime() - begin) / 1e9;
      double alone = ffmpegAlone(kind, take, raw, out);
      if (i > 0) {
        // The first round warms up the JVM and the page cache.
        ratios.add(whole / alone);
        System.out.printf(
            "%s: export %.2f s, ffmpeg alone %.2f s, ratio %.3f%n",
            kind.name(), whole, alone, whole / alone);
      }
    }
    Collections.sort(ratios);
    System.out.printf(
        "%s: ratio over %d rounds: least %.3f, median %.3f, greatest %.3f (goal %.2f)%n",
        kind.name(),
        ratios.size(),
        ratios.get(0),
        ratios.get(ratios.size() / 2),
        ratios.get(ratios.size() - 1),
        kind.goal());
  }

  private static double ffmpegAlone(Kind kind, Take take, Path raw, Path out)
      throws IOException, InterruptedException {
    long begin = System.nanoTime();
    Process p =
        new ProcessBuilder(VideoWriter.command(take, kind.encoding(), raw.toString(), out))
            .inheritIO()
            .start();
    if (p.waitFor() != 0) {
      throw new IOException("ffmpeg failed");
    }
    return (System.nanoTime() - begin) / 1e9;
  }

  private static void writeRaw(Take take, Path raw) throws IOException {
    try (FramePainter painter = new FramePainter(take.prepared(), take.bitmaps(), take.scale());
        Raster raster = painter.raster(take.pixels());
        FileChannel file =
            FileChannel.open(
                raw,
                StandardOpenOption.CREATE,
                StandardOpenOption.WRITE,
                StandardOpenOption.TRUNCATE_EXISTING)) {
      for (int f = 0; f < take.range().count(); f++) {
        painter.paint(raster, take.range().time(f));
        ByteBuffer bytes = raster.straight(take.spread());
        while (bytes.hasRemaining()) {
          file.write(bytes);
        }
      }
    }
  }
}
