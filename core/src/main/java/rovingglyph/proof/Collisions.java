package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Letters;
import rovingglyph.seat.Placement;
import rovingglyph.seat.Seating;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/**
 * Letters whose outlines touch or cross where they stand, and would not in a straight line: those
 * of a connected script always do.
 */
final class Collisions {
  /** Rows longer than this are not looked at: it would take too long after every edit. */
  private static final int MOST = 300;

  private Collisions() {}

  /** Pairs of letters in quotes, in the order of the row. */
  static List<String> of(PreparedLettering l, double time) {
    List<String> out = new ArrayList<>();
    for (Seating row : l.rows(l.values(time))) {
      if (row.letters().size() <= MOST) {
        of(l, row, out);
      }
    }
    return out;
  }

  /** The ink of one letter as closed polygons, and the box round them. */
  private record Ink(List<List<Point>> polygons, Rect box) {
    static Ink of(List<List<Point>> polygons) {
      Rect box = Rect.EMPTY;
      for (List<Point> p : polygons) {
        for (Point q : p) {
          box = box.include(q);
        }
      }
      return new Ink(polygons, box);
    }

    boolean meets(Ink other) {
      if (box.isEmpty() || other.box.isEmpty() || !box.meets(other.box)) {
        return false;
      }
      for (List<Point> p : polygons) {
        for (List<Point> q : other.polygons) {
          if (cross(p, q)) {
            return true;
          }
        }
      }
      return false;
    }
  }

  private static void of(PreparedLettering l, Seating row, List<String> out) {
    List<Placement> places = row.place();
    List<Ink> inks = new ArrayList<>();
    for (Placement p : places) {
      boolean seen = p.visible() && p.alpha() > 0;
      inks.add(seen ? standing(l, row, p) : Ink.of(List.of()));
    }
    for (int i = 0; i < inks.size(); i++) {
      for (int k = i + 1; k < inks.size(); k++) {
        boolean meet = inks.get(i).meets(inks.get(k));
        if (meet && !(k == i + 1 && meetInALine(row, places.get(i), places.get(k)))) {
          out.add(quoted(row, i) + " and " + quoted(row, k));
        }
      }
    }
  }

  private static String quoted(Seating row, int i) {
    return "\u201c" + row.letters().get(i).cluster().text() + "\u201d";
  }

  private static Ink standing(PreparedLettering l, Seating row, Placement p) {
    if (l.lettering().seat().method() == Seat.GlyphMethod.BENT) {
      List<List<Point>> out = new ArrayList<>();
      for (double[] polygon : l.polygons(row, p, false)) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < polygon.length; i += 2) {
          points.add(new Point(polygon[i], polygon[i + 1]));
        }
        out.add(points);
      }
      return Ink.of(out);
    }
    return Ink.of(mapped(row.letters().get(p.letter()), p.back(), Letters.map(p)));
  }

  private static boolean meetInALine(Seating row, Placement a, Placement b) {
    Affine first = new Affine(a.width(), 0, 0, a.height(), 0, 0);
    double apart = (a.advance() + b.advance()) / 2;
    Affine second = new Affine(b.width(), 0, 0, b.height(), apart, 0);
    Ink left = Ink.of(mapped(row.letters().get(a.letter()), a.back(), first));
    return left.meets(Ink.of(mapped(row.letters().get(b.letter()), b.back(), second)));
  }

  private static List<List<Point>> mapped(Letter letter, double back, Affine map) {
    List<List<Point>> out = new ArrayList<>();
    for (Cluster.Glyph g : letter.cluster().glyphs()) {
      Affine glyph = map.times(Affine.translate(back + g.dx(), g.dy()));
      for (List<Point> polygon : letter.run().outlines().get(g.outline()).coarse()) {
        out.add(polygon.stream().map(glyph::apply).toList());
      }
    }
    return out;
  }

  private static boolean cross(List<Point> a, List<Point> b) {
    Point p0 = a.get(a.size() - 1);
    for (Point p1 : a) {
      Point q0 = b.get(b.size() - 1);
      for (Point q1 : b) {
        if (Line.cross(p0, p1, q0, q1)) {
          return true;
        }
        q0 = q1;
      }
      p0 = p1;
    }
    return false;
  }
}
