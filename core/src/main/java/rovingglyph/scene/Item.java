package rovingglyph.scene;

/** Something that stands in the stack. */
public sealed interface Item extends Mover permits Lettering, Picture {
  boolean hidden();

  boolean locked();

  @Override
  Item with(Channel channel, Movable value);
}
