package rovingglyph.scene;

/** Something that stands in the stack, or in a group that does. */
public sealed interface Item extends Animatable permits Lettering, Transformed, UnknownItem {
  ItemProperties properties();

  @Override
  default String id() {
    return properties().id();
  }

  /** As lists show it; empty where the item is called by what it holds. */
  default String name() {
    return properties().name();
  }

  default boolean hidden() {
    return properties().hidden();
  }

  default boolean locked() {
    return properties().locked();
  }

  /** What the document says of it beyond what is known here. */
  UnknownFields extras();

  @Override
  Item with(Channel channel, AnimatedValue value);

  Item with(ItemProperties newProperties);

  /** Calls what is said for the kind of this item: the one place where kinds are told apart. */
  <R> R accept(Visitor<R> visitor);

  /** One answer for each kind of item, so that none can be forgotten. */
  interface Visitor<R> {
    R lettering(Lettering l);

    R drawing(Drawing d);

    R group(Group g);

    R unknown(UnknownItem u);
  }
}
