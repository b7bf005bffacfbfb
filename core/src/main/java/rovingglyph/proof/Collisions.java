package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Polygons;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Letters;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;

/**
 * Letters whose outlines touch, cross or nearly do where they stand, and would not in a straight
 * line: those of a connected script always do.
 */
final class Collisions {
  /** Outlines that are nearer look as if they touched, px. */
  static final double NEAR = 1;

  /** A distance is the typeface's own where in a straight line it is no more than so many times. */
  private static final double OWN = 2;

  /** Rows longer than this are not looked at: it would take too long after every edit. */
  private static final int MOST = 300;

  /**
   * Two letters that come too near.
   *
   * @param first in quotes
   * @param second in quotes
   * @param gap between their outlines, px; 0 where they touch or cross
   * @param neighbours whether no other letter stands between them
   */
  record Pair(String first, String second, double gap, boolean neighbours) {}

  private Collisions() {}

  /** In the order of the rows and their letters. */
  static List<Pair> of(PreparedLettering l, List<RowLayout> rows) {
    List<Pair> out = new ArrayList<>();
    for (RowLayout row : rows) {
      if (row.letters().size() <= MOST) {
        of(l, row, out);
      }
    }
    return out;
  }

  private static void of(PreparedLettering l, RowLayout row, List<Pair> out) {
    List<Placement> places = row.place();
    List<Polygons> inks = new ArrayList<>();
    for (Placement p : places) {
      boolean seen = p.visible() && p.alpha() > 0;
      inks.add(seen ? standing(l, row, p) : Polygons.NONE);
    }
    for (int i = 0; i < inks.size(); i++) {
      for (int k = i + 1; k < inks.size(); k++) {
        double gap = inks.get(i).gap(inks.get(k), NEAR);
        boolean near = gap < NEAR;
        if (near && !(k == i + 1 && gapInALine(row, places.get(i), places.get(k)) <= OWN * gap)) {
          out.add(new Pair(quoted(row, i), quoted(row, k), gap, k == i + 1));
        }
      }
    }
  }

  private static String quoted(RowLayout row, int i) {
    return Names.quoted(row.letters().get(i).cluster().text());
  }

  private static Polygons standing(PreparedLettering l, RowLayout row, Placement p) {
    if (l.lettering().seat().method() == Seat.GlyphMethod.BENT) {
      List<List<Point>> out = new ArrayList<>();
      for (double[] polygon : l.polygons(row, p, false)) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < polygon.length; i += 2) {
          points.add(new Point(polygon[i], polygon[i + 1]));
        }
        out.add(points);
      }
      return Polygons.of(out);
    }
    return Letters.ink(row.letters().get(p.letter()), p.back(), Letters.map(p));
  }

  /** How far the outlines of two neighbours are from each other on a straight path, px. */
  static double gapInALine(RowLayout row, Placement a, Placement b) {
    Affine first = new Affine(a.width(), 0, 0, a.height(), 0, 0);
    double apart = (a.advance() + b.advance()) / 2;
    Affine second = new Affine(b.width(), 0, 0, b.height(), apart, 0);
    Polygons left = Letters.ink(row.letters().get(a.letter()), a.back(), first);
    return left.gap(Letters.ink(row.letters().get(b.letter()), b.back(), second), OWN * NEAR);
  }
}
