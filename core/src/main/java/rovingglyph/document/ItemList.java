package rovingglyph.document;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Footage;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Picture;
import rovingglyph.scene.UnknownItem;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Kinds;
import rovingglyph.schema.Lists;
import rovingglyph.schema.ObjectType;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/**
 * The items of a document, of whatever kind. Version 2 has them in one list, each with its kind;
 * version 1 has a list for each of the three kinds that it knows.
 */
final class ItemList {
  private static final int MOST = 2200;

  /**
   * An item as it was read.
   *
   * @param place in the document, such as {@code items[0]}
   */
  record Entry(String place, Item item) {}

  /** A list of version 1. */
  private record Former(String list, int most, Schema<? extends Item> kind) {}

  private static final List<Former> FORMER =
      List.of(
          new Former("letterings", 1000, LetteringCodec.SCHEMA),
          new Former("pictures", 1000, TransformedCodec.DRAWING),
          new Former("groups", 200, TransformedCodec.GROUP));

  /** Every kind of item. */
  static final Kinds<Item> KINDS =
      new Kinds<>(
          "Item",
          List.of(
              LetteringCodec.SCHEMA,
              TransformedCodec.DRAWING,
              TransformedCodec.GROUP,
              ColourFieldCodec.SCHEMA,
              PictureCodec.SCHEMA,
              FootageCodec.SCHEMA,
              FilledPathCodec.SCHEMA,
              ForegroundCutCodec.SCHEMA,
              InsetCodec.SCHEMA),
          ItemList::kind,
          new UnknownKind());

  private static final FieldType<List<Item>> LIST = Lists.list(KINDS, MOST);

  /** The list, with where each item stood. */
  static final FieldType<List<Entry>> TYPE =
      Types.like(
          LIST,
          ItemList::read,
          (entries, out) -> LIST.write(entries.stream().map(Entry::item).toList(), out));

  private ItemList() {}

  /** The word of its kind. */
  static String kind(Item item) {
    return item.accept(
        new Item.Visitor<String>() {
          @Override
          public String lettering(Lettering l) {
            return LetteringCodec.SCHEMA.kind();
          }

          @Override
          public String drawing(Drawing d) {
            return TransformedCodec.DRAWING.kind();
          }

          @Override
          public String group(Group g) {
            return TransformedCodec.GROUP.kind();
          }

          @Override
          public String colourField(ColourField c) {
            return ColourFieldCodec.SCHEMA.kind();
          }

          @Override
          public String picture(Picture p) {
            return PictureCodec.SCHEMA.kind();
          }

          @Override
          public String footage(Footage f) {
            return FootageCodec.SCHEMA.kind();
          }

          @Override
          public String filledPath(FilledPath p) {
            return FilledPathCodec.SCHEMA.kind();
          }

          @Override
          public String foregroundCut(ForegroundCut c) {
            return ForegroundCutCodec.SCHEMA.kind();
          }

          @Override
          public String inset(Inset i) {
            return InsetCodec.SCHEMA.kind();
          }

          @Override
          public String unknown(UnknownItem u) {
            return u.kind();
          }
        });
  }

  /** An item of a kind that is not known is kept as it is. */
  private static final class UnknownKind implements Kinds.Unknown<Item> {
    private static Schema<Item> schema(String word) {
      return Schema.<Item>named("UnknownItem")
          .kind(word)
          .with(ItemPropertiesCodec.BARE)
          .keeping(i -> ((UnknownItem) i).extras())
          .made(v -> new UnknownItem(ItemPropertiesCodec.bare(v, ""), word, v.rest()));
    }

    @Override
    public Item read(Fields f, String word, String known) {
      if (word.isEmpty()) {
        f.problem(Schema.KIND, "is missing", known);
      }
      return schema(word).read(f);
    }

    @Override
    public void write(Item item, StringBuilder out) {
      schema(kind(item)).write(item, out);
    }

    @Override
    public boolean allowed() {
      return true;
    }
  }

  /** In the order of the document; two may have one id. */
  private static List<Entry> read(Fields f, String name, List<Entry> fallback) {
    List<Entry> out = new ArrayList<>();
    if (f.integer(SceneCodec.VERSION_FIELD, 0, Integer.MAX_VALUE, 1) > 1) {
      f.list(name, MOST, i -> add(out, i, KINDS));
    } else {
      FORMER.forEach(k -> f.list(k.list, k.most, i -> add(out, i, k.kind)));
    }
    return out;
  }

  private static Item add(List<Entry> out, Fields f, ObjectType<? extends Item> kind) {
    Item item = kind.read(f);
    out.add(new Entry(f.path(null).substring(2), item));
    return item;
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
