package rovingglyph.exports;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import rovingglyph.formats.FileNames;
import rovingglyph.server.RefusedException;

/**
 * How files are called: words in braces stand for what is known of a file. What no system takes in
 * a name becomes a hyphen.
 */
record NamePattern(String text) {
  static final NamePattern USUAL = new NamePattern("{scene}-{date}-{time}");

  /** What words in braces may be. */
  static final List<String> WORDS =
      List.of("project", "scene", "format", "size", "date", "time", "number");

  /** The longest name without its end, UTF-16 units: systems take 255 bytes. */
  private static final int LONGEST = 80;

  private static final int LONGEST_PATTERN = 200;
  private static final Pattern WORD = Pattern.compile("\\{([^{}]*)\\}");

  /** What is known of a file; {@code number} counts those of a project from 1. */
  record Facts(
      String project, String scene, String format, String size, Instant asked, int number) {
    private Map<String, String> words() {
      DateTimeFormatter zone =
          DateTimeFormatter.ofPattern("HHmmss").withZone(ZoneId.systemDefault());
      return Map.of(
          "project",
          project,
          "scene",
          scene,
          "format",
          format,
          "size",
          size,
          "date",
          DateTimeFormatter.ISO_LOCAL_DATE.withZone(ZoneId.systemDefault()).format(asked),
          "time",
          zone.format(asked),
          "number",
          String.format("%03d", number));
    }
  }

  /**
   * A pattern that somebody wrote.
   *
   * @throws RefusedException if it holds a word that is not known, is empty or too long
   */
  static NamePattern checked(String text) {
    if (text.isBlank() || text.length() > LONGEST_PATTERN) {
      throw RefusedException.bad("fileNames: takes 1 to " + LONGEST_PATTERN + " characters");
    }
    Matcher m = WORD.matcher(text);
    while (m.find()) {
      if (!WORDS.contains(m.group(1))) {
        throw RefusedException.bad(
            "fileNames: {"
                + m.group(1)
                + "} is not known; there are {"
                + String.join("}, {", WORDS)
                + "}");
      }
    }
    return new NamePattern(text.strip());
  }

  /** The name of a file without its end. */
  String name(Facts facts) {
    Map<String, String> words = facts.words();
    String filled =
        WORD.matcher(text)
            .replaceAll(m -> Matcher.quoteReplacement(words.getOrDefault(m.group(1), "")));
    String plain = FileNames.plain(filled);
    int end =
        plain.offsetByCodePoints(0, Math.min(LONGEST, plain.codePointCount(0, plain.length())));
    return plain.substring(0, end);
  }
}
