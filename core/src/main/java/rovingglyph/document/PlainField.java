package rovingglyph.document;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import rovingglyph.scene.Item;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;

/**
 * A field of an item, or of a scene, that holds one plain value: what tables and scripts can set.
 *
 * @param name as documents have it
 * @param min of a number
 * @param max of a number; for a text the most characters
 * @param choices all words of a choice
 */
public record PlainField(String name, Sort sort, double min, double max, List<String> choices) {
  /** What a plain value is. */
  public enum Sort {
    TEXT,
    COLOUR,
    NUMBER,
    FLAG,
    CHOICE
  }

  /** Names of items and paths, and what is known of files: not for others to set one by one. */
  private static final Set<String> NOT_PLAIN =
      Set.of(
          "kind",
          "id",
          "path",
          "source",
          "scene",
          "faceName",
          "pixelWidth",
          "pixelHeight",
          "locked",
          "format",
          "version",
          "rate");

  /** Of every kind of item; a series asks for them at each of its rows. */
  private static final Map<String, List<PlainField>> OF_ITEMS =
      ItemList.KINDS.kinds().stream().collect(Collectors.toMap(Schema::kind, PlainField::of));

  private static final List<PlainField> OF_SCENE = of(SceneSchema.SCENE);

  /** The plain fields of an item, in the order of its table; none of an unknown kind. */
  public static List<PlainField> of(Item item) {
    return OF_ITEMS.getOrDefault(ItemList.kind(item), List.of());
  }

  /** The plain fields of scenes. */
  public static List<PlainField> ofScene() {
    return OF_SCENE;
  }

  private static List<PlainField> of(Schema<?> schema) {
    List<PlainField> out = new ArrayList<>();
    for (Field<?, ?> f : schema.fields()) {
      PlainField plain = of(f.name(), f.type().jsonSchema());
      if (plain != null && !NOT_PLAIN.contains(f.name())) {
        out.add(plain);
      }
    }
    return out;
  }

  private static PlainField of(String name, JsonObject schema) {
    // Of a value that can move: what it is while it does not.
    JsonValue any = schema.get("anyOf");
    if (any != null) {
      return of(name, any.asArray().get(0).asObject());
    }
    if (schema.get("enum") != null) {
      List<String> words = new ArrayList<>();
      schema.get("enum").asArray().forEach(w -> words.add(w.asString()));
      return new PlainField(name, Sort.CHOICE, 0, 0, List.copyOf(words));
    }
    JsonValue type = schema.get("type");
    return switch (type == null || !type.isString() ? "" : type.asString()) {
      case "string" ->
          schema.get("pattern") == null
              ? new PlainField(
                  name, Sort.TEXT, 0, schema.getInt("maxLength", Integer.MAX_VALUE), List.of())
              : new PlainField(name, Sort.COLOUR, 0, 0, List.of());
      case "number", "integer" ->
          new PlainField(
              name,
              Sort.NUMBER,
              schema.getDouble("minimum", Double.NEGATIVE_INFINITY),
              schema.getDouble("maximum", Double.POSITIVE_INFINITY),
              List.of());
      case "boolean" -> new PlainField(name, Sort.FLAG, 0, 0, List.of());
      default -> null;
    };
  }
}
