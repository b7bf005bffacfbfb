package rovingglyph.scene;

import java.util.List;

/**
 * How a colour field is filled. Where a gradient begins and ends are values of the field.
 *
 * @param stops of a gradient, by ascending offset; at least two. A plain one keeps them too, for
 *     when it is a gradient again
 */
public record Gradient(Kind kind, List<Stop> stops) {
  /** The most stops of a gradient. */
  public static final int MOST_STOPS = 8;

  /** The kinds of filling. */
  public enum Kind {
    PLAIN,
    LINEAR,
    RADIAL
  }

  /**
   * A colour on the way.
   *
   * @param offset percent of the way, 0 to 100
   * @param colour 0xRRGGBB
   * @param opacity percent, 0 to 100
   */
  public record Stop(double offset, int colour, double opacity, UnknownFields extras) {}
}
