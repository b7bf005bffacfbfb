package rovingglyph.seat;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Polygons;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/** Pushes letters along until the outlines of neighbours keep a distance from each other. */
final class GapSolver {
  /** Looks per pair; each one brings the distance closer to what is wanted. */
  private static final int LOOKS = 30;

  private final RowLayout seating;
  private final double[] middles;
  private final double wanted;

  GapSolver(RowLayout seating, double[] middles, double wanted) {
    this.seating = seating;
    this.middles = middles;
    this.wanted = wanted;
  }

  /** Changes the middles; gives how much longer the row has become, px. */
  double spread() {
    double grown = 0;
    Polygons before = Polygons.NONE;
    for (int i = 0; i < middles.length; i++) {
      middles[i] += grown;
      Polygons ink = ink(i);
      if (ink.box().isEmpty()) {
        continue;
      }
      for (int look = 0; look < LOOKS && !before.box().isEmpty(); look++) {
        double gap = before.gap(ink, wanted);
        if (gap >= wanted - 1e-3) {
          break;
        }
        // Outlines that cross have no distance: a small step takes them apart.
        double step = gap <= 0 ? seating.size() * 0.04 : wanted - gap;
        middles[i] += step;
        grown += step;
        ink = ink(i);
      }
      before = ink;
    }
    return grown;
  }

  private Polygons ink(int i) {
    Letter l = seating.letters().get(i);
    List<List<Point>> out = new ArrayList<>();
    if (l.isSpace()) {
      return Polygons.NONE;
    }
    Placement p = seating.place(i);
    Affine map = Letters.map(p);
    for (Cluster.Glyph g : l.cluster().glyphs()) {
      Affine glyph = map.times(Affine.translate(p.back() + g.dx(), g.dy()));
      for (List<Point> polygon : l.run().outlines().get(g.outline()).coarse()) {
        out.add(polygon.stream().map(glyph::apply).toList());
      }
    }
    return Polygons.of(out);
  }
}
