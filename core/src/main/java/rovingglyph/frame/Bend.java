package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.seat.Placement;
import rovingglyph.seat.Seating;
import rovingglyph.seat.Track;

/** Curves a letter with its track. Points are those of an outline, in em. */
final class Bend {
  private static final double TOLERANCE = 0.1;

  private final Seating.Under under;
  private final Placement place;
  private final Point origin;
  private final Affine turn;
  private final Affine added;
  private final double shift;

  /**
   * @param origin of the outline, in em from the middle of the letter's advance on the baseline
   * @param turn of the lettering about its centre
   */
  Bend(Seating row, Placement place, Point origin, Affine turn) {
    this.under = row.under(place.letter());
    this.place = place;
    this.origin = origin;
    this.turn = turn;
    double own = Math.toRadians(row.addedTurn(place.letter()));
    this.added = own == 0 ? Affine.IDENTITY : Affine.rotate(own);
    this.shift = row.shift(place.letter());
  }

  Point apply(Point em) {
    Point px =
        new Point((em.x() + origin.x()) * place.width(), (em.y() + origin.y()) * place.height());
    Point p = added == Affine.IDENTITY ? px : added.apply(px);
    Track.Spot spot = under.at(p.x());
    double up = shift - p.y();
    Point t = spot.tangent();
    Point at = new Point(spot.point().x() + t.y() * up, spot.point().y() - t.x() * up);
    return turn == Affine.IDENTITY ? at : turn.apply(at);
  }

  /** Into how many straight parts a segment goes: a chord over du is off by |second| du^2 / 8. */
  int parts(Segment s) {
    double px = Math.max(place.width(), place.height());
    double flat = s instanceof Line ? 0 : s.secondDerivative(0.5).length() * px;
    // On a bend of radius r a level line of length l is off by l^2 / 8r; r is seldom below a size.
    double along = Math.abs(s.end().x() - s.start().x()) * place.width();
    double bend = along * along / Math.max(px * 0.7, 1);
    int n = (int) Math.ceil(Math.sqrt((flat + bend) / 8 / (TOLERANCE / 2)));
    return Math.min(Math.max(n, 1), 60);
  }
}
