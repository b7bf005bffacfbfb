package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.lottie.LottieFile;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.EmbeddedImages;
import rovingglyph.render.FrameRange;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;

/** Moving outlines in the open format of apps and web players. */
final class LottieFormat implements ExportFormat {
  private static final FormatWords WORDS =
      new FormatWords(
          "lottie",
          FormatWords.Group.WEB,
          "Lottie",
          "Lottie",
          "For apps and web players: outlines and their motion, as JSON",
          "json",
          "application/json");

  /** Files of longer ones are no longer small. */
  private static final double LONGEST = 120;

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    return List.of(FrameOptions.FROM, FrameOptions.TO, FrameOptions.GROUND);
  }

  @Override
  public int images() {
    return 0;
  }

  @Override
  public String unsupportedReason(Scene scene, ExportOptions options) {
    String range = FrameOptions.outOfRange(scene, options);
    if (range != null) {
      return range;
    }
    double seconds = FrameOptions.range(scene, options).seconds();
    return seconds <= LONGEST
        ? null
        : "Lottie is for short pieces: these frames last "
            + Math.round(seconds)
            + " s. Choose a first and a last frame that are at most "
            + (int) LONGEST
            + " s apart, or a video.";
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    List<String> unsaid = new ArrayList<>();
    if (Unsaid.hasEffects(scene)) {
      unsaid.add("shadows, glows, blurs and soft edges");
    }
    if (Unsaid.hasFootage(scene)) {
      unsaid.add("footage, with what is measured by it or cut out of it");
    }
    if (Unsaid.isBlurred(scene)) {
      unsaid.add("motion blur");
    }
    if (Unsaid.hasPerspective(scene)) {
      unsaid.add("the perspective of pictures and gradients");
    }
    List<String> notes = new ArrayList<>();
    if (!unsaid.isEmpty()) {
      notes.add(
          "Lottie has no words for some of this scene, which is left out: "
              + String.join("; ", unsaid)
              + ".");
    }
    if (Unsaid.isThick(scene)) {
      notes.add(SvgFormat.THIN);
    }
    if (Unsaid.isBlended(scene)) {
      notes.add("Some players leave out blend modes.");
    }
    return notes.isEmpty() ? null : String.join(" ", notes);
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    FrameRange range = FrameOptions.range(scene.scene(), options);
    try (EmbeddedImages images = new EmbeddedImages(scene, bitmaps)) {
      LottieFile.Bitmaps files =
          (index, across, down) -> {
            EmbeddedImages.Encoded e = images.encoded(index, -1, across, down);
            return e == null ? null : new LottieFile.Bitmap(e.address(), e.width(), e.height());
          };
      Files.writeString(
          out, LottieFile.write(scene, range.first(), range.last(), files, () -> progress.done(0)));
    } catch (LottieFile.TooMuch e) {
      throw new IOException(
          "The outlines of this scene change so much that a Lottie file of it would be too large."
              + " Choose fewer frames, fewer letters, or a video.",
          e);
    }
  }
}
