package rovingglyph.seat;

import rovingglyph.geometry.Polygons;
import rovingglyph.setting.Letter;

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
    if (l.isSpace()) {
      return Polygons.NONE;
    }
    Placement p = seating.place(i);
    return Letters.ink(l, p.back(), Letters.map(p));
  }
}
