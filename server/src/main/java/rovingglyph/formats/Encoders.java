package rovingglyph.formats;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;

/** Which encoders the ffmpeg of this machine has. */
final class Encoders {
  /** Asked once: a program does not change while the server runs. */
  private static Set<String> known;

  private Encoders() {}

  /** Whether it has an encoder; true where that cannot be found out, so that it is tried. */
  static synchronized boolean has(String encoder) {
    if (known == null) {
      known = ask();
    }
    return known.isEmpty() || known.contains(encoder);
  }

  private static Set<String> ask() {
    Set<String> out = new HashSet<>();
    try {
      Process p =
          new ProcessBuilder("ffmpeg", "-hide_banner", "-loglevel", "error", "-encoders")
              .redirectError(ProcessBuilder.Redirect.DISCARD)
              .start();
      String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      // Six letters for what it can, its name, and what it is.
      said.lines()
          .map(l -> l.trim().split("\\s+"))
          .filter(w -> w.length > 1 && w[0].length() == 6)
          .forEach(w -> out.add(w[1]));
    } catch (IOException e) {
      // Whoever needs it is told that ffmpeg is missing when it is run.
      return Set.of();
    }
    return out;
  }
}
