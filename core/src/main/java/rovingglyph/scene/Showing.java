package rovingglyph.scene;

/**
 * How the letters of a lettering come and go, and the line under them; each null for none.
 *
 * @param blur own shutter angle for motion blur in degrees; null for the scene's
 */
public record Showing(Reveal reveal, ClockSweep sweep, Trail trail, Double blur) {
  public static final Showing PLAIN = new Showing(null, null, null, null);

  public Showing with(Reveal r) {
    return new Showing(r, sweep, trail, blur);
  }

  public Showing with(ClockSweep s) {
    return new Showing(reveal, s, trail, blur);
  }
}
