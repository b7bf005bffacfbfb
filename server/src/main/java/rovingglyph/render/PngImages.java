package rovingglyph.render;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;

/** Images as PNG. */
public final class PngImages {
  private PngImages() {}

  public static byte[] bytes(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    if (!ImageIO.write(image, "png", out)) {
      throw new IOException("This Java has no PNG writer");
    }
    return out.toByteArray();
  }
}
