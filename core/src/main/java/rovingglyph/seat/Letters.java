package rovingglyph.seat;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Polygons;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/** From a placement to where the outlines of its letter are drawn. */
public final class Letters {
  private Letters() {}

  /** The map of em units, with the middle of the advance on the baseline as origin, to px. */
  public static Affine map(Placement p) {
    double cos = Math.cos(p.angle());
    double sin = Math.sin(p.angle());
    return new Affine(
        cos * p.width(),
        sin * p.width(),
        -sin * p.height(),
        cos * p.height(),
        p.at().x(),
        p.at().y());
  }

  /**
   * The outlines of a letter as polygons, as its face has them.
   *
   * @param back from the middle of the advance to the cluster's origin, em
   * @param map of em from the middle of the advance to where the letter stands
   */
  public static Polygons ink(Letter letter, double back, Affine map) {
    List<List<Point>> out = new ArrayList<>();
    for (Cluster.Glyph g : letter.cluster().glyphs()) {
      Affine glyph = map.times(Affine.translate(back + g.dx(), g.dy()));
      for (List<Point> polygon : letter.run().outlines().get(g.outline()).coarse()) {
        out.add(polygon.stream().map(glyph::apply).toList());
      }
    }
    return Polygons.of(out);
  }
}
