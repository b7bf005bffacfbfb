package rovingglyph.render;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedByInterruptException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.IntPredicate;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Scene;

/**
 * Encodes a scene with ffmpeg as a child process: frames go over a pipe, the next ones are painted
 * while it encodes.
 */
public final class VideoWriter {
  /** Images that are painted ahead of the encoder at least. */
  public static final int LEAST_AHEAD = 2;

  /** With less room than this on the disk, in bytes, it counts as full. */
  private static final long LEAST_FREE = 1 << 20;

  private VideoWriter() {}

  /** Null if the scene can be encoded, else what is in the way and what to do. */
  public static String unsupportedReason(Scene scene) {
    if (scene.width() % 2 == 0 && scene.height() % 2 == 0) {
      return null;
    }
    return "H.264 video in yuv420p needs an even width and height; this frame is "
        + scene.width()
        + " \u00d7 "
        + scene.height()
        + ". Change it to "
        + (scene.width() + scene.width() % 2)
        + " \u00d7 "
        + (scene.height() + scene.height() % 2)
        + " in the scene's settings, or export a PNG or SVG.";
  }

  /** The whole command for MP4 (H.264, yuv420p, BT.709) from BGR0 bytes on an input. */
  public static List<String> command(Scene scene, String input, Path out) {
    return command(scene, input, new SoundMix(List.of(), ""), out);
  }

  private static List<String> command(Scene scene, String input, SoundMix sound, Path out) {
    String matrix = "scale=in_range=pc:out_range=tv:out_color_matrix=bt709:flags=accurate_rnd";
    List<String> encoder = new ArrayList<>();
    if (!sound.graph().isEmpty()) {
      encoder.addAll(sound.inputs());
      encoder.addAll(List.of("-filter_complex", sound.graph(), "-map", "0:v", "-map", "[heard]"));
      encoder.addAll(List.of("-c:a", "aac", "-b:a", "192k"));
    }
    encoder.addAll(
        List.of(
            "-vf",
            matrix,
            "-c:v",
            "libx264",
            "-preset",
            "medium",
            "-crf",
            "16",
            "-pix_fmt",
            "yuv420p",
            "-colorspace",
            "bt709",
            "-color_primaries",
            "bt709",
            "-color_trc",
            "bt709",
            "-movflags",
            "+faststart",
            "-f",
            "mp4"));
    String size = scene.width() + "x" + scene.height();
    return command(scene.rate(), "bgr0", size, input, encoder, out);
  }

  private static List<String> command(
      FrameRate rate, String pixels, String size, String input, List<String> encoder, Path out) {
    List<String> all =
        new ArrayList<>(
            List.of(
                "ffmpeg",
                "-hide_banner",
                "-loglevel",
                "error",
                "-nostdin",
                "-y",
                "-protocol_whitelist",
                "file,pipe",
                "-f",
                "rawvideo",
                "-pix_fmt",
                pixels,
                "-s",
                size,
                "-r",
                rate.numerator() + "/" + rate.denominator(),
                "-i",
                input));
    all.addAll(encoder);
    all.add(out.toString());
    return all;
  }

  /** {@link #write(PreparedScene, Bitmaps, Path, Progress)} with what it is to tell. */
  public static void write(PreparedScene scene, Bitmaps bitmaps, Path out, IntPredicate progress)
      throws IOException {
    write(scene, bitmaps, out, new Progress(progress));
  }

  /**
   * Writes the video.
   *
   * @param progress told the number of frames handed over
   * @throws Progress.Cancelled if cancelled; the file is gone then
   * @throws IOException if ffmpeg fails, with what happened and what to do
   */
  public static void write(PreparedScene scene, Bitmaps bitmaps, Path out, Progress progress)
      throws IOException {
    List<String> command =
        command(scene.scene(), "pipe:0", SoundMix.of(scene.scene(), bitmaps), out);
    run(command, new Painting(scene, bitmaps, 1, true), out, progress);
  }

  /**
   * The same with transparency and in another size, as an encoder of ffmpeg's makes it.
   *
   * @param scale of the images by the frame
   * @param encoder what ffmpeg is told of the file to write
   */
  public static void writeWithAlpha(
      PreparedScene scene,
      Bitmaps bitmaps,
      double scale,
      List<String> encoder,
      Path out,
      Progress progress)
      throws IOException {
    Painting painting = new Painting(scene, bitmaps, scale, false);
    String size = painting.width() + "x" + painting.height();
    run(
        command(scene.scene().rate(), "bgra", size, "pipe:0", encoder, out),
        painting,
        out,
        progress);
  }

  /** What is painted, in which size, and whether without transparency. */
  private record Painting(PreparedScene prepared, Bitmaps bitmaps, double scale, boolean opaque) {
    Scene scene() {
      return prepared.scene();
    }

    int width() {
      return FramePainter.scaled(scene().width(), scale);
    }

    int height() {
      return FramePainter.scaled(scene().height(), scale);
    }
  }

  private static void run(List<String> command, Painting painting, Path out, Progress progress)
      throws IOException {
    Path log = Files.createTempFile("roving-ffmpeg", ".log");
    Process ffmpeg = null;
    boolean done = false;
    try {
      ffmpeg =
          new ProcessBuilder(command)
              .redirectError(log.toFile())
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      progress.child(ffmpeg);
      // Written to by its name: the pixels go over as they lie, without a copy on the heap.
      Path stdin = Path.of("/proc", Long.toString(ffmpeg.pid()), "fd", "0");
      try (OutputStream open = ffmpeg.getOutputStream();
          FileChannel pipe = FileChannel.open(stdin, StandardOpenOption.WRITE)) {
        feed(painting, pipe, progress);
      } catch (ClosedByInterruptException e) {
        throw new Progress.Cancelled();
      } catch (IOException e) {
        throw failed(progress, ffmpeg, log, out, e);
      }
      if (!ffmpeg.waitFor(10, TimeUnit.MINUTES) || ffmpeg.exitValue() != 0) {
        throw failed(progress, ffmpeg, log, out, null);
      }
      done = true;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Progress.Cancelled();
    } finally {
      if (ffmpeg != null) {
        ffmpeg.destroyForcibly();
      }
      Files.deleteIfExists(log);
      if (!done) {
        Files.deleteIfExists(out);
      }
    }
  }

  /** What to tell of it; one that was cancelled throws that by itself. */
  private static IOException failed(
      Progress progress, Process ffmpeg, Path log, Path out, IOException cause) throws IOException {
    if (progress.isCancelled()) {
      throw new Progress.Cancelled();
    }
    try {
      ffmpeg.waitFor(2, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    String said = Files.readString(log).strip();
    return new IOException(reason(ffmpeg, said, out), cause);
  }

  private static String reason(Process ffmpeg, String said, Path out) throws IOException {
    if (said.contains("No space left") || freeBytes(out) < LEAST_FREE) {
      return "The disk is full: there is no room left for the file in "
          + out.toAbsolutePath().getParent()
          + ". Make room and export again.";
    }
    if (!said.isEmpty()) {
      return "ffmpeg failed: " + said.substring(0, Math.min(said.length(), 2000));
    }
    if (ffmpeg.isAlive()) {
      return "ffmpeg did not finish the file in time. Export again.";
    }
    int exit = ffmpeg.exitValue();
    return exit > 128
        ? "ffmpeg was ended from outside (signal "
            + (exit - 128)
            + (exit == 137 ? "), perhaps since the machine had no memory left" : ")")
            + ". Export again."
        : "ffmpeg ended with code " + exit + " and gave no reason. Export again.";
  }

  private static long freeBytes(Path out) throws IOException {
    Path folder = out.toAbsolutePath().getParent();
    return Files.isDirectory(folder) ? Files.getFileStore(folder).getUsableSpace() : Long.MAX_VALUE;
  }

  /**
   * One thread paints ahead into a few images; this one writes them, so that neither waits.
   * Whatever fails there, fails here.
   */
  private static void feed(Painting painting, FileChannel pipe, Progress progress)
      throws IOException, InterruptedException {
    int frames = painting.scene().frameCount();
    List<Raster> all = new ArrayList<>();
    for (int i = MemoryNeed.ahead(painting.scene(), painting.scale()); i > 0; i--) {
      all.add(new Raster(painting.width(), painting.height(), painting.opaque()));
    }
    BlockingQueue<Raster> free = new ArrayBlockingQueue<>(all.size(), false, all);
    BlockingQueue<Object> painted = new ArrayBlockingQueue<>(all.size() + 1);
    Thread thread = new Thread(() -> paint(painting, free, painted), "frame painter");
    thread.setDaemon(true);
    thread.start();
    try {
      for (int f = 0; f < frames; f++) {
        progress.done(f);
        Raster raster = raster(painted.take());
        ByteBuffer bytes = painting.opaque() ? raster.bytes() : raster.unpremultiplied();
        while (bytes.hasRemaining()) {
          pipe.write(bytes);
        }
        free.put(raster);
      }
      progress.done(frames);
    } finally {
      thread.interrupt();
      thread.join();
      all.forEach(Raster::close);
    }
  }

  private static void paint(
      Painting painting, BlockingQueue<Raster> free, BlockingQueue<Object> painted) {
    try (FramePainter painter =
        new FramePainter(painting.prepared(), painting.bitmaps(), painting.scale())) {
      for (int f = 0; f < painting.scene().frameCount(); f++) {
        Raster raster = free.take();
        painter.paint(raster, painting.scene().rate().timeOf(f));
        painted.put(raster);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (RuntimeException | Error e) {
      // There is always room for it: it holds one more than there are rasters.
      painted.add(e);
    }
  }

  private static Raster raster(Object painted) {
    if (painted instanceof Error e) {
      throw e;
    }
    if (painted instanceof RuntimeException e) {
      throw e;
    }
    return (Raster) painted;
  }
}
