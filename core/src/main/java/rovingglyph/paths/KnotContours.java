package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.Knot;

/**
 * Contours of points. The last few are kept: an edit asks for the same ones several times, and the
 * next one changes a point or two, so that most of the line need not be measured again.
 */
final class KnotContours {
  private static final int KEPT = 4;

  /** What was made of some points. */
  record Made(List<Knot> knots, boolean closed, List<Segment> segments, Contour contour) {}

  // Replaced as a whole, so that several threads can read it.
  private static volatile List<Made> latest = List.of();

  private KnotContours() {}

  static Contour of(List<Knot> knots, boolean closed) {
    Made like = null;
    for (Made m : latest) {
      if (m.knots == knots && m.closed == closed) {
        return m.contour;
      }
      if (like == null && m.closed == closed && alike(m.knots, knots)) {
        like = m;
      }
    }
    List<Segment> segments = segments(knots, closed, like);
    Contour made = new Contour(segments, closed, like == null ? null : like.contour);
    List<Made> kept = new ArrayList<>(KEPT);
    kept.add(new Made(knots, closed, segments, made));
    kept.addAll(latest.subList(0, Math.min(latest.size(), KEPT - 1)));
    latest = kept;
    return made;
  }

  /**
   * @param like whose segments are taken over where their points are the same, or null
   */
  static List<Segment> segments(List<Knot> knots, boolean closed, Made like) {
    int n = knots.size();
    List<Segment> out = new ArrayList<>(n);
    boolean known = like != null && like.knots.size() == n;
    for (int i = 0; i < (closed ? n : n - 1); i++) {
      int next = (i + 1) % n;
      boolean same = known && like.knots.get(i) == knots.get(i);
      out.add(
          same && like.knots.get(next) == knots.get(next)
              ? like.segments.get(i)
              : GuideContour.segment(knots.get(i), knots.get(next)));
    }
    return out;
  }

  private static boolean alike(List<Knot> a, List<Knot> b) {
    return !a.isEmpty()
        && !b.isEmpty()
        && (a.get(0).equals(b.get(0)) || a.get(a.size() - 1).equals(b.get(b.size() - 1)));
  }
}
