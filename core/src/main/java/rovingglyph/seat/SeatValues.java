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

  public double get(Channel c) {
    return c.index() >= 0 ? named[c.index()] : axes.get(c);
  }

  /** In seconds. */
  public double time() {
    return time;
  }

  public double pathOffset() {
    return get(Channel.PATH_OFFSET);
  }

  public double startMargin() {
    return get(Channel.START_MARGIN);
  }

  public double endMargin() {
    return get(Channel.END_MARGIN);
  }

  public double baselineShift() {
    return get(Channel.BASELINE_SHIFT);
  }

  public double size() {
    return get(Channel.SIZE);
  }

  public double opacity() {
    return get(Channel.OPACITY);
  }

  public double rotation() {
    return get(Channel.ROTATION);
  }
}
