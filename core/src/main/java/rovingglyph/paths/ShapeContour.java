package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ShapePath;

/** The shapes given by numbers: drawn round the origin, then flipped, turned and put in place. */
final class ShapeContour {
  private final ToDoubleFunction<Channel> number;

  private ShapeContour(ToDoubleFunction<Channel> number) {
    this.number = number;
  }

  static Contour of(ShapePath s, ToDoubleFunction<Channel> number) {
    ShapeContour shape = new ShapeContour(number);
    boolean closed = s.kind().closed();
    Contour c = new Contour(shape.segments(s), closed);
    if (closed && s.numbers().containsKey(Channel.START)) {
      c = c.startingAt(c.length() * number.applyAsDouble(Channel.START) / 100);
    }
    Contour placed = c.mapped(place(s, number));
    return s.reversed() ? placed.reversed() : placed;
  }

  /** From the shape's own coordinates to the scene's. */
  static Affine place(ShapePath s, ToDoubleFunction<Channel> number) {
    Affine at = Affine.translate(number.applyAsDouble(Channel.X), number.applyAsDouble(Channel.Y));
    double turn = Math.toRadians(number.applyAsDouble(Channel.TURN));
    Affine turned = turn == 0 ? at : at.times(Affine.rotate(turn));
    return s.flipped() ? turned.times(new Affine(1, 0, 0, -1, 0, 0)) : turned;
  }

  private double get(Channel c) {
    return number.applyAsDouble(c);
  }

  private double radians(Channel c) {
    return Math.toRadians(get(c));
  }

  private List<? extends Segment> segments(ShapePath s) {
    double r = s.numbers().containsKey(Channel.RADIUS) ? get(Channel.RADIUS) : 0;
    return switch (s.kind()) {
      case CIRCLE -> List.of(arc(r, r, radians(Channel.START_ANGLE), 2 * Math.PI));
      case ELLIPSE ->
          List.of(arc(get(Channel.WIDTH) / 2, get(Channel.HEIGHT) / 2, -Math.PI / 2, 2 * Math.PI));
      case ARC -> List.of(arc(r, r, radians(Channel.START_ANGLE), radians(Channel.SWEEP)));
      case RECTANGLE -> rectangle();
      case POLYGON -> {
        int n = (int) Math.round(get(Channel.COUNT));
        yield Rounded.polygon(spokes(n, r, r), all(n, get(Channel.ROUNDING)));
      }
      case STAR -> {
        int n = 2 * (int) Math.round(get(Channel.COUNT));
        double inner = Math.max(1e-3 * r, get(Channel.INNER_RADIUS));
        yield Rounded.polygon(spokes(n, r, inner), all(n, get(Channel.ROUNDING)));
      }
      case LINE -> {
        double half = get(Channel.LENGTH) / 2;
        yield List.of(new Line(new Point(-half, 0), new Point(half, 0)));
      }
      case WAVE ->
          Waves.sine(
              get(Channel.LENGTH),
              get(Channel.AMPLITUDE),
              get(Channel.CYCLES),
              radians(Channel.PHASE));
      case NOISE ->
          Waves.noise(
              get(Channel.LENGTH),
              get(Channel.AMPLITUDE),
              get(Channel.GRAIN),
              get(Channel.FLOW),
              (int) Math.round(get(Channel.SEED)));
      case SPIRAL ->
          Waves.spiral(
              get(Channel.INNER_RADIUS), r, get(Channel.TURNS), radians(Channel.START_ANGLE));
      case LOOP -> loop(r);
    };
  }

  private static Arc arc(double rx, double ry, double start, double sweep) {
    return new Arc(Point.ORIGIN, rx, ry, 0, start, sweep);
  }

  private List<Segment> rectangle() {
    double w = get(Channel.WIDTH) / 2;
    double h = get(Channel.HEIGHT) / 2;
    return Rounded.polygon(
        List.of(new Point(-w, -h), new Point(w, -h), new Point(w, h), new Point(-w, h)),
        new double[] {
          get(Channel.TOP_LEFT),
          get(Channel.TOP_RIGHT),
          get(Channel.BOTTOM_RIGHT),
          get(Channel.BOTTOM_LEFT)
        });
  }

  /** Corners clockwise from the top, by turns at the one and the other radius. */
  private static List<Point> spokes(int n, double even, double odd) {
    List<Point> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double t = 2 * Math.PI * i / n - Math.PI / 2;
      double r = i % 2 == 0 ? even : odd;
      out.add(new Point(r * Math.cos(t), r * Math.sin(t)));
    }
    return out;
  }

  private static double[] all(int n, double value) {
    double[] out = new double[n];
    java.util.Arrays.fill(out, value);
    return out;
  }

  /** Level in, clockwise round from the top, and on in the direction reached. */
  private List<Segment> loop(double r) {
    double turns = get(Channel.TURNS);
    Point top = new Point(0, -r);
    List<Segment> out = new ArrayList<>();
    out.add(new Line(top.minus(new Point(get(Channel.RUN_IN), 0)), top));
    double left = turns * 2 * Math.PI;
    double from = -Math.PI / 2;
    while (left > 1e-9) {
      double part = Math.min(left, Math.PI);
      out.add(arc(r, r, from, part));
      from += part;
      left -= part;
    }
    Point end = new Point(r * Math.cos(from), r * Math.sin(from));
    Point onward = new Point(-Math.sin(from), Math.cos(from));
    out.add(new Line(end, end.plus(onward.times(get(Channel.RUN_OUT)))));
    return out;
  }
}
