package rovingglyph.shaping;

import java.text.BreakIterator;
import java.util.Locale;
import rovingglyph.scene.Typesetting;

/** Letter case by the rules of Unicode, section 3.13, of no particular language. */
final class Cased {
  private Cased() {}

  static String of(String text, Typesetting.Casing casing) {
    return switch (casing) {
      case AS_TYPED -> text;
      case UPPER -> text.toUpperCase(Locale.ROOT);
      case LOWER -> text.toLowerCase(Locale.ROOT);
      case TITLE -> titled(text);
    };
  }

  /** The first letter of every word in title case, the others lower. */
  private static String titled(String text) {
    StringBuilder out = new StringBuilder();
    BreakIterator words = BreakIterator.getWordInstance(Locale.ROOT);
    words.setText(text);
    int start = words.first();
    for (int end = words.next(); end != BreakIterator.DONE; start = end, end = words.next()) {
      String word = text.substring(start, end);
      int first = word.offsetByCodePoints(0, 1);
      String head = word.substring(0, first);
      String upper = head.toUpperCase(Locale.ROOT);
      // A letter such as the sharp s has capitals of two letters; only the first stays one.
      boolean grows = upper.codePointCount(0, upper.length()) > 1;
      String title =
          grows
              ? upper.substring(0, 1) + upper.substring(1).toLowerCase(Locale.ROOT)
              : new String(Character.toChars(Character.toTitleCase(head.codePointAt(0))));
      out.append(title).append(word.substring(first).toLowerCase(Locale.ROOT));
    }
    return out.toString();
  }
}
