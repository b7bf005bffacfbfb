package rovingglyph.tracing;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Map;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.http.HttpStatus;
import rovingglyph.server.RefusedException;
import rovingglyph.svgimport.SvgSize;

/** What an uploaded picture is, by its content and not its name. */
final class ImageCheck {
  /** A picture that can be shown: media type and size in px. */
  record Checked(String type, int width, int height) {}

  static final int LARGEST = 12_000_000;
  private static final int LONGEST_SIDE = 20_000;
  private static final long MOST_PIXELS = 100_000_000;

  private ImageCheck() {}

  /**
   * Looks at the header only; the picture is not decoded.
   *
   * @throws RefusedException if it is neither PNG, JPEG nor SVG, or too large
   */
  static Checked check(byte[] file) {
    if (file.length > LARGEST) {
      throw refused("The picture has more than 12 MB; make it smaller");
    }
    String type = type(file);
    if (type == null) {
      throw refused("This is no PNG, JPEG or SVG picture");
    }
    if (type.equals("image/svg+xml")) {
      double[] size = SvgSize.of(file);
      return new Checked(type, (int) Math.ceil(size[0]), (int) Math.ceil(size[1]));
    }
    return raster(file, type);
  }

  private static String type(byte[] f) {
    if (f.length > 8 && (f[0] & 0xFF) == 0x89 && f[1] == 'P' && f[2] == 'N' && f[3] == 'G') {
      return "image/png";
    }
    if (f.length > 3 && (f[0] & 0xFF) == 0xFF && (f[1] & 0xFF) == 0xD8 && (f[2] & 0xFF) == 0xFF) {
      return "image/jpeg";
    }
    int at = 0;
    while (at < f.length && (f[at] <= ' ')) {
      at++;
    }
    return at < f.length && f[at] == '<' ? "image/svg+xml" : null;
  }

  private static Checked raster(byte[] file, String type) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReadersByMIMEType(type);
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        int w = reader.getWidth(0);
        int h = reader.getHeight(0);
        if (w > LONGEST_SIDE || h > LONGEST_SIDE || (long) w * h > MOST_PIXELS) {
          throw refused(
              "The picture has "
                  + w
                  + " x "
                  + h
                  + " px; at most 20000 a side and 100 million in all");
        }
        return new Checked(type, w, h);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      if (e instanceof RefusedException r) {
        throw r;
      }
      throw refused("The picture is broken: its header cannot be read");
    }
  }

  private static RefusedException refused(String detail) {
    return new RefusedException(
        HttpStatus.UNPROCESSABLE_CONTENT, "The picture cannot be used", detail, Map.of());
  }
}
