package rovingglyph.formats;

import java.util.List;
import rovingglyph.render.MemoryNeed;
import rovingglyph.scene.Scene;

/** All formats, in the order in which they are offered. */
public final class ExportFormats {
  public static final List<ExportFormat> ALL =
      List.of(
          new Mp4Format(),
          new PngFormat(),
          new PngSequenceFormat(),
          new ApngFormat(),
          new SvgFormat());

  private ExportFormats() {}

  /** The format with this id; null if there is none. */
  public static ExportFormat of(String id) {
    return ALL.stream().filter(f -> f.id().equals(id)).findFirst().orElse(null);
  }

  /** The format of a file name, by its end in any case of letters; null if there is none. */
  public static ExportFormat ofFile(String name) {
    return ALL.stream()
        .filter(
            f -> {
              String end = "." + f.extension();
              int at = name.length() - end.length();
              return at >= 0 && name.regionMatches(true, at, end, 0, end.length());
            })
        .findFirst()
        .orElse(null);
  }

  /** Null if a scene can be written so on this machine, else what is in the way and what to do. */
  public static String unsupportedReason(ExportFormat f, Scene scene, ExportOptions options) {
    String own = f.unsupportedReason(scene);
    return own != null ? own : MemoryNeed.unsupportedReason(scene, options.scale(), f.images());
  }
}
