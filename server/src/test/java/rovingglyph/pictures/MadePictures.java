package rovingglyph.pictures;

import io.github.humbleui.skija.EncoderWEBP;
import io.github.humbleui.skija.Image;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import javax.imageio.ImageIO;

/** Pictures of four plain quarters: red, green, blue and white from the upper left, by rows. */
public final class MadePictures {
  private static final Color[] QUARTERS = {Color.RED, Color.GREEN, Color.BLUE, Color.WHITE};

  private MadePictures() {}

  private static BufferedImage quarters(int w, int h, int type) {
    BufferedImage out = new BufferedImage(w, h, type);
    Graphics2D g = out.createGraphics();
    for (int i = 0; i < 4; i++) {
      g.setColor(QUARTERS[i]);
      g.fillRect(i % 2 * w / 2, i / 2 * h / 2, w / 2, h / 2);
    }
    g.dispose();
    return out;
  }

  private static byte[] file(String format, BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  public static byte[] png(int w, int h) throws IOException {
    return file("png", quarters(w, h, BufferedImage.TYPE_INT_RGB));
  }

  /** The same, the quarter at the lower right being clear. */
  static byte[] clear(int w, int h) throws IOException {
    BufferedImage image = quarters(w, h, BufferedImage.TYPE_INT_ARGB);
    for (int y = h / 2; y < h; y++) {
      for (int x = w / 2; x < w; x++) {
        image.setRGB(x, y, 0);
      }
    }
    return file("png", image);
  }

  /** A picture without plain areas: bands of colour with grain, as a photograph has. */
  public static byte[] landscape(String format, int w, int h) throws IOException {
    Random random = new Random(w * 31L + h);
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        double wave = Math.sin(x / 17.0 + Math.sin(y / 23.0) * 3);
        int r = (int) (120 + 80 * wave) + random.nextInt(20);
        int g = 230 * y / h + random.nextInt(20);
        int b = (int) (110 + 90 * Math.cos((x + y) / 31.0)) + random.nextInt(20);
        image.setRGB(x, y, r << 16 | g << 8 | b);
      }
    }
    return file(format, image);
  }

  /** A disc of one colour that fades out towards its rim. */
  public static byte[] disc(int side) throws IOException {
    BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < side; y++) {
      for (int x = 0; x < side; x++) {
        double far = Math.hypot(x + 0.5 - side / 2.0, y + 0.5 - side / 2.0) / (side / 2.0);
        int alpha = (int) Math.round(255 * Math.min(Math.max((1 - far) * 2, 0), 1));
        image.setRGB(x, y, alpha << 24 | 0xC4472D);
      }
    }
    return file("png", image);
  }

  static byte[] gif(int w, int h) throws IOException {
    return file("gif", quarters(w, h, BufferedImage.TYPE_INT_RGB));
  }

  /**
   * @param orientation of EXIF, 1 to 8; 0 tells none
   */
  static byte[] jpeg(int w, int h, int orientation) throws IOException {
    byte[] plain = file("jpeg", quarters(w, h, BufferedImage.TYPE_INT_RGB));
    if (orientation == 0) {
      return plain;
    }
    byte[] exif =
        "Exif\0\0MM\0*\0\0\0\10\0\1\1\22\0\3\0\0\0\1\0?\0\0\0\0\0\0"
            .getBytes(StandardCharsets.ISO_8859_1);
    exif[exif.length - 7] = (byte) orientation;
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(plain, 0, 2);
    out.write(new byte[] {(byte) 0xFF, (byte) 0xE1, 0, (byte) (exif.length + 2)});
    out.write(exif);
    out.write(plain, 2, plain.length - 2);
    return out.toByteArray();
  }

  static byte[] webp(int w, int h) throws IOException {
    try (Image image = Image.makeDeferredFromEncodedBytes(png(w, h))) {
      return EncoderWEBP.encode(image).getBytes();
    }
  }

  static byte[] avif(int w, int h) throws IOException, InterruptedException {
    Path folder = Files.createTempDirectory("roving-avif");
    Path png = Files.write(folder.resolve("in.png"), png(w, h));
    Path avif = folder.resolve("out.avif");
    int exit =
        new ProcessBuilder("avifenc", "-s", "10", png.toString(), avif.toString())
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start()
            .waitFor();
    if (exit != 0) {
      throw new IOException("avifenc failed");
    }
    return Files.readAllBytes(avif);
  }

  static byte[] svg(int w, int h, String more) {
    return """
        <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"
          width="%1$d" height="%2$d" viewBox="0 0 2 2" preserveAspectRatio="none">
          <rect width="1" height="1" fill="#f00"/><rect x="1" width="1" height="1" fill="#0f0"/>
          <rect y="1" width="1" height="1" fill="#00f"/>
          <rect x="1" y="1" width="1" height="1" fill="#fff"/>%3$s</svg>"""
        .formatted(w, h, more)
        .getBytes(StandardCharsets.UTF_8);
  }
}
