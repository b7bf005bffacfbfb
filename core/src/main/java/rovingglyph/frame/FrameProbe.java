package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Seat;
import rovingglyph.scene.Trail;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Track;

/**
 * Tells for any path offset whether an outline of a lettering touches the frame, all other values
 * being those of one time. How deep the path lies in the frame is known on a grid; it changes by at
 * most one px per px along the path, so most letters are decided by their reach alone, and only
 * those near the frame's edge by their outlines.
 */
final class FrameProbe implements LandingSolver.Probe {
  private static final int CELLS = 512;

  private final PreparedLettering lettering;
  private final SeatValues values;
  private final Window window;
  private final Row[] rows;

  FrameProbe(PreparedLettering lettering, SeatValues values, Rect area) {
    this.lettering = lettering;
    this.values = values;
    this.window = lettering.window(values, area);
    Affine turn = lettering.turn(values);
    this.rows = lettering.rows(values).stream().map(s -> new Row(s, turn)).toArray(Row[]::new);
  }

  /** One row: where its letters stand at the probe's own offset, and how far their ink reaches. */
  private final class Row {
    private final RowLayout seating;
    private final Track track;
    private final Affine turn;
    private final double cell;
    private final double[] depths = new double[CELLS + 1];
    private final double[] distances;
    private final double[] reaches;
    private final Track.Spot first;
    private final Track.Spot last;
    private final boolean steady;

    /** The line that goes with the text, where there is one: its ends and half its width. */
    private final double[] trail;

    private final double half;

    Row(RowLayout seating, Affine turn) {
      this.seating = seating;
      this.track = seating.track();
      this.turn = turn;
      Contour contour = track.contour();
      this.cell = contour.length() / CELLS;
      double[] spot = new double[4];
      for (int i = 0; i <= CELLS; i++) {
        contour.place(Math.min(i * cell, contour.length()), spot);
        depths[i] = depth(spot[0], spot[1]);
      }
      first = track.at(0);
      last = track.at(contour.length());
      int n = seating.letters().size();
      reaches = new double[n];
      distances = new double[n];
      for (int i = 0; i < n; i++) {
        Placement p = seating.place(i);
        reaches[i] = GlyphOutlines.reach(seating, p);
        distances[i] = seating.distance(i);
      }
      Trail line = lettering.lettering().letterEffects().trail();
      boolean along = line != null && line.with() && values.opacity() > 0;
      trail = along ? lettering.trailSpan(seating) : null;
      half = along ? line.width() / 2 : 0;
      // Elsewhere a letter jumps or vanishes at an end, and nothing follows from its neighbours.
      steady =
          seating.slides()
              && (track.ends() == Seat.EndRule.WRAP
                  ? contour.closed()
                  : track.ends() == Seat.EndRule.CONTINUE);
    }

    private double depth(Point unturned) {
      return depth(unturned.x(), unturned.y());
    }

    private double depth(double x, double y) {
      return window.depth(
          turn.a() * x + turn.c() * y + turn.e(), turn.b() * x + turn.d() * y + turn.f());
    }

    /** Depth at a distance along the path, good to half a cell; NaN where nothing is shown. */
    private double depthAt(double raw) {
      if (track.past(raw)) {
        // Past an end it goes straight on.
        Track.Spot end = raw < 0 ? first : last;
        double more = raw < 0 ? raw : raw - track.length();
        return track.ends() == Seat.EndRule.CUT
            ? Double.NaN
            : depth(
                end.point().x() + end.tangent().x() * more,
                end.point().y() + end.tangent().y() * more);
      }
      return cell > 0 ? depths[(int) Math.round(track.told(raw) / cell)] : depths[0];
    }

    /** Least and greatest depth of the ink: surely inside by the first, outside by the second. */
    private void read(double moved, double[] sure) {
      for (int i = 0; i < reaches.length; i++) {
        double depth = reaches[i] < 0 ? Double.NaN : depthAt(distances[i] + moved);
        if (!Double.isNaN(depth)) {
          sure[0] = Math.max(sure[0], depth - reaches[i] - cell);
          sure[1] = Math.min(sure[1], -depth - reaches[i] - cell);
        }
      }
    }

    /** The same of the line that goes with the text. */
    private void readTrail(double moved, double[] sure) {
      double deepest = trailDepth(moved);
      if (!Double.isNaN(deepest)) {
        sure[0] = Math.max(sure[0], deepest - cell);
        sure[1] = Math.min(sure[1], -deepest - half - cell);
      }
    }

    /** The greatest depth along the line, exact at its ends; NaN where there is none. */
    private double trailDepth(double moved) {
      if (trail == null || !(trail[0] < trail[1]) || cell <= 0) {
        return Double.NaN;
      }
      double length = track.length();
      double from = track.round() ? trail[0] + moved : Math.max(trail[0] + moved, 0);
      double to = track.round() ? trail[1] + moved : Math.min(trail[1] + moved, length);
      if (from >= to) {
        return Double.NaN;
      }
      double deepest = Math.max(depth(track.at(from).point()), depth(track.at(to).point()));
      for (double d = from + cell; d < Math.min(to, from + length); d += cell) {
        deepest = Math.max(deepest, depths[(int) Math.round(track.told(d) / cell)]);
      }
      return deepest;
    }

    private boolean touches(double moved, SeatValues at) {
      if (trailDepth(moved) >= -half) {
        return true;
      }
      RowLayout there = null;
      for (int i = 0; i < reaches.length; i++) {
        double depth = reaches[i] < 0 ? Double.NaN : depthAt(distances[i] + moved);
        if (depth >= -reaches[i] - cell) {
          there = there == null ? seating.with(at) : there;
          if (lettering.touches(there, i, window)) {
            return true;
          }
        }
      }
      return false;
    }
  }

  @Override
  public LandingSolver.Reading read(double pathOffset) {
    SeatValues at = values.with(Channel.PATH_OFFSET, pathOffset);
    double moved = pathOffset - values.pathOffset();
    // Letters that stand reach out of the plane that their path lies in.
    if (!rows[0].seating.slides() || lettering.isDeep()) {
      Trail trail = lettering.lettering().letterEffects().trail();
      boolean goesAlong = trail != null && trail.with();
      boolean in =
          lettering.touches(at, window.area())
              || (goesAlong && lettering.trailTouches(at, window.area()));
      return new LandingSolver.Reading(in, 0);
    }
    double[] sure = {-1, Double.POSITIVE_INFINITY};
    boolean steady = true;
    for (Row r : rows) {
      r.read(moved, sure);
      r.readTrail(moved, sure);
      steady &= r.steady;
    }
    if (sure[0] >= 0) {
      return new LandingSolver.Reading(true, steady ? sure[0] : 0);
    }
    if (sure[1] >= 0) {
      return new LandingSolver.Reading(false, steady ? sure[1] : 0);
    }
    for (Row r : rows) {
      if (r.touches(moved, at)) {
        return new LandingSolver.Reading(true, 0);
      }
    }
    return new LandingSolver.Reading(false, 0);
  }
}
