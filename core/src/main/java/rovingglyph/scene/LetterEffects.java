package rovingglyph.scene;

import java.util.List;

/**
 * How the letters of a lettering come and go, and the line under them; each null for none.
 *
 * @param recipes that wrote motion: at most one that travels and one that shows
 * @param blur own shutter angle for motion blur in degrees; null for the scene's
 */
public record LetterEffects(
    Reveal reveal, ClockSweep sweep, Trail trail, List<Recipe> recipes, Double blur) {
  public static final LetterEffects PLAIN = new LetterEffects(null, null, null, List.of(), null);

  /** The same of letters that are so many times as large; recipes are left to what they wrote. */
  public LetterEffects scaled(double k) {
    return new LetterEffects(
        reveal == null ? null : reveal.scaled(k),
        sweep,
        trail == null ? null : trail.scaled(k),
        recipes,
        blur);
  }

  /** The same with another reveal; null for none. */
  public LetterEffects with(Reveal r) {
    return new LetterEffects(r, sweep, trail, recipes, blur);
  }

  /** The same with another sweep; null for none. */
  public LetterEffects with(ClockSweep s) {
    return new LetterEffects(reveal, s, trail, recipes, blur);
  }

  /** The same with other recipes. */
  public LetterEffects with(List<Recipe> all) {
    return new LetterEffects(reveal, sweep, trail, List.copyOf(all), blur);
  }
}
