package rovingglyph.schema;

/** How a JSON object is read and written. */
public interface ObjectType<T> {
  /** As TypeScript and the JSON Schema name it. */
  String name();

  /** Null, with a problem, where it is nothing at all. */
  T read(Fields f);

  /** Appends one as JSON. */
  void write(T value, StringBuilder out);

  /** One as JSON. */
  default String text(T value) {
    StringBuilder out = new StringBuilder();
    write(value, out);
    return out.toString();
  }
}
