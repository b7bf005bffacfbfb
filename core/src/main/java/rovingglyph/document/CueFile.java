package rovingglyph.document;

import java.util.ArrayList;
import java.util.List;

/** Times and texts of WebVTT files (W3C, section 4) and of SRT files, which are much alike. */
public final class CueFile {
  /** A cue: when it begins in seconds, and the first line of its text. */
  public record Entry(double start, String text) {}

  private static final int MOST = 1000;
  private static final int LONGEST = 200;

  private CueFile() {}

  /**
   * Reads a file.
   *
   * @throws IllegalArgumentException with the line that is not understood
   */
  public static List<Entry> read(String file) {
    String[] lines = file.replace("\uFEFF", "").split("\r\n|\n|\r", -1);
    List<Entry> out = new ArrayList<>();
    boolean vtt = lines.length > 0 && lines[0].startsWith("WEBVTT");
    for (int i = vtt ? 1 : 0; i < lines.length; i++) {
      String line = lines[i].strip();
      if (line.startsWith("NOTE") || line.equals("STYLE") || line.equals("REGION")) {
        while (i + 1 < lines.length && !lines[i + 1].isBlank()) {
          i++;
        }
      } else if (line.contains("-->")) {
        double start = time(line.substring(0, line.indexOf("-->")).strip(), i);
        String end = line.substring(line.indexOf("-->") + 3).strip();
        time(end.split("\\s+")[0], i);
        String text = i + 1 < lines.length ? lines[i + 1].strip() : "";
        out.add(new Entry(start, plain(text, out.size())));
        while (i + 1 < lines.length && !lines[i + 1].isBlank()) {
          i++;
        }
      } else if (!line.isEmpty() && !introduces(lines, i)) {
        throw broken(i, "neither a time nor the name of a cue");
      }
    }
    if (out.isEmpty()) {
      throw new IllegalArgumentException("There is no cue in this file: WebVTT and SRT are read");
    }
    if (out.size() > MOST) {
      throw new IllegalArgumentException("There are more than " + MOST + " cues in this file");
    }
    return out;
  }

  /** A number or a name stands right before the times. */
  private static boolean introduces(String[] lines, int i) {
    return i + 1 < lines.length && lines[i + 1].contains("-->");
  }

  private static IllegalArgumentException broken(int line, String what) {
    return new IllegalArgumentException("Line " + (line + 1) + " of the cue file is " + what);
  }

  private static String plain(String text, int index) {
    String bare = text.replaceAll("<[^>]*>", "").replace("\0", "").strip();
    String name = bare.isEmpty() ? "Cue " + (index + 1) : bare;
    return name.length() > LONGEST ? name.substring(0, LONGEST) : name;
  }

  /** {@code hh:mm:ss.mmm}, {@code mm:ss.mmm}, or with a comma as SRT has it. */
  private static double time(String text, int line) {
    String[] parts = text.replace(',', '.').split(":", -1);
    double seconds = 0;
    if (parts.length < 2 || parts.length > 3) {
      throw broken(line, "no time such as 00:01:02.500: \"" + text + "\"");
    }
    for (String p : parts) {
      double n;
      try {
        n = Double.parseDouble(p);
      } catch (NumberFormatException e) {
        throw broken(line, "no time such as 00:01:02.500: \"" + text + "\"");
      }
      if (!(n >= 0 && n < 1000)) {
        throw broken(line, "no time such as 00:01:02.500: \"" + text + "\"");
      }
      seconds = seconds * 60 + n;
    }
    return seconds;
  }
}
