package rovingglyph.seat;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Seat;
import rovingglyph.type.Cluster;
import rovingglyph.type.ShapedRun;

/**
 * A run of text seated on a contour in reading direction. The rules are those of SVG 2, section
 * 11.8.3 (text on a path), with the room between the margins in place of the whole path.
 */
public final class Seating {
  private final Contour contour;
  private final Seat seat;
  private final Seat.EndRule ends;
  private final double[] advances;
  private final double[] middles;
  private final double total;

  /**
   * @param guide the contour of the path; the right side reads it backwards
   * @param run in em
   */
  public Seating(Lettering lettering, Contour guide, ShapedRun run) {
    this.seat = lettering.seat();
    this.contour = seat.side() == Seat.Side.RIGHT ? guide.reversed() : guide;
    Seat.EndRule byPath = guide.closed() ? Seat.EndRule.WRAP : Seat.EndRule.CONTINUE;
    this.ends = seat.ends() == null ? byPath : seat.ends();
    int n = run.clusters().size();
    advances = new double[n];
    middles = new double[n];
    double pen = 0;
    for (int i = 0; i < n; i++) {
      Cluster c = run.clusters().get(i);
      advances[i] = c.advance() + lettering.tracking();
      middles[i] = pen + advances[i] / 2;
      pen += advances[i];
    }
    total = pen;
  }

  /** The contour in reading direction. */
  public Contour contour() {
    return contour;
  }

  public Seat.EndRule ends() {
    return ends;
  }

  /** Advance of a cluster with its tracking, in em. */
  public double advance(int cluster) {
    return advances[cluster];
  }

  /** Middle of a cluster's advance from the start of the text, in em. */
  public double middle(int cluster) {
    return middles[cluster];
  }

  /** Length of the whole text in em. */
  public double total() {
    return total;
  }

  /** Share of the text that lies before its anchor: 0, 1/2 or 1. */
  public double anchorShare() {
    return switch (seat.align()) {
      case START -> 0;
      case MIDDLE -> 0.5;
      case END -> 1;
    };
  }

  /**
   * Distance of the resting point along the path: the pin, else start, middle or end of the room.
   */
  public double rest(SeatValues v) {
    if (seat.pin() != null) {
      return seat.side() == Seat.Side.RIGHT ? contour.length() - seat.pin() : seat.pin();
    }
    double from = v.startMargin();
    double to = contour.length() - v.endMargin();
    return from + (to - from) * anchorShare();
  }

  /** Distance of the text's anchor: the resting point moved by the path offset. */
  public double anchor(SeatValues v) {
    return rest(v) + v.pathOffset();
  }

  /** Distance at which the text begins. */
  public double tail(SeatValues v) {
    return anchor(v) - total * v.size() * anchorShare();
  }

  /** One placement per cluster, in order of the run. */
  public List<Placement> place(SeatValues v) {
    List<Placement> out = new ArrayList<>(middles.length);
    double tail = tail(v);
    for (int i = 0; i < middles.length; i++) {
      out.add(place(i, tail, v));
    }
    return out;
  }

  /** The placement of one cluster. */
  public Placement place(int cluster, SeatValues v) {
    return place(cluster, tail(v), v);
  }

  private Placement place(int i, double tail, SeatValues v) {
    return place(i, tail + middles[i] * v.size(), advances[i] * v.size(), v.baselineShift());
  }

  private Placement place(int i, double raw, double advance, double shift) {
    double length = contour.length();
    double d = raw;
    boolean past = raw < 0 || raw > length;
    if (past && ends == Seat.EndRule.WRAP) {
      d = contour.wrap(raw);
      past = false;
    }
    Contour.Station station = onContour(d, length);
    double angle = station.tangent().angle();
    double direction = past ? angle : angle + cornerTurn(d, Math.abs(advance));
    Point normal = new Point(Math.sin(direction), -Math.cos(direction));
    Point at = station.point();
    if (past) {
      at = at.plus(station.tangent().times(d < 0 ? d : d - length));
    }
    return new Placement(
        i,
        d,
        at.plus(normal.times(shift)),
        seat.orientation() == Seat.Orientation.UPRIGHT ? 0 : direction,
        !(past && ends == Seat.EndRule.CUT));
  }

  /** A closed contour that does not come round has ends at its seam: no wrapping there. */
  private Contour.Station onContour(double d, double length) {
    boolean atEnd = contour.closed() && ends != Seat.EndRule.WRAP && d >= length;
    return contour.at(atEnd ? Math.nextDown(length) : Math.max(d, 0));
  }

  /**
   * What turns the tangent at d into the mean direction over the advance round d, radians. Only
   * sudden turns count: each is spread evenly over the advance as the letter passes it.
   */
  private double cornerTurn(double d, double advance) {
    if (advance <= 0) {
      return 0;
    }
    double turn = 0;
    for (Contour.Corner c : contour.corners()) {
      if (c.distance() == 0 && ends != Seat.EndRule.WRAP) {
        continue;
      }
      double ahead = c.distance() - d;
      if (contour.closed() && ends == Seat.EndRule.WRAP) {
        ahead -= contour.length() * Math.rint(ahead / contour.length());
      }
      double share = 0.5 - Math.abs(ahead) / advance;
      if (share > 0) {
        turn += ahead > 0 ? c.turn() * share : -c.turn() * share;
      }
    }
    return turn;
  }
}
