package rovingglyph.exports;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportOptions;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;

/**
 * How large a file will be and how long it takes, from a few of its frames made as they will be.
 * Files whose frames are told by what changes in them are larger where more does than in those
 * looked at.
 */
final class ExportEstimates {
  /**
   * What is expected.
   *
   * @param bytes of the file
   * @param seconds of this server's work, when nothing else is under way
   */
  record Estimate(long bytes, double seconds) {}

  /** After which nothing more is tried. */
  private static final long PATIENCE = TimeUnit.SECONDS.toNanos(3);

  /** Frames in a row that are made. */
  private static final int RUN = 6;

  /** After so many frames encoders write one that stands for itself. */
  private static final int KEY = 250;

  private final ExportFormat format;
  private final PreparedScene scene;
  private final Bitmaps bitmaps;
  private final ExportOptions options;
  private final long end = System.nanoTime() + PATIENCE;

  private ExportEstimates(
      ExportFormat format, PreparedScene scene, Bitmaps bitmaps, ExportOptions options) {
    this.format = format;
    this.scene = scene;
    this.bitmaps = bitmaps;
    this.options = options;
  }

  /** Null where that would take too long to find out. */
  static Estimate of(
      ExportFormat format, PreparedScene scene, Bitmaps bitmaps, ExportOptions options)
      throws IOException {
    try {
      return new ExportEstimates(format, scene, bitmaps, options).estimate();
    } catch (Progress.Cancelled e) {
      return null;
    }
  }

  private Estimate estimate() throws IOException {
    int frames = format.frames(scene.scene(), options);
    if (frames <= RUN) {
      return made(options);
    }
    // One alone, and some in a row from two places: what is over is what a change takes.
    Estimate alone = made(part(frames / 3, 1));
    ExportOptions run = part(frames / 5, RUN);
    int changes = Math.max(1, format.frames(scene.scene(), run) - 1);
    Estimate first = made(run);
    Estimate second = inTime(part(frames * 3 / 5, RUN), first);
    double change = Math.max(0, (first.bytes() + second.bytes()) / 2.0 - alone.bytes()) / changes;
    double step = Math.max(0, (first.seconds() + second.seconds()) / 2 - alone.seconds()) / changes;
    long keys = (frames - 1) / KEY;
    double bytes = alone.bytes() + change * (frames - 1) + keys * (alone.bytes() - change);
    return new Estimate((long) bytes, alone.seconds() + step * (frames - 1));
  }

  /** The same of other frames, or what is known already where there is no time left. */
  private Estimate inTime(ExportOptions chosen, Estimate known) throws IOException {
    try {
      return made(chosen);
    } catch (Progress.Cancelled e) {
      return known;
    }
  }

  private ExportOptions part(int from, int count) {
    return options.part(scene.scene(), from, count);
  }

  private Estimate made(ExportOptions chosen) throws IOException {
    Path file = Files.createTempFile("roving-estimate", "." + format.words().extension());
    try {
      long begun = System.nanoTime();
      Progress progress = new Progress(n -> System.nanoTime() < end);
      format.write(scene, bitmaps, chosen, file, progress);
      return new Estimate(Files.size(file), (System.nanoTime() - begun) / 1e9);
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
