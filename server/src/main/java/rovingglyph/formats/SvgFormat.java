package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.webexport.WebSvg;

/** An SVG that plays by itself. */
final class SvgFormat implements ExportFormat {
  private static final FormatWords WORDS =
      new FormatWords(
          "svg",
          FormatWords.Group.WEB,
          "Animated SVG",
          "SVG",
          "Plays by itself, outlines only, no font and no script",
          "svg",
          "image/svg+xml");

  static final ChoiceOption FIT =
      ChoiceOption.of(
          "fit", "In its place", "whole", "Seen whole", "fill", "Fills it", "stretch", "Stretched");

  private static final Map<String, String> FITS =
      Map.of("whole", "xMidYMid meet", "fill", "xMidYMid slice", "stretch", "none");

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    return List.of(FIT, FrameOptions.GROUND);
  }

  @Override
  public int images() {
    return 0;
  }

  /** How it sits in its place, in the words of SVG's preserveAspectRatio. */
  static String fit(ExportOptions options) {
    return FITS.get(options.choice(FIT));
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    return notes(scene);
  }

  /** What is told of thick letters where they cannot be moved. */
  static final String THIN =
      "Letters are without their thickness: only their fronts and backs are there, in the same light."
          + " Choose a video or frames to have it.";

  /** What no SVG can show; null if there is nothing. */
  static String notes(Scene scene) {
    List<String> notes = new ArrayList<>();
    if (Unsaid.hasFootage(scene)) {
      notes.add(
          "An SVG cannot hold footage: it is left out, and so is what is measured by it or cut out"
              + " of it. Choose a video or frames to have it.");
    }
    if (Unsaid.hasPerspective(scene)) {
      notes.add(
          "What is pinned to four corners or lies in a turned plane is seen in browsers only.");
    }
    if (Unsaid.isThick(scene)) {
      notes.add(THIN);
    }
    if (Unsaid.isTurnedTwice(scene)) {
      notes.add(
          "What is turned within something turned, and what is turned and another item is seen"
              + " through or cut from, is not as on the stage. Choose a video or frames to have it.");
    }
    return notes.isEmpty() ? null : String.join(" ", notes);
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    Files.writeString(out, WebSvg.write(scene, new EmbeddedBitmaps(bitmaps), fit(options)));
  }
}
