package rovingglyph.paths;

import rovingglyph.geometry.Point;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ShapePath;

/** An arc told by the straight distance between its ends and its height over it, both in px. */
public final class ArcByChord {
  private ArcByChord() {}

  /** The straight distance between the ends of an arc, in the unit of the radius. */
  public static double chord(double radius, double sweepDegrees) {
    return 2 * radius * Math.sin(Math.toRadians(sweepDegrees) / 2);
  }

  /** How far the middle of an arc is from its chord, in the unit of the radius. */
  public static double height(double radius, double sweepDegrees) {
    return radius * (1 - Math.cos(Math.toRadians(sweepDegrees) / 2));
  }

  /**
   * The arc with another chord and height; its middle stays where it is. The height is brought into
   * 0.1 % to 1000 times the chord, and the sweep to at most 360 degrees.
   */
  public static ShapePath with(ShapePath arc, double chord, double height, double time) {
    double c = Math.max(1, chord);
    double h = Math.min(Math.max(height, c * 1e-3), c * 1e3);
    double radius = Channel.RADIUS.clamp(h / 2 + c * c / (8 * h));
    double sweep = Channel.SWEEP.clamp(Math.toDegrees(4 * Math.atan2(2 * h, c)));
    double oldRadius = value(arc, Channel.RADIUS, time);
    double middle = value(arc, Channel.START_ANGLE, time) + value(arc, Channel.SWEEP, time) / 2;
    double a = Math.toRadians(middle);
    // The top of the arc, in the shape's own coordinates, moves outwards with the radius.
    Point by = new Point(Math.cos(a), Math.sin(a)).times(oldRadius - radius);
    Point from = new Point(0, 0);
    var place = ShapeContour.place(arc, ch -> value(arc, ch, time));
    Point shift = place.apply(by).minus(place.apply(from));
    return arc.with(Channel.RADIUS, new AnimatedValue(radius))
        .with(Channel.SWEEP, new AnimatedValue(sweep))
        .with(Channel.START_ANGLE, new AnimatedValue(middle - sweep / 2))
        .with(Channel.X, arc.movable(Channel.X).mapped(v -> v + shift.x()))
        .with(Channel.Y, arc.movable(Channel.Y).mapped(v -> v + shift.y()));
  }

  private static double value(ShapePath s, Channel c, double time) {
    return c.clamp(Timeline.value(s.movable(c), time));
  }
}
