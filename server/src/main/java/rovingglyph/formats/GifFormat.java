package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.ContactSheet;
import rovingglyph.render.Encoding;
import rovingglyph.render.FrameRange;
import rovingglyph.render.Progress;
import rovingglyph.render.Raster;
import rovingglyph.render.Take;
import rovingglyph.render.VideoWriter;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Scene;

/**
 * GIF: few colours, chosen for the scene, and edges that are either seen or not. It counts in
 * hundredths of a second, and browsers slow down what is shown for less than two of them.
 */
final class GifFormat implements ExportFormat {
  private static final FormatWords WORDS =
      new FormatWords(
          "gif",
          FormatWords.Group.WEB,
          "GIF",
          "GIF",
          "For mail and chat: 256 colours at most, hard edges",
          "gif",
          "image/gif");

  private static final NumberOption COLOURS = NumberOption.whole("colours", "Colours", 2, 256, 256);

  private static final ChoiceOption DITHER =
      ChoiceOption.of(
          "dither", "Mixed colours", "even", "Even pattern", "soft", "Soft", "none", "None");

  /** The highest rate that browsers play, frames per second. */
  private static final int FASTEST = 50;

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    List<ExportOption> out =
        new ArrayList<>(List.of(FrameOptions.SIZE, COLOURS, DITHER, FrameOptions.LOOPS));
    out.addAll(FrameOptions.RANGE);
    out.add(FrameOptions.SAMPLES);
    out.add(FrameOptions.GROUND);
    return out;
  }

  /** Every frame, every second and so on: as many as a GIF can show in time. */
  private static FrameRange range(Scene scene, ExportOptions options) {
    FrameRange asked = FrameOptions.range(scene, options);
    FrameRate shown = asked.shown();
    int fewer = (int) Math.ceil(shown.perSecond() / FASTEST);
    int every = asked.every() * Math.max(1, fewer);
    return new FrameRange(asked.rate(), asked.first(), asked.last(), every);
  }

  @Override
  public int frames(Scene scene, ExportOptions options) {
    return range(scene, options).count();
  }

  @Override
  public int images() {
    return VideoWriter.LEAST_AHEAD + 1;
  }

  @Override
  public String unsupportedReason(Scene scene, ExportOptions options) {
    return FrameOptions.outOfRange(scene, options);
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    FrameRange asked = FrameOptions.range(scene, options);
    int fewer = range(scene, options).every() / asked.every();
    return fewer == 1
        ? null
        : "Browsers play a GIF at "
            + FASTEST
            + " frames a second at most: one of "
            + fewer
            + " frames is taken. It lasts as long.";
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    FrameRange range = range(scene.scene(), options);
    double scale = FrameOptions.scale(options);
    Take take = new Take(scene, bitmaps, range, scale, Raster.Pixels.ALPHA, false);
    Path sample = Files.createTempFile("roving-colours", ".png");
    try {
      Files.write(sample, ContactSheet.of(take, () -> progress.done(0)));
      VideoWriter.write(
          take,
          Encoding.gif(
              sample.toString(),
              (int) options.number(COLOURS),
              dither(options.choice(DITHER)),
              (int) options.number(FrameOptions.LOOPS)),
          out,
          progress);
    } finally {
      Files.deleteIfExists(sample);
    }
  }

  private static String dither(String word) {
    return switch (word) {
      case "none" -> "dither=none";
      case "soft" -> "dither=sierra2_4a";
      default -> "dither=bayer:bayer_scale=3";
    };
  }
}
