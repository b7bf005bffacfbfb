package rovingglyph.document;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.UnknownItem;

/**
 * The items of a document, of whatever kind. Version 2 has them in one list, each with its kind;
 * version 1 has a list for each of the three kinds that it knows.
 */
final class ItemList {
  static final String KIND = "kind";
  private static final int MOST = 2200;

  /**
   * An item as it was read.
   *
   * @param place in the document, such as {@code items[0]}
   */
  record Entry(String place, Item item) {}

  /**
   * A kind of item.
   *
   * @param word in version 2
   * @param list of version 1; null for a kind that it does not know
   * @param most in that list
   * @param name of an item that has none
   */
  private record Kind(
      String word,
      String list,
      int most,
      String name,
      BiFunction<Fields, ItemProperties, Item> read) {}

  private static final List<Kind> KINDS =
      List.of(
          new Kind("lettering", "letterings", 1000, "", LetteringCodec::read),
          new Kind("drawing", "pictures", 1000, "Picture", TransformedCodec::readDrawing),
          new Kind("group", "groups", 200, "Group", TransformedCodec::readGroup),
          new Kind("colour-field", null, 0, "Colour field", ColourFieldCodec::read));

  private ItemList() {}

  /** In the order of the document; two may have one id. */
  static List<Entry> read(Fields f, int version) {
    List<Entry> out = new ArrayList<>();
    if (version > 1) {
      f.list("items", MOST, i -> add(out, i, kind(i.text(KIND, 80, ""))));
      return out;
    }
    for (Kind k : KINDS) {
      if (k.list != null) {
        f.list(k.list, k.most, i -> add(out, i, k));
      }
    }
    return out;
  }

  /** Null for a kind that is not known. */
  private static Kind kind(String word) {
    return KINDS.stream().filter(k -> k.word.equals(word)).findFirst().orElse(null);
  }

  private static Item add(List<Entry> out, Fields f, Kind kind) {
    Item item;
    if (kind == null) {
      String word = f.text(KIND, 80, "");
      if (word.isEmpty()) {
        f.problem(KIND, "is missing", String.join(", ", KINDS.stream().map(Kind::word).toList()));
      }
      item = new UnknownItem(properties(f, ""), word, f.rest());
    } else {
      Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
      ItemProperties p = AppearanceCodec.read(f, properties(f, kind.name), values);
      item = kind.read.apply(f, p);
      if (!values.isEmpty()) {
        Map<Channel, AnimatedValue> all = new LinkedHashMap<>(item.values());
        all.putAll(values);
        item = item.with(p, all);
      }
    }
    out.add(new Entry(f.path(null).substring(2), item));
    return item;
  }

  private static ItemProperties properties(Fields f, String name) {
    String id = f.id("id");
    double from = time(f, "shownFrom", Double.NEGATIVE_INFINITY);
    double to = time(f, "shownTo", Double.POSITIVE_INFINITY);
    if (from >= to) {
      f.problem("shownTo", "does not come after shownFrom", "a later time");
      to = Double.POSITIVE_INFINITY;
    }
    return new ItemProperties(id, f.text("name", 200, name))
        .shown(from, to)
        .flagged(f.flag("hidden", false), f.flag("locked", false));
  }

  private static double time(Fields f, String field, double missing) {
    return f.get(field) == null ? missing : f.number(field, 0, AnimatedValueCodec.LATEST, 0);
  }

  static String write(Item item) {
    return item.accept(
        new Item.Visitor<String>() {
          @Override
          public String lettering(Lettering l) {
            return LetteringCodec.write(begun(l, "lettering"), l);
          }

          @Override
          public String drawing(Drawing d) {
            return TransformedCodec.write(begun(d, "drawing"), d);
          }

          @Override
          public String group(Group g) {
            return TransformedCodec.write(begun(g, "group"), g);
          }

          @Override
          public String colourField(ColourField c) {
            return ColourFieldCodec.write(begun(c, "colour-field"), c);
          }

          @Override
          public String unknown(UnknownItem u) {
            return begun(u, u.kind()).rest(u.extras()).text();
          }
        });
  }

  private static Writer begun(Item item, String kind) {
    ItemProperties p = item.properties();
    Writer w = Writer.object().add(KIND, kind).add("id", p.id());
    if (!p.name().isEmpty()) {
      w.add("name", p.name());
    }
    if (p.shownFrom() != Double.NEGATIVE_INFINITY) {
      w.add("shownFrom", p.shownFrom());
    }
    if (p.shownTo() != Double.POSITIVE_INFINITY) {
      w.add("shownTo", p.shownTo());
    }
    w.add("hidden", p.hidden()).add("locked", p.locked());
    AppearanceCodec.write(w, item);
    return w;
  }

  /** Where an item's document has a value, as the end of a JSON path. */
  static String place(Item item, Channel c) {
    String appearance = AppearanceCodec.place(item, c);
    if (appearance != null) {
      return appearance;
    }
    return item instanceof Lettering ? LetteringCodec.place(c) : "." + c.field();
  }

  /** By id; of several with one id the last. */
  static Map<String, Item> byId(List<Entry> entries) {
    Map<String, Item> out = new LinkedHashMap<>();
    entries.forEach(e -> out.put(e.item().id(), e.item()));
    return out;
  }

  /** Where each item stands in the document, by id. */
  static Map<String, String> places(List<Entry> entries) {
    Map<String, String> out = new LinkedHashMap<>();
    entries.forEach(e -> out.put(e.item().id(), e.place()));
    return out;
  }
}
