package rovingglyph.seat;

import java.util.HashMap;
import java.util.Map;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;

/** The moving values of a lettering at one time, in the units of their channels. */
public final class SeatValues {
  private final double time;
  private final double[] named;
  private final Map<Channel, Double> axes;

  private SeatValues(double time, double[] named, Map<Channel, Double> axes) {
    this.time = time;
    this.named = named;
    this.axes = axes;
  }

  /** The values of a lettering at a time in seconds, each within its range. */
  public static SeatValues at(Lettering l, double time) {
    double[] named = new double[Channel.count()];
    Map<Channel, Double> axes = new HashMap<>();
    l.values()
        .forEach(
            (c, m) -> {
              double value = value(l, c, m, time);
              if (c.index() >= 0) {
                named[c.index()] = value;
              } else {
                axes.put(c, value);
              }
            });
    return new SeatValues(time, named, axes);
  }

  /** Values that an easing carries beyond a channel's range are brought back to its ends. */
  public static double value(Lettering l, Channel c, double time) {
    return value(l, c, l.movable(c), time);
  }

  private static double value(Lettering l, Channel c, AnimatedValue m, double time) {
    return c.kind() == Channel.Kind.COLOUR
        ? Timeline.colour(m, time, l.setting().mix())
        : c.clamp(Timeline.value(m, time));
  }

  /** With another value of a channel that is no axis. */
  public SeatValues with(Channel c, double value) {
    double[] changed = named.clone();
    changed[c.index()] = value;
    return new SeatValues(time, changed, axes);
  }

  /** Whether these are the values of another, but for the time and the path offset. */
  boolean movedFrom(SeatValues other) {
    boolean same = axes.equals(other.axes);
    for (int i = 0; same && i < named.length; i++) {
      same = named[i] == other.named[i] || i == Channel.PATH_OFFSET.index();
    }
    return same;
  }

  /** The value of a channel in its unit; of an axis it has to be one that is set. */
  public double get(Channel c) {
    return c.index() >= 0 ? named[c.index()] : axes.get(c);
  }

  /** In seconds. */
  public double time() {
    return time;
  }

  /** How far the text is moved from where it rests, px along the path. */
  public double pathOffset() {
    return get(Channel.PATH_OFFSET);
  }

  /** Room kept free at the start of the path, px. */
  public double startMargin() {
    return get(Channel.START_MARGIN);
  }

  /** Room kept free at the end of the path, px. */
  public double endMargin() {
    return get(Channel.END_MARGIN);
  }

  /** How far letters stand off the path, px. */
  public double baselineShift() {
    return get(Channel.BASELINE_SHIFT);
  }

  /** The em, px. */
  public double size() {
    return get(Channel.SIZE);
  }

  /** How opaque the lettering is, 0 to 100 percent. */
  public double opacity() {
    return get(Channel.OPACITY);
  }

  /** By how much the lettering is turned about the centre of its path, degrees clockwise. */
  public double rotation() {
    return get(Channel.ROTATION);
  }
}
