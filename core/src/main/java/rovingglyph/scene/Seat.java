package rovingglyph.scene;

/**
 * How a lettering sits on its path; lengths in px.
 *
 * @param ends null follows the path: closed contours come round, open ones go straight on
 * @param reshape what a path offset keeps when the path is edited
 * @param pin distance along the path's own direction that is the resting point, in place of the
 *     room's; null for none. It stays on its spot of the path when another part is edited.
 */
public record Seat(
    TextAnchor align,
    Side side,
    Orientation orientation,
    EndRule ends,
    Reshape reshape,
    Double pin,
    Movable pathOffset,
    Movable startMargin,
    Movable endMargin,
    Movable baselineShift,
    Extras extras) {

  /** At the start of the path, on its left, turning with it. */
  public static final Seat AT_START =
      new Seat(
          TextAnchor.START,
          Side.LEFT,
          Orientation.TURN,
          null,
          Reshape.KEEP_SHARE,
          null,
          new Movable(0),
          new Movable(0),
          new Movable(0),
          new Movable(0),
          Extras.NONE);

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

  /** How letters turn. */
  public enum Orientation {
    TURN,
    UPRIGHT
  }

  /** What happens past an end of the path: straight on, cut off, come round. */
  public enum EndRule {
    CONTINUE,
    CUT,
    WRAP
  }

  /** The share of the path's length, or the distance in px. */
  public enum Reshape {
    KEEP_SHARE,
    KEEP_DISTANCE
  }

  /** A copy with another value; channels that are not of the seat change nothing. */
  public Seat with(Channel c, Movable m) {
    return new Seat(
        align,
        side,
        orientation,
        ends,
        reshape,
        pin,
        c == Channel.PATH_OFFSET ? m : pathOffset,
        c == Channel.START_MARGIN ? m : startMargin,
        c == Channel.END_MARGIN ? m : endMargin,
        c == Channel.BASELINE_SHIFT ? m : baselineShift,
        extras);
  }

  public Seat pinned(Double newPin) {
    return new Seat(
        align,
        side,
        orientation,
        ends,
        reshape,
        newPin,
        pathOffset,
        startMargin,
        endMargin,
        baselineShift,
        extras);
  }
}
