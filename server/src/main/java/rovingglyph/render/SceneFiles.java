package rovingglyph.render;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.function.IntPredicate;
import javax.imageio.ImageIO;
import rovingglyph.document.Spelling;
import rovingglyph.frame.PreparedScene;
import rovingglyph.webexport.AnimatedSvg;

/** A prepared scene written as a file of one of the hand-off formats. */
public final class SceneFiles {
  /** The hand-off formats. */
  public enum Format {
    MP4("video/mp4"),
    PNG("image/png"),
    SVG("image/svg+xml");

    private final String mediaType;

    Format(String mediaType) {
      this.mediaType = mediaType;
    }

    public String mediaType() {
      return mediaType;
    }

    public String ending() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** Null for an unknown name. */
    public static Format of(String name) {
      return Spelling.find(values(), name.toLowerCase(Locale.ROOT));
    }
  }

  private SceneFiles() {}

  /**
   * Writes the file.
   *
   * @param at time of a still in seconds; other formats show the whole scene
   * @param goOn told the frames done so far; false cancels
   */
  public static void write(
      PreparedScene scene, Format format, double at, Path out, IntPredicate goOn)
      throws IOException {
    switch (format) {
      case MP4 -> VideoWriter.write(scene, out, goOn);
      case SVG -> Files.writeString(out, AnimatedSvg.write(scene));
      case PNG -> {
        BufferedImage image = new FramePainter(scene).image(at);
        if (!ImageIO.write(image, "png", out.toFile())) {
          throw new IOException("This Java has no PNG writer");
        }
      }
      default -> throw new IllegalStateException();
    }
  }
}
