package rovingglyph.seat;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.Seat;

/**
 * A contour in reading direction, with what happens past its ends. Distances may be any finite
 * number.
 */
public final class Track {
  /** A place on the track and the unit direction of travel there; {@code on}: not past an end. */
  public record Spot(Point point, Point tangent, boolean on) {}

  /** Bends are sampled this far apart, px, within the limits of a count. */
  static final double STEP = 4;

  private static final int MOST_STEPS = 8000;

  private final Contour contour;
  private final Point centre;
  private final Seat.EndRule ends;
  private final boolean round;
  private Bends bends;
  private Ruler ruler;
  private Stations stations;
  private double[] start;
  private double[] finish;

  /**
   * @param guide the contour of the path; the right side reads it backwards
   * @param centre what a clock sweep goes round
   */
  public Track(Contour guide, Point centre, Seat seat) {
    this(seat.side() == Seat.Side.RIGHT ? guide.reversed() : guide, centre, seat.ends());
  }

  /**
   * A path that other things than letters are on, in its own direction.
   *
   * @param ends null follows the path
   */
  public Track(Contour guide, Seat.EndRule ends) {
    this(guide, Point.ORIGIN, ends);
  }

  private Track(Contour contour, Point centre, Seat.EndRule ends) {
    this.centre = centre;
    this.contour = contour;
    Seat.EndRule byPath = contour.closed() ? Seat.EndRule.WRAP : Seat.EndRule.CONTINUE;
    this.ends = ends == null ? byPath : ends;
    this.round = contour.closed() && this.ends == Seat.EndRule.WRAP;
  }

  /** What the lettering turns about. */
  public Point centre() {
    return centre;
  }

  /** The path in reading direction. */
  public Contour contour() {
    return contour;
  }

  /** What happens past the ends of the path. */
  public Seat.EndRule ends() {
    return ends;
  }

  /** Whether it is closed and goes on from its end at its start. */
  public boolean round() {
    return round;
  }

  /** The length of the path, px. */
  public double length() {
    return contour.length();
  }

  /** Whether a distance is past an end, where the contour itself has no place. */
  public boolean past(double d) {
    return ends != Seat.EndRule.WRAP && (d < 0 || d > length());
  }

  /** The distance as it is told: within the length where the track comes round. */
  public double told(double d) {
    return ends == Seat.EndRule.WRAP && (d < 0 || d > length()) ? contour.wrap(d) : d;
  }

  /** The place at a distance along the path in px; past its ends by the rule for them. */
  public Spot at(double distance) {
    double[] spot = new double[4];
    boolean on = at(distance, spot);
    return new Spot(new Point(spot[0], spot[1]), new Point(spot[2], spot[3]), on);
  }

  /** The same, written as x, y of the point and of the unit tangent; whether it is on the path. */
  boolean at(double distance, double[] out) {
    double d = told(distance);
    double length = length();
    if (!past(d)) {
      contour.place(seam(d), out);
      return true;
    }
    double[] end = end(d < 0);
    double more = d < 0 ? d : d - length;
    out[0] = end[0] + end[2] * more;
    out[1] = end[1] + end[3] * more;
    out[2] = end[2];
    out[3] = end[3];
    return false;
  }

  /** A closed contour that does not come round has ends at its seam: no wrapping there. */
  private double seam(double d) {
    boolean seam = contour.closed() && !round && d >= length();
    return seam ? Math.nextDown(length()) : Math.max(d, 0);
  }

  /** The place at an end: of a long text most letters may be past it. */
  private double[] end(boolean first) {
    double[] known = first ? start : finish;
    if (known == null) {
      known = new double[4];
      contour.place(seam(first ? 0 : length()), known);
      start = first ? known : start;
      finish = first ? finish : known;
    }
    return known;
  }

  /**
   * Like {@link #at}, from a table: much quicker, and within 0.01 px on bends that hold type.
   * Writes the point and the unit tangent: x, y, x, y.
   */
  public void quickly(double distance, double[] out) {
    if (length() <= 0) {
      Spot s = at(distance);
      write(s.point(), s.tangent(), out);
      return;
    }
    if (stations == null) {
      stations = new Stations(contour);
    }
    stations.at(told(distance), out);
  }

  static void write(Point point, Point tangent, double[] out) {
    out[0] = point.x();
    out[1] = point.y();
    out[2] = tangent.x();
    out[3] = tangent.y();
  }

  /**
   * What turns the tangent at d into the mean direction over the advance round d, radians. Only
   * sudden turns count: each is spread evenly over the advance as the letter passes it.
   */
  double cornerTurn(double d, double advance) {
    if (advance <= 0 || contour.corners().isEmpty()) {
      return 0;
    }
    double turn = 0;
    for (Contour.Corner c : contour.corners()) {
      if (c.distance() == 0 && ends != Seat.EndRule.WRAP) {
        continue;
      }
      double ahead = c.distance() - d;
      if (round) {
        ahead -= length() * Math.rint(ahead / length());
      }
      double share = 0.5 - Math.abs(ahead) / advance;
      if (share > 0) {
        turn += ahead > 0 ? c.turn() * share : -c.turn() * share;
      }
    }
    return turn;
  }

  /** The ruler for a height over the baseline in px; 0 measures the contour itself. */
  Ruler ruler(double height) {
    if (ruler == null || ruler.height() != height) {
      ruler = height == 0 || length() <= 0 ? new Ruler(this) : new Ruler(this, bends(), height);
    }
    return ruler;
  }

  /**
   * The curvature of a contour in steps.
   *
   * @param at distances at which the steps begin, and the length
   * @param curvature of each, that of its middle
   */
  record Bends(double[] at, double[] curvature) {}

  private Bends bends() {
    if (bends == null) {
      List<Segment> segments = contour.segments();
      int most = Math.max(1, MOST_STEPS / segments.size());
      List<Double> at = new ArrayList<>();
      List<Double> curvature = new ArrayList<>();
      for (int i = 0; i < segments.size(); i++) {
        double from = contour.startOf(i);
        double to = i + 1 < segments.size() ? contour.startOf(i + 1) : length();
        boolean even = segments.get(i) instanceof Line || isRound(segments.get(i));
        int n = even ? 1 : (int) Math.min(most, Math.max(8, Math.ceil((to - from) / STEP)));
        for (int k = 0; k < n && to > from; k++) {
          at.add(from + (to - from) * k / n);
          curvature.add(contour.at(from + (to - from) * (k + 0.5) / n).curvature());
        }
      }
      at.add(length());
      bends = new Bends(array(at), array(curvature));
    }
    return bends;
  }

  private static boolean isRound(Segment s) {
    return s instanceof Arc a && Math.abs(a.rx() - a.ry()) < 1e-9 * a.rx();
  }

  private static double[] array(List<Double> values) {
    return values.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
