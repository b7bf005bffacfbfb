package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Trail;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;

/** The pieces of a track that are drawn under a row of letters, turned with it. */
final class TrailLine {
  private TrailLine() {}

  /** None, one, or two where the trail goes over the join of a closed path. */
  static List<Contour> pieces(Trail trail, RowLayout row, Affine turn) {
    Contour c = row.contour();
    double length = c.length();
    double[] span = span(trail, row);
    double from = span[0];
    double to = span[1];
    List<Contour> out = new ArrayList<>();
    if (to <= from || length <= 0) {
      return out;
    }
    if (!row.track().round()) {
      add(out, c, from, to);
    } else if (to - from >= length) {
      out.add(c);
    } else {
      double start = c.wrap(from);
      double end = start + to - from;
      add(out, c, start, Math.min(end, length));
      add(out, c, 0, end - length);
    }
    return turn == Affine.IDENTITY ? out : out.stream().map(p -> p.mapped(turn)).toList();
  }

  /** Where it begins and ends along the track, not cut to it. */
  static double[] span(Trail trail, RowLayout row) {
    if (trail.with()) {
      return new double[] {row.tail() - trail.lag(), row.head() + trail.lead()};
    }
    SeatValues v = row.values();
    double share = row.contour().length() / 100;
    return new double[] {v.get(Channel.TRAIL_FROM) * share, v.get(Channel.TRAIL_TO) * share};
  }

  private static void add(List<Contour> out, Contour c, double from, double to) {
    double a = Math.max(from, 0);
    double b = Math.min(to, c.length());
    if (b - a > 1e-6) {
      out.add(c.between(a, b));
    }
  }

  static void paint(Frame frame, Trail trail, RowLayout row, Affine turn, double alpha) {
    List<Contour> pieces = pieces(trail, row, turn);
    if (pieces.isEmpty()) {
      return;
    }
    double[] dash = trail.dash().stream().mapToDouble(d -> d).toArray();
    LineStyle line = new LineStyle(trail.width(), trail.cap().ordinal(), 0, dash);
    frame.stroke(trail.colour(), alpha, line, pieces);
  }
}
