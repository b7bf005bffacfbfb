package rovingglyph.schema;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import rovingglyph.scene.UnknownFields;

/**
 * The table of one kind of object: its fields in the order of documents, and how a record is made
 * of them.
 */
public final class Schema<T> implements ObjectType<T> {
  /** The field that tells kinds apart. */
  public static final String KIND = "kind";

  private final String name;
  private final String kind;
  private final List<Shared<? super T>> shared;
  private final List<Field<? super T, ?>> own;
  private final List<Field<? super T, ?>> all;
  private final Function<Values, ? extends T> make;
  private final Function<? super T, UnknownFields> rest;

  private Schema(Builder<T> b, Function<Values, ? extends T> make) {
    this.name = b.name;
    this.kind = b.kind;
    this.shared = List.copyOf(b.shared);
    this.own = List.copyOf(b.own);
    this.all = List.copyOf(b.all);
    this.make = make;
    this.rest = b.rest;
  }

  /** Fields that objects of several kinds have. */
  public record Shared<T>(String name, List<Field<T, ?>> fields) {}

  /**
   * Begins a table.
   *
   * @param name of the objects, as TypeScript and the JSON Schema have it
   */
  public static <T> Builder<T> named(String name) {
    return new Builder<>(name);
  }

  /** A table that is being filled. */
  public static final class Builder<T> {
    private final String name;
    private String kind;
    private final List<Shared<? super T>> shared = new ArrayList<>();
    private final List<Field<? super T, ?>> own = new ArrayList<>();
    private final List<Field<? super T, ?>> all = new ArrayList<>();
    private Function<? super T, UnknownFields> rest = t -> UnknownFields.NONE;

    private Builder(String name) {
      this.name = name;
    }

    /** The word in the field {@link #KIND} by which this kind is known. */
    public Builder<T> kind(String word) {
      kind = word;
      return this;
    }

    /** Adds the fields that several kinds have in common. */
    public Builder<T> sharing(Shared<? super T> s) {
      shared.add(s);
      all.addAll(s.fields());
      return this;
    }

    /** Adds fields, in the order of documents. */
    @SafeVarargs
    public final Builder<T> with(Field<? super T, ?>... fields) {
      return with(List.of(fields));
    }

    /** Adds fields, in the order of documents. */
    public Builder<T> with(List<? extends Field<? super T, ?>> fields) {
      own.addAll(fields);
      all.addAll(fields);
      return this;
    }

    /** Where the fields are that this version does not know; else they are lost. */
    public Builder<T> keeping(Function<? super T, UnknownFields> extras) {
      rest = extras;
      return this;
    }

    /**
     * Ends the table.
     *
     * @param make a record from the fields; checks several together where one alone says too little
     */
    public Schema<T> made(Function<Values, ? extends T> make) {
      return new Schema<>(this, make);
    }
  }

  @Override
  public String name() {
    return name;
  }

  /** The word of its kind; null where there are no others. */
  public String kind() {
    return kind;
  }

  /** The groups of fields that it has in common with other kinds. */
  public List<Shared<? super T>> shared() {
    return shared;
  }

  /** The fields that are not shared. */
  public List<Field<? super T, ?>> own() {
    return own;
  }

  /** All fields, in the order of documents. */
  public List<Field<? super T, ?>> fields() {
    return all;
  }

  @Override
  public T read(Fields f) {
    if (kind != null) {
      f.get(KIND);
    }
    return make.apply(new Values(f, all));
  }

  @Override
  public void write(T value, StringBuilder out) {
    out.append('{');
    if (kind != null) {
      Writer.name(KIND, out);
      Writer.text(kind, out);
    }
    for (Field<? super T, ?> field : all) {
      field.write(value, out);
    }
    rest.apply(value)
        .fields()
        .forEach(
            (name, extra) -> {
              Writer.name(name, out);
              out.append(extra);
            });
    out.append('}');
  }
}
