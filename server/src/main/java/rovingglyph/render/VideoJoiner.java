package rovingglyph.render;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import rovingglyph.scene.Scene;

/** Joins the parts of a video as they were encoded, and adds what is heard. */
public final class VideoJoiner {
  private VideoJoiner() {}

  /**
   * Writes the file.
   *
   * @param parts their files, in order
   * @param ranges what each of them shows
   * @param whole what all of them show
   * @throws Progress.Cancelled if cancelled; the file is gone then
   * @throws IOException if ffmpeg fails, with what happened and what to do
   */
  public static void join(
      Scene scene,
      Bitmaps bitmaps,
      List<Path> parts,
      List<FrameRange> ranges,
      FrameRange whole,
      Encoding encoding,
      Path out,
      Progress progress)
      throws IOException {
    Path list = Files.createTempFile("roving-parts", ".txt");
    try {
      Files.writeString(list, list(parts, ranges));
      List<String> command = new ArrayList<>(Ffmpeg.QUIET);
      command.addAll(List.of("-protocol_whitelist", "file", "-f", "concat", "-safe", "0"));
      command.addAll(List.of("-i", list.toString()));
      command.addAll(encoding.wordsForJoining(SoundMix.of(scene, bitmaps, whole)));
      command.add(out.toString());
      Ffmpeg.run(command, pipe -> {}, out, progress);
    } finally {
      Files.deleteIfExists(list);
    }
  }

  /** In ffmpeg's words. It would take how long each is from its container, which rounds that. */
  private static String list(List<Path> parts, List<FrameRange> ranges) {
    StringBuilder out = new StringBuilder("ffconcat version 1.0\n");
    for (int i = 0; i < parts.size(); i++) {
      out.append("file '")
          .append(parts.get(i).toAbsolutePath().toString().replace("'", "'\\''"))
          .append(String.format(Locale.ROOT, "'%nduration %.6f%n", ranges.get(i).seconds()));
    }
    return out.toString();
  }
}
