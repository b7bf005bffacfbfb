package rovingglyph.formats;

import java.util.List;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.MemoryNeed;
import rovingglyph.scene.Scene;

/** All formats, in the order in which they are offered. */
public final class ExportFormats {
  public static final List<ExportFormat> ALL =
      List.of(
          VideoFormats.MP4,
          VideoFormats.AV1,
          VideoFormats.HEVC,
          VideoFormats.PRORES,
          VideoFormats.MOV,
          new SvgFormat(),
          new SnippetFormat(),
          new LottieFormat(),
          VideoFormats.WEBM,
          VideoFormats.WEBP_ANIMATION,
          VideoFormats.APNG,
          new GifFormat(),
          new PngSequenceFormat(),
          StillFormat.PNG,
          StillFormat.JPEG,
          StillFormat.WEBP,
          new SvgStillFormat(),
          new PdfFormat(),
          CaptionFormat.WEB_VTT,
          CaptionFormat.SUB_RIP,
          new SoundFormat());

  private ExportFormats() {}

  /** The format with this id; null if there is none. */
  public static ExportFormat of(String id) {
    return ALL.stream().filter(f -> f.id().equals(id)).findFirst().orElse(null);
  }

  /**
   * The format of a file name, by its end in any case of letters, the first one with that; null if
   * there is none.
   */
  public static ExportFormat ofFile(String name) {
    return ALL.stream()
        .filter(
            f -> {
              String end = "." + f.words().extension();
              int at = name.length() - end.length();
              return at >= 0 && name.regionMatches(true, at, end, 0, end.length());
            })
        .findFirst()
        .orElse(null);
  }

  /**
   * A scene as it is painted for a file: on the ground and with the shutter samples that were
   * chosen. What comes of it is what a format writes, and is asked about.
   */
  public static Scene applied(Scene scene, ExportOptions options) {
    return FrameOptions.applied(scene, options);
  }

  /** The options that make a difference for a scene. */
  public static List<ExportOption> options(ExportFormat f, Scene scene) {
    return f.options().stream().filter(o -> FrameOptions.matters(o, scene)).toList();
  }

  /** Null if a scene can be written so on this machine, else what is in the way and what to do. */
  public static String unsupportedReason(ExportFormat f, Scene scene, ExportOptions options) {
    String own = f.unsupportedReason(scene, options);
    return own != null ? own : memoryReason(f, scene, options);
  }

  private static String memoryReason(ExportFormat f, Scene scene, ExportOptions options) {
    return MemoryNeed.unsupportedReason(scene, FrameOptions.scale(options), f.images());
  }

  /**
   * Sees to it that this machine has the memory for a scene.
   *
   * @throws Bitmaps.NotReady if not: another one may have it, or this one with another setting
   */
  public static void requireMemory(ExportFormat f, Scene scene, ExportOptions options)
      throws Bitmaps.NotReady {
    String reason = memoryReason(f, scene, options);
    if (reason != null) {
      throw new Bitmaps.NotReady(reason);
    }
  }
}
