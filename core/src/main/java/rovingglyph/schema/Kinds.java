package rovingglyph.schema;

import java.util.List;
import java.util.function.Function;

/** Objects of several kinds, told apart by the field {@link Schema#KIND}. */
public final class Kinds<T> implements ObjectType<T> {
  /** What to do with a kind that has no table. */
  public interface Unknown<T> {
    /**
     * Reads one.
     *
     * @param word its kind; empty where that is missing
     * @param known all kinds, as a problem tells them
     */
    T read(Fields f, String word, String known);

    /** Appends one as JSON. */
    void write(T value, StringBuilder out);

    /** Whether documents may hold them. */
    boolean allowed();
  }

  private final String name;
  private final List<Schema<? extends T>> kinds;
  private final Function<T, String> word;
  private final Unknown<T> unknown;

  /**
   * Objects of these kinds.
   *
   * @param word the kind of an object
   */
  public Kinds(
      String name, List<Schema<? extends T>> kinds, Function<T, String> word, Unknown<T> unknown) {
    this.name = name;
    this.kinds = List.copyOf(kinds);
    this.word = word;
    this.unknown = unknown;
  }

  @Override
  public String name() {
    return name;
  }

  /** The tables of all kinds that are known. */
  public List<Schema<? extends T>> kinds() {
    return kinds;
  }

  /** Whether documents may hold others too. */
  public boolean open() {
    return unknown.allowed();
  }

  private Schema<? extends T> of(String kind) {
    return kinds.stream().filter(s -> s.kind().equals(kind)).findFirst().orElse(null);
  }

  @Override
  public T read(Fields f) {
    String kind = f.text(Schema.KIND, 80, "");
    Schema<? extends T> schema = of(kind);
    if (schema != null) {
      return schema.read(f);
    }
    return unknown.read(f, kind, String.join(", ", kinds.stream().map(Schema::kind).toList()));
  }

  @Override
  @SuppressWarnings("unchecked")
  public void write(T value, StringBuilder out) {
    // Whoever says the word of a kind says it of objects of that kind.
    Schema<T> schema = (Schema<T>) of(word.apply(value));
    if (schema == null) {
      unknown.write(value, out);
    } else {
      schema.write(value, out);
    }
  }
}
