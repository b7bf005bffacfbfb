package rovingglyph.scene;

import java.util.List;

/**
 * The path's own line drawn under a lettering, between the values {@code trailFrom} and {@code
 * trailTo} in percent of the path, or with the lettering.
 *
 * @param colour 0xRRGGBB
 * @param width in px
 * @param dash lengths of dashes and gaps in turn, px; empty for a whole line
 * @param with whether it begins and ends with the lettering
 * @param lead how far it runs ahead of the head then, px; negative: it stays behind
 * @param lag how far it reaches back behind the tail then, px
 */
public record Trail(
    int colour,
    double width,
    List<Double> dash,
    Cap cap,
    boolean with,
    double lead,
    double lag,
    UnknownFields extras) {

  /** What dashes and gaps come to together at least, px. */
  private static final double LEAST_DASHES = 0.5;

  /** The line of a lettering that is so many times as large. */
  public Trail scaled(double k) {
    double sum = dash.stream().mapToDouble(d -> d).sum();
    // Shorter ones than that no document has.
    double by = sum > 0 ? Math.max(k, LEAST_DASHES / sum) : k;
    List<Double> dashes = dash.stream().map(d -> d * by).toList();
    return new Trail(colour, width * k, dashes, cap, with, lead * k, lag * k, extras);
  }

  /** How the line ends (SVG stroke-linecap). */
  public enum Cap {
    BUTT,
    ROUND,
    SQUARE
  }
}
