package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import rovingglyph.captions.Caption;
import rovingglyph.captions.Captions;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Scene;

/** The words with the times at which they can be read, for those who cannot see them. */
record CaptionFormat(FormatWords words, Function<List<Caption>, String> text)
    implements ExportFormat {

  static final CaptionFormat WEB_VTT =
      new CaptionFormat(
          new FormatWords(
              "vtt",
              FormatWords.Group.WORDS,
              "Captions, WebVTT",
              "captions",
              "The words and when they can be read, for video on web pages",
              "vtt",
              "text/vtt"),
          Captions::webVtt);

  static final CaptionFormat SUB_RIP =
      new CaptionFormat(
          new FormatWords(
              "srt",
              FormatWords.Group.WORDS,
              "Captions, SRT",
              "SRT captions",
              "The same for players and edits",
              "srt",
              "application/x-subrip"),
          Captions::subRip);

  @Override
  public int images() {
    return 0;
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    return scene.insets().isEmpty()
        ? null
        : "The words of scenes shown within this one are not among them: make theirs from those"
            + " scenes.";
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    Files.writeString(out, text.apply(Captions.of(scene)));
  }
}
