package rovingglyph.shaping;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import rovingglyph.server.LimitedProcess;

/**
 * Font files from outside: TTF, OTF, WOFF and WOFF2. Each is taken apart and written anew by the
 * OpenType Sanitizer that browsers use, as a process of its own with limits on time and memory, so
 * that no damaged table ever comes near the shaper.
 */
public final class FontFile {
  /** A font that cannot be used, with the reason in plain words. */
  public static final class Unusable extends Exception {
    Unusable(String message) {
      super(message);
    }
  }

  public static final int LARGEST = 30_000_000;
  private static final int MOST_GLYPHS = 50_000;

  /** 2 GiB of memory and a few seconds of work are plenty for any honest font. */
  private static final LimitedProcess SANITIZER =
      new LimitedProcess(20, 1L << 31, 1 << 27, "opentype-sanitizer");

  private FontFile() {}

  /**
   * The font as a plain OpenType file.
   *
   * @throws Unusable with the reason
   */
  public static byte[] read(byte[] file) throws Unusable, IOException {
    if (file.length > LARGEST) {
      throw new Unusable("The font has more than 30 MB; use a smaller cut of it");
    }
    if (!isFont(file)) {
      throw new Unusable("This is no font: TTF, OTF, WOFF and WOFF2 files can be used");
    }
    Path folder = Files.createTempDirectory("roving-font");
    try {
      Path in = Files.write(folder.resolve("in"), file);
      Path out = folder.resolve("out");
      sanitize(in, out);
      byte[] clean = Files.readAllBytes(out);
      int glyphs = SfntFacts.of(clean).glyphs();
      if (glyphs > MOST_GLYPHS) {
        throw new Unusable(
            "The font has " + glyphs + " glyphs; at most " + MOST_GLYPHS + " are taken");
      }
      return clean;
    } finally {
      for (String name : List.of("in", "out", "said", "failed")) {
        Files.deleteIfExists(folder.resolve(name));
      }
      Files.deleteIfExists(folder);
    }
  }

  private static boolean isFont(byte[] f) {
    if (f.length < 12) {
      return false;
    }
    String magic = new String(f, 0, 4, StandardCharsets.ISO_8859_1);
    return List.of("\0\1\0\0", "OTTO", "true", "wOFF", "wOF2").contains(magic);
  }

  private static void sanitize(Path in, Path out) throws Unusable, IOException {
    LimitedProcess.Result r;
    try {
      r = SANITIZER.run(in.getParent(), List.of("ots-sanitize", in.toString(), out.toString()));
    } catch (LimitedProcess.TooLong e) {
      throw new Unusable("The font takes too long to read; it seems to be damaged");
    }
    if (r.exit() != 0 || !Files.isRegularFile(out)) {
      throw new Unusable(
          "The font is damaged" + reason(String.join("\n", r.said()) + "\n" + r.failed()));
    }
  }

  /** The first complaint: "ERROR: cmap: ..." becomes " (cmap: ...)". */
  private static String reason(String said) {
    return said.lines()
        .filter(l -> l.startsWith("ERROR: "))
        .findFirst()
        .map(l -> " (" + l.substring(7).strip() + ")")
        .orElse("");
  }
}
