package rovingglyph.schema;

import com.eclipsesource.json.JsonObject;
import java.util.List;

/** What a field can hold: how that is read and written, and how it is told elsewhere. */
public interface FieldType<V> {
  /**
   * The value of a field.
   *
   * @param fallback given where the field is not there or null, and where it is wrong; that leaves
   *     a problem too
   */
  V read(Fields f, String name, V fallback);

  /** Appends the value as JSON. */
  void write(V value, StringBuilder out);

  /** The value as JSON. */
  default String text(V value) {
    StringBuilder out = new StringBuilder();
    write(value, out);
    return out.toString();
  }

  /** The type in TypeScript. */
  String typescript();

  /** The JSON Schema (2020-12) of what is not null. */
  JsonObject jsonSchema();

  /** What may stand there, in the words of docs/scene-format.md. */
  String words();

  /** The objects that it can hold. */
  default List<ObjectType<?>> objects() {
    return List.of();
  }
}
