package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.GuidePath;

/** A path as a small picture for a list of paths. */
public final class PathPicture {
  private static final double WIDE = 44;
  private static final double HIGH = 28;
  private static final int MANY = 100;

  private PathPicture() {}

  /** A path as path data within a small box. */
  public static String of(GuidePath path) {
    return of(GuideContour.of(path));
  }

  /** Path data that fills a box of 44 by 28, its proportions kept. */
  public static String of(Contour c) {
    Rect b = c.bounds();
    double k = Math.min(WIDE / Math.max(b.width(), 1e-6), HIGH / Math.max(b.height(), 1e-6));
    Affine map =
        Affine.translate(WIDE / 2, HIGH / 2)
            .times(Affine.scale(k))
            .times(Affine.translate(-b.centre().x(), -b.centre().y()));
    return SvgPath.write((c.segments().size() > MANY ? coarse(c) : c).mapped(map), 1);
  }

  /** Straight pieces, which nobody tells from the curves at this size. */
  private static Contour coarse(Contour c) {
    List<Line> out = new ArrayList<>();
    Point last = c.at(0).point();
    for (int i = 1; i <= MANY; i++) {
      Point next = c.at(c.length() * i / MANY).point();
      out.add(new Line(last, next));
      last = next;
    }
    return new Contour(out, c.closed());
  }
}
