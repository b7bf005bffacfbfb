package rovingglyph.scene;

/**
 * How a lettering sits on its path; lengths in px. Its moving values are among the lettering's.
 *
 * @param ends null follows the path: closed contours come round, open ones go straight on
 * @param seamGap room kept free at the join of a closed path
 * @param evenSpacing whether advances are kept true at half the x-height instead of on the baseline
 * @param leastGap that neighbouring outlines keep from each other; 0 leaves them
 * @param reshape what a path offset keeps when the path is edited
 * @param pin distance along the path's own direction that is the resting point, in place of the
 *     room's; null for none. It stays on its spot of the path when another part is edited.
 * @param corners how letters turn at corners of the path
 * @param baseline which line of the letters runs along the path
 */
public record Seat(
    TextAnchor align,
    Side side,
    Orientation orientation,
    GlyphMethod method,
    EndRule ends,
    Fit fit,
    SpreadBy spreadBy,
    Overlong overlong,
    double seamGap,
    boolean evenSpacing,
    double leastGap,
    Reshape reshape,
    Double pin,
    Corners corners,
    Baseline baseline,
    UnknownFields extras) {

  /** At the start of the path, on its left, turning with it. */
  public static final Seat AT_START =
      new Seat(
          TextAnchor.START,
          Side.LEFT,
          Orientation.TURN,
          GlyphMethod.RIGID,
          null,
          Fit.NATURAL,
          SpreadBy.LETTERS,
          Overlong.ON,
          0,
          false,
          0,
          Reshape.KEEP_SHARE,
          null,
          Corners.BLEND,
          Baseline.ALPHABETIC,
          UnknownFields.NONE);

  /** Which part of the text meets the resting point (SVG text-anchor). */
  public enum TextAnchor {
    START,
    MIDDLE,
    END
  }

  /** Which side of the path; right is the same on the reversed contour (SVG side). */
  public enum Side {
    LEFT,
    RIGHT
  }

  /** How letters turn: with the path, not at all, or all to one angle. */
  public enum Orientation {
    TURN,
    UPRIGHT,
    FIXED
  }

  /** Whether letters are moved as they are or curved with the line (SVG method). */
  public enum GlyphMethod {
    RIGID,
    BENT
  }

  /** What happens past an end of the path: straight on, cut off, come round. */
  public enum EndRule {
    CONTINUE,
    CUT,
    WRAP
  }

  /** How the text fills its room. */
  public enum Fit {
    /** As long as it is. */
    NATURAL,
    /** Equal extra space between letters or words. */
    SPREAD,
    /** Letters and advances scaled along the path. */
    STRETCH,
    /** The type size. */
    SCALE,
    /** As many times as fit, the rest shared out evenly. */
    REPEAT
  }

  /** Where spread puts its space. */
  public enum SpreadBy {
    LETTERS,
    WORDS
  }

  /** What becomes of text that is longer than its room. */
  public enum Overlong {
    /** It goes on, past an end or under itself. */
    ON,
    /** What is too much is left out. */
    CUT,
    /** The type size shrinks until it fits. */
    SHRINK,
    /** On a path that comes round as much as fits is seen, and the rest waits its turn. */
    THROUGH
  }

  /** How a letter astride a corner turns. */
  public enum Corners {
    /** By the mean direction over its own advance: letters swing round the corner. */
    BLEND,
    /** As the path does at the middle of its advance (SVG 2, section 11.8.3). */
    EXACT
  }

  /** The line of the letters that runs along the path (CSS dominant-baseline). */
  public enum Baseline {
    /** On which they stand. */
    ALPHABETIC,
    /** Half as high as capitals. */
    CENTRAL,
    /** As high as capitals: letters hang from the path. */
    HANGING
  }

  /** The share of the path's length, or the distance in px. */
  public enum Reshape {
    KEEP_SHARE,
    KEEP_DISTANCE
  }

  /** The seat with another part of the text at the resting point. */
  public Seat aligned(TextAnchor newAlign) {
    return with(newAlign, side, seamGap, leastGap, pin);
  }

  /** The seat with another resting point, px along the path; null for that of the room. */
  public Seat pinned(Double newPin) {
    return with(align, side, seamGap, leastGap, newPin);
  }

  /** The seat of a lettering that is so many times as large, with its path. */
  public Seat scaled(double k) {
    return with(align, side, seamGap * k, leastGap * k, pin == null ? null : pin * k);
  }

  /** The seat on the other side, or on the same. */
  public Seat on(Side newSide) {
    return with(align, newSide, seamGap, leastGap, pin);
  }

  /** The seat with another distance that outlines keep, px. */
  public Seat apart(double gap) {
    return with(align, side, seamGap, gap, pin);
  }

  private Seat with(
      TextAnchor newAlign, Side newSide, double newSeamGap, double newLeastGap, Double newPin) {
    return new Seat(
        newAlign,
        newSide,
        orientation,
        method,
        ends,
        fit,
        spreadBy,
        overlong,
        newSeamGap,
        evenSpacing,
        newLeastGap,
        reshape,
        newPin,
        corners,
        baseline,
        extras);
  }
}
