package rovingglyph.scene;

import java.util.List;

/**
 * How the letters of a lettering come and go, and the line under them; each null for none.
 *
 * @param recipes that wrote motion: at most one that travels and one that shows
 * @param blur own shutter angle for motion blur in degrees; null for the scene's
 */
public record Showing(
    Reveal reveal, ClockSweep sweep, Trail trail, List<Recipe> recipes, Double blur) {
  public static final Showing PLAIN = new Showing(null, null, null, List.of(), null);

  public Showing with(Reveal r) {
    return new Showing(r, sweep, trail, recipes, blur);
  }

  public Showing with(ClockSweep s) {
    return new Showing(reveal, s, trail, recipes, blur);
  }

  public Showing with(List<Recipe> all) {
    return new Showing(reveal, sweep, trail, List.copyOf(all), blur);
  }
}
