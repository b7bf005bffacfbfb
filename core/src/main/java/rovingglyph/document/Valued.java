package rovingglyph.document;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.schema.Field;
import rovingglyph.schema.Values;

/**
 * A part of an item's document whose values can move: these are among those of the item.
 *
 * @param part all else of it
 * @param values some of which are its own
 */
record Valued<T>(T part, Map<Channel, AnimatedValue> values) {

  /** The field of one of its values, by the name of the channel. */
  static <T> Field<Valued<T>, AnimatedValue> value(Channel c, double start, String about) {
    return Field.field(c.field(), AnimatedType.of(c), (Valued<T> d) -> d.values.get(c))
        .fallback(new AnimatedValue(start))
        .about(about);
  }

  /**
   * A part as it was read.
   *
   * @param channels of the fields, in their order
   */
  static <T> Valued<T> read(
      T part, List<Channel> channels, List<Field<Valued<T>, AnimatedValue>> fields, Values v) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    for (int i = 0; i < fields.size(); i++) {
      values.put(channels.get(i), v.get(fields.get(i)));
    }
    return new Valued<>(part, values);
  }
}
