package rovingglyph.scene;

/**
 * Back-and-forth motion without keyframes.
 *
 * @param amplitude to either side, in the channel's unit
 * @param period in seconds, above 0
 * @param phase in degrees: where in its period it begins
 * @param seed of the noise
 */
public record Sway(
    double amplitude, double period, double phase, Shape shape, int seed, Extras extras) {
  /** Noise repeats after eight periods, and is smooth. */
  public enum Shape {
    SINE,
    TRIANGLE,
    NOISE
  }

  /** The offset at a time in seconds. */
  public double at(double time) {
    double turns = time / period + phase / 360;
    return amplitude
        * switch (shape) {
          case SINE -> Math.sin(2 * Math.PI * turns);
          case TRIANGLE -> triangle(turns);
          case NOISE -> noise(turns);
        };
  }

  /** From 0 up to 1, down to -1 and back, in straight lines. */
  private static double triangle(double turns) {
    double u = turns + 0.25 - Math.floor(turns + 0.25);
    return u < 0.5 ? 4 * u - 1 : 3 - 4 * u;
  }

  private double noise(double turns) {
    double whole = Math.floor(turns);
    double u = turns - whole;
    double soft = u * u * (3 - 2 * u);
    int cell = (int) (whole - 8 * Math.floor(whole / 8));
    double a = Chance.value(seed, cell);
    double b = Chance.value(seed, (cell + 1) % 8);
    return a + (b - a) * soft;
  }
}
