package rovingglyph.render;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javax.imageio.ImageIO;
import rovingglyph.document.Spelling;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;
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

  /** Null if the scene can be written so, else what is in the way and what to do. */
  public static String unsupportedReason(Scene scene, Format format) {
    String video = format == Format.MP4 ? VideoWriter.unsupportedReason(scene) : null;
    return video != null ? video : MemoryNeed.unsupportedReason(scene, format);
  }

  /** What the file will not be as on the stage, in plain words; null if there is nothing. */
  public static String note(Scene scene, Format format) {
    return format == Format.MP4 && scene.background() == null
        ? "This scene has no background, and MP4 has no transparency: the video is on black."
            + " Set a background in the scene's settings, or export a PNG or SVG."
        : null;
  }

  /**
   * Writes the file.
   *
   * @param at time of a still in seconds; other formats show the whole scene
   * @param progress told the frames done so far
   */
  public static void write(
      PreparedScene scene, Format format, double at, Path out, Progress progress)
      throws IOException {
    switch (format) {
      case MP4 -> VideoWriter.write(scene, out, progress);
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
