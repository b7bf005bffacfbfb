package rovingglyph.render;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;

/**
 * Encodes a scene with ffmpeg as a child process: frames go over a pipe, the next ones are painted
 * while it encodes.
 */
public final class VideoWriter {
  /** Images that are painted ahead of the encoder at least. */
  public static final int LEAST_AHEAD = 2;

  private VideoWriter() {}

  /**
   * The whole command that makes a file of a scene's frames as they lie in an input.
   *
   * @param input a file, or {@code pipe:0}
   */
  public static List<String> command(Take take, Encoding encoding, String input, Path out) {
    return command(take, encoding, SoundMix.NONE, input, out);
  }

  private static List<String> command(
      Take take, Encoding encoding, SoundMix sound, String input, Path out) {
    List<String> all = new ArrayList<>(Ffmpeg.QUIET);
    all.addAll(List.of("-protocol_whitelist", "file,pipe", "-f", "rawvideo"));
    all.addAll(List.of("-pix_fmt", take.pixels().word));
    all.addAll(List.of("-s", take.width() + "x" + take.height()));
    all.addAll(List.of("-r", take.range().shown().text(), "-i", input));
    all.addAll(encoding.words(sound));
    all.add(out.toString());
    return all;
  }

  /**
   * Writes the file.
   *
   * @param progress told the number of frames handed over
   * @throws Progress.Cancelled if cancelled; the file is gone then
   * @throws IOException if ffmpeg fails, with what happened and what to do
   */
  public static void write(Take take, Encoding encoding, Path out, Progress progress)
      throws IOException {
    write(take, encoding, SoundMix.of(take.scene(), take.bitmaps(), take.range()), out, progress);
  }

  /** The same without what is heard: a part of a file, to be joined with others. */
  public static void writeSilent(Take take, Encoding encoding, Path out, Progress progress)
      throws IOException {
    write(take, encoding, SoundMix.NONE, out, progress);
  }

  private static void write(
      Take take, Encoding encoding, SoundMix sound, Path out, Progress progress)
      throws IOException {
    List<String> command = command(take, encoding, sound, "pipe:0", out);
    Ffmpeg.run(command, pipe -> feed(take, pipe, progress), out, progress);
  }

  /**
   * One thread paints ahead into a few images; this one writes them, so that neither waits.
   * Whatever fails there, fails here.
   */
  private static void feed(Take take, FileChannel pipe, Progress progress)
      throws IOException, InterruptedException {
    int frames = take.range().count();
    List<Raster> all = new ArrayList<>();
    for (int i = MemoryNeed.ahead(take.scene(), take.scale()); i > 0; i--) {
      all.add(new Raster(take.width(), take.height(), take.pixels()));
    }
    BlockingQueue<Raster> free = new ArrayBlockingQueue<>(all.size(), false, all);
    BlockingQueue<Object> painted = new ArrayBlockingQueue<>(all.size() + 1);
    Thread thread = new Thread(() -> paint(take, free, painted), "frame painter");
    thread.setDaemon(true);
    thread.start();
    try {
      for (int f = 0; f < frames; f++) {
        progress.done(f);
        Raster raster = raster(painted.take());
        ByteBuffer bytes = raster.straight(take.spread());
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

  private static void paint(Take take, BlockingQueue<Raster> free, BlockingQueue<Object> painted) {
    try (FramePainter painter = new FramePainter(take.prepared(), take.bitmaps(), take.scale())) {
      for (int f = 0; f < take.range().count(); f++) {
        Raster raster = free.take();
        painter.paint(raster, take.range().time(f));
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
