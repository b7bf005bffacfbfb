package rovingglyph.pictures;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Codec;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodeJPEGAlphaMode;
import io.github.humbleui.skija.EncodeJPEGDownsampleMode;
import io.github.humbleui.skija.EncodeJPEGOptions;
import io.github.humbleui.skija.EncodePNGOptions;
import io.github.humbleui.skija.EncodedImageFormat;
import io.github.humbleui.skija.EncodedOrigin;
import io.github.humbleui.skija.EncoderJPEG;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Decodes one file and writes it in halving sizes, upright and in sRGB: a program of its own, which
 * {@link PictureFile} starts with limits, since what it reads comes from outside. What it tells on
 * its output is a line for each size, "number width height type"; on its errors, why it cannot.
 */
final class PictureLevels {
  /** Pixels: four bytes each while they are decoded, and once more while they are turned. */
  static final long MOST_PIXELS = 64_000_000;

  static final int LONGEST_SIDE = rovingglyph.scene.Bitmapped.LONGEST_SIDE;

  /** Px: no smaller size is made of it. */
  private static final int SMALL = 32;

  private static final int PNG_LEVEL = 4;

  /** Of photographs, with colours as fine as brightness: told from the file by nobody. */
  private static final EncodeJPEGOptions PHOTO =
      new EncodeJPEGOptions(95, EncodeJPEGDownsampleMode.DS_444, EncodeJPEGAlphaMode.IGNORE);

  private PictureLevels() {}

  /** Takes the file to read and the folder to write into. */
  public static void main(String[] args) throws IOException {
    try {
      write(Files.readAllBytes(Path.of(args[0])), Path.of(args[1]));
    } catch (IllegalArgumentException | UnsupportedOperationException e) {
      System.err.println(e.getMessage());
      System.exit(2);
    }
  }

  private static void write(byte[] file, Path folder) throws IOException {
    try (Data data = Data.makeFromBytes(file);
        Codec codec = codec(data)) {
      ImageInfo found = codec.getImageInfo();
      int w = found.getWidth();
      int h = found.getHeight();
      if (w > LONGEST_SIDE || h > LONGEST_SIDE || (long) w * h > MOST_PIXELS) {
        throw new IllegalArgumentException(
            "It has %d \u00d7 %d px; at most %d a side and %d million in all are taken"
                .formatted(w, h, LONGEST_SIDE, MOST_PIXELS / 1_000_000));
      }
      boolean opaque = found.getColorAlphaType() == ColorAlphaType.OPAQUE;
      boolean photo = opaque && codec.getEncodedImageFormat() != EncodedImageFormat.PNG;
      Image image = upright(decoded(codec, w, h, opaque), codec.getEncodedOrigin());
      for (int n = 0; ; n++) {
        write(image, photo, folder.resolve(Integer.toString(n)));
        System.out.printf(
            "%d %d %d %s%n",
            n, image.getWidth(), image.getHeight(), photo ? "image/jpeg" : "image/png");
        if (Math.max(image.getWidth(), image.getHeight()) <= SMALL) {
          return;
        }
        Image half = half(image);
        image.close();
        image = half;
      }
    }
  }

  private static Codec codec(Data data) {
    try {
      return Codec.makeFromData(data);
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException("It is damaged: its beginning cannot be read", e);
    }
  }

  private static ImageInfo info(int w, int h, boolean opaque) {
    ColorAlphaType alpha = opaque ? ColorAlphaType.OPAQUE : ColorAlphaType.PREMUL;
    return new ImageInfo(w, h, ColorType.BGRA_8888, alpha, ColorSpace.getSRGB());
  }

  private static Image decoded(Codec codec, int w, int h, boolean opaque) {
    try (Bitmap pixels = new Bitmap()) {
      if (!pixels.allocPixels(info(w, h, opaque))) {
        throw new IllegalArgumentException("There is not enough memory to decode it");
      }
      try {
        codec.readPixels(pixels);
      } catch (IllegalArgumentException | UnsupportedOperationException e) {
        throw new IllegalArgumentException("It is damaged: it ends early or cannot be decoded", e);
      }
      return Image.makeRasterFromBitmap(pixels.setImmutable());
    }
  }

  private static Image upright(Image image, EncodedOrigin origin) {
    if (origin == EncodedOrigin.TOP_LEFT) {
      return image;
    }
    boolean swaps = origin.swapsWidthHeight();
    int w = swaps ? image.getHeight() : image.getWidth();
    int h = swaps ? image.getWidth() : image.getHeight();
    try (Surface surface = surface(image, w, h)) {
      surface.getCanvas().concat(origin.toMatrix(w, h)).drawImage(image, 0, 0);
      return surface.makeImageSnapshot();
    } finally {
      image.close();
    }
  }

  private static Surface surface(Image of, int w, int h) {
    return Surface.makeRaster(info(w, h, of.getImageInfo().isOpaque()));
  }

  private static Image half(Image image) {
    int w = (image.getWidth() + 1) / 2;
    int h = (image.getHeight() + 1) / 2;
    try (Surface surface = surface(image, w, h)) {
      Canvas canvas = surface.getCanvas();
      // Midway between pixels: each of the new ones is the mean of four.
      canvas.drawImageRect(
          image,
          io.github.humbleui.types.Rect.makeWH(image.getWidth(), image.getHeight()),
          io.github.humbleui.types.Rect.makeWH(w, h),
          SamplingMode.LINEAR,
          null,
          true);
      return surface.makeImageSnapshot();
    }
  }

  private static void write(Image image, boolean photo, Path to) throws IOException {
    try (Data data =
        photo
            ? EncoderJPEG.encode(image, PHOTO)
            : EncoderPNG.encode(image, EncodePNGOptions.DEFAULT.withZlibLevel(PNG_LEVEL))) {
      Files.write(to, data.getBytes());
    }
  }
}
