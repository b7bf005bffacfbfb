package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.HalfPlane;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;

/**
 * A letter that stands in space, or a part of it, where the eye sees it.
 *
 * @param origin of its plane
 * @param u along its baseline by one of its units
 * @param v down across it by one of its units
 * @param pieces what of it is painted, in its units; of letters that are bent as they are seen
 * @param box round them in its units
 * @param cuts planes whose fronts hold what is left of it
 * @param isBack whether it is seen from behind
 * @param back the way from its front to its back; of no length where it has no thickness
 */
record Card(
    LetterInk ink,
    Point3 origin,
    Point3 u,
    Point3 v,
    List<Part> pieces,
    Rect box,
    List<Cut> cuts,
    boolean isBack,
    Point3 back) {

  private static final Rect EVERYWHERE = new Rect(-1e9, -1e9, 1e9, 1e9);

  /**
   * An outline of a letter.
   *
   * @param piece in the units of the card
   * @param bent where its polygons stand in space; null where it lies in the card
   */
  record Part(Piece piece, List<List<Point3>> bent) {}

  /** A plane in space: a point of it, and the way to its front. */
  record Cut(Point3 on, Point3 normal) {
    double depth(Point3 p) {
      return normal.dot(p.minus(on));
    }

    Cut turned() {
      return new Cut(on, normal.times(-1));
    }

    /** Moved back by so many px, so that its front holds more. */
    Cut back(double px) {
      return new Cut(on.minus(normal.times(px / normal.length())), normal);
    }
  }

  /** Whether it lies in its plane: it does unless it is bent with a path that stands. */
  boolean isFlat() {
    return pieces.isEmpty() || pieces.get(0).bent == null;
  }

  Card opaque() {
    return new Card(ink.opaque(), origin, u, v, pieces, box, cuts, isBack, back);
  }

  /** Without thickness, elsewhere, and of other outlines. */
  Card with(Point3 at, List<Part> parts) {
    return new Card(ink, at, u, v, parts, box, cuts, isBack, Point3.ORIGIN);
  }

  boolean isThick() {
    return back.length() > 0;
  }

  /** How large it is seen, in shares of how large it stands on its path. */
  double scale(Space space) {
    Affine m = map(space).near(box.centre());
    double size = Math.max(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d()));
    return size / Math.max(Math.abs(ink.place().width()), Math.abs(ink.place().height()));
  }

  /** Square to it, to behind it. */
  Point3 normal() {
    return u.cross(v);
  }

  Cut plane() {
    return new Cut(origin, normal());
  }

  /** The planes of the box round one that is thick: none of it is before any of them. */
  List<Cut> walls() {
    Point3 low = at(box.left(), box.top());
    Point3 high = at(box.right(), box.bottom()).plus(back);
    List<Cut> out = new ArrayList<>();
    for (Point3 way : List.of(back, v.cross(back), back.cross(u))) {
      // The sides of a letter that is slanted in space are slanted too.
      Point3 out1 = way.dot(high.minus(low)) > 0 ? way : way.times(-1);
      out.add(new Cut(high, out1));
      out.add(new Cut(low, out1.times(-1)));
    }
    return out;
  }

  Point3 at(double x, double y) {
    return origin.plus(u.times(x)).plus(v.times(y));
  }

  /** Those of the box round it: four, or where it is thick eight. */
  List<Point3> corners() {
    List<Point3> out = new ArrayList<>(8);
    for (Point p : box.corners()) {
      out.add(at(p.x(), p.y()));
    }
    for (int i = 0; i < 4 && isThick(); i++) {
      out.add(out.get(i).plus(back));
    }
    return out;
  }

  /** The box round its own box as it is seen; everything where a part of that is too near. */
  Rect seenBox(Space space) {
    Rect out = Rect.EMPTY;
    for (Point3 p : corners()) {
      if (space.weight(p) < Projection.NEAREST) {
        return EVERYWHERE;
      }
      out = out.include(space.looked(p));
    }
    return out;
  }

  Projection map(Space space) {
    return space.seen(origin, u, v);
  }

  /** What is left of it in front of a plane. */
  Card cut(Cut by) {
    List<Cut> all = new ArrayList<>(cuts);
    all.add(by);
    // Of one that is thick more may be left than of its front.
    Rect rest = isThick() ? box : cutBox(by);
    return new Card(ink, origin, u, v, pieces, rest, all, isBack, back);
  }

  private Rect cutBox(Cut by) {
    Rect out = Rect.EMPTY;
    HalfPlane half = half(by);
    List<Point> corners = box.corners();
    for (int i = 0; i < 4; i++) {
      Point p = corners.get(i);
      Point q = corners.get((i + 1) % 4);
      double from = half.depth(p);
      double to = half.depth(q);
      out = from >= 0 ? out.include(p) : out;
      out = from < 0 != to < 0 ? out.include(p.lerp(q, from / (from - to))) : out;
    }
    return out;
  }

  /** The front of a plane, in its units. */
  HalfPlane half(Cut by) {
    return new HalfPlane(by.normal().dot(u), by.normal().dot(v), by.depth(origin));
  }

  /** What of it is seen, with maps to where it is seen. */
  List<Piece> seen(Space space) {
    List<Piece> out = new ArrayList<>();
    for (Part p : pieces) {
      if (p.bent != null) {
        out.add(SpacePolygons.seen(p.bent, cuts, space));
      } else if (cuts.isEmpty()) {
        out.add(p.piece.mapped(map(space)));
      } else {
        out.add(cutOut(p.piece).mapped(map(space)));
      }
    }
    return out;
  }

  private Piece cutOut(Piece p) {
    List<SubPath> left = new ArrayList<>();
    for (SubPath s : p.subPaths()) {
      Affine map = p.map().flat();
      SubPath area =
          new SubPath(s.segments().stream().map(e -> e.mapped(map)).toList(), s.closed());
      for (Cut c : cuts) {
        area = half(c).area(area);
      }
      if (!area.segments().isEmpty()) {
        left.add(area);
      }
    }
    return Piece.own(left, Affine.IDENTITY);
  }
}
