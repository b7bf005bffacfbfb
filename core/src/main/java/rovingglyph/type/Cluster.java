package rovingglyph.type;

import java.util.List;

/**
 * Characters that are shaped, placed and turned as one: a letter with its marks, a ligature.
 *
 * @param text its characters
 * @param advance in em, without tracking
 * @param glyphs in paint order
 * @param borrowed name of the fallback face it is drawn in; empty where the asked face has it
 * @param missing true where no shipped face has the characters and a box stands in for them
 */
public record Cluster(
    String text, double advance, List<Glyph> glyphs, String borrowed, boolean missing) {

  /** A glyph: index into the run's outlines, and its offset from the cluster's origin in em. */
  public record Glyph(int outline, double dx, double dy) {}
}
