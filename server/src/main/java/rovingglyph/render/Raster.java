package rovingglyph.render;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodePNGOptions;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import java.nio.ByteBuffer;

/** Pixels that are painted on, in memory outside the heap: blue, green, red, alpha, in sRGB. */
public final class Raster implements AutoCloseable {
  /** Of zlib: larger takes far longer for a few percent. */
  private static final int PNG_LEVEL = 4;

  private final int width;
  private final int height;
  private final Surface surface;

  /** Only where alpha is asked for unpremultiplied. */
  private Bitmap plain;

  /**
   * @param opaque whether alpha counts for nothing
   */
  public Raster(int width, int height, boolean opaque) {
    this.width = width;
    this.height = height;
    this.surface = surface(info(opaque ? ColorAlphaType.OPAQUE : ColorAlphaType.PREMUL));
  }

  /**
   * Memory for pixels.
   *
   * @throws OutOfMemoryError if there is none left
   */
  static Surface surface(ImageInfo info) {
    try {
      return Surface.makeRaster(info);
    } catch (IllegalArgumentException e) {
      throw new OutOfMemoryError(
          "No memory is left for an image of " + info.getWidth() + " by " + info.getHeight());
    }
  }

  private ImageInfo info(ColorAlphaType alpha) {
    return new ImageInfo(width, height, ColorType.BGRA_8888, alpha, ColorSpace.getSRGB());
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  Canvas canvas() {
    return surface.getCanvas();
  }

  /** A copy of what is painted so far. */
  Image snapshot() {
    return surface.makeImageSnapshot();
  }

  /**
   * The pixels themselves, row by row, colours multiplied by alpha; good until something is painted
   * again.
   */
  public ByteBuffer bytes() {
    try (Pixmap pixels = new Pixmap()) {
      surface.peekPixels(pixels);
      return pixels.getBuffer();
    }
  }

  /** The pixels with colours as they are, whatever their alpha; good until asked for anew. */
  public ByteBuffer unpremultiplied() {
    if (plain == null) {
      plain = new Bitmap();
      plain.allocPixels(info(ColorAlphaType.UNPREMUL));
    }
    surface.readPixels(plain, 0, 0);
    try (Pixmap pixels = plain.peekPixels()) {
      return pixels.getBuffer();
    }
  }

  /** What is painted as a PNG file. */
  public byte[] png() {
    try (Image image = surface.makeImageSnapshot();
        Data data = EncoderPNG.encode(image, EncodePNGOptions.DEFAULT.withZlibLevel(PNG_LEVEL))) {
      return data.getBytes();
    }
  }

  /** Gives the memory back; nothing of it may be used after that. */
  @Override
  public void close() {
    surface.close();
    if (plain != null) {
      plain.close();
    }
  }
}
