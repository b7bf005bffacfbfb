package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;

/**
 * A kind of file that a scene can be handed off as. Scenes that it is given and asked about are as
 * {@link ExportFormats#applied} makes them of the options.
 */
public interface ExportFormat {
  FormatWords words();

  /** A word for REST and the command line. */
  default String id() {
    return words().id();
  }

  /** What can be chosen. */
  default List<ExportOption> options() {
    return List.of();
  }

  /** How many frames are painted for it, for the progress. */
  default int frames(Scene scene, ExportOptions options) {
    return 1;
  }

  /** How many painted images of four bytes a pixel it needs in memory at one time at least. */
  int images();

  /** Null if the scene can be written so, else what is in the way and what to do. */
  default String unsupportedReason(Scene scene, ExportOptions options) {
    return null;
  }

  /** What the file will not be as on the stage, in plain words; null if there is nothing. */
  default String note(Scene scene, ExportOptions options) {
    return null;
  }

  /**
   * Writes the file.
   *
   * @param bitmaps has all pictures of the scene
   * @param progress told the frames done so far; ends the work when it is cancelled
   * @throws Progress.Cancelled if nobody wants the file any more; it is gone then
   * @throws IOException with what happened and what to do
   */
  void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException;
}
