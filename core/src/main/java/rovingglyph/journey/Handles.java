package rovingglyph.journey;

import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Seat;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Seating;

/** Where the puck and the margin stops of a lettering stand, and what dragging them means. */
public final class Handles {
  /** A place on the path in reading direction, past an open end on the straight line. */
  public record Spot(Point point, double angle) {}

  /** What a dragged puck asks for. */
  public record PuckValues(double pathOffset, double baselineShift, Seat.Side side) {}

  private final PreparedLettering lettering;
  private final Seating seating;
  private final Contour contour;

  /** On the path as it is at a time in seconds. */
  public Handles(PreparedLettering lettering, double time) {
    this.lettering = lettering;
    this.seating = lettering.seating(lettering.values(time));
    this.contour = seating.contour();
  }

  public Spot puck(SeatValues v) {
    double anchor = seating.anchor(v);
    double d = seating.ends() == Seat.EndRule.WRAP ? contour.wrap(anchor) : anchor;
    return spot(d);
  }

  public Spot startStop(SeatValues v) {
    return spot(v.startMargin());
  }

  public Spot endStop(SeatValues v) {
    return spot(contour.length() - v.endMargin());
  }

  private Spot spot(double d) {
    boolean closed = contour.closed() && seating.ends() == Seat.EndRule.WRAP;
    double length = contour.length();
    Contour.Station s = contour.at(closed ? d : Math.min(Math.max(d, 0), Math.nextDown(length)));
    double past = closed ? 0 : Math.min(d, 0) + Math.max(d - length, 0);
    return new Spot(s.point().plus(s.tangent().times(past)), s.tangent().angle());
  }

  /** Distance of the place nearest to a point; past an open end on the straight line. */
  public double distanceAt(Point p) {
    return distanceAt(contour, p);
  }

  private static double distanceAt(Contour c, Point p) {
    double d = c.nearest(p).distance();
    if (!c.closed() && d <= 1e-6) {
      Contour.Station s = c.at(0);
      return Math.min(0, p.minus(s.point()).dot(s.tangent()));
    }
    if (!c.closed() && d >= c.length() - 1e-6) {
      Contour.Station s = c.at(c.length());
      return c.length() + Math.max(0, p.minus(s.point()).dot(s.tangent()));
    }
    return d;
  }

  /**
   * The values that bring the puck to a point.
   *
   * @param across whether the drag also goes across the path: then the shift follows the point, and
   *     beyond one type size on the far side the lettering changes sides
   */
  public PuckValues drag(SeatValues v, Point to, boolean across) {
    Seat.Side side = lettering.lettering().seat().side();
    double offset = nearestLap(distanceAt(to) - seating.rest(v), v.pathOffset());
    if (!across) {
      return new PuckValues(offset, v.baselineShift(), side);
    }
    double shift = contour.nearest(to).across();
    if (shift > -v.size()) {
      return new PuckValues(offset, shift, side);
    }
    Seat.Side other = side == Seat.Side.LEFT ? Seat.Side.RIGHT : Seat.Side.LEFT;
    // Read backwards, the start margin is at the other end of the contour.
    double mirrored = contour.length() - distanceAt(to) - seating.rest(v);
    return new PuckValues(nearestLap(mirrored, v.pathOffset()), 0, other);
  }

  private double nearestLap(double offset, double now) {
    if (!contour.closed() || contour.length() <= 0) {
      return offset;
    }
    return offset + contour.length() * Math.rint((now - offset) / contour.length());
  }

  /** The start margin that brings its stop to a point, within the path. */
  public double startMargin(Point to) {
    return Math.min(Math.max(distanceAt(to), 0), contour.length());
  }

  /** The end margin that brings its stop to a point, within the path. */
  public double endMargin(Point to) {
    return Math.min(Math.max(contour.length() - distanceAt(to), 0), contour.length());
  }
}
