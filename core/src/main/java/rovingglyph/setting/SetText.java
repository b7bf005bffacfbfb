package rovingglyph.setting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Stagger;
import rovingglyph.scene.Typesetting;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;

/** The letters of all phrases of a lettering, once through. */
public final class SetText {
  /** More letters than this are not set in a row, however often they are to be repeated. */
  private static final int MOST_LETTERS = 20_000;

  /**
   * All that it is set from.
   *
   * @param lift how far the letters are moved up from the line they stand on, em
   * @param base index of the first of its outlines among the scene's
   */
  record Source(
      String text,
      Typesetting setting,
      List<RunRequest> requests,
      List<ShapedRun> runs,
      double lift,
      int base) {}

  private final List<List<Letter>> phrases;
  private final List<Letter> separator;
  private final ShapedRun first;
  private final Source source;
  private final Map<String, Row> rows = new HashMap<>();

  /**
   * @param phrases at least one, in the order of the text
   * @param separator with the space on both its sides
   * @param first a run that tells ascent, x-height and direction
   */
  SetText(List<List<Letter>> phrases, List<Letter> separator, ShapedRun first, Source source) {
    this.phrases = phrases;
    this.separator = separator;
    this.first = first;
    this.source = source;
  }

  /** Whether it is what would be set from a source; runs are the same only as objects. */
  boolean isOf(Source other) {
    boolean same =
        source.base == other.base
            && source.lift == other.lift
            && source.text.equals(other.text)
            && source.setting.equals(other.setting)
            && source.requests.equals(other.requests);
    for (int i = 0; same && i < source.runs.size(); i++) {
      same = source.runs.get(i) == other.runs.get(i);
    }
    return same;
  }

  /** Height of the ascenders above the baseline, em. */
  public double ascent() {
    return first.ascent();
  }

  /** Height of small letters without ascenders, em. */
  public double xHeight() {
    return first.xHeight();
  }

  /** How far above the path the line is that the letters stand on, em. */
  public double lift() {
    return source.lift;
  }

  /** Whether another face stands in for the one that was asked for. */
  public boolean faceMissing() {
    return first.faceMissing();
  }

  /** Whether the text runs from right to left. */
  public boolean rightToLeft() {
    return first.rightToLeft();
  }

  /**
   * All phrases one after another, several times over.
   *
   * @param from the phrase that comes first; any whole number, counted round
   * @param times at least 1
   * @param closing whether a separator follows the last phrase too
   */
  public Row row(int from, int times, boolean closing) {
    String key = Math.floorMod(from, phrases.size()) + "," + times + "," + closing;
    return rows.computeIfAbsent(key, k -> make(from, times, closing));
  }

  /** How many letters all phrases have once through. */
  public int letters() {
    return phrases.stream().mapToInt(List::size).sum() + phrases.size() * separator.size();
  }

  private Row make(int from, int asked, boolean closing) {
    List<Letter> out = new ArrayList<>();
    int n = phrases.size();
    int times = Math.max(1, Math.min(asked, MOST_LETTERS / Math.max(1, letters())));
    for (int i = 0; i < n * times; i++) {
      out.addAll(phrases.get(Math.floorMod(from + i, n)));
      if (closing || i < n * times - 1) {
        out.addAll(separator);
      }
    }
    return new Row(List.copyOf(out), rightToLeft());
  }

  /** Letters in a row, with sums over them. */
  public static final class Row {
    private final List<Letter> letters;
    private final double advance;
    private final int spaces;
    private final boolean alike;
    private final boolean rightToLeft;
    private final Map<Stagger, double[]> lags = new HashMap<>();
    private final Map<Reveal.By, double[]> places = new HashMap<>();

    Row(List<Letter> letters, boolean rightToLeft) {
      this.letters = letters;
      this.rightToLeft = rightToLeft;
      this.advance = letters.stream().mapToDouble(l -> l.cluster().advance() * l.scale()).sum();
      this.alike = letters.stream().allMatch(l -> l.axes().isEmpty());
      this.spaces = (int) letters.stream().filter(Letter::isSpace).count();
    }

    /** The letters in reading order. */
    public List<Letter> letters() {
      return letters;
    }

    /**
     * Length in em, with a tracking after every letter and a word spacing at every space, which is
     * nowhere less than nothing wide.
     */
    public double length(double tracking, double wordSpacing) {
      double more = tracking + wordSpacing;
      if (more >= 0) {
        return advance + letters.size() * tracking + spaces * wordSpacing;
      }
      double spaced = 0;
      for (Letter l : letters) {
        double own = l.cluster().advance() * l.scale();
        spaced += l.isSpace() ? Math.max(0, own + more) : own + tracking;
      }
      return spaced;
    }

    /** Where a letter is in the row, in reading order, 0 to 1: the middle of what is counted. */
    public double place(Reveal.By by, int i) {
      return places.computeIfAbsent(by, this::placesOf)[i];
    }

    private double[] placesOf(Reveal.By by) {
      int n = letters.size();
      double[] ends = new double[n];
      double[] starts = new double[n];
      double at = 0;
      boolean inWord = false;
      for (int k = 0; k < n; k++) {
        int i = rightToLeft ? n - 1 - k : k;
        Letter l = letters.get(i);
        boolean space = l.isSpace();
        double width = by == Reveal.By.DISTANCE ? l.cluster().advance() * l.scale() : space ? 0 : 1;
        if (by == Reveal.By.WORDS) {
          width = !space && !inWord ? 1 : 0;
          starts[i] = space || width > 0 ? at : at - 1;
          at += width;
          ends[i] = space ? at : starts[i] + 1;
        } else {
          starts[i] = at;
          at += width;
          ends[i] = at;
        }
        inWord = !space;
      }
      double[] out = new double[n];
      for (int i = 0; i < n; i++) {
        out[i] = at > 0 ? (starts[i] + ends[i]) / 2 / at : 0;
      }
      return out;
    }

    /** The lag of every letter in seconds, in reading order; spaces are not counted. */
    public double[] lags(Stagger stagger) {
      return lags.computeIfAbsent(stagger, this::lagsOf);
    }

    private double[] lagsOf(Stagger stagger) {
      int n = letters.size();
      double[] counted = stagger.lags(n - spaces);
      double[] out = new double[n];
      int k = 0;
      for (int i = 0; i < n; i++) {
        int at = rightToLeft ? n - 1 - i : i;
        boolean space = letters.get(at).isSpace();
        out[at] = counted.length == 0 ? 0 : counted[Math.min(k, counted.length - 1)];
        k += space ? 0 : 1;
      }
      return out;
    }

    /** Whether no letter changes its shape or advance. */
    public boolean alike() {
      return alike;
    }

    /** How many places between words there are. */
    public int spaces() {
      return spaces;
    }
  }
}
