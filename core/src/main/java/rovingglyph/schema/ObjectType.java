package rovingglyph.schema;

/** How a JSON object is read and written. */
public interface ObjectType<T> {
  /** As TypeScript and the JSON Schema name it. */
  String name();

  /** Null, with a problem, where it is nothing at all. */
  T read(Fields f);

  /** As JSON text. */
  String write(T value);
}
