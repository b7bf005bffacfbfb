package rovingglyph.journey;

import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Seat;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;

/** Where the puck and the margin stops of a lettering stand, and what dragging them means. */
public final class Handles {
  /** A place on the path in reading direction, past an open end on the straight line. */
  public record Spot(Point point, double angle) {}

  /** What a dragged puck asks for. */
  public record PuckValues(double pathOffset, double baselineShift, Seat.Side side) {}

  private final PreparedLettering lettering;
  private final SeatValues v;
  private final RowLayout seating;
  private final Contour contour;

  /** On the path as it is at the time of the values. */
  public Handles(PreparedLettering lettering, SeatValues v) {
    this.lettering = lettering;
    this.v = v;
    this.seating = lettering.seating(v);
    this.contour = seating.contour();
  }

  /** Where the puck stands: at the anchor of the text. */
  public Spot puck() {
    return spot(seating.track().told(seating.anchor()));
  }

  /** Where the stop of the start margin stands. */
  public Spot startStop() {
    return spot(v.startMargin());
  }

  /** Where the stop of the end margin stands. */
  public Spot endStop() {
    return spot(contour.length() - v.endMargin());
  }

  /** Above the puck, at the height of the baseline. */
  public Spot shift() {
    Spot on = puck();
    double up = v.baselineShift();
    Point normal = new Point(Math.sin(on.angle()), -Math.cos(on.angle()));
    return new Spot(on.point().plus(normal.times(up)), on.angle());
  }

  /** On a path that comes round: where the room kept free at the join ends. */
  public Spot seam() {
    return spot(v.startMargin() + lettering.lettering().seat().seamGap() / 2);
  }

  /** The gap that brings its handle to a point, px. */
  public double seamGap(Point to) {
    double d = distanceAt(to) - v.startMargin();
    double half = contour.length() / 2;
    return 2 * Math.min(Math.max(d > half ? contour.length() - d : d, 0), half * 0.98);
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

  static double distanceAt(Contour c, Point p) {
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
  public PuckValues drag(Point to, boolean across) {
    Seat.Side side = lettering.lettering().seat().side();
    double offset = nearestLap(seating.travel(seating.rest(), distanceAt(to)), v.pathOffset());
    if (!across) {
      return new PuckValues(offset, v.baselineShift(), side);
    }
    double shift = contour.nearest(to).across();
    if (shift > -v.size()) {
      return new PuckValues(offset, shift, side);
    }
    Seat.Side other = side == Seat.Side.LEFT ? Seat.Side.RIGHT : Seat.Side.LEFT;
    // Read backwards, the start margin is at the other end of the contour.
    double mirrored = seating.travel(seating.rest(), contour.length() - distanceAt(to));
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
