package rovingglyph.render;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodeJPEGOptions;
import io.github.humbleui.skija.EncodePNGOptions;
import io.github.humbleui.skija.EncodeWEBPOptions;
import io.github.humbleui.skija.EncoderJPEG;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.EncoderWEBP;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import java.nio.ByteBuffer;

/** Pixels that are painted on, in memory outside the heap, in sRGB. */
public final class Raster implements AutoCloseable {
  /** What a pixel is made of. */
  public enum Pixels {
    /** Blue, green, red, and a byte that counts for nothing. */
    OPAQUE("bgr0", ColorType.BGRA_8888, ColorType.BGRA_8888),

    /** Blue, green, red, alpha, a byte each. */
    ALPHA("bgra", ColorType.BGRA_8888, ColorType.BGRA_8888),

    /** Red, green, blue, alpha, two bytes each, the lower one first. */
    DEEP("rgba64le", ColorType.RGBA_F16NORM, ColorType.R16G16B16A16_UNORM);

    /** What ffmpeg calls it. */
    final String word;

    private final ColorType painted;
    private final ColorType plain;

    Pixels(String word, ColorType painted, ColorType plain) {
      this.word = word;
      this.painted = painted;
      this.plain = plain;
    }
  }

  /** Of zlib: larger takes far longer for a few percent. */
  private static final int PNG_LEVEL = 4;

  private final int width;
  private final int height;
  private final Pixels pixels;
  private final Surface surface;

  /** Only where alpha is asked for unpremultiplied. */
  private Bitmap plain;

  public Raster(int width, int height, Pixels pixels) {
    this.width = width;
    this.height = height;
    this.pixels = pixels;
    boolean opaque = pixels == Pixels.OPAQUE;
    ColorAlphaType alpha = opaque ? ColorAlphaType.OPAQUE : ColorAlphaType.PREMUL;
    this.surface = surface(info(pixels.painted, alpha));
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

  private ImageInfo info(ColorType type, ColorAlphaType alpha) {
    return new ImageInfo(width, height, type, alpha, ColorSpace.getSRGB());
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

  /** What layers over it are made of. */
  ImageInfo layers() {
    return info(pixels.painted, ColorAlphaType.PREMUL);
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

  /**
   * The pixels as a file wants them: colours as they are, whatever their alpha; good until
   * something is painted again.
   *
   * @param spread whether what is wholly transparent has the colours of what is near
   */
  public ByteBuffer straight(boolean spread) {
    if (pixels == Pixels.OPAQUE) {
      return bytes();
    }
    ByteBuffer out = unpremultiplied();
    if (spread) {
      EdgeColours.spread(out, width, height, pixels == Pixels.DEEP);
    }
    return out;
  }

  /** The pixels with colours as they are, whatever their alpha; good until asked for anew. */
  public ByteBuffer unpremultiplied() {
    if (plain == null) {
      plain = new Bitmap();
      plain.allocPixels(info(pixels.plain, ColorAlphaType.UNPREMUL));
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

  /**
   * What is painted as a JPEG file.
   *
   * @param quality 1 to 100
   */
  public byte[] jpeg(int quality) {
    EncodeJPEGOptions options = EncodeJPEGOptions.DEFAULT.withQuality(quality);
    try (Image image = surface.makeImageSnapshot();
        Data data = EncoderJPEG.encode(image, options)) {
      return data.getBytes();
    }
  }

  /**
   * What is painted as a WebP file.
   *
   * @param quality 1 to 100
   */
  public byte[] webp(int quality) {
    EncodeWEBPOptions options = EncodeWEBPOptions.DEFAULT.withQuality(quality);
    try (Image image = surface.makeImageSnapshot();
        Data data = EncoderWEBP.encode(image, options)) {
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
