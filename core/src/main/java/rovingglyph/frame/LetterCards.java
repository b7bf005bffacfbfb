package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.scene.Plane;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;

/** Where the letters of a lettering stand in space at one time. */
final class LetterCards {
  /** What of a letter lies this far on either side of where it is cut, px, is in both parts. */
  private static final double OVERLAP = 0.5;

  private final Plane plane;
  private final Space space;
  private final double lean;
  private final double thickness;

  /** The middle of the plane, where the eye sees it. */
  private final Point3 centre;

  /**
   * @param space how things in the plane are seen
   * @param lean of standing letters, degrees
   * @param thickness of all letters, px
   * @param centre of the plane
   */
  LetterCards(Plane plane, Space space, double lean, double thickness, Point centre) {
    this.plane = plane;
    this.space = space;
    this.thickness = thickness;
    this.lean = plane.stance() == Plane.Stance.FLAT ? Math.PI / 2 : Math.toRadians(lean);
    this.centre = space.before(Point3.of(centre));
  }

  /** The cards of letters, in the order of these; without those whose backs are not seen. */
  List<Card> of(List<LetterInk> letters, Shapes shapes) {
    List<Card> out = new ArrayList<>();
    for (LetterInk i : letters) {
      Card card = card(i, shapes);
      if (!card.box().isEmpty() && isSeen(card)) {
        out.add(card);
      }
    }
    return out;
  }

  /** Whether a card is seen from before, or its back is seen. */
  boolean isSeen(Card c) {
    return !(c.isBack() && plane.backs() == Plane.Backs.HIDDEN);
  }

  /** Tells what a letter looks like. */
  interface Shapes {
    /** Its outlines. */
    GlyphOutlines ink(LetterInk ink);

    /** The rotation of a letter about the centre of its path. */
    Affine turn(LetterInk ink);
  }

  Card card(LetterInk i, Shapes shapes) {
    Placement p = i.place();
    GlyphOutlines ink = shapes.ink(i);
    Point3 origin = space.before(stand(i, shapes.turn(i)));
    Point3 u;
    Point3 v;
    boolean facing = plane.stance() == Plane.Stance.FACING;
    if (facing) {
      double size = space.isFlat() ? 1 : space.solid().scale();
      double angle = Math.toRadians(i.row().addedTurn(i.letter()));
      u = new Point3(Math.cos(angle), Math.sin(angle), 0).times(size * p.width());
      v = new Point3(-Math.sin(angle), Math.cos(angle), 0).times(size * p.height());
    } else {
      u = way(new Point3(Math.cos(p.angle()), Math.sin(p.angle()), 0).times(p.width()));
      Point left = new Point(Math.sin(p.angle()), -Math.cos(p.angle()));
      v = way(up(left).times(-p.height()));
    }
    boolean back = space.side(origin, u.cross(v)) > 0;
    List<Card.Part> parts = new ArrayList<>();
    Rect box = Rect.EMPTY;
    for (Piece piece : ink.inCard()) {
      box = box.union(piece.bounds());
      parts.add(new Card.Part(piece, null));
    }
    if (ink.isBent() && !facing) {
      List<List<Point3>> bent = ink.inSpace(this::up, space::before);
      parts = List.of(new Card.Part(null, bent));
    }
    return new Card(i, origin, u, v, parts, box, List.of(), back, behind(p, u, v));
  }

  /** The way from the front of a letter to its back. */
  private Point3 behind(Placement p, Point3 u, Point3 v) {
    Point3 normal = u.cross(v);
    double unit = Math.abs(p.width());
    if (thickness == 0 || !(normal.length() > 0) || !(unit > 0)) {
      return Point3.ORIGIN;
    }
    // One that is mirrored has its front where it had it.
    double side = p.width() * p.height() < 0 ? -1 : 1;
    return normal.unit().times(side * thickness * u.length() / unit);
  }

  /** Where points of a letter that is bent are, px behind its front. */
  LetterBody.Mould mould(GlyphOutlines ink) {
    Bend bend = ink.bend();
    return (x, y, depth) -> space.before(bend.at(x, y, depth, this::up));
  }

  private Point3 way(Point3 p) {
    return space.isFlat() ? p : space.solid().way(p);
  }

  /** The way up of a letter whose path has its left side there. */
  Point3 up(Point left) {
    double flat = Math.sin(lean);
    return new Point3(left.x() * flat, left.y() * flat, -Math.cos(lean));
  }

  /** The left side of the path of a letter where it stands, in the plane. */
  Point3 left(Card c, Shapes shapes) {
    LetterInk i = c.ink();
    RowLayout.Foot foot = i.row().foot(i.letter());
    Affine turn = shapes.turn(i);
    Point along = turn.apply(foot.at().plus(foot.tangent())).minus(turn.apply(foot.at()));
    return new Point3(along.y(), -along.x(), 0);
  }

  /**
   * Where a letter stands in the plane's space: above its place on the path by as much as it is
   * shifted off it.
   */
  private Point3 stand(LetterInk i, Affine turn) {
    RowLayout.Foot foot = i.row().foot(i.letter());
    Point at = turn.apply(foot.at());
    Point off = i.place().at().minus(at);
    Point along = turn.apply(foot.at().plus(foot.tangent())).minus(at);
    Point left = new Point(along.y(), -along.x());
    double lift = off.x() * left.x() + off.y() * left.y();
    return Point3.of(at).plus(up(left).times(lift));
  }

  /** Cards back to front, those that cross cut where they do. */
  List<Card> ordered(List<Card> cards) {
    boolean inOnePlane = plane.stance() == Plane.Stance.FLAT && thickness == 0;
    return inOnePlane ? cards : CardOrder.of(cards, space);
  }

  /** What of some cards is in a half of the plane's space. */
  List<Card> half(List<Card> cards, Half half) {
    if (half == Half.ALL) {
      return cards;
    }
    Card.Cut near = new Card.Cut(centre, new Point3(0, 0, -1));
    List<Card> out = new ArrayList<>();
    for (Card c : cards) {
      double least = Double.POSITIVE_INFINITY;
      double most = Double.NEGATIVE_INFINITY;
      for (Point3 p : c.corners()) {
        least = Math.min(least, near.depth(p));
        most = Math.max(most, near.depth(p));
      }
      if (least >= 0 || most < 0) {
        if (least >= 0 == (half == Half.NEAR)) {
          out.add(c);
        }
      } else {
        // Both parts meet where nothing may lie between them: the far one reaches on beneath.
        boolean opaque = PreparedLettering.isWhole(c.ink().alpha());
        out.add(c.cut(half == Half.NEAR ? near : near.turned().back(opaque ? OVERLAP : 0)));
      }
    }
    return out;
  }

  /** Whether a card is farther away than the centre. */
  boolean isFar(Card c) {
    return c.at(c.box().centre().x(), c.box().centre().y()).z() > centre.z();
  }
}
