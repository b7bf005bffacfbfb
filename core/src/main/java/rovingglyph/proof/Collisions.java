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
import rovingglyph.seat.RowLayout;
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
  static List<String> of(PreparedLettering l, List<RowLayout> rows) {
    List<String> out = new ArrayList<>();
    for (RowLayout row : rows) {
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
      // Of two neighbours only a few edges lie where their boxes overlap.
      List<Point> mine = edgesIn(other.box);
      List<Point> theirs = mine.isEmpty() ? mine : other.edgesIn(box);
      for (int i = 0; i < mine.size(); i += 2) {
        for (int k = 0; k < theirs.size(); k += 2) {
          if (Line.cross(mine.get(i), mine.get(i + 1), theirs.get(k), theirs.get(k + 1))) {
            return true;
          }
        }
      }
      return false;
    }

    /** Both ends of every edge that may reach into a box. */
    private List<Point> edgesIn(Rect area) {
      List<Point> out = new ArrayList<>();
      for (List<Point> polygon : polygons) {
        Point a = polygon.get(polygon.size() - 1);
        for (Point b : polygon) {
          boolean beside =
              Math.max(a.x(), b.x()) < area.left()
                  || Math.min(a.x(), b.x()) > area.right()
                  || Math.max(a.y(), b.y()) < area.top()
                  || Math.min(a.y(), b.y()) > area.bottom();
          if (!beside) {
            out.add(a);
            out.add(b);
          }
          a = b;
        }
      }
      return out;
    }
  }

  private static void of(PreparedLettering l, RowLayout row, List<String> out) {
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

  private static String quoted(RowLayout row, int i) {
    return "\u201c" + row.letters().get(i).cluster().text() + "\u201d";
  }

  private static Ink standing(PreparedLettering l, RowLayout row, Placement p) {
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

  private static boolean meetInALine(RowLayout row, Placement a, Placement b) {
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
}
