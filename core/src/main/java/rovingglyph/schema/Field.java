package rovingglyph.schema;

import java.util.Objects;
import java.util.function.Function;

/**
 * One field of an object that is made from or written as JSON.
 *
 * @param <T> what the object is as a record
 * @param <V> what the field holds
 */
public final class Field<T, V> {
  /** When a field is written. */
  public enum Presence {
    /** It has to be there, and always is. */
    REQUIRED,
    /** It may be left out, but is always written. */
    WRITTEN,
    /** It is written only where it differs from its default. */
    DIFFERING
  }

  private final String name;
  private final String key;
  private final FieldType<V> type;
  private final Function<? super T, V> of;
  private final V fallback;
  private final Presence presence;
  private final String about;

  private Field(
      String name,
      FieldType<V> type,
      Function<? super T, V> of,
      V fallback,
      Presence presence,
      String about) {
    this.name = name;
    this.key = "\"" + name + "\":";
    this.type = type;
    this.of = of;
    this.fallback = fallback;
    this.presence = presence;
    this.about = about;
  }

  /** A field that has to be there, unless one of the next methods says otherwise. */
  public static <T, V> Field<T, V> field(String name, FieldType<V> type, Function<T, V> of) {
    return new Field<>(name, type, of, null, Presence.REQUIRED, "");
  }

  /** It has to be there; where it is not, its own check says so of this value. */
  public Field<T, V> required(V stand) {
    return new Field<>(name, type, of, stand, Presence.REQUIRED, about);
  }

  /** Always written; with a value where it is left out. */
  public Field<T, V> fallback(V value) {
    return new Field<>(name, type, of, value, Presence.WRITTEN, about);
  }

  /** Written where it differs from what it is when it is left out. */
  public Field<T, V> usual(V value) {
    return new Field<>(name, type, of, value, Presence.DIFFERING, about);
  }

  /** Nothing where it is left out. */
  public Field<T, V> optional() {
    return usual(null);
  }

  /**
   * With what docs/scene-format.md says of it.
   *
   * @param text Markdown, without a full stop
   */
  public Field<T, V> about(String text) {
    return new Field<>(name, type, of, fallback, presence, text);
  }

  /** The name of the field in documents. */
  public String name() {
    return name;
  }

  /** What the field can hold. */
  public FieldType<V> type() {
    return type;
  }

  /** What it is where it is left out; may be null. */
  public V fallback() {
    return fallback;
  }

  /** When the field is written. */
  public Presence presence() {
    return presence;
  }

  /** What docs/scene-format.md says of it; Markdown without a full stop, empty for nothing. */
  public String about() {
    return about;
  }

  V read(Fields f) {
    if (presence == Presence.REQUIRED && fallback == null && !f.has(name)) {
      f.problem(name, "is missing", type.words().replace("`", ""));
    }
    return type.read(f, name, fallback);
  }

  /** Appends name and value, unless it is left out. */
  void write(T value, StringBuilder out) {
    V v = of.apply(value);
    if (presence == Presence.DIFFERING && Objects.equals(v, fallback)) {
      return;
    }
    Writer.comma(out);
    out.append(key);
    if (v == null) {
      out.append("null");
    } else {
      type.write(v, out);
    }
  }
}
