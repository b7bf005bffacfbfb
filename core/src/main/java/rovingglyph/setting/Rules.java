package rovingglyph.setting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import rovingglyph.scene.LetterRule;
import rovingglyph.type.Cluster;
import rovingglyph.type.ShapedRun;

/** Which rules take which letters. Words and letters are counted through all phrases, from 1. */
final class Rules {
  private final List<LetterRule> rules;
  private int phrase;
  private int word;
  private int letter;

  Rules(List<LetterRule> rules) {
    this.rules = rules;
  }

  /** For every cluster of the next phrase the rules that take it, in order. */
  List<List<LetterRule>> next(ShapedRun run) {
    phrase++;
    String text = run.text();
    int[] words = new int[text.length() + 1];
    int[] starts = new int[text.length() + 1];
    int start = 0;
    boolean in = false;
    for (int i = 0; i < text.length(); i++) {
      boolean space = Character.isWhitespace(text.charAt(i));
      if (!space && !in) {
        word++;
        start = i;
      }
      in = !space;
      words[i] = word;
      starts[i] = start;
    }
    int[] numbers = letterNumbers(run);
    List<List<LetterRule>> out = new ArrayList<>();
    for (int i = 0; i < run.clusters().size(); i++) {
      Cluster c = run.clusters().get(i);
      List<LetterRule> taken = new ArrayList<>();
      for (LetterRule r : rules) {
        if (takes(r, c, text, words[c.start()], starts[c.start()], numbers[i])) {
          taken.add(r);
        }
      }
      out.add(taken);
    }
    return out;
  }

  /** Letters are counted in reading order, spaces left out. */
  private int[] letterNumbers(ShapedRun run) {
    int n = run.clusters().size();
    int[] out = new int[n];
    Integer[] order = new Integer[n];
    for (int i = 0; i < n; i++) {
      order[i] = i;
    }
    java.util.Arrays.sort(
        order,
        (a, b) -> Integer.compare(run.clusters().get(a).start(), run.clusters().get(b).start()));
    for (int i : order) {
      out[i] = run.clusters().get(i).isSpace() ? 0 : ++letter;
    }
    return out;
  }

  private boolean takes(
      LetterRule r, Cluster c, String text, int wordNumber, int wordStart, int number) {
    if (c.isSpace()) {
      return false;
    }
    int first = c.text().codePointAt(0);
    return switch (r.by()) {
      case WORD -> matches(text, wordStart, r.match());
      case WORDS -> counts(r, wordNumber);
      case PHRASES -> counts(r, phrase);
      case LETTERS -> counts(r, number);
      case INITIALS -> c.start() == wordStart && counts(r, wordNumber);
      case CAPITALS -> Character.isUpperCase(first);
      case DIGITS -> Character.isDigit(first);
      case PUNCTUATION -> isPunctuation(first);
      case SEPARATORS -> false;
    };
  }

  static boolean counts(LetterRule r, int number) {
    return number >= r.from() && (number - r.from()) % r.every() == 0;
  }

  /** A word is compared without the punctuation round it. */
  private static boolean matches(String text, int start, String wanted) {
    int end = start;
    while (end < text.length() && !Character.isWhitespace(text.charAt(end))) {
      end++;
    }
    String word = bare(text.substring(start, end));
    return !word.isEmpty() && word.equals(bare(wanted));
  }

  private static String bare(String word) {
    int from = 0;
    int to = word.length();
    while (from < to && isPunctuation(word.charAt(from))) {
      from++;
    }
    while (to > from && isPunctuation(word.charAt(to - 1))) {
      to--;
    }
    return word.substring(from, to).toLowerCase(Locale.ROOT);
  }

  private static boolean isPunctuation(int codePoint) {
    return switch (Character.getType(codePoint)) {
      case Character.CONNECTOR_PUNCTUATION,
          Character.DASH_PUNCTUATION,
          Character.START_PUNCTUATION,
          Character.END_PUNCTUATION,
          Character.INITIAL_QUOTE_PUNCTUATION,
          Character.FINAL_QUOTE_PUNCTUATION,
          Character.OTHER_PUNCTUATION ->
          true;
      default -> false;
    };
  }
}
