package rovingglyph.render;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.IntPredicate;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Scene;

/**
 * Encodes a scene as MP4 (H.264, yuv420p, BT.709) with ffmpeg as a child process: frames go over a
 * pipe, the next ones are painted while it encodes.
 */
public final class VideoWriter {
  /** What ended a video before its last frame. */
  public static final class Cancelled extends RuntimeException {}

  private static final int AHEAD = 4;

  private VideoWriter() {}

  /** Null if the scene can be encoded, else what is in the way and what to do. */
  public static String obstacle(Scene scene) {
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

  /** What ffmpeg is told about frames of BGR0 bytes on an input, and the file to write. */
  public static List<String> command(Scene scene, String input, Path out) {
    FrameRate r = scene.rate();
    String matrix = "scale=in_range=pc:out_range=tv:out_color_matrix=bt709:flags=accurate_rnd";
    return List.of(
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
        "bgr0",
        "-s",
        scene.width() + "x" + scene.height(),
        "-r",
        r.numerator() + "/" + r.denominator(),
        "-i",
        input,
        "-an",
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
        "mp4",
        out.toString());
  }

  /**
   * Writes the video.
   *
   * @param goOn told the number of frames handed over; false cancels
   * @throws Cancelled if cancelled; the file is gone then
   * @throws IOException if ffmpeg fails, with what it said
   */
  public static void write(PreparedScene scene, Path out, IntPredicate goOn) throws IOException {
    Path log = Files.createTempFile("roving-ffmpeg", ".log");
    Process ffmpeg =
        new ProcessBuilder(command(scene.scene(), "pipe:0", out))
            .redirectError(log.toFile())
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    boolean done = false;
    try {
      try (OutputStream pipe = ffmpeg.getOutputStream()) {
        feed(scene, pipe, goOn);
      } catch (IOException e) {
        throw new IOException("ffmpeg stopped early: " + said(ffmpeg, log), e);
      }
      if (!ffmpeg.waitFor(10, TimeUnit.MINUTES) || ffmpeg.exitValue() != 0) {
        throw new IOException("ffmpeg failed: " + said(ffmpeg, log));
      }
      done = true;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Cancelled();
    } finally {
      ffmpeg.destroyForcibly();
      Files.deleteIfExists(log);
      if (!done) {
        Files.deleteIfExists(out);
      }
    }
  }

  private static String said(Process ffmpeg, Path log) throws IOException {
    try {
      ffmpeg.waitFor(2, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    String text = Files.readString(log).strip();
    return text.isEmpty() ? "no reason given" : text.substring(0, Math.min(text.length(), 2000));
  }

  /** One thread paints ahead into a few images; this one writes them, so that neither waits. */
  private static void feed(PreparedScene scene, OutputStream pipe, IntPredicate goOn)
      throws IOException, InterruptedException {
    int frames = scene.scene().frameCount();
    BlockingQueue<BufferedImage> free = new ArrayBlockingQueue<>(AHEAD);
    BlockingQueue<BufferedImage> painted = new ArrayBlockingQueue<>(AHEAD);
    for (int i = 0; i < AHEAD; i++) {
      free.add(
          new BufferedImage(
              scene.scene().width(), scene.scene().height(), BufferedImage.TYPE_INT_RGB));
    }
    FramePainter painter = new FramePainter(scene);
    Thread thread =
        new Thread(
            () -> {
              try {
                for (int f = 0; f < frames; f++) {
                  BufferedImage image = free.take();
                  painter.paint(image, scene.scene().rate().timeOf(f));
                  painted.put(image);
                }
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            },
            "frame painter");
    thread.setDaemon(true);
    thread.start();
    try {
      ByteBuffer bytes = null;
      for (int f = 0; f < frames; f++) {
        if (!goOn.test(f)) {
          throw new Cancelled();
        }
        BufferedImage image = painted.take();
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        if (bytes == null) {
          bytes = ByteBuffer.allocate(pixels.length * 4).order(ByteOrder.LITTLE_ENDIAN);
        }
        bytes.asIntBuffer().put(pixels);
        free.put(image);
        pipe.write(bytes.array());
      }
      goOn.test(frames);
    } finally {
      thread.interrupt();
    }
  }
}
