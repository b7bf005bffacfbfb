package rovingglyph.frame;

/**
 * How a line is drawn, as by SVG's properties of that name; its dash offset is 0.
 *
 * @param width in the units of what it follows
 * @param cap 0 butt, 1 round, 2 square
 * @param join 0 round, 1 miter with a limit of {@link #MITER_LIMIT}, 2 bevel
 * @param dash lengths of dashes and gaps by turns, in the same units; empty for a whole line
 */
public record LineStyle(double width, int cap, int join, double[] dash) {
  /** A longer miter is a bevel, as SVG has it where nothing is said. */
  public static final double MITER_LIMIT = 4;

  /** Numbers before the dashes in a display list. */
  static final int HEAD = 4;

  static LineStyle read(double[] n, int at) {
    double[] dash = new double[(int) n[at + 3]];
    System.arraycopy(n, at + HEAD, dash, 0, dash.length);
    return new LineStyle(n[at], (int) n[at + 1], (int) n[at + 2], dash);
  }

  /** The same in smaller or larger units. */
  LineStyle scaled(double k) {
    double[] dashes = new double[dash.length];
    for (int i = 0; i < dash.length; i++) {
      dashes[i] = dash[i] * k;
    }
    return new LineStyle(width * k, cap, join, dashes);
  }

  /** How far it reaches from what it follows: to the corner of a square cap, or of a miter. */
  double reach() {
    return join == 1 ? width / 2 * MITER_LIMIT : width;
  }
}
