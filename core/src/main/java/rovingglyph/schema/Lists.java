package rovingglyph.schema;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The types of fields that hold objects or further fields. */
public final class Lists {
  private static final String REFERENCE = "#/$defs/";

  private Lists() {}

  /** How the JSON Schema points to a kind of object. */
  public static JsonObject reference(ObjectType<?> type) {
    return new JsonObject().add("$ref", REFERENCE + type.name());
  }

  /** What may be left out may be null too. */
  public static JsonObject orNull(JsonObject type) {
    JsonArray any = new JsonArray();
    if (type.get("anyOf") == null) {
      any.add(type);
    } else {
      type.get("anyOf").asArray().forEach(any::add);
    }
    return new JsonObject().add("anyOf", any.add(new JsonObject().add("type", "null")));
  }

  /** One object. */
  public static <V> FieldType<V> object(ObjectType<V> of) {
    return new FieldType<>() {
      @Override
      public V read(Fields f, String name, V fallback) {
        return f.get(name) == null ? fallback : of.read(f.object(name));
      }

      @Override
      public void write(V value, StringBuilder out) {
        of.write(value, out);
      }

      @Override
      public String typescript() {
        return of.name();
      }

      @Override
      public JsonObject jsonSchema() {
        return reference(of);
      }

      @Override
      public String words() {
        return "`{ ... }`";
      }

      @Override
      public List<ObjectType<?>> objects() {
        return List.of(of);
      }
    };
  }

  /** A list of objects. */
  public static <V> FieldType<List<V>> list(ObjectType<V> of, int most) {
    return new FieldType<>() {
      @Override
      public List<V> read(Fields f, String name, List<V> fallback) {
        return f.get(name) == null ? fallback : f.list(name, most, of::read);
      }

      @Override
      public void write(List<V> values, StringBuilder out) {
        Writer.list(values, out, of::write);
      }

      @Override
      public String typescript() {
        return of.name() + "[]";
      }

      @Override
      public JsonObject jsonSchema() {
        return new JsonObject()
            .add("type", "array")
            .add("items", reference(of))
            .add("maxItems", most);
      }

      @Override
      public String words() {
        return "list, at most " + Fields.grouped(most);
      }

      @Override
      public List<ObjectType<?>> objects() {
        return List.of(of);
      }
    };
  }

  /**
   * Values by OpenType tag.
   *
   * @param noun what a tag names, such as "axis"
   * @param example of a tag
   * @param fallback a value that is wrong
   */
  public static <V> FieldType<Map<String, V>> byTag(
      FieldType<V> of, V fallback, String noun, String example, int most) {
    return new FieldType<>() {
      @Override
      public Map<String, V> read(Fields f, String name, Map<String, V> without) {
        Map<String, V> out = new TreeMap<>();
        Fields inner = f.object(name);
        if (inner.names().size() > most) {
          inner.problem(null, "has " + inner.names().size() + " entries", "at most " + most);
          return out;
        }
        for (String tag : inner.names()) {
          if (isTag(tag)) {
            if (inner.has(tag)) {
              out.put(tag, of.read(inner, tag, fallback));
            }
          } else {
            String allowed = "four characters, such as " + example;
            inner.problem(tag, "is not the tag of " + noun, allowed);
          }
        }
        return out;
      }

      @Override
      public void write(Map<String, V> values, StringBuilder out) {
        out.append('{');
        values.forEach(
            (tag, v) -> {
              Writer.name(tag, out);
              of.write(v, out);
            });
        out.append('}');
      }

      @Override
      public String typescript() {
        return "Record<string, " + of.typescript() + ">";
      }

      @Override
      public JsonObject jsonSchema() {
        return new JsonObject()
            .add("type", "object")
            .add("propertyNames", new JsonObject().add("pattern", "^[ -~]{4}$"))
            .add("additionalProperties", orNull(of.jsonSchema()))
            .add("maxProperties", most);
      }

      @Override
      public String words() {
        return of.words() + " by OpenType tag";
      }

      @Override
      public List<ObjectType<?>> objects() {
        return of.objects();
      }
    };
  }

  /** An OpenType tag: four printable ASCII characters. */
  public static boolean isTag(String tag) {
    return tag.length() == 4 && tag.chars().allMatch(c -> c >= ' ' && c <= '~');
  }
}
