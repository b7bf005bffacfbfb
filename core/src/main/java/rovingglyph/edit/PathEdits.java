package rovingglyph.edit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.Extras;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.GuidePath.Drawn;
import rovingglyph.scene.GuidePath.Knot;

/** Edits of guide paths. An index outside the points is an {@link IndexOutOfBoundsException}. */
public final class PathEdits {
  private PathEdits() {}

  /** The same line read the other way; a circle keeps its start. */
  public static GuidePath reverse(GuidePath path) {
    if (path instanceof GuidePath.Circle c) {
      return new GuidePath.Circle(
          c.id(), c.name(), c.centre(), c.radius(), c.startAngle(), !c.clockwise(), c.extras());
    }
    Drawn d = (Drawn) path;
    List<Knot> back = new ArrayList<>();
    for (Knot k : d.points()) {
      back.add(0, new Knot(k.at(), k.out(), k.in(), k.smooth(), k.extras()));
    }
    if (d.closed()) {
      // The first point stays the first.
      Collections.rotate(back, 1);
    }
    return with(d, back);
  }

  public static GuidePath move(GuidePath path, Point by) {
    if (path instanceof GuidePath.Circle c) {
      return circle(c, c.centre().plus(by), c.radius(), c.startAngle());
    }
    Drawn d = (Drawn) path;
    return with(d, d.points().stream().map(k -> at(k, k.at().plus(by))).toList());
  }

  /** The circle through a point; at least 1 px. */
  public static GuidePath radiusTo(GuidePath.Circle c, Point p) {
    return circle(c, c.centre(), Math.max(1, c.centre().distance(p)), c.startAngle());
  }

  /** The circle begun in the direction of a point. */
  public static GuidePath startAt(GuidePath.Circle c, Point p) {
    return circle(c, c.centre(), c.radius(), Math.toDegrees(p.minus(c.centre()).angle()));
  }

  private static GuidePath circle(GuidePath.Circle c, Point centre, double radius, double start) {
    return new GuidePath.Circle(c.id(), c.name(), centre, radius, start, c.clockwise(), c.extras());
  }

  public static Drawn close(Drawn d, boolean closed) {
    return new Drawn(d.id(), d.name(), d.points(), closed, d.extras());
  }

  /** Adds a point on the line where it is nearest to p; the line keeps its shape. */
  public static Drawn insert(Drawn d, Point p) {
    List<Segment> segments = GuideContour.segments(d);
    int best = 0;
    Contour.Nearest nearest = null;
    for (int i = 0; i < segments.size(); i++) {
      Contour.Nearest n = new Contour(List.of(segments.get(i)), false).nearest(p);
      if (nearest == null || n.point().distance(p) < nearest.point().distance(p)) {
        nearest = n;
        best = i;
      }
    }
    List<Knot> points = new ArrayList<>(d.points());
    int after = (best + 1) % points.size();
    Segment[] parts = segments.get(best).split(nearest.u());
    Point at = parts[0].end();
    Knot a = points.get(best);
    Knot b = points.get(after);
    if (segments.get(best) instanceof Line) {
      points.add(best + 1, new Knot(at, Point.ORIGIN, Point.ORIGIN, false, Extras.NONE));
      return with(d, points);
    }
    Point in = control(parts[0], 2).minus(at);
    Point out = control(parts[1], 1).minus(at);
    Point aOut = control(parts[0], 1).minus(a.at());
    Point bIn = control(parts[1], 2).minus(b.at());
    points.set(best, new Knot(a.at(), a.in(), aOut, a.smooth(), a.extras()));
    Knot newB = points.get(after);
    points.set(after, new Knot(newB.at(), bIn, newB.out(), newB.smooth(), newB.extras()));
    points.add(best + 1, new Knot(at, in, out, true, Extras.NONE));
    return with(d, points);
  }

  private static Point control(Segment s, int index) {
    Cubic c = (Cubic) s;
    return index == 1 ? c.p1() : c.p2();
  }

  /** Adds a point after the last one. */
  public static Drawn append(Drawn d, Point at, Point out) {
    List<Knot> points = new ArrayList<>(d.points());
    boolean bent = out.length() > 0;
    points.add(new Knot(at, out.times(-1), out, bent, Extras.NONE));
    return with(d, points);
  }

  public static Drawn delete(Drawn d, int index) {
    List<Knot> points = new ArrayList<>(d.points());
    points.remove(index);
    return with(d, points);
  }

  public static Drawn movePoint(Drawn d, int index, Point to) {
    List<Knot> points = new ArrayList<>(d.points());
    points.set(index, at(points.get(index), to));
    return with(d, points);
  }

  /** Moves a handle to a place; the other handle of a smooth point stays in line, and as long. */
  public static Drawn moveHandle(Drawn d, int index, boolean out, Point to) {
    List<Knot> points = new ArrayList<>(d.points());
    Knot k = points.get(index);
    Point moved = to.minus(k.at());
    Point other = out ? k.in() : k.out();
    if (k.smooth() && moved.length() > 0) {
      other = moved.unit().times(-other.length());
    }
    points.set(
        index, new Knot(k.at(), out ? other : moved, out ? moved : other, k.smooth(), k.extras()));
    return with(d, points);
  }

  /**
   * Smooth: handles in line with the neighbours, each a third of the way to its own. Corner: the
   * handles stay where they are but move apart from each other from now on.
   */
  public static Drawn setSmooth(Drawn d, int index, boolean smooth) {
    List<Knot> points = new ArrayList<>(d.points());
    Knot k = points.get(index);
    if (!smooth) {
      points.set(index, new Knot(k.at(), k.in(), k.out(), false, k.extras()));
      return with(d, points);
    }
    int n = points.size();
    Point before = points.get(d.closed() ? (index + n - 1) % n : Math.max(index - 1, 0)).at();
    Point after = points.get(d.closed() ? (index + 1) % n : Math.min(index + 1, n - 1)).at();
    Point direction = after.minus(before).unit();
    Point in = direction.times(-k.at().distance(before) / 3);
    Point out = direction.times(k.at().distance(after) / 3);
    points.set(index, new Knot(k.at(), in, out, true, k.extras()));
    return with(d, points);
  }

  private static Knot at(Knot k, Point p) {
    return new Knot(p, k.in(), k.out(), k.smooth(), k.extras());
  }

  private static Drawn with(Drawn d, List<Knot> points) {
    return new Drawn(d.id(), d.name(), List.copyOf(points), d.closed(), d.extras());
  }
}
