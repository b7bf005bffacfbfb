package rovingglyph.scene;

/** Something with values that can move. */
public interface Mover {
  String id();

  /** The value of a channel; null where this has no such value. */
  Movable movable(Channel channel);

  /** Whether any of its values moves. */
  default boolean moves() {
    for (Channel c : Channel.values()) {
      if (movable(c) != null && movable(c).moves()) {
        return true;
      }
    }
    return false;
  }

  /** A copy with another value for a channel that it has. */
  Mover with(Channel channel, Movable value);
}
