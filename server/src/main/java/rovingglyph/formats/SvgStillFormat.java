package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.EmbeddedImages;
import rovingglyph.render.Progress;
import rovingglyph.webexport.StillSvg;

/** One frame as outlines. */
final class SvgStillFormat implements ExportFormat {
  private static final FormatWords WORDS =
      new FormatWords(
          "svg-still",
          FormatWords.Group.STILLS,
          "SVG still",
          "SVG still",
          "One frame as outlines, for drawing programs and print",
          "svg",
          "image/svg+xml");

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    return List.of(FrameOptions.AT, FrameOptions.GROUND);
  }

  @Override
  public int images() {
    return 0;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    Files.writeString(out, document(scene, bitmaps, options.number(FrameOptions.AT)));
  }

  static String document(PreparedScene scene, Bitmaps bitmaps, double time) {
    try (EmbeddedImages images = new EmbeddedImages(scene, bitmaps)) {
      return StillSvg.write(scene, time, images);
    }
  }
}
