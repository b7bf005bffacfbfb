package rovingglyph.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;

/** Something that stands in the stack, or in a group that does. */
public sealed interface Item extends Animatable
    permits Lettering, Transformed, FilledPath, ForegroundCut, UnknownItem {
  /** What every item has. */
  ItemProperties properties();

  @Override
  default String id() {
    return properties().id();
  }

  /** As lists show it; empty where the item is called by what it holds. */
  default String name() {
    return properties().name();
  }

  /** Whether it is left out of the picture. */
  default boolean hidden() {
    return properties().hidden();
  }

  /** Whether the interface refuses to change it. */
  default boolean locked() {
    return properties().locked();
  }

  /** The values of its effects, its clip, its ride and its plane, among all that it has. */
  default List<Channel> appearance() {
    return appearance((e, p) -> true);
  }

  /**
   * Some of them.
   *
   * @param which numbers and colours of an effect
   */
  default List<Channel> appearance(BiPredicate<Effect, Effect.Parameter> which) {
    List<Channel> out = new ArrayList<>();
    for (Effect e : properties().effects()) {
      if (e.kind() != null) {
        e.kind().parameters().stream()
            .filter(p -> which.test(e, p))
            .forEach(p -> out.add(Channel.effect(e.id(), p)));
      }
    }
    if (properties().clip() != null) {
      out.add(Channel.SOFT_EDGE);
    }
    if (properties().ride() != null) {
      out.addAll(Channel.RIDE);
    }
    if (properties().plane() != null) {
      out.addAll(properties().plane().channels());
    }
    return out;
  }

  /** What the document says of it beyond what is known here. */
  UnknownFields extras();

  @Override
  Item with(Channel channel, AnimatedValue value);

  /**
   * A copy with other properties and values; values for each effect, a clip, a ride and a plane.
   */
  Item with(ItemProperties newProperties, Map<Channel, AnimatedValue> newValues);

  /** The item with other properties. */
  default Item with(ItemProperties newProperties) {
    return with(newProperties, values());
  }

  /** Calls what is said for the kind of this item: the one place where kinds are told apart. */
  <R> R accept(Visitor<R> visitor);

  /** One answer for each kind of item, so that none can be forgotten. */
  interface Visitor<R> {
    /** What to do with a lettering. */
    R lettering(Lettering l);

    /** What to do with a drawing. */
    R drawing(Drawing d);

    /** What to do with a group. */
    R group(Group g);

    /** What to do with a colour field. */
    R colourField(ColourField c);

    /** What to do with a picture. */
    R picture(Picture p);

    /** What to do with footage. */
    R footage(Footage f);

    /** What to do with a filled path. */
    R filledPath(FilledPath p);

    /** What to do with a foreground cut. */
    R foregroundCut(ForegroundCut c);

    /** What to do with an inset. */
    R inset(Inset i);

    /** What to do with an item of a kind that is not known. */
    R unknown(UnknownItem u);
  }
}
