package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;

/**
 * A format whose long files can be made in parts, by several machines at once, and joined without
 * making any frame again. What comes of it plays as the file that is made at once.
 */
public interface FormatInParts extends ExportFormat {
  /** The parts of a file, one after another; a single one where it is better made at once. */
  List<Part> parts(Scene scene, ExportOptions options);

  /**
   * Writes one part.
   *
   * @throws Progress.Cancelled as {@link #write}
   * @throws IOException with what happened and what to do
   */
  void writePart(
      PreparedScene scene,
      Bitmaps bitmaps,
      ExportOptions options,
      Part part,
      Path out,
      Progress progress)
      throws IOException;

  /**
   * Writes the file.
   *
   * @param parts what was written of all of {@link #parts}, in their order
   * @throws Progress.Cancelled as {@link #write}
   * @throws IOException with what happened and what to do
   */
  void join(
      Scene scene,
      Bitmaps bitmaps,
      ExportOptions options,
      List<Path> parts,
      Path out,
      Progress progress)
      throws IOException;
}
