package rovingglyph.scene;

/** Something that stands in the stack, or in a group that does. */
public sealed interface Item extends Mover permits Lettering, Placed {
  boolean hidden();

  boolean locked();

  @Override
  Item with(Channel channel, Movable value);
}
