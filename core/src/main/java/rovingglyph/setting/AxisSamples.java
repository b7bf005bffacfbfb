package rovingglyph.setting;

import java.util.List;
import rovingglyph.type.Cluster;
import rovingglyph.type.ShapedRun;

/**
 * The same cluster at several values of one axis, in rising order; between them outlines and
 * advances go in straight lines, as a variable font's do between its masters.
 *
 * @param clusters one per value, each with as many glyphs and like outlines
 * @param runs where their outlines are
 */
public record AxisSamples(
    String tag, double[] values, List<Cluster> clusters, List<ShapedRun> runs) {

  /** A place between two samples: the lower one's index, and the share of the way to the next. */
  public record Place(int index, double share) {}

  /** Where a value of the axis lies between two samples; beyond them at the first or last. */
  public Place place(double value) {
    int n = values.length;
    if (value <= values[0]) {
      return new Place(0, 0);
    }
    for (int i = 0; i + 1 < n; i++) {
      if (value <= values[i + 1]) {
        return new Place(i, (value - values[i]) / (values[i + 1] - values[i]));
      }
    }
    return new Place(n - 2, 1);
  }

  /** The advance at a value, em. */
  public double advance(double value) {
    Place p = place(value);
    double a = clusters.get(p.index).advance();
    return a + (clusters.get(p.index + 1).advance() - a) * p.share;
  }
}
