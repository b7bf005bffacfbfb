package rovingglyph.formats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.webexport.WebSvg;

/**
 * The animated SVG within a web component, which says when it plays; a page of its own, of which
 * all between two comments is to be copied into another.
 */
public final class SnippetFormat implements ExportFormat {
  private static final FormatWords WORDS =
      new FormatWords(
          "html",
          FormatWords.Group.WEB,
          "Web snippet",
          "snippet",
          "The SVG with a small script: plays when seen, hovered, pressed or with scrolling",
          "html",
          "text/html");

  private static final ChoiceOption PLAYS =
      ChoiceOption.of(
          "plays",
          "Plays",
          "seen",
          "When it is seen",
          "load",
          "At once",
          "hover",
          "Under the pointer",
          "press",
          "When it is pressed",
          "scroll",
          "With scrolling");

  private static final NumberOption SPEED =
      new NumberOption("speed", "Speed", "%", 10, 1000, 100.0, false, false);

  private static final NumberOption TIMES =
      new NumberOption("times", "How often", "times, 0 for ever", 0, 1000, 0.0, true, false);

  private static final String SCRIPT = script();

  private static String script() {
    try (InputStream in = SnippetFormat.class.getResourceAsStream("/snippet/roving-glyph.js")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    return List.of(PLAYS, TIMES, SPEED, SvgFormat.FIT, FrameOptions.GROUND);
  }

  @Override
  public int images() {
    return 0;
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    return SvgFormat.notes(scene);
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    String snippet = snippet(scene, bitmaps, options);
    Files.writeString(
        out,
        "<!doctype html>\n<html lang=\"en\">\n<meta charset=\"utf-8\">\n"
            + "<meta name=\"viewport\" content=\"width=device-width\">\n"
            + "<!-- From here: to be copied into a page. It takes the width of its place. -->\n"
            + snippet
            + "<!-- Up to here. -->\n</html>\n");
  }

  /** What is to be copied into a page. */
  public static String snippet(PreparedScene prepared, Bitmaps bitmaps, ExportOptions options) {
    Scene scene = prepared.scene();
    double frames = scene.rate().timeOf(scene.frameCount());
    double last = scene.rate().timeOf(scene.frameCount() - 1L);
    return "<roving-glyph plays=\""
        + options.choice(PLAYS)
        + "\" times=\""
        + (int) options.number(TIMES)
        + "\" length=\""
        + Decimal.text(frames, 6)
        + "\" last=\""
        + Decimal.text(last, 6)
        + "\" style=\"display:block;--roving-speed:"
        + Decimal.text(options.number(SPEED) / 100, 4)
        + "\">\n"
        // As a line of text it would have room for descenders beneath it.
        + WebSvg.write(prepared, new EmbeddedBitmaps(bitmaps), SvgFormat.fit(options))
            .replaceFirst("<svg ", "<svg style=\"display:block\" ")
        + "</roving-glyph>\n<script>\n"
        + SCRIPT
        + "</script>\n";
  }
}
