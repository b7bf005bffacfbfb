package rovingglyph.journey;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.seat.SeatValues;

/** What can be shown along a path: places, its bend, the room of a lettering, bends too tight. */
public final class PathMarks {
  /** On the outer side of a bend a letter needs a radius of at least this share of its size. */
  private static final double OUTER = 0.35;

  private PathMarks() {}

  /** x, y and angle in degrees at the middles of {@code count} equal parts. */
  public static double[] middles(Contour c, int count) {
    double[] out = new double[count * 3];
    for (int i = 0; i < count; i++) {
      put(out, i, c, c.length() * (i + 0.5) / count);
    }
    return out;
  }

  /** x, y and angle in degrees at every tenth of the length, both ends included. */
  public static double[] tenths(Contour c) {
    double[] out = new double[33];
    for (int i = 0; i <= 10; i++) {
      boolean end = i == 10 && c.closed();
      put(out, i, c, end ? Math.nextDown(c.length()) : c.length() * i / 10);
    }
    return out;
  }

  private static void put(double[] out, int i, Contour c, double distance) {
    Contour.Station s = c.at(distance);
    out[i * 3] = s.point().x();
    out[i * 3 + 1] = s.point().y();
    out[i * 3 + 2] = Math.toDegrees(s.tangent().angle());
  }

  /**
   * The curvature comb: x, y of a foot and of the tooth's end, which stands on the outer side, as
   * far away as the bend is sharp: {@code height} px for a bend of radius {@code height}, at most
   * twice that.
   */
  public static double[] comb(Contour c, int count, double height) {
    double[] out = new double[count * 4];
    for (int i = 0; i < count; i++) {
      Contour.Station s = c.at(c.length() * (i + 0.5) / count);
      double tooth = Math.min(Math.max(s.curvature() * height, -2), 2) * height;
      Point end = s.point().plus(s.normal().times(tooth));
      out[i * 4] = s.point().x();
      out[i * 4 + 1] = s.point().y();
      out[i * 4 + 2] = end.x();
      out[i * 4 + 3] = end.y();
    }
    return out;
  }

  /** The room between the margins; empty where there is none. */
  public static List<Contour> room(PreparedLettering l, SeatValues v) {
    Contour c = l.seating(v).contour();
    double to = c.length() - v.endMargin();
    return to > v.startMargin() ? List.of(c.between(v.startMargin(), to)) : List.of();
  }

  /**
   * The stretches that bend too tightly for the type: on the inner side of a bend where the tops of
   * the letters would meet, on the outer side where a letter is too wide to follow.
   */
  public static List<Contour> tight(PreparedLettering l, SeatValues v) {
    Contour c = l.seating(v).contour();
    double shift = l.text().lift() * v.size() + v.baselineShift();
    double top = l.text().ascent() * v.size() + shift;
    double wide = OUTER * v.size() - shift;
    double step = Math.max(1, Math.min(6, v.size() / 10));
    List<Contour> out = new ArrayList<>();
    for (int i = 0; i < c.segments().size(); i++) {
      Segment s = c.segments().get(i);
      int parts = (int) Math.min(400, Math.ceil((c.startOf(i + 1) - c.startOf(i)) / step));
      int from = -1;
      for (int k = 0; k <= parts; k++) {
        double bend = k < parts ? s.curvature((k + 0.5) / parts) : 0;
        boolean tight = bend < 0 ? -bend * top > 1 : bend * wide > 1;
        if (tight && from < 0) {
          from = k;
        } else if (!tight && from >= 0) {
          out.add(part(s, (double) from / parts, (double) k / parts));
          from = -1;
        }
      }
    }
    for (Contour.Corner corner : c.corners()) {
      boolean inner = corner.turn() < 0;
      if (inner && Math.abs(corner.turn()) > Math.PI / 6) {
        out.add(c.between(corner.distance() - v.size() / 4, corner.distance() + v.size() / 4));
      }
    }
    return out;
  }

  private static Contour part(Segment s, double u0, double u1) {
    Segment head = u1 < 1 ? s.split(u1)[0] : s;
    return new Contour(List.of(u0 > 0 ? head.split(u0 / u1)[1] : head), false);
  }
}
