package rovingglyph.render;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import rovingglyph.frame.PreparedScene;

/** Frames as images whose pixels tests can look at. */
public final class Images {
  private Images() {}

  public static BufferedImage of(PreparedScene scene, double time) {
    return of(scene, 1, time);
  }

  public static BufferedImage of(PreparedScene scene, double scale, double time) {
    return of(scene, Bitmaps.NONE, scale, time);
  }

  public static BufferedImage of(PreparedScene scene, Bitmaps bitmaps, double scale, double time) {
    try (FramePainter painter = new FramePainter(scene, bitmaps, scale)) {
      BufferedImage png = ImageIO.read(new ByteArrayInputStream(painter.png(time)));
      BufferedImage out =
          new BufferedImage(png.getWidth(), png.getHeight(), BufferedImage.TYPE_INT_ARGB);
      for (int y = 0; y < png.getHeight(); y++) {
        for (int x = 0; x < png.getWidth(); x++) {
          out.setRGB(x, y, png.getRGB(x, y));
        }
      }
      return out;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
