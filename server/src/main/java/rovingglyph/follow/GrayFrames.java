package rovingglyph.follow;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Timer;
import java.util.TimerTask;
import rovingglyph.render.FootageSource;

/** Frames of footage in gray, one after another, forwards or backwards. */
final class GrayFrames implements AutoCloseable {
  /** The most pixels of a frame that is looked into; larger ones are made smaller. */
  private static final double LARGEST = 1920 * 1080;

  /** Backwards so many are decoded at once. */
  private static final int AT_ONCE = 16;

  /** The longest that a frame may take. */
  private static final long QUIET_MILLIS = 60_000;

  private static final Timer WATCH = new Timer("frames in gray", true);

  private final FootageSource source;
  private final double scale;
  private final int width;
  private final int height;
  private final boolean back;

  /** Decoded already, the next one last. */
  private final List<byte[]> ready = new ArrayList<>();

  private int next;
  private Process process;
  private InputStream frames;

  /**
   * Begins with a frame.
   *
   * @param back whether those before it come then, instead of those after it
   */
  GrayFrames(FootageSource source, int first, boolean back) {
    this.source = source;
    double pixels = (double) source.width() * source.height();
    this.scale = Math.min(1, Math.sqrt(LARGEST / pixels));
    this.width = (int) Math.max(1, Math.round(source.width() * scale));
    this.height = (int) Math.max(1, Math.round(source.height() * scale));
    this.next = first;
    this.back = back;
  }

  /** Px of a frame for one of the footage. */
  double scale() {
    return scale;
  }

  /** The number of the frame that comes next. */
  int next() {
    return next;
  }

  /** Whether there is one more. */
  boolean hasNext() {
    return next >= 0 && next < source.times().length;
  }

  /** The next frame. */
  GrayImage read() throws IOException {
    if (!back) {
      if (process == null) {
        begin(next);
      }
      next++;
      return new GrayImage(width, height, decoded());
    }
    if (ready.isEmpty()) {
      int from = Math.max(0, next - AT_ONCE + 1);
      begin(from);
      for (int i = from; i <= next; i++) {
        ready.add(decoded());
      }
      close();
    }
    next--;
    return new GrayImage(width, height, ready.remove(ready.size() - 1));
  }

  private void begin(int from) throws IOException {
    ProcessBuilder builder = new ProcessBuilder(source.decoding(from, width, height, "gray"));
    builder.redirectError(ProcessBuilder.Redirect.DISCARD);
    builder.environment().put("MALLOC_ARENA_MAX", "2");
    process = builder.start();
    frames = new BufferedInputStream(process.getInputStream(), 1 << 18);
  }

  private byte[] decoded() throws IOException {
    Process watched = process;
    TimerTask end =
        new TimerTask() {
          @Override
          public void run() {
            watched.destroyForcibly();
          }
        };
    WATCH.schedule(end, QUIET_MILLIS);
    try {
      byte[] gray = frames.readNBytes(width * height);
      if (gray.length < width * height) {
        throw new IOException("A frame of the footage could not be decoded. Follow again.");
      }
      return gray;
    } finally {
      end.cancel();
    }
  }

  @Override
  public void close() {
    if (process != null) {
      process.destroyForcibly();
      process = null;
    }
  }
}
