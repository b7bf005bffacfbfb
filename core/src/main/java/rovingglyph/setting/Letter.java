package rovingglyph.setting;

import java.util.List;
import rovingglyph.type.Cluster;
import rovingglyph.type.ShapedRun;

/**
 * A cluster of the set text, with what rules make of it.
 *
 * @param run where its outlines are
 * @param outlineBase index of the run's first outline among the scene's
 * @param fill 0xRRGGBB by a rule, or null for the lettering's own
 * @param scale by rules, 1 for the lettering's own size
 * @param axes how its outline and advance change with each axis that moves
 */
public record Letter(
    Cluster cluster,
    ShapedRun run,
    int outlineBase,
    Integer fill,
    double scale,
    List<AxisSamples> axes) {

  static Letter gap(double em, ShapedRun run) {
    return new Letter(Cluster.gap(em), run, 0, null, 1, List.of());
  }

  public boolean isSpace() {
    return cluster.isSpace();
  }
}
