package rovingglyph.seat;

import java.util.HashMap;
import java.util.Map;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;

/** The moving values of a lettering at one time, in the units of their channels. */
public final class SeatValues {
  private final double time;
  private final Map<Channel, Double> values;

  private SeatValues(double time, Map<Channel, Double> values) {
    this.time = time;
    this.values = values;
  }

  public static SeatValues at(Lettering l, double time) {
    Map<Channel, Double> values = new HashMap<>();
    l.values().keySet().forEach(c -> values.put(c, value(l, c, time)));
    return new SeatValues(time, values);
  }

  /** Values that an easing carries beyond a channel's range are brought back to its ends. */
  public static double value(Lettering l, Channel c, double time) {
    return c.kind() == Channel.Kind.COLOUR
        ? Timeline.colour(l.movable(c), time, l.setting().mix())
        : c.clamp(Timeline.value(l.movable(c), time));
  }

  public SeatValues with(Channel c, double value) {
    Map<Channel, Double> changed = new HashMap<>(values);
    changed.put(c, value);
    return new SeatValues(time, changed);
  }

  public double get(Channel c) {
    return values.get(c);
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
