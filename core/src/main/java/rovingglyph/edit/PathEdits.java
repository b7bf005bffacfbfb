package rovingglyph.edit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.UnaryOperator;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Turns;
import rovingglyph.motion.Timeline;
import rovingglyph.paths.GuideContour;
import rovingglyph.paths.KnotInsert;
import rovingglyph.paths.KnotsOf;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.FreehandPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.ShapeKeyframe;
import rovingglyph.scene.ShapePath;
import rovingglyph.scene.SmoothPath;
import rovingglyph.scene.UnknownFields;

/** Edits of any guide path as a whole. Times are in seconds, for paths that move. */
public final class PathEdits {
  /** A drawn path has at most this many points. */
  static final int MOST_POINTS = 5000;

  private PathEdits() {}

  /** The same line read the other way; of a closed path the start stays the start. */
  public static GuidePath reverse(GuidePath path) {
    if (path instanceof ShapePath s) {
      return new ShapePath(s.label(), s.kind(), s.numbers(), s.flipped(), !s.reversed());
    }
    if (path instanceof SmoothPath s) {
      return s.with(reversed(s.points(), s.closed()));
    }
    if (path instanceof FreehandPath f) {
      return f.with(reversed(f.samples(), f.closed()));
    }
    DrawnPath d = (DrawnPath) path;
    return everyShape(
        d, knots -> reversed(knots.stream().map(Knot::reversed).toList(), d.closed()));
  }

  private static <T> List<T> reversed(List<T> row, boolean closed) {
    List<T> back = new ArrayList<>(row);
    Collections.reverse(back);
    if (closed) {
      Collections.rotate(back, 1);
    }
    return List.copyOf(back);
  }

  /** A drawn path with a rule applied to its points at every time. */
  static DrawnPath everyShape(DrawnPath d, UnaryOperator<List<Knot>> rule) {
    List<ShapeKeyframe> shapes =
        d.shapes().stream()
            .map(k -> new ShapeKeyframe(k.time(), rule.apply(k.points()), k.easing(), k.extras()))
            .toList();
    List<Knot> points = shapes.isEmpty() ? rule.apply(d.points()) : shapes.get(0).points();
    return new DrawnPath(d.label(), points, d.closed(), shapes);
  }

  /** The path moved by so many px. */
  public static GuidePath move(GuidePath path, Point by) {
    return mapped(path, Affine.translate(by.x(), by.y()), 0);
  }

  /**
   * The path under an affine map. Points go where the map takes them. A shape keeps being a shape:
   * its place, turn and lengths follow; where the map stretches more one way than the other, an
   * ellipse, rectangle or wave that lies level follows too, any other takes the mean.
   */
  public static GuidePath mapped(GuidePath path, Affine map, double time) {
    if (path instanceof ShapePath s) {
      return ShapeMap.apply(s, map, time);
    }
    if (path instanceof SmoothPath s) {
      return s.with(s.points().stream().map(map::apply).toList());
    }
    if (path instanceof FreehandPath f) {
      return f.with(f.samples().stream().map(map::apply).toList());
    }
    return everyShape((DrawnPath) path, knots -> knots.stream().map(k -> mapped(k, map)).toList());
  }

  private static Knot mapped(Knot k, Affine map) {
    Point at = map.apply(k.at());
    Point in = map.apply(k.at().plus(k.in())).minus(at);
    Point out = map.apply(k.at().plus(k.out())).minus(at);
    return new Knot(at, in, out, k.kind(), k.extras());
  }

  /** Scaled about a point; factors below 1/1000 either way count as that. */
  public static GuidePath scale(GuidePath path, Point about, double sx, double sy, double time) {
    Affine map =
        Affine.translate(about.x(), about.y())
            .times(new Affine(least(sx), 0, 0, least(sy), 0, 0))
            .times(Affine.translate(-about.x(), -about.y()));
    return mapped(path, map, time);
  }

  private static double least(double factor) {
    return Math.abs(factor) < 1e-3 ? Math.copySign(1e-3, factor) : factor;
  }

  /** Turned clockwise by degrees about a point. */
  public static GuidePath rotate(GuidePath path, Point about, double degrees, double time) {
    return mapped(path, Affine.rotate(Math.toRadians(degrees), about), time);
  }

  /** Moved to the middle of a frame and scaled so that a tenth of its lesser side stays free. */
  public static GuidePath fit(GuidePath path, double width, double height, double time) {
    Rect box = GuideContour.of(path, time).bounds();
    double free = Math.min(width, height) * 0.1;
    double k =
        Math.min(
            (width - 2 * free) / Math.max(box.width(), 1e-6),
            (height - 2 * free) / Math.max(box.height(), 1e-6));
    return centre(scale(path, box.centre(), k, k, time), width, height, time);
  }

  /** The path with the middle of its box in the middle of a frame of that size. */
  public static GuidePath centre(GuidePath path, double width, double height, double time) {
    Point middle = GuideContour.of(path, time).bounds().centre();
    Point to = new Point(width / 2, height / 2).minus(middle);
    return mapped(path, Affine.translate(to.x(), to.y()), time);
  }

  /**
   * The similarity that takes one end of an open path to a point while the other end stays.
   *
   * @param last whether the end of the path is taken, not its start
   */
  public static GuidePath dragEnd(GuidePath path, boolean last, Point to, double time) {
    Contour c = GuideContour.of(path, time);
    Point fixed = c.at(last ? 0 : c.length()).point();
    Point from = c.at(last ? c.length() : 0).point().minus(fixed);
    Point now = to.minus(fixed);
    if (from.length() < 1e-6 || now.length() < 1) {
      return path;
    }
    double k = now.length() / from.length();
    double turn = now.angle() - from.angle();
    Affine map =
        Affine.translate(fixed.x(), fixed.y())
            .times(Affine.rotate(turn))
            .times(Affine.scale(k))
            .times(Affine.translate(-fixed.x(), -fixed.y()));
    return mapped(path, map, time);
  }

  /** The closed path begun where it is nearest to a point; an open one stays as it is. */
  public static GuidePath startAt(GuidePath path, Point p, double time) {
    Contour c = GuideContour.of(path, time);
    if (!c.closed()) {
      return path;
    }
    if (path instanceof SmoothPath s) {
      return s.with(rotated(s.points(), nearest(s.points(), p)));
    }
    if (path instanceof FreehandPath f) {
      return f.with(rotated(f.samples(), nearest(f.samples(), p)));
    }
    Point on = c.nearest(p).point();
    if (path instanceof DrawnPath d) {
      return everyShape(
          d,
          knots -> {
            List<Knot> more = KnotInsert.at(knots, true, on);
            return rotated(more, KnotInsert.indexAt(more, on));
          });
    }
    ShapePath s = (ShapePath) path;
    double share = c.nearest(p).distance() / c.length() * (s.reversed() ? -1 : 1);
    boolean byAngle = s.numbers().containsKey(Channel.START_ANGLE);
    Channel channel = byAngle ? Channel.START_ANGLE : Channel.START;
    double lap = byAngle ? 360 : 100;
    double start = Timeline.value(s.movable(channel), time);
    double moved = Turns.rest(start + share * lap, lap);
    return s.with(channel, s.movable(channel).mapped(v -> v + moved - start));
  }

  private static int nearest(List<Point> points, Point p) {
    int best = 0;
    for (int i = 1; i < points.size(); i++) {
      if (points.get(i).distance(p) < points.get(best).distance(p)) {
        best = i;
      }
    }
    return best;
  }

  private static <T> List<T> rotated(List<T> row, int first) {
    List<T> out = new ArrayList<>(row);
    Collections.rotate(out, -first);
    return List.copyOf(out);
  }

  /**
   * The path at a time as a drawn curve, without visible change.
   *
   * @throws IllegalArgumentException if that takes more points than a drawn path can have
   */
  public static DrawnPath toPoints(GuidePath path, double time) {
    if (path instanceof DrawnPath d) {
      return d;
    }
    Contour c = GuideContour.of(path, time);
    return drawn(path, KnotsOf.contour(c), c.closed());
  }

  static DrawnPath drawn(GuidePath path, List<Knot> knots, boolean closed) {
    if (knots.size() > MOST_POINTS) {
      throw new IllegalArgumentException(
          "This path would have "
              + knots.size()
              + " points, more than "
              + MOST_POINTS
              + ": make it simpler first");
    }
    return new DrawnPath(path.label(), List.copyOf(knots), closed, List.of());
  }

  /** Open ends joined by one more segment, or the closing segment taken away. */
  public static GuidePath close(GuidePath path, boolean closed) {
    if (path instanceof DrawnPath d) {
      return d.with(closed);
    }
    if (path instanceof SmoothPath s) {
      return new SmoothPath(s.label(), s.points(), s.rule(), closed);
    }
    if (path instanceof FreehandPath f) {
      return new FreehandPath(f.label(), f.samples(), f.steadiness(), f.simplicity(), closed);
    }
    throw new IllegalArgumentException("Turn the shape into points first");
  }

  /**
   * The points changed at one time only, as a shape of their own, if the path changes over time.
   */
  static DrawnPath atTime(DrawnPath d, double time, List<Knot> knots) {
    if (d.shapes().isEmpty()) {
      return d.with(knots);
    }
    List<ShapeKeyframe> shapes = new ArrayList<>(d.shapes());
    int at = 0;
    while (at < shapes.size() && shapes.get(at).time() < time - 1e-6) {
      at++;
    }
    boolean there = at < shapes.size() && shapes.get(at).time() < time + 1e-6;
    ShapeKeyframe near = shapes.get(Math.max(0, there ? at : at - 1));
    UnknownFields extras = there ? near.extras() : UnknownFields.NONE;
    ShapeKeyframe put = new ShapeKeyframe(time, List.copyOf(knots), near.easing(), extras);
    if (there) {
      shapes.set(at, put);
    } else {
      shapes.add(at, put);
    }
    return new DrawnPath(d.label(), shapes.get(0).points(), d.closed(), List.copyOf(shapes));
  }
}
