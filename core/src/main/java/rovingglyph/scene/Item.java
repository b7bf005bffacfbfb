package rovingglyph.scene;

/** Something that stands in the stack and has values that can move. */
public sealed interface Item permits Lettering, Picture {
  String id();

  boolean hidden();

  boolean locked();

  /** The value of a channel; null where this kind of item does not have it. */
  Movable movable(Channel channel);

  /** A copy with another value for a channel that it has. */
  Item with(Channel channel, Movable value);
}
