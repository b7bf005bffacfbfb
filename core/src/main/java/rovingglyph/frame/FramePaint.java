package rovingglyph.frame;

import rovingglyph.geometry.Affine;

/**
 * What an area or a line is painted with. In a display list: the {@link Kind}, alpha, and of a
 * plain paint the colour; of a gradient the six numbers of its map, the count of its stops, and for
 * each its offset, colour and opacity.
 *
 * @param alpha 0 to 1, on top of what the stops have
 * @param rgb 0xRRGGBB of a plain paint
 * @param map of a gradient: linear ones go from (0, 0) to (1, 0) before it, radial ones from the
 *     middle to the rim of the unit circle; null for a plain paint
 * @param offsets of the stops, ascending, 0 to 1; before the first and after the last their colours
 *     go on
 * @param colours of the stops, 0xRRGGBB
 * @param opacities of the stops, 0 to 1; between stops colours are mixed unpremultiplied, as in SVG
 *     and in a canvas
 */
public record FramePaint(
    Kind kind,
    double alpha,
    int rgb,
    Affine map,
    double[] offsets,
    int[] colours,
    double[] opacities) {
  /** The kinds of paint. */
  public enum Kind {
    PLAIN,
    LINEAR,
    RADIAL
  }

  private static final double[] NO_STOPS = {};

  static FramePaint plain(int rgb, double alpha) {
    return new FramePaint(Kind.PLAIN, alpha, rgb, null, NO_STOPS, new int[0], NO_STOPS);
  }

  /** How many numbers a paint takes in a display list. */
  static int size(double[] n, int at) {
    return n[at] == Kind.PLAIN.ordinal() ? 3 : 9 + 3 * (int) n[at + 8];
  }

  static FramePaint read(double[] n, int at) {
    Kind kind = Kind.values()[(int) n[at]];
    if (kind == Kind.PLAIN) {
      return plain((int) n[at + 2], n[at + 1]);
    }
    int count = (int) n[at + 8];
    double[] offsets = new double[count];
    int[] colours = new int[count];
    double[] opacities = new double[count];
    for (int i = 0; i < count; i++) {
      offsets[i] = n[at + 9 + 3 * i];
      colours[i] = (int) n[at + 10 + 3 * i];
      opacities[i] = n[at + 11 + 3 * i];
    }
    Affine map = new Affine(n[at + 2], n[at + 3], n[at + 4], n[at + 5], n[at + 6], n[at + 7]);
    return new FramePaint(kind, n[at + 1], 0, map, offsets, colours, opacities);
  }
}
