package rovingglyph.schema;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Every table that can be come to from one of them. */
public final class Tables {
  private final Map<String, ObjectType<?>> objects = new LinkedHashMap<>();
  private final Map<String, Schema.Shared<?>> shared = new LinkedHashMap<>();

  private Tables() {}

  /** Finds them from the table of a whole document, or of anything else. */
  public static Tables from(ObjectType<?> first) {
    Tables all = new Tables();
    all.add(first);
    return all;
  }

  private void add(ObjectType<?> type) {
    if (objects.putIfAbsent(type.name(), type) != null) {
      return;
    }
    if (type instanceof Kinds<?> kinds) {
      kinds.kinds().forEach(this::add);
    } else if (type instanceof Schema<?> schema) {
      schema.shared().forEach(s -> shared.putIfAbsent(s.name(), s));
      schema.fields().forEach(f -> f.type().objects().forEach(this::add));
    }
  }

  /** The kinds of objects by their own. */
  public List<Schema<?>> schemas() {
    List<Schema<?>> out = new ArrayList<>();
    for (ObjectType<?> type : objects.values()) {
      if (type instanceof Schema<?> schema) {
        out.add(schema);
      }
    }
    return out;
  }

  /** Those that stand for one of several. */
  public List<Kinds<?>> kinds() {
    List<Kinds<?>> out = new ArrayList<>();
    for (ObjectType<?> type : objects.values()) {
      if (type instanceof Kinds<?> kinds) {
        out.add(kinds);
      }
    }
    return out;
  }

  /** The fields that several kinds have in common, each group once. */
  public List<Schema.Shared<?>> shared() {
    return List.copyOf(shared.values());
  }

  /** What is written where a field is left out, as JSON; null where nothing is. */
  public static <V> String fallback(Field<?, V> field) {
    return field.fallback() == null || field.presence() == Field.Presence.REQUIRED
        ? null
        : field.type().text(field.fallback());
  }
}
