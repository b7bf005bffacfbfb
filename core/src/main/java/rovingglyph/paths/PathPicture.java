package rovingglyph.paths;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.GuidePath;

/** A path as a small picture for a list of paths. */
public final class PathPicture {
  private static final double WIDE = 44;
  private static final double HIGH = 28;

  private PathPicture() {}

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
    return SvgPath.write(c.mapped(map), 1);
  }
}
