package rovingglyph.render;

import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Timer;
import java.util.TimerTask;

/**
 * ffmpeg as a child process that decodes footage from a frame on, one after another. It is ended
 * when it gives no frame for a while.
 */
final class FootageDecoder implements AutoCloseable {
  /** Bytes of a pixel. */
  private static final int PIXEL = 4;

  /** The longest that a frame may take. */
  private static final long QUIET_MILLIS = 60_000;

  private static final Timer WATCH = new Timer("footage decoders", true);

  private final int level;
  private final int width;
  private final int height;
  private final boolean opaque;

  /** Bytes of a row. */
  private final int stride;

  /** Of a frame, with one more round it. */
  private final byte[] pixels;

  private final Process process;
  private final InputStream frames;
  private int next;

  /**
   * Begins with a frame; those before it are never asked for.
   *
   * @param level how often its size is halved
   */
  FootageDecoder(FootageSource source, int level, int first) {
    this.level = level;
    this.width = halved(source.width(), level);
    this.height = halved(source.height(), level);
    this.opaque = source.opaque();
    this.stride = (width + 2) * PIXEL;
    this.pixels = new byte[stride * (height + 2)];
    this.next = first;
    try {
      ProcessBuilder builder = new ProcessBuilder(source.decoding(first, width, height, "bgra"));
      builder.redirectError(ProcessBuilder.Redirect.DISCARD);
      builder.environment().put("MALLOC_ARENA_MAX", "2");
      this.process = builder.start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    this.frames = new BufferedInputStream(process.getInputStream(), 1 << 18);
  }

  /** A length once it is halved so often. */
  static int halved(int length, int times) {
    return times > 30 ? 0 : (length + (1 << times) - 1) >> times;
  }

  int level() {
    return level;
  }

  /** The number of the frame that it gives next. */
  int next() {
    return next;
  }

  /** A frame with its outermost pixels once more round it; those before it are passed over. */
  Image frame(int number) {
    for (; next <= number; next++) {
      read();
    }
    frame();
    ColorAlphaType alpha = opaque ? ColorAlphaType.OPAQUE : ColorAlphaType.UNPREMUL;
    ImageInfo info =
        new ImageInfo(width + 2, height + 2, ColorType.BGRA_8888, alpha, ColorSpace.getSRGB());
    return Image.makeRasterFromBytes(info, pixels, stride);
  }

  /** Its outermost pixels once more round it. */
  private void frame() {
    for (int y = 1; y <= height; y++) {
      int row = y * stride;
      System.arraycopy(pixels, row + PIXEL, pixels, row, PIXEL);
      System.arraycopy(pixels, row + width * PIXEL, pixels, row + (width + 1) * PIXEL, PIXEL);
    }
    System.arraycopy(pixels, stride, pixels, 0, stride);
    System.arraycopy(pixels, height * stride, pixels, (height + 1) * stride, stride);
  }

  /** The next frame, into the pixels. */
  private void read() {
    TimerTask end =
        new TimerTask() {
          @Override
          public void run() {
            process.destroyForcibly();
          }
        };
    WATCH.schedule(end, QUIET_MILLIS);
    try {
      for (int y = 1; y <= height; y++) {
        if (frames.readNBytes(pixels, y * stride + PIXEL, width * PIXEL) < width * PIXEL) {
          throw new IOException(
              "Frame " + (next + 1) + " of footage could not be decoded. Export again.");
        }
      }
    } catch (IOException e) {
      Progress.checkThread();
      throw new UncheckedIOException(e.getMessage(), e);
    } finally {
      end.cancel();
    }
  }

  @Override
  public void close() {
    process.destroyForcibly();
  }
}
