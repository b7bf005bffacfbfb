package rovingglyph.paths;

import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.FreehandPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.ShapePath;
import rovingglyph.scene.SmoothPath;

/** The contour of a guide path. */
public final class GuideContour {
  private GuideContour() {}

  /** At the start of the scene. */
  public static Contour of(GuidePath path) {
    return of(path, 0);
  }

  /** At a time in seconds; any finite time is good. */
  public static Contour of(GuidePath path, double time) {
    if (path instanceof ShapePath s) {
      return ShapeContour.of(s, c -> value(s, c, time));
    }
    if (path instanceof SmoothPath s) {
      return SmoothCurve.of(s);
    }
    if (path instanceof FreehandPath f) {
      return FreehandCurve.of(f).contour();
    }
    DrawnPath d = (DrawnPath) path;
    return ofKnots(ShapeOverTime.at(d, time), d.closed());
  }

  /** Whether the contour differs from time to time. */
  public static boolean moves(GuidePath path) {
    if (path instanceof ShapePath s) {
      return s.moves();
    }
    return path instanceof DrawnPath d && d.shapes().size() > 1;
  }

  private static double value(ShapePath s, Channel c, double time) {
    return c.clamp(Timeline.value(s.movable(c), time));
  }

  /** The contour of points, which are not changed afterwards. */
  public static Contour ofKnots(List<Knot> knots, boolean closed) {
    return KnotContours.of(knots, closed);
  }

  /**
   * One segment from each point to the next, and of a closed path from the last to the first; a
   * line where there are no handles between.
   */
  public static List<Segment> segments(List<Knot> knots, boolean closed) {
    return KnotContours.segments(knots, closed, null);
  }

  static Segment segment(Knot a, Knot b) {
    if (a.out().equals(Point.ORIGIN) && b.in().equals(Point.ORIGIN)) {
      return new Line(a.at(), b.at());
    }
    return new Cubic(a.at(), a.at().plus(a.out()), b.at().plus(b.in()), b.at());
  }

  /** What a lettering turns about: a shape's centre, else the middle of the bounding box. */
  public static Point centre(GuidePath path, Contour contour, double time) {
    return path instanceof ShapePath s
        ? new Point(value(s, Channel.X, time), value(s, Channel.Y, time))
        : contour.bounds().centre();
  }
}
