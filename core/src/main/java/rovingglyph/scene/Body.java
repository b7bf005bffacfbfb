package rovingglyph.scene;

import java.util.List;

/**
 * The letters of a plane have thickness, and are lit. Their fronts stay where they are; how far
 * their backs are behind these, and where the light comes from, are the values {@link #CHANNELS}.
 *
 * @param bevel how their edges are broken
 * @param sides what colour their sides have
 */
public record Body(Bevel bevel, Sides sides, UnknownFields extras) {

  /** How edges are broken, as wide and as deep as {@link Channel#BEVEL}. */
  public enum Bevel {
    /** By one slope. */
    STRAIGHT,

    /** By a quarter of a circle. */
    ROUND
  }

  /** What colour sides have before light falls on them. */
  public enum Sides {
    /** That of their letter. */
    SAME,

    /** That of {@link Channel#SIDE_COLOUR}. */
    COLOURED
  }

  /** The values of letters that have thickness. */
  public static final List<Channel> CHANNELS =
      List.of(
          Channel.THICKNESS,
          Channel.BEVEL,
          Channel.SIDE_COLOUR,
          Channel.LIGHT_FROM,
          Channel.LIGHT_HEIGHT,
          Channel.AMBIENT,
          Channel.WARMTH,
          Channel.EDGE_LIGHT);

  public static final Body PLAIN = new Body(Bevel.STRAIGHT, Sides.SAME, UnknownFields.NONE);

  /** The value of a channel that a document leaves out. */
  public static double start(Channel c) {
    if (c == Channel.THICKNESS) {
      return 12;
    }
    if (c == Channel.SIDE_COLOUR) {
      return 0x625F57;
    }
    if (c == Channel.LIGHT_FROM) {
      return -40;
    }
    return c == Channel.LIGHT_HEIGHT ? 50 : c == Channel.AMBIENT ? 35 : 0;
  }
}
