package rovingglyph.scene;

import java.util.List;

/**
 * Cubic points joined in order.
 *
 * @param shapes the points at certain times, sorted, if this path changes shape over time; else
 *     empty. {@code points} are then those of the first.
 */
public record DrawnPath(
    PathLabel label, List<Knot> points, boolean closed, List<ShapeKeyframe> shapes)
    implements GuidePath {

  @Override
  public DrawnPath with(PathLabel newLabel) {
    return new DrawnPath(newLabel, points, closed, shapes);
  }

  /** The path with other points; shapes over time stay. */
  public DrawnPath with(List<Knot> newPoints) {
    return new DrawnPath(label, List.copyOf(newPoints), closed, shapes);
  }

  /** The path closed or open. */
  public DrawnPath with(boolean nowClosed) {
    return new DrawnPath(label, points, nowClosed, shapes);
  }
}
