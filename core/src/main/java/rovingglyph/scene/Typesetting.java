package rovingglyph.scene;

import java.util.List;
import java.util.Map;

/**
 * What is made of the characters of a lettering before they are seated.
 *
 * @param features OpenType features by tag: 0 off, 1 on, more for alternates
 * @param phrases how the lines of the text follow each other
 * @param rules for some words or letters, applied in order; later ones win
 * @param rows the same lettering several times over; {@link Rows#ONE} for once
 * @param profiles what changes along the run or the path
 * @param mix how a moving colour goes from one to the next
 */
public record Typesetting(
    Casing casing,
    Map<String, Integer> features,
    Phrases phrases,
    List<LetterRule> rules,
    Rows rows,
    List<Profile> profiles,
    ColourMix mix) {

  public static final Typesetting PLAIN =
      new Typesetting(
          Casing.AS_TYPED,
          Map.of(),
          Phrases.PLAIN,
          List.of(),
          Rows.ONE,
          List.of(),
          ColourMix.OKLCH);

  /** Letter case by the rules of Unicode. */
  public enum Casing {
    AS_TYPED,
    UPPER,
    LOWER,
    TITLE
  }

  /** The space in which colours are mixed: CSS Color 4, sections 9 and 10. */
  public enum ColourMix {
    OKLCH,
    SRGB
  }

  /**
   * Phrases, one after another.
   *
   * @param separator between them; empty for none
   * @param space on either side of the separator, em
   * @param times all of them are set; 0: as often as the room holds
   */
  public record Phrases(String separator, double space, int times, UnknownFields extras) {
    public static final Phrases PLAIN = new Phrases("", 0.25, 1, UnknownFields.NONE);
  }

  /**
   * One lettering as several rows of parallel or moved paths.
   *
   * @param step from row to row, px; parallel rows go to the left of the path, away from its middle
   *     on a closed clockwise one
   * @param direction in which moved rows follow each other, degrees
   * @param phrase by how many phrases each row begins later than the one before
   * @param phase by how many px along the path each row is shifted from the one before
   */
  public record Rows(
      int count,
      Kind kind,
      double step,
      double direction,
      int phrase,
      double phase,
      UnknownFields extras) {
    public static final Rows ONE = new Rows(1, Kind.MOVED, 120, 90, 1, 0, UnknownFields.NONE);

    private Rows scaled(double k) {
      return count == 1
          ? this
          : new Rows(count, kind, step * k, direction, phrase, phase * k, extras);
    }

    /** Copies beside the path at a distance, or copies moved elsewhere. */
    public enum Kind {
      PARALLEL,
      MOVED
    }
  }

  /** The same of letters that are so many times as large. */
  public Typesetting scaled(double k) {
    return new Typesetting(
        casing,
        features,
        phrases,
        rules,
        rows.scaled(k),
        profiles.stream().map(p -> p.scaled(k)).toList(),
        mix);
  }

  /** The same in other rows. */
  public Typesetting with(Rows r) {
    return new Typesetting(casing, features, phrases, rules, r, profiles, mix);
  }
}
