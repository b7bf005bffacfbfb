package rovingglyph.scene;

import java.util.List;
import rovingglyph.geometry.Point;

/**
 * A stroke of the hand, kept as it was drawn and fitted anew.
 *
 * @param steadiness 0 to 100: how far the hand's tremor is evened out
 * @param simplicity 0 to 100: how far the curve may leave the stroke for the sake of fewer points
 */
public record FreehandPath(
    PathLabel label, List<Point> samples, double steadiness, double simplicity, boolean closed)
    implements GuidePath {

  @Override
  public FreehandPath with(PathLabel newLabel) {
    return new FreehandPath(newLabel, samples, steadiness, simplicity, closed);
  }

  /** The stroke with other samples. */
  public FreehandPath with(List<Point> newSamples) {
    return new FreehandPath(label, List.copyOf(newSamples), steadiness, simplicity, closed);
  }
}
