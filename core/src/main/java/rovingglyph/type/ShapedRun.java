package rovingglyph.type;

import java.util.List;

/**
 * A shaped text in visual order, left to right.
 *
 * @param text as it was set, its case changed
 * @param clusters in visual order
 * @param outlines the outlines their glyphs name by index
 * @param ascent of the asked face, em above the baseline
 * @param descent em below the baseline, positive
 * @param xHeight height of a letter x of the asked face, em
 * @param capHeight height of the capitals, or of ascenders where these are higher, em
 * @param faceMissing whether there is no such face, and the fallback stands in for all of it
 * @param rightToLeft whether the text reads from its right end
 */
public record ShapedRun(
    String text,
    List<Cluster> clusters,
    List<Outline> outlines,
    double ascent,
    double descent,
    double xHeight,
    double capHeight,
    boolean rightToLeft,
    boolean faceMissing) {}
