package rovingglyph.render;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.Scene;

/** Writes what is heard in a scene. */
public final class SoundWriter {
  private SoundWriter() {}

  /**
   * Writes a WAV file of 48,000 samples a second, 16 bits, in two channels.
   *
   * @throws IOException with what happened and what to do
   */
  public static void write(
      Scene scene, Bitmaps bitmaps, FrameRange range, Path out, Progress progress)
      throws IOException {
    SoundMix mix = SoundMix.of(scene, bitmaps, range);
    if (mix.graph().isEmpty()) {
      throw new IOException("None of the footage in this scene has sound.");
    }
    List<String> command = new ArrayList<>(Ffmpeg.QUIET);
    // The mix counts its inputs from that of the frames, in whose place there is silence.
    command.addAll(List.of("-f", "lavfi", "-i", "anullsrc"));
    command.addAll(mix.inputs());
    command.addAll(List.of("-filter_complex", mix.graph(), "-map", "[heard]"));
    command.addAll(List.of("-c:a", "pcm_s16le", "-f", "wav", out.toString()));
    Ffmpeg.run(command, pipe -> {}, out, progress);
  }
}
