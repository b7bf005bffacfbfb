package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;

/**
 * The area that a line covers, as polygons. Painters draw lines themselves; this is for lines that
 * are wider at one end than at the other, as in perspective.
 */
final class StrokeArea {
  /** Px that a curve may be off. */
  private static final double EXACT = 0.03;

  /** Radians that a round join or cap goes on by straight. */
  private static final double STEP = Math.PI / 16;

  private final List<SubPath> out = new ArrayList<>();
  private final LineStyle line;
  private final double half;
  private final double tolerance;

  private StrokeArea(LineStyle line, double unit) {
    this.line = line;
    this.half = line.width() / 2;
    this.tolerance = EXACT / unit;
  }

  /**
   * The area of a line along contours.
   *
   * @param unit px of one of their units
   */
  static List<SubPath> of(List<Contour> contours, LineStyle line, double unit) {
    StrokeArea area = new StrokeArea(line, unit);
    for (Contour c : contours) {
      area.dashed(c);
    }
    return area.out;
  }

  private void dashed(Contour c) {
    double[] dash = line.dash();
    double length = c.length();
    if (dash.length == 0 || length <= 0) {
      add(c);
      return;
    }
    double at = 0;
    for (int i = 0; at < length; i++) {
      double to = at + dash[i % dash.length];
      if (i % 2 == 0 && to > at) {
        add(c.between(at, Math.min(to, length)));
      }
      at = to;
    }
  }

  private void add(Contour c) {
    List<Point> points = flattened(c);
    int n = points.size();
    if (n < 2) {
      return;
    }
    boolean round = c.closed();
    List<Point> left = new ArrayList<>();
    List<Point> right = new ArrayList<>();
    for (int i = 0; i + 1 < n; i++) {
      Point p = points.get(i);
      Point q = points.get(i + 1);
      Point side = side(p, q);
      left.addAll(List.of(p.plus(side), q.plus(side)));
      right.addAll(List.of(p.minus(side), q.minus(side)));
      if (i + 2 < n || round) {
        Point next = i + 2 < n ? points.get(i + 2) : points.get(1);
        join(q, side, side(q, next), left, right);
      }
    }
    if (round) {
      polygon(left);
    } else {
      cap(points.get(n - 1), side(points.get(n - 2), points.get(n - 1)), left);
    }
    Collections.reverse(right);
    if (round) {
      polygon(right);
    } else {
      left.addAll(right);
      cap(points.get(0), side(points.get(1), points.get(0)), left);
      polygon(left);
    }
  }

  /** Its points in order, none twice in a row; of one that is closed the first is also the last. */
  private List<Point> flattened(Contour c) {
    List<Point> all = new ArrayList<>(List.of(c.first()));
    for (Segment s : c.segments()) {
      double bend = 0;
      for (int i = 0; i <= 4 && !(s instanceof Line); i++) {
        bend = Math.max(bend, s.secondDerivative(i / 4.0).length());
      }
      int parts = (int) Math.min(Math.max(Math.ceil(Math.sqrt(bend / 8 / tolerance)), 1), 200);
      for (int i = 1; i <= parts; i++) {
        Point p = s.point((double) i / parts);
        if (p.distance(all.get(all.size() - 1)) > 1e-9) {
          all.add(p);
        }
      }
    }
    return all;
  }

  private Point side(Point from, Point to) {
    Point d = to.minus(from).unit();
    return new Point(-d.y(), d.x()).times(half);
  }

  /** What both edges do where two pieces meet: round the outer side of the turn. */
  private void join(Point at, Point before, Point after, List<Point> left, List<Point> right) {
    double turn = Math.atan2(before.cross(after), before.dot(after));
    if (Math.abs(turn) < STEP) {
      return;
    }
    List<Point> outer = turn > 0 ? right : left;
    Point from = turn > 0 ? before.times(-1) : before;
    Point to = turn > 0 ? after.times(-1) : after;
    // By the middle, so that on the inner side nothing is gone round the other way.
    (turn > 0 ? left : right).add(at);
    double ratio = 1 / Math.cos(turn / 2);
    if (line.join() == 0) {
      arc(at, from, turn, outer);
    } else if (line.join() == 1 && ratio > 0 && ratio <= LineStyle.MITER_LIMIT) {
      // A miter is so many times as long as the line is wide.
      outer.add(at.plus(from.plus(to).unit().times(half * ratio)));
    }
  }

  private static void arc(Point at, Point from, double turn, List<Point> to) {
    int parts = (int) Math.ceil(Math.abs(turn) / STEP);
    for (int i = 1; i < parts; i++) {
      double a = turn * i / parts;
      double cos = Math.cos(a);
      double sin = Math.sin(a);
      Point p = new Point(from.x() * cos - from.y() * sin, from.x() * sin + from.y() * cos);
      to.add(at.plus(p));
    }
  }

  /**
   * Goes round an end.
   *
   * @param side of the line as it comes to the end
   */
  private void cap(Point at, Point side, List<Point> round) {
    Point on = new Point(side.y(), -side.x());
    if (line.cap() == 1) {
      arc(at, side, -Math.PI, round);
    } else if (line.cap() == 2) {
      round.add(at.plus(side).plus(on));
      round.add(at.minus(side).plus(on));
    }
  }

  private void polygon(List<Point> p) {
    List<Segment> sides = new ArrayList<>();
    for (int i = 0; i < p.size(); i++) {
      sides.add(new Line(p.get(i), p.get((i + 1) % p.size())));
    }
    out.add(new SubPath(sides, true));
  }
}
