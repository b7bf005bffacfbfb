package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.motion.Easings;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.ShapeKeyframe;

/** A drawn path that changes shape over time: its points go from place to place. */
public final class ShapeOverTime {
  /** Points of two shapes nearer than this share of the length count as the same point. */
  private static final double SAME = 0.02;

  private ShapeOverTime() {}

  /** The points at a time; before the first and after the last shape they hold. */
  public static List<Knot> at(DrawnPath d, double time) {
    List<ShapeKeyframe> keys = d.shapes();
    if (keys.isEmpty()) {
      return d.points();
    }
    int i = 0;
    while (i + 1 < keys.size() && keys.get(i + 1).time() <= time) {
      i++;
    }
    if (time <= keys.get(0).time() || i == keys.size() - 1) {
      return keys.get(i).points();
    }
    ShapeKeyframe a = keys.get(i);
    ShapeKeyframe b = keys.get(i + 1);
    double u = Easings.progress(a.easing(), (time - a.time()) / (b.time() - a.time()));
    List<Knot> from = matched(a.points(), b.points(), d.closed());
    List<Knot> to = matched(b.points(), a.points(), d.closed());
    List<Knot> out = new ArrayList<>();
    for (int k = 0; k < from.size(); k++) {
      out.add(between(from.get(k), to.get(k), u));
    }
    return out;
  }

  private static Knot between(Knot a, Knot b, double u) {
    return new Knot(
        a.at().lerp(b.at(), u),
        a.in().lerp(b.in(), u),
        a.out().lerp(b.out(), u),
        u < 1 ? a.kind() : b.kind());
  }

  /**
   * The points with as many more as are needed to stand one to one with the other's. Equal counts
   * are taken as they are; else both get a point where only the other has one, measured in shares
   * of the length, and no shape changes by it.
   */
  static List<Knot> matched(List<Knot> own, List<Knot> other, boolean closed) {
    if (own.size() == other.size()) {
      return own;
    }
    double[] mine = shares(own, closed);
    double[] theirs = shares(other, closed);
    // Which of the two is asked about must not matter: pairs are made from the shorter list.
    boolean shorter = mine.length < theirs.length;
    double[] few = shorter ? mine : theirs;
    double[] many = shorter ? theirs : mine;
    TreeSet<Double> missingInFew = new TreeSet<>();
    TreeSet<Double> missingInMany = new TreeSet<>();
    int f = 0;
    int m = 0;
    while (f < few.length || m < many.length) {
      double a = f < few.length ? few[f] : 2;
      double b = m < many.length ? many[m] : 2;
      if (Math.abs(a - b) <= SAME) {
        f++;
        m++;
      } else if (a < b) {
        missingInMany.add(a);
        f++;
      } else {
        missingInFew.add(b);
        m++;
      }
    }
    return withPointsAt(own, closed, shorter ? missingInFew : missingInMany);
  }

  private static double[] shares(List<Knot> knots, boolean closed) {
    List<Segment> segments = GuideContour.segments(knots, closed);
    double[] out = new double[knots.size()];
    double total = 0;
    double[] lengths = new double[segments.size()];
    for (int i = 0; i < lengths.length; i++) {
      lengths[i] = new Contour(List.of(segments.get(i)), false).length();
      total += lengths[i];
    }
    double at = 0;
    for (int i = 0; i < out.length; i++) {
      out[i] = total > 0 ? at / total : 0;
      at += i < lengths.length ? lengths[i] : 0;
    }
    return out;
  }

  private static List<Knot> withPointsAt(List<Knot> knots, boolean closed, TreeSet<Double> shares) {
    Contour c = GuideContour.ofKnots(knots, closed);
    List<Knot> out = knots;
    for (double share : shares) {
      Point p = c.at(c.length() * share).point();
      out = KnotInsert.at(out, closed, p);
    }
    return out;
  }
}
