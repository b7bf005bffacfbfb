package rovingglyph.scene;

import java.util.Map;

/** Something with values that can move. */
public interface Animatable {
  /** Unique in the scene. */
  String id();

  /** Its values, in the order of a sheet. */
  Map<Channel, AnimatedValue> values();

  /** The value of a channel; null where this has no such value. */
  default AnimatedValue movable(Channel channel) {
    return values().get(channel);
  }

  /** Whether any of its values moves. */
  default boolean moves() {
    return values().values().stream().anyMatch(AnimatedValue::moves);
  }

  /** A copy with another value for a channel that it has. */
  Animatable with(Channel channel, AnimatedValue value);
}
