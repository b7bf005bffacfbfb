package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.GuidePath;

/** The contour of a guide path. */
public final class GuideContour {
  private GuideContour() {}

  /** A circle gives one exact arc; two points without handles between them give a line. */
  public static Contour of(GuidePath path) {
    if (path instanceof GuidePath.Circle c) {
      double turn = c.clockwise() ? 2 * Math.PI : -2 * Math.PI;
      double start = Math.toRadians(c.startAngle());
      return new Contour(
          List.of(new Arc(c.centre(), c.radius(), c.radius(), 0, start, turn)), true);
    }
    GuidePath.Drawn d = (GuidePath.Drawn) path;
    return new Contour(segments(d), d.closed());
  }

  /** One segment from each point to the next, and of a closed path from the last to the first. */
  public static List<Segment> segments(GuidePath.Drawn d) {
    List<Segment> out = new ArrayList<>();
    int n = d.points().size();
    for (int i = 0; i < (d.closed() ? n : n - 1); i++) {
      out.add(segment(d.points().get(i), d.points().get((i + 1) % n)));
    }
    return out;
  }

  private static Segment segment(GuidePath.Knot a, GuidePath.Knot b) {
    if (a.out().equals(Point.ORIGIN) && b.in().equals(Point.ORIGIN)) {
      return new Line(a.at(), b.at());
    }
    return new Cubic(a.at(), a.at().plus(a.out()), b.at().plus(b.in()), b.at());
  }

  /** What a lettering turns about: a circle's centre, else the middle of the bounding box. */
  public static Point centre(GuidePath path, Contour contour) {
    return path instanceof GuidePath.Circle c ? c.centre() : contour.bounds().centre();
  }
}
