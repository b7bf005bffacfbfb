package rovingglyph.scene;

import java.util.Map;

/**
 * How some of the letters differ from the rest.
 *
 * @param match the word that {@code WORD} looks for, whatever its case; for others unused
 * @param every takes every n-th of what it counts, at least 1
 * @param from the first that is taken, counted from 1
 * @param fill 0xRRGGBB, or null for the lettering's own
 * @param axes of a variable face by tag; missing ones keep the lettering's
 * @param size in percent of the lettering's
 */
public record LetterRule(
    By by,
    String match,
    int every,
    int from,
    Integer fill,
    Map<String, Double> axes,
    double size,
    UnknownFields extras) {

  /** What is counted or looked for. Words and letters are counted through all phrases. */
  public enum By {
    /** A word by its letters. */
    WORD,
    /** Words by their number. */
    WORDS,
    /** Phrases by their number. */
    PHRASES,
    /** Letters by their number, without spaces. */
    LETTERS,
    /** The first letter of words by their number. */
    INITIALS,
    CAPITALS,
    DIGITS,
    PUNCTUATION,
    /** What stands between phrases. */
    SEPARATORS
  }
}
