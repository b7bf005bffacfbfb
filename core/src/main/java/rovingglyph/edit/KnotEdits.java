package rovingglyph.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.CurveFit;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.Knot;

/** Edits of the points of a drawn path. Indexes that are not there change nothing. */
public final class KnotEdits {
  private final List<Knot> knots;
  private final boolean closed;

  /** Edits of these points, which are not changed themselves. */
  public KnotEdits(List<Knot> knots, boolean closed) {
    this.knots = knots;
    this.closed = closed;
  }

  private interface Rule {
    Knot apply(int index, Knot knot);
  }

  private List<Knot> each(Set<Integer> indexes, Rule rule) {
    List<Knot> out = new ArrayList<>(knots);
    for (int i : indexes) {
      if (i >= 0 && i < out.size()) {
        out.set(i, rule.apply(i, knots.get(i)));
      }
    }
    return out;
  }

  /** Adds a point after the last one; a handle makes it a smooth point. */
  public List<Knot> append(Point at, Point out) {
    List<Knot> all = new ArrayList<>(knots);
    boolean bent = out.length() > 0;
    all.add(new Knot(at, out.times(-1), out, bent ? Knot.Kind.SMOOTH : Knot.Kind.CORNER));
    return all;
  }

  /** The chosen points moved by so many px, with their handles. */
  public List<Knot> move(Set<Integer> indexes, Point by) {
    return each(indexes, (i, k) -> k.at(k.at().plus(by)));
  }

  /** The points at other places, one for each; handles go along. */
  public List<Knot> place(List<Point> points) {
    List<Knot> out = new ArrayList<>();
    for (int i = 0; i < knots.size(); i++) {
      Knot k = knots.get(i);
      out.add(points.get(i) == k.at() ? k : k.at(points.get(i)));
    }
    return out;
  }

  /** The places of the points, without their handles. */
  public List<Point> points() {
    List<Point> out = new ArrayList<>(knots.size());
    knots.forEach(k -> out.add(k.at()));
    return out;
  }

  /**
   * Moves a handle to a place. The other handle of a smooth point stays in line, of a symmetric one
   * as long, too.
   *
   * @param broken whether the point becomes a corner by it
   */
  public List<Knot> moveHandle(int index, boolean out, Point to, boolean broken) {
    return each(
        Set.of(index),
        (i, k) -> {
          Point moved = to.minus(k.at());
          Point other = out ? k.in() : k.out();
          Knot.Kind kind = broken ? Knot.Kind.CORNER : k.kind();
          if (kind == Knot.Kind.SYMMETRIC) {
            other = moved.times(-1);
          } else if (kind == Knot.Kind.SMOOTH && moved.length() > 0) {
            other = moved.unit().times(-other.length());
          }
          return k.with(out ? other : moved, out ? moved : other).with(kind);
        });
  }

  /**
   * Corner: the handles stay where they are but move apart from each other from now on. Smooth and
   * symmetric: they are brought in line, along the mean of their directions, or of the neighbours
   * where there are none; symmetric ones to their mean length.
   */
  public List<Knot> kind(Set<Integer> indexes, Knot.Kind kind) {
    return each(
        indexes,
        (i, k) -> {
          if (kind == Knot.Kind.CORNER) {
            return k.with(kind);
          }
          Knot base = k.in().length() == 0 && k.out().length() == 0 ? auto(i) : k;
          Point direction = direction(base, i);
          double in = base.in().length();
          double out = base.out().length();
          if (kind == Knot.Kind.SYMMETRIC) {
            in = (in + out) / 2;
            out = in;
          }
          return base.with(direction.times(-in), direction.times(out)).with(kind);
        });
  }

  private Point direction(Knot k, int i) {
    Point sum = unitOrZero(k.out()).minus(unitOrZero(k.in()));
    return sum.length() > 1e-9 ? sum.unit() : after(i).at().minus(before(i).at()).unit();
  }

  private static Point unitOrZero(Point p) {
    return p.length() > 0 ? p.unit() : Point.ORIGIN;
  }

  /** Handles in line with the neighbours, each a third of the way to its own. */
  public List<Knot> smooth(Set<Integer> indexes) {
    return each(indexes, (i, k) -> auto(i));
  }

  private Knot auto(int i) {
    Knot k = knots.get(i);
    Point before = before(i).at();
    Point after = after(i).at();
    Point direction = after.minus(before).unit();
    return k.with(
            direction.times(-k.at().distance(before) / 3),
            direction.times(k.at().distance(after) / 3))
        .with(Knot.Kind.SMOOTH);
  }

  private Knot before(int i) {
    int n = knots.size();
    return knots.get(closed ? (i + n - 1) % n : Math.max(i - 1, 0));
  }

  private Knot after(int i) {
    int n = knots.size();
    return knots.get(closed ? (i + 1) % n : Math.min(i + 1, n - 1));
  }

  /**
   * Without some points; one curve between the neighbours of each gap takes the place of what went
   * through it, as near to it as one curve can be. Gone straight pieces give a straight one.
   *
   * @throws IllegalArgumentException if fewer than two points would be left
   */
  public List<Knot> delete(Set<Integer> indexes) {
    TreeSet<Integer> left = new TreeSet<>();
    for (int i = 0; i < knots.size(); i++) {
      if (!indexes.contains(i)) {
        left.add(i);
      }
    }
    if (left.size() < 2) {
      throw new IllegalArgumentException("A path needs at least two points");
    }
    List<Segment> segments = GuideContour.segments(knots, closed);
    List<Knot> out = new ArrayList<>(knots);
    for (int a : left) {
      Integer next = left.higher(a);
      int b = next != null ? next : closed ? left.first() : -1;
      int steps = b < 0 ? 0 : Math.floorMod(b - a, knots.size());
      if (steps > 1) {
        bridge(out, segments, a, b, steps);
      }
    }
    List<Knot> kept = new ArrayList<>();
    left.forEach(i -> kept.add(out.get(i)));
    return kept;
  }

  private void bridge(List<Knot> out, List<Segment> segments, int a, int b, int steps) {
    List<Segment> gone = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      gone.add(segments.get((a + i) % segments.size()));
    }
    Knot from = out.get(a);
    Knot to = out.get(b);
    if (gone.stream().allMatch(s -> s instanceof Line)) {
      out.set(a, from.with(from.in(), Point.ORIGIN));
      out.set(b, to.with(Point.ORIGIN, to.out()));
      return;
    }
    List<Point> samples = new ArrayList<>();
    samples.add(gone.get(0).start());
    for (Segment s : gone) {
      for (int k = 1; k <= 32; k++) {
        samples.add(s.point(k / 32.0));
      }
    }
    Cubic c = CurveFit.one(samples, gone.get(0).tangent(0), gone.get(gone.size() - 1).tangent(1));
    out.set(a, from.with(from.in(), c.p1().minus(c.p0())));
    // Of a closed path with one gap both ends may be the same point.
    Knot end = out.get(b);
    out.set(b, end.with(c.p2().minus(c.p3()), end.out()));
  }

  /**
   * Opened at a point, which then is both ends of a closed path; an open one falls in two.
   *
   * @return one row of points, or two
   */
  public List<List<Knot>> cut(int index) {
    if (closed) {
      List<Knot> row = new ArrayList<>(knots.subList(index, knots.size()));
      row.addAll(knots.subList(0, index + 1));
      return List.of(row);
    }
    if (index <= 0 || index >= knots.size() - 1) {
      throw new IllegalArgumentException("An open path is cut at a point between its ends");
    }
    return List.of(
        List.copyOf(knots.subList(0, index + 1)), List.copyOf(knots.subList(index, knots.size())));
  }

  /**
   * This row and another made one, by the ends that are nearest to each other. Ends on one spot
   * become one point, others are joined by a straight piece.
   */
  public static List<Knot> join(List<Knot> a, List<Knot> b) {
    boolean turnA = false;
    boolean turnB = false;
    double best = Double.POSITIVE_INFINITY;
    for (int way = 0; way < 4; way++) {
      Knot endA = (way & 1) == 0 ? a.get(a.size() - 1) : a.get(0);
      Knot endB = (way & 2) == 0 ? b.get(0) : b.get(b.size() - 1);
      double d = endA.at().distance(endB.at());
      if (d < best - 1e-9) {
        best = d;
        turnA = (way & 1) != 0;
        turnB = (way & 2) != 0;
      }
    }
    // The first keeps its direction where it can.
    List<Knot> first = turnA ? (turnB ? b : turned(b)) : a;
    List<Knot> second = turnA ? a : turnB ? turned(b) : b;
    List<Knot> out = new ArrayList<>(first);
    if (best < 0.5) {
      Knot end = out.remove(out.size() - 1);
      out.add(end.with(end.in(), second.get(0).out()).with(Knot.Kind.CORNER));
      out.addAll(second.subList(1, second.size()));
      return out;
    }
    Knot end = out.remove(out.size() - 1);
    out.add(end.with(end.in(), Point.ORIGIN));
    Knot start = second.get(0);
    out.add(start.with(Point.ORIGIN, start.out()));
    out.addAll(second.subList(1, second.size()));
    return out;
  }

  private static List<Knot> turned(List<Knot> row) {
    List<Knot> out = new ArrayList<>();
    for (int i = row.size() - 1; i >= 0; i--) {
      out.add(row.get(i).reversed());
    }
    return out;
  }
}
