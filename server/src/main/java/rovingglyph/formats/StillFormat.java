package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.formats.FormatWords.Group;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FramePainter;
import rovingglyph.render.Progress;
import rovingglyph.render.Raster;
import rovingglyph.scene.Scene;

/**
 * One frame as a picture.
 *
 * @param own options beside time and size
 */
record StillFormat(FormatWords words, List<ExportOption> own, Encoder encoder)
    implements ExportFormat {

  /** Makes a file of what is painted. */
  interface Encoder {
    byte[] file(Raster painted, ExportOptions options);
  }

  static final ChoiceOption DEPTH =
      ChoiceOption.of("depth", "Bits of a colour", "8", "8", "16", "16");

  private static final NumberOption QUALITY =
      new NumberOption("quality", "Quality", "%", 1, 100, 90.0, true, false);

  static final StillFormat PNG =
      new StillFormat(
          new FormatWords(
              "png",
              Group.STILLS,
              "PNG still",
              "still",
              "One frame; keeps transparency",
              "png",
              "image/png"),
          List.of(DEPTH, FrameOptions.SAMPLES, FrameOptions.GROUND),
          (painted, o) -> painted.png());

  static final StillFormat JPEG =
      new StillFormat(
          new FormatWords(
              "jpeg",
              Group.STILLS,
              "JPEG still",
              "JPEG",
              "One frame, small, for pages and mail",
              "jpg",
              "image/jpeg"),
          List.of(QUALITY, FrameOptions.SAMPLES, FrameOptions.GROUND_COLOUR),
          (painted, o) -> painted.jpeg((int) o.number(QUALITY)));

  static final StillFormat WEBP =
      new StillFormat(
          new FormatWords(
              "webp-still",
              Group.STILLS,
              "WebP still",
              "WebP still",
              "One frame, smaller than JPEG; keeps transparency",
              "webp",
              "image/webp"),
          List.of(QUALITY, FrameOptions.SAMPLES, FrameOptions.GROUND),
          (painted, o) -> painted.webp((int) o.number(QUALITY)));

  @Override
  public List<ExportOption> options() {
    List<ExportOption> out = new ArrayList<>();
    out.add(FrameOptions.AT);
    out.add(FrameOptions.SIZE);
    out.addAll(own);
    return out;
  }

  @Override
  public int images() {
    return own.contains(DEPTH) ? 2 : 1;
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    return own.contains(FrameOptions.GROUND_COLOUR) && scene.background() == null
        ? "This scene has no background, and JPEG has no transparency: it is on black. Choose a"
            + " colour for it, or PNG or WebP."
        : null;
  }

  private Raster.Pixels pixels(ExportOptions options) {
    if (own.contains(FrameOptions.GROUND_COLOUR)) {
      return Raster.Pixels.OPAQUE;
    }
    return own.contains(DEPTH) ? depth(options) : Raster.Pixels.ALPHA;
  }

  static Raster.Pixels depth(ExportOptions options) {
    return options.choice(DEPTH).equals("16") ? Raster.Pixels.DEEP : Raster.Pixels.ALPHA;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    try (FramePainter painter = new FramePainter(scene, bitmaps, FrameOptions.scale(options));
        Raster raster = painter.raster(pixels(options))) {
      painter.paint(raster, options.number(FrameOptions.AT));
      Files.write(out, encoder.file(raster, options));
    }
  }
}
