package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/** The points of a plane where a x + b y + c is not less than 0. */
public record HalfPlane(double a, double b, double c) {
  /** Parts of a curve that lies in it in part, each taken as a line. */
  private static final int PARTS = 64;

  /** How far within it a point is, in units of its own; less than 0 outside. */
  public double depth(Point p) {
    return a * p.x() + b * p.y() + c;
  }

  boolean holds(Point p) {
    return depth(p) >= 0;
  }

  /** Where a line crosses its edge. */
  Point edge(Point p, Point q) {
    double u = depth(p);
    return p.lerp(q, u / (u - depth(q)));
  }

  /**
   * Whether it holds all of some segments, with the points that they are bent by; so it may be
   * false though it does.
   */
  boolean holds(List<? extends Segment> segments) {
    for (int i = 0; i < segments.size(); i++) {
      if (!holds(segments.get(i))) {
        return false;
      }
    }
    return true;
  }

  /** Lists of points would be most of the work of a letter in perspective. */
  private boolean holds(Segment s) {
    if (s instanceof Cubic c) {
      return holds(c.p0()) && holds(c.p1()) && holds(c.p2()) && holds(c.p3());
    }
    if (s instanceof Quadratic q) {
      return holds(q.p0()) && holds(q.p1()) && holds(q.p2());
    }
    return s instanceof Line
        ? holds(s.start()) && holds(s.end())
        : s.bounds().corners().stream().allMatch(this::holds);
  }

  /** The parts of a row of segments that it holds; curves that it holds in part are in lines. */
  List<List<Segment>> runs(List<? extends Segment> segments) {
    if (holds(segments)) {
      return segments.isEmpty() ? List.of() : List.of(List.copyOf(segments));
    }
    List<List<Segment>> out = new ArrayList<>();
    boolean open = false;
    for (Segment s : segments) {
      int parts = s instanceof Line ? 1 : PARTS;
      for (int i = 0; i < parts; i++) {
        Point p = s.point((double) i / parts);
        Point q = s.point((i + 1.0) / parts);
        boolean from = holds(p);
        boolean to = holds(q);
        if (from || to) {
          if (!open) {
            out.add(new ArrayList<>());
          }
          Point start = from ? p : edge(p, q);
          Point end = to ? q : edge(p, q);
          out.get(out.size() - 1).add(new Line(start, end));
        }
        open = to;
      }
    }
    return out;
  }

  /** What it holds of an area, cut straight; without segments where that is nothing. */
  public SubPath area(SubPath p) {
    List<Segment> all = new ArrayList<>(p.segments());
    if (!all.isEmpty()) {
      Point last = all.get(all.size() - 1).end();
      Point first = all.get(0).start();
      if (last.distance(first) > 0) {
        all.add(new Line(last, first));
      }
    }
    List<Segment> out = new ArrayList<>();
    for (List<Segment> run : runs(all)) {
      if (!out.isEmpty()) {
        out.add(new Line(out.get(out.size() - 1).end(), run.get(0).start()));
      }
      out.addAll(run);
    }
    return new SubPath(out, true);
  }
}
