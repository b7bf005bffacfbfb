package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Paths as a {@link Projection} shows them: in lines and cubics, and without what lies nearer to
 * the eye than {@link Projection#NEAREST}.
 */
public final class ProjectedPath {
  /** How far from where it belongs a path may be, px. */
  public static final double EXACT = 0.01;

  /** Halvings of a curve at most. */
  private static final int DEEPEST = 8;

  private final Projection map;
  private final HalfPlane seen;
  private final double tolerance;

  private ProjectedPath(Projection map, double tolerance) {
    this.map = map;
    this.seen = seen(map);
    this.tolerance = tolerance;
  }

  /**
   * An area within a path. What is cut off is cut straight.
   *
   * @param tolerance px of what is mapped to
   * @return without segments where nothing is seen
   */
  public static SubPath area(SubPath p, Projection map, double tolerance) {
    ProjectedPath out = new ProjectedPath(map, tolerance);
    return new SubPath(out.joined(out.runs(p.segments())), true);
  }

  /** A line along a path: the parts of it that are seen. */
  public static List<SubPath> line(SubPath p, Projection map, double tolerance) {
    ProjectedPath out = new ProjectedPath(map, tolerance);
    List<List<Segment>> runs = out.runs(p.segments());
    boolean whole = runs.size() == 1 && out.seen.holds(p.segments());
    return runs.stream().map(r -> new SubPath(out.projected(r), whole && p.closed())).toList();
  }

  /** A contour; what is not seen of it is left out, and its ends joined. */
  static Contour contour(Contour c, Projection map) {
    ProjectedPath out = new ProjectedPath(map, EXACT);
    List<Segment> all = out.joined(out.runs(c.segments()));
    Point first = all.isEmpty() ? map.apply(c.first()) : all.get(0).start();
    if (all.isEmpty() || c.closed()) {
      Point last = all.isEmpty() ? first : all.get(all.size() - 1).end();
      all.add(new Line(last, first));
    }
    return new Contour(all, c.closed());
  }

  /** What is seen of a polygon, before it is mapped. */
  static List<Point> seen(List<Point> polygon, Projection map) {
    HalfPlane front = seen(map);
    List<Point> out = new ArrayList<>();
    for (int i = 0; i < polygon.size(); i++) {
      Point p = polygon.get(i);
      Point next = polygon.get((i + 1) % polygon.size());
      boolean in = front.holds(p);
      if (in) {
        out.add(p);
      }
      if (in != front.holds(next)) {
        out.add(front.edge(p, next));
      }
    }
    return out;
  }

  /** A polygon without what is not seen of it. */
  public static List<Point> polygon(List<Point> polygon, Projection map) {
    return seen(polygon, map).stream().map(map::apply).toList();
  }

  /** What of the plane is seen. */
  private static HalfPlane seen(Projection map) {
    return new HalfPlane(map.g(), map.h(), map.i() - Projection.NEAREST);
  }

  /** The parts that are seen, not mapped yet. */
  private List<List<Segment>> runs(List<? extends Segment> segments) {
    return seen.runs(segments);
  }

  private List<Segment> joined(List<List<Segment>> runs) {
    List<Segment> out = new ArrayList<>();
    for (List<Segment> run : runs) {
      List<Segment> next = projected(run);
      if (!out.isEmpty()) {
        out.add(new Line(out.get(out.size() - 1).end(), next.get(0).start()));
      }
      out.addAll(next);
    }
    return out;
  }

  private List<Segment> projected(List<Segment> run) {
    List<Segment> out = new ArrayList<>();
    for (Segment s : run) {
      if (s instanceof Line l) {
        out.add(new Line(map.apply(l.start()), map.apply(l.end())));
      } else if (s instanceof Arc a) {
        a.cubics().forEach(c -> add(c, 0, out));
      } else {
        add(s instanceof Quadratic q ? q.raised() : (Cubic) s, 0, out);
      }
    }
    return out;
  }

  /** Adds cubics for one: with its ends and directions, halved until their middles are on it. */
  private void add(Cubic c, int deep, List<Segment> out) {
    Point from = map.apply(c.p0());
    Point to = map.apply(c.p3());
    Cubic there = new Cubic(from, bent(c.p0(), c.p1(), from), bent(c.p3(), c.p2(), to), to);
    if (deep >= DEEPEST || isNear(c, there, 0.25) && isNear(c, there, 0.5)) {
      out.add(there);
      return;
    }
    for (Segment half : c.split(0.5)) {
      add((Cubic) half, deep + 1, out);
    }
  }

  /**
   * By which the curve is bent at an end: a third of its derivative away, which by the quotient
   * rule is w1 / w0 of what lies between the two points mapped.
   */
  private Point bent(Point end, Point by, Point mapped) {
    double k = map.weight(by) / map.weight(end);
    return mapped.plus(map.apply(by).minus(mapped).times(k));
  }

  private boolean isNear(Cubic c, Cubic there, double u) {
    return map.apply(c.point(u)).distance(there.point(u)) <= tolerance;
  }
}
