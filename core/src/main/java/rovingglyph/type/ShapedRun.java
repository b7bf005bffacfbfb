package rovingglyph.type;

import java.util.List;

/**
 * A shaped text in visual order, left to right.
 *
 * @param clusters in visual order
 * @param outlines the outlines their glyphs name by index
 * @param ascent of the asked face, em above the baseline
 * @param descent em below the baseline, positive
 */
public record ShapedRun(
    List<Cluster> clusters, List<Outline> outlines, double ascent, double descent) {}
