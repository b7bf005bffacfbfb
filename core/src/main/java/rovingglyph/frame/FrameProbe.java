package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;
import rovingglyph.scene.Seat;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Seating;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;

/**
 * Tells for any path offset whether an outline of a lettering touches the frame, all other values
 * being those of one time. How deep the path lies in the frame is known on a grid; it changes by at
 * most one px per px along the path, so most letters are decided by their reach alone, and only
 * those near the frame's edge by their outlines.
 */
final class FrameProbe implements LandingSolver.Probe {
  private static final int CELLS = 512;

  private final PreparedLettering lettering;
  private final Seating seating;
  private final SeatValues values;
  private final Rect area;
  private final Contour contour;
  private final Affine turn;
  private final double cell;
  private final double[] depths = new double[CELLS + 1];
  private final double[] reaches;
  private final Contour.Station first;
  private final Contour.Station last;
  private final boolean steady;

  FrameProbe(PreparedLettering lettering, SeatValues values, Rect area) {
    this.lettering = lettering;
    this.seating = lettering.seating(values);
    this.values = values;
    this.area = area;
    this.contour = seating.contour();
    this.turn = Affine.rotate(Math.toRadians(values.rotation()), lettering.centre(values));
    this.cell = contour.length() / CELLS;
    for (int i = 0; i <= CELLS; i++) {
      depths[i] = depth(contour.at(Math.min(i * cell, contour.length())).point());
    }
    first = contour.at(0);
    last = contour.at(contour.closed() ? Math.nextDown(contour.length()) : contour.length());
    int n = lettering.run().clusters().size();
    reaches = new double[n];
    for (int i = 0; i < n; i++) {
      reaches[i] = reach(i);
    }
    boolean wraps = seating.ends() == Seat.EndRule.WRAP;
    // Elsewhere a letter jumps or vanishes at an end, and nothing follows from its neighbours.
    steady = wraps ? contour.closed() : seating.ends() == Seat.EndRule.CONTINUE;
  }

  /** How far the ink of a cluster reaches from the point on the path, px; -1 without ink. */
  private double reach(int i) {
    double ems = -1;
    for (Cluster.Glyph g : lettering.run().clusters().get(i).glyphs()) {
      Outline o = lettering.run().outlines().get(g.outline());
      Rect b = o.bounds();
      if (!b.isEmpty()) {
        double x = g.dx() - seating.advance(i) / 2;
        double across = Math.max(Math.abs(b.left() + x), Math.abs(b.right() + x));
        double up = Math.max(Math.abs(b.top() + g.dy()), Math.abs(b.bottom() + g.dy()));
        ems = Math.max(ems, Math.sqrt(across * across + up * up));
      }
    }
    return ems < 0 ? -1 : ems * values.size() + Math.abs(values.baselineShift());
  }

  /** Signed distance to the edge of the frame, positive inside. */
  private double depth(Point unturned) {
    Point p = turn.apply(unturned);
    double dx = Math.min(p.x() - area.left(), area.right() - p.x());
    double dy = Math.min(p.y() - area.top(), area.bottom() - p.y());
    if (dx >= 0 && dy >= 0) {
      return Math.min(dx, dy);
    }
    double outX = Math.min(dx, 0);
    double outY = Math.min(dy, 0);
    return -Math.sqrt(outX * outX + outY * outY);
  }

  /** Depth at a distance along the path, good to half a cell; NaN where nothing is shown. */
  private double depthAt(double raw) {
    double d = raw;
    double length = contour.length();
    if (raw < 0 || raw > length) {
      switch (seating.ends()) {
        case WRAP -> d = contour.wrap(raw);
        case CUT -> {
          return Double.NaN;
        }
        default -> {
          return raw < 0
              ? depth(first.point().plus(first.tangent().times(raw)))
              : depth(last.point().plus(last.tangent().times(raw - length)));
        }
      }
    }
    return cell > 0 ? depths[(int) Math.round(d / cell)] : depths[0];
  }

  @Override
  public LandingSolver.Reading read(double pathOffset) {
    SeatValues v = values.withPathOffset(pathOffset);
    double tail = seating.tail(v);
    double inFor = -1;
    double outFor = Double.POSITIVE_INFINITY;
    for (int i = 0; i < reaches.length; i++) {
      double depth = reaches[i] < 0 ? Double.NaN : depthAt(tail + seating.middle(i) * v.size());
      if (!Double.isNaN(depth)) {
        inFor = Math.max(inFor, depth - reaches[i] - cell);
        outFor = Math.min(outFor, -depth - reaches[i] - cell);
      }
    }
    if (inFor >= 0) {
      return new LandingSolver.Reading(true, steady ? inFor : 0);
    }
    if (outFor >= 0) {
      return new LandingSolver.Reading(false, steady ? outFor : 0);
    }
    return new LandingSolver.Reading(anyTouches(v, tail), 0);
  }

  private boolean anyTouches(SeatValues v, double tail) {
    for (int i = 0; i < reaches.length; i++) {
      double depth = reaches[i] < 0 ? Double.NaN : depthAt(tail + seating.middle(i) * v.size());
      if (depth >= -reaches[i] - cell && lettering.touches(i, v, area)) {
        return true;
      }
    }
    return false;
  }
}
