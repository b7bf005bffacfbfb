package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.webexport.AnimatedSvg;

/** An SVG that plays by itself. */
final class SvgFormat implements ExportFormat {
  @Override
  public String id() {
    return "svg";
  }

  @Override
  public String label() {
    return "Animated SVG";
  }

  @Override
  public String noun() {
    return "SVG";
  }

  @Override
  public String use() {
    return "For the web: plays by itself, outlines only, no font and no script";
  }

  @Override
  public String extension() {
    return "svg";
  }

  @Override
  public String mediaType() {
    return "image/svg+xml";
  }

  @Override
  public int frames(Scene scene) {
    return 1;
  }

  @Override
  public int images() {
    return 0;
  }

  /** The least of a picture's sizes that is wide enough, as it is written into the file. */
  private static String address(Bitmaps bitmaps, String image, double width) {
    List<Bitmaps.Level> levels = bitmaps.levels(image);
    if (levels.isEmpty()) {
      return null;
    }
    Bitmaps.Level level = levels.get(Bitmaps.level(levels, width, 0));
    byte[] bytes = level.content().bytes();
    return "data:" + level.type() + ";base64," + Base64.getEncoder().encodeToString(bytes);
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    Files.writeString(
        out, AnimatedSvg.write(scene, (image, width) -> address(bitmaps, image, width)));
  }
}
