package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** What every item has, whatever its kind, from and to JSON. */
final class ItemPropertiesCodec {
  private static final FieldType<Double> TIME = AnimatedValueCodec.TIME;

  private static final Field<Item, String> ID =
      field("id", Types.id(), Item::id).about("unique in the scene");
  private static final Field<Item, String> NAME =
      field("name", Types.text(200), (Item i) -> i.name().isEmpty() ? null : i.name())
          .optional()
          .about(
              "a lettering without one is called by its words, others are called after their kind");
  private static final Field<Item, Double> SHOWN_FROM =
      field("shownFrom", TIME, (Item i) -> finite(i.properties().shownFrom()))
          .optional()
          .about("it is there in the frame at this time and in those after it");
  private static final Field<Item, Double> SHOWN_TO =
      field("shownTo", TIME, (Item i) -> finite(i.properties().shownTo()))
          .optional()
          .about("a later time: it is there up to the frame before this time");
  private static final Field<Item, Boolean> HIDDEN =
      field("hidden", Types.flag(), (Item i) -> i.properties().hidden()).fallback(false);
  private static final Field<Item, Boolean> LOCKED =
      field("locked", Types.flag(), (Item i) -> i.properties().locked()).fallback(false);

  /** The fields of an item of a kind that is not known: what else it has is kept as it is. */
  static final List<Field<Item, ?>> BARE = List.of(ID, NAME, SHOWN_FROM, SHOWN_TO, HIDDEN, LOCKED);

  /** The fields of every item. */
  static final Schema.Shared<Item> SHARED = new Schema.Shared<>("ItemProperties", fields());

  private ItemPropertiesCodec() {}

  private static List<Field<Item, ?>> fields() {
    List<Field<Item, ?>> out = new ArrayList<>(BARE);
    out.addAll(AppearanceCodec.FIELDS);
    return out;
  }

  private static Double finite(double time) {
    return Double.isInfinite(time) ? null : (Double) time;
  }

  /**
   * An item with the properties that were read.
   *
   * @param name of one that has none
   * @param make the item from its properties and from the values of its effects and its clip
   */
  static <T extends Item> T of(Values v, String name, Make<T> make) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
    return make.item(AppearanceCodec.of(v, bare(v, name), values), values);
  }

  /** Those of {@link #BARE}. */
  static ItemProperties bare(Values v, String name) {
    String given = v.get(NAME);
    Double from = v.get(SHOWN_FROM);
    Double to = v.get(SHOWN_TO);
    if (from != null && to != null && from >= to) {
      v.fields().problem(SHOWN_TO.name(), "does not come after shownFrom", "a later time");
      to = null;
    }
    return new ItemProperties(v.get(ID), given == null ? name : given)
        .shown(
            from == null ? Double.NEGATIVE_INFINITY : from,
            to == null ? Double.POSITIVE_INFINITY : to)
        .flagged(v.get(HIDDEN), v.get(LOCKED));
  }

  /** Makes an item of some kind. */
  interface Make<T> {
    /**
     * Makes one.
     *
     * @param appearance the values of its effects and its clip, to be taken among its own
     */
    T item(ItemProperties properties, Map<Channel, AnimatedValue> appearance);
  }
}
