package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FramePainter;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;

/** One frame. */
final class PngFormat implements ExportFormat {
  @Override
  public String id() {
    return "png";
  }

  @Override
  public String label() {
    return "PNG still";
  }

  @Override
  public String noun() {
    return "still";
  }

  @Override
  public String use() {
    return "One frame; keeps transparency";
  }

  @Override
  public String extension() {
    return "png";
  }

  @Override
  public String mediaType() {
    return "image/png";
  }

  @Override
  public List<ExportOption> options() {
    return List.of(ExportOption.AT, ExportOption.SIZE);
  }

  @Override
  public int frames(Scene scene) {
    return 1;
  }

  @Override
  public int images() {
    return 1;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    try (FramePainter painter = new FramePainter(scene, bitmaps, options.scale())) {
      Files.write(out, painter.png(options.number(ExportOption.AT)));
    }
  }
}
