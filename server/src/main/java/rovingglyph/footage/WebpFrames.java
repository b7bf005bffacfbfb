package rovingglyph.footage;

import io.github.humbleui.skija.AnimationFrameInfo;
import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Codec;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodePNGOptions;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Decodes an animated WebP and writes its frames as PNG files, "0.png" and so on: a program of its
 * own, which {@link Stills} starts with limits, since what it reads comes from outside. On its
 * output it tells how long each stands, in ms, a line for each; on its errors, why it cannot.
 */
final class WebpFrames {
  private static final int QUICK = 1;

  private WebpFrames() {}

  /** Takes the file to read and the folder to write into. */
  public static void main(String[] args) throws IOException {
    try (Data data = Data.makeFromFileName(args[0]);
        Codec codec = Codec.makeFromData(data)) {
      write(codec, Path.of(args[1]));
    } catch (IllegalArgumentException | UnsupportedOperationException e) {
      System.err.println("It is damaged: " + e.getMessage());
      System.exit(2);
    }
  }

  private static void write(Codec codec, Path folder) throws IOException {
    ImageInfo found = codec.getImageInfo();
    if ((long) found.getWidth() * found.getHeight() > FootageFile.MOST_PIXELS) {
      throw new IllegalArgumentException("its frames are too large");
    }
    ImageInfo info =
        new ImageInfo(
            found.getWidth(),
            found.getHeight(),
            ColorType.BGRA_8888,
            found.getColorAlphaType() == ColorAlphaType.OPAQUE
                ? ColorAlphaType.OPAQUE
                : ColorAlphaType.PREMUL,
            ColorSpace.getSRGB());
    AnimationFrameInfo[] frames = codec.getFramesInfo();
    try (Bitmap pixels = new Bitmap()) {
      if (!pixels.allocPixels(info)) {
        throw new IllegalArgumentException("there is not enough memory for it");
      }
      for (int i = 0; i < Math.max(1, frames.length); i++) {
        // Frames are decoded over the one before, where they are not whole by themselves.
        boolean whole = frames.length == 0 || frames[i].getRequiredFrame() < 0;
        codec.readPixels(pixels, i, whole ? -1 : i - 1);
        try (Image image = Image.makeRasterFromBitmap(pixels);
            Data png = EncoderPNG.encode(image, EncodePNGOptions.DEFAULT.withZlibLevel(QUICK))) {
          Files.write(folder.resolve(i + ".png"), png.getBytes());
        }
        System.out.println(frames.length == 0 ? 0 : frames[i].getDuration());
      }
    }
  }
}
