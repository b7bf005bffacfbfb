package rovingglyph.formats;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipFile;

/** Moving files as other people's readers take them apart. */
final class Decoded {
  private Decoded() {}

  /**
   * All frames one after another, each pixel blue, green, red, alpha.
   *
   * @param before what ffmpeg is told before the file
   */
  static byte[] pixels(Path file, List<String> before) throws IOException {
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error"));
    command.addAll(before);
    command.addAll(List.of("-i", file.toString(), "-f", "rawvideo", "-pix_fmt", "bgra"));
    command.addAll(List.of("-sws_flags", "accurate_rnd+full_chroma_int"));
    command.addAll(List.of("-fps_mode", "passthrough", "pipe:1"));
    return said(command);
  }

  /** What ffprobe says of its frames and streams, with commas between. */
  static String probed(Path file, String entries) throws IOException {
    byte[] said =
        said(
            List.of(
                "ffprobe",
                "-v",
                "error",
                "-count_frames",
                "-show_entries",
                entries,
                "-of",
                "csv=p=0",
                file.toString()));
    return new String(said, StandardCharsets.UTF_8).strip();
  }

  /** The checksums of what is in a ZIP, by the names. */
  static Map<String, Long> entries(Path zip) throws IOException {
    Map<String, Long> out = new TreeMap<>();
    try (ZipFile file = new ZipFile(zip.toFile())) {
      file.stream().forEach(e -> out.put(e.getName(), e.getCrc()));
    }
    return out;
  }

  private static byte[] said(List<String> command) throws IOException {
    Process p = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    return p.getInputStream().readAllBytes();
  }
}
