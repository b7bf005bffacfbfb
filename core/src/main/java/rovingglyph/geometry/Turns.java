package rovingglyph.geometry;

/** Angles and other values that come round. */
public final class Turns {
  private Turns() {}

  /**
   * What is left of a value when whole rounds are taken off, at most half a round either way. In
   * place of Turns.rest, which the core compiled for the browser gets wrong.
   */
  public static double rest(double value, double round) {
    return value - round * Math.rint(value / round);
  }
}
