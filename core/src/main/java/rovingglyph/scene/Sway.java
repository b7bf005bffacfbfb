package rovingglyph.scene;

/**
 * Back-and-forth motion without keyframes.
 *
 * @param amplitude to either side, in the channel's unit
 * @param period in seconds, above 0
 * @param phase in degrees: where in its period it begins
 * @param seed of the noise
 * @param loops whether the scene is to hold a whole number of periods, the one nearest to the
 *     period that is asked for, so that the frame after the last is the first again
 * @param span length of the scene in seconds; 0 where it is not known yet
 */
public record Sway(
    double amplitude,
    double period,
    double phase,
    Shape shape,
    int seed,
    boolean loops,
    double span,
    UnknownFields extras) {
  /** The noise of one that does not loop repeats after so many periods. */
  private static final int CELLS = 8;

  /** Noise is smooth. */
  public enum Shape {
    SINE,
    TRIANGLE,
    NOISE
  }

  /** A sway whose period is as it is given. */
  public Sway(
      double amplitude, double period, double phase, Shape shape, int seed, UnknownFields extras) {
    this(amplitude, period, phase, shape, seed, false, 0, extras);
  }

  /** In a scene of so many seconds. */
  public Sway over(double seconds) {
    return new Sway(amplitude, period, phase, shape, seed, loops, seconds, extras);
  }

  /** So many times as far to either side. */
  public Sway times(double factor) {
    return new Sway(amplitude * factor, period, phase, shape, seed, loops, span, extras);
  }

  /** The same, looping or not. */
  public Sway looping(boolean now) {
    return new Sway(amplitude, period, phase, shape, seed, now, span, extras);
  }

  /** How many periods the scene holds, at least one; 0 where that is not to be a whole number. */
  private int whole() {
    return loops && span > 0 ? (int) Math.max(1, Math.min(1e6, Math.rint(span / period))) : 0;
  }

  /** The period that it comes to, in seconds. */
  public double actualPeriod() {
    int n = whole();
    return n > 0 ? span / n : period;
  }

  /** The offset at a time in seconds. */
  public double at(double time) {
    double turns = time / actualPeriod() + phase / 360;
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

  /** A chance value at every whole turn, repeated after {@link #CELLS} or a run of the scene. */
  private double noise(double turns) {
    int cells = whole() > 0 ? whole() : CELLS;
    double whole = Math.floor(turns);
    double u = turns - whole;
    double soft = u * u * (3 - 2 * u);
    int cell = (int) (whole - cells * Math.floor(whole / cells));
    double a = Chance.value(seed, cell);
    double b = Chance.value(seed, (cell + 1) % cells);
    return a + (b - a) * soft;
  }
}
