package rovingglyph.scene;

import java.util.List;
import rovingglyph.geometry.Point;

/** A smooth curve that points alone decide. */
public record SmoothPath(PathLabel label, List<Point> points, Rule rule, boolean closed)
    implements GuidePath {
  /** Through the points (Catmull-Rom, centripetal) or near them (uniform cubic B-spline). */
  public enum Rule {
    THROUGH,
    NEAR
  }

  @Override
  public SmoothPath with(PathLabel newLabel) {
    return new SmoothPath(newLabel, points, rule, closed);
  }

  /** The path with other points. */
  public SmoothPath with(List<Point> newPoints) {
    return new SmoothPath(label, List.copyOf(newPoints), rule, closed);
  }
}
