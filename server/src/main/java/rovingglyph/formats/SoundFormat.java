package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.render.SoundWriter;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Soundtrack;

/** What is heard, without loss. */
final class SoundFormat implements ExportFormat {
  private static final FormatWords WORDS =
      new FormatWords(
          "wav",
          FormatWords.Group.WORDS,
          "Sound",
          "sound",
          "WAV: what is heard in the scene, without loss",
          "wav",
          "audio/wav");

  @Override
  public FormatWords words() {
    return WORDS;
  }

  @Override
  public List<ExportOption> options() {
    return List.of(FrameOptions.FROM, FrameOptions.TO);
  }

  @Override
  public int images() {
    return 0;
  }

  @Override
  public String unsupportedReason(Scene scene, ExportOptions options) {
    return Soundtrack.of(scene).isEmpty()
        ? "Nothing is heard in this scene: it has no footage with sound."
        : FrameOptions.outOfRange(scene, options);
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    SoundWriter.write(
        scene.scene(), bitmaps, FrameOptions.range(scene.scene(), options), out, progress);
  }
}
