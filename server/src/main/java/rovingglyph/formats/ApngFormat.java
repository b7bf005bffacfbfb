package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.render.VideoWriter;

/** An animated PNG with transparency. */
final class ApngFormat implements ExportFormat {
  private static final ExportOption LOOPS =
      new ExportOption("loops", "Plays", "times, 0 for ever", 0, 1000, 0, true, false);

  @Override
  public String id() {
    return "apng";
  }

  @Override
  public String label() {
    return "Animated PNG";
  }

  @Override
  public String noun() {
    return "animation";
  }

  @Override
  public String use() {
    return "For the web, in every pixel as painted; keeps transparency";
  }

  @Override
  public String extension() {
    return "apng";
  }

  @Override
  public String mediaType() {
    return "image/apng";
  }

  @Override
  public List<ExportOption> options() {
    return List.of(ExportOption.SIZE, LOOPS);
  }

  @Override
  public int images() {
    return VideoWriter.LEAST_AHEAD;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    List<String> encoder =
        List.of(
            "-c:v",
            "apng",
            "-pred",
            "mixed",
            "-plays",
            Integer.toString((int) options.number(LOOPS)),
            "-f",
            "apng");
    VideoWriter.writeWithAlpha(scene, bitmaps, options.scale(), encoder, out, progress);
  }
}
