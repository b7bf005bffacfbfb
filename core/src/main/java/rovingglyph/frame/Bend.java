package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.type.Outline;

/** Curves a letter with its track. */
final class Bend {
  private final RowLayout.Under under;
  private final Placement place;
  private final Affine turn;
  private final double cos;
  private final double sin;
  private final double shift;
  private final double[] spot = new double[4];

  /**
   * @param turn of the lettering about its centre
   */
  Bend(RowLayout row, Placement place, Affine turn) {
    this.under = row.under(place.letter());
    this.place = place;
    this.turn = turn;
    double own = Math.toRadians(row.addedTurn(place.letter()));
    this.cos = Math.cos(own);
    this.sin = Math.sin(own);
    this.shift = row.shift(place.letter());
  }

  /**
   * The outline as closed polygons in scene px, x and y by turns: points (x, y) go to the track at
   * x, and y along its normal.
   *
   * @param dx of the outline, in em from the middle of the letter's advance on the baseline
   */
  List<double[]> polygons(Outline outline, double dx, double dy) {
    List<double[]> out = new ArrayList<>();
    for (double[] polygon : outline.polygons(Math.max(place.width(), place.height()))) {
      double[] bent = new double[polygon.length];
      for (int i = 0; i < polygon.length; i += 2) {
        write(polygon[i] + dx, polygon[i + 1] + dy, bent, i);
      }
      out.add(bent);
    }
    return out;
  }

  /**
   * The same in the space of the path's plane.
   *
   * @param up the way up of a letter whose path has its left side there
   */
  List<List<Point3>> inSpace(Outline outline, double dx, double dy, Function<Point, Point3> up) {
    List<List<Point3>> out = new ArrayList<>();
    for (double[] polygon : outline.polygons(Math.max(place.width(), place.height()))) {
      List<Point3> bent = new ArrayList<>();
      for (int i = 0; i < polygon.length; i += 2) {
        bent.add(at(polygon[i] + dx, polygon[i + 1] + dy, 0, up));
      }
      out.add(bent);
    }
    return out;
  }

  /**
   * A point of the letter in the space of the path's plane.
   *
   * @param emX from the middle of its advance
   * @param emY down from its baseline
   * @param depth px behind its front
   * @param up the way up of a letter whose path has its left side there
   */
  Point3 at(double emX, double emY, double depth, Function<Point, Point3> up) {
    double x = emX * place.width();
    double y = emY * place.height();
    under.at(x * cos - y * sin, spot);
    Point at = turn.apply(new Point(spot[0], spot[1]));
    Point ahead = turn.apply(new Point(spot[0] + spot[2], spot[1] + spot[3])).minus(at);
    Point3 way = up.apply(new Point(ahead.y(), -ahead.x()));
    Point3 out = Point3.of(at).plus(way.times(shift - (x * sin + y * cos)));
    return depth == 0 ? out : out.plus(way.cross(Point3.of(ahead)).times(depth));
  }

  private void write(double emX, double emY, double[] out, int at) {
    double x = emX * place.width();
    double y = emY * place.height();
    under.at(x * cos - y * sin, spot);
    double up = shift - (x * sin + y * cos);
    double px = spot[0] + spot[3] * up;
    double py = spot[1] - spot[2] * up;
    if (turn == Affine.IDENTITY) {
      out[at] = px;
      out[at + 1] = py;
    } else {
      Point p = turn.apply(new Point(px, py));
      out[at] = p.x();
      out[at + 1] = p.y();
    }
  }
}
