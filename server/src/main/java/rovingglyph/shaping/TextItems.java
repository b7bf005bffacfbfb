package rovingglyph.shaping;

import java.text.Bidi;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Splits a text into stretches of one direction and one face, in visual order. */
final class TextItems {
  /** A stretch of the text, by UTF-16 index. */
  record Item(int start, int end, boolean rightToLeft, FontInstance font, boolean missing) {}

  private static final Pattern GRAPHEME = Pattern.compile("\\X");

  private TextItems() {}

  /**
   * The text with what cannot be set on a line replaced, character by character: controls by
   * spaces, unpaired surrogates by U+FFFD.
   */
  static String settable(String text) {
    StringBuilder out = new StringBuilder(text);
    for (int i = 0; i < out.length(); i++) {
      char c = out.charAt(i);
      boolean pair =
          Character.isHighSurrogate(c)
              && i + 1 < out.length()
              && Character.isLowSurrogate(out.charAt(i + 1));
      if (pair) {
        i++;
      } else if (Character.isSurrogate(c)) {
        out.setCharAt(i, '\uFFFD');
      } else if (Character.isISOControl(c) || c == '\u2028' || c == '\u2029') {
        out.setCharAt(i, ' ');
      }
    }
    return out.toString();
  }

  /** Whether a text as a whole reads from the right, by its first strong character. */
  static boolean rightToLeft(String text) {
    return !text.isEmpty()
        && !new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight();
  }

  /** The fonts to choose from for the characters of a text. */
  interface Fonts {
    /** The first one that has all of a grapheme; null if none has. */
    FontInstance covering(String grapheme);

    /** Where none has them. */
    FontInstance last();
  }

  static List<Item> of(String text, Fonts fonts) {
    List<Item> out = new ArrayList<>();
    if (text.isEmpty()) {
      return out;
    }
    Bidi bidi = new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
    int runs = bidi.getRunCount();
    byte[] levels = new byte[runs];
    Integer[] order = new Integer[runs];
    for (int i = 0; i < runs; i++) {
      levels[i] = (byte) bidi.getRunLevel(i);
      order[i] = i;
    }
    Bidi.reorderVisually(levels, 0, order, 0, runs);
    for (int run : order) {
      boolean back = bidi.getRunLevel(run) % 2 == 1;
      List<Item> items = byFace(text, bidi.getRunStart(run), bidi.getRunLimit(run), back, fonts);
      if (back) {
        java.util.Collections.reverse(items);
      }
      out.addAll(items);
    }
    return out;
  }

  private static List<Item> byFace(String text, int start, int end, boolean back, Fonts fonts) {
    List<Item> out = new ArrayList<>();
    Matcher m = GRAPHEME.matcher(text).region(start, end);
    while (m.find()) {
      FontInstance found = fonts.covering(m.group());
      boolean missing = found == null;
      FontInstance font = missing ? fonts.last() : found;
      Item last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last != null && last.font() == font && last.missing() == missing) {
        out.set(out.size() - 1, new Item(last.start(), m.end(), back, font, missing));
      } else {
        out.add(new Item(m.start(), m.end(), back, font, missing));
      }
    }
    return out;
  }

  static boolean covers(FontInstance font, String grapheme) {
    return grapheme
        .codePoints()
        .allMatch(
            c ->
                Character.getType(c) == Character.FORMAT
                    || (c >= 0xFE00 && c <= 0xFE0F)
                    || font.has(c));
  }
}
