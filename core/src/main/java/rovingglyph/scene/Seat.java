package rovingglyph.scene;

/**
 * How a lettering sits on its path; lengths in px.
 *
 * @param ends null follows the path: closed contours come round, open ones go straight on
 */
public record Seat(
    TextAnchor align,
    Side side,
    Orientation orientation,
    EndRule ends,
    Movable pathOffset,
    Movable startMargin,
    Movable endMargin,
    Movable baselineShift,
    Extras extras) {

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
}
