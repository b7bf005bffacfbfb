package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;
import rovingglyph.server.LimitedProcess;

/** One frame as outlines, made from the SVG still by librsvg. One px is a 96th of an inch. */
final class PdfFormat implements ExportFormat {
  private static final FormatWords WORDS =
      new FormatWords(
          "pdf",
          FormatWords.Group.STILLS,
          "PDF",
          "PDF",
          "One frame as outlines, for print and proofs",
          "pdf",
          "application/pdf");

  private static final LimitedProcess RSVG =
      new LimitedProcess(60, 2L << 30, 1L << 30, "librsvg2-bin");

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    return List.of(FrameOptions.AT, FrameOptions.GROUND);
  }

  @Override
  public int images() {
    return 0;
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    boolean filtered =
        scene.items().values().stream().anyMatch(i -> !i.properties().effects().isEmpty());
    return filtered ? "What is blurred, glows or has a shadow stands in a PDF as pixels." : null;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    Path folder = Files.createTempDirectory("roving-pdf");
    try {
      String svg = SvgStillFormat.document(scene, bitmaps, options.number(FrameOptions.AT));
      Files.writeString(folder.resolve("still.svg"), svg);
      String target = out.toAbsolutePath().toString();
      LimitedProcess.Result done =
          RSVG.run(
              folder,
              List.of("rsvg-convert", "--unlimited", "-f", "pdf", "-o", target, "still.svg"));
      if (done.exit() != 0) {
        throw new IOException("The PDF could not be made: " + done.failed().strip());
      }
    } catch (LimitedProcess.TooLong e) {
      throw new IOException(
          "The PDF took too long. Take fewer effects, or an SVG or PNG still.", e);
    } finally {
      try (Stream<Path> left = Files.list(folder)) {
        for (Path p : left.toList()) {
          Files.delete(p);
        }
      }
      Files.delete(folder);
    }
  }
}
