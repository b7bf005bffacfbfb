package rovingglyph.frame;

import java.util.LinkedHashMap;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Plane;

/**
 * How the plane of an item is turned in space.
 *
 * @param parallel whether it is seen without perspective
 * @param values of {@link Plane#CHANNELS}
 */
record Turning(boolean parallel, Map<Channel, AnimatedValue> values) {

  /** That of an item; null where it has no plane. */
  static Turning of(Item item) {
    Plane plane = item.properties().plane();
    if (plane == null) {
      return null;
    }
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    Plane.CHANNELS.forEach(c -> values.put(c, item.movable(c)));
    return new Turning(plane.parallel(), values);
  }

  /** What is round the item, with its plane turned in it. */
  Space within(Space round, double time) {
    return round.turned(
        Math.toRadians(value(Channel.TILT, time)),
        Math.toRadians(value(Channel.SWING, time)),
        new Point(value(Channel.PLANE_X, time), value(Channel.PLANE_Y, time)),
        parallel ? Double.POSITIVE_INFINITY : value(Channel.VIEWING_DISTANCE, time));
  }

  /** Whether that is the same at all times. */
  boolean constant() {
    return values.values().stream().noneMatch(AnimatedValue::moves);
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(values.get(c), time));
  }
}
