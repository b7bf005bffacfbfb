package rovingglyph.schema;

import java.util.List;
import rovingglyph.scene.UnknownFields;

/** The fields of one object as they were read. */
public final class Values {
  private final Fields fields;
  private final List<? extends Field<?, ?>> of;
  private final Object[] values;
  private final int problems;

  Values(Fields fields, List<? extends Field<?, ?>> of) {
    this.fields = fields;
    this.of = of;
    this.values = new Object[of.size()];
    this.problems = fields.problems().size();
    for (int i = 0; i < values.length; i++) {
      values[i] = of.get(i).read(fields);
    }
  }

  /** What a field holds; what it has when it is missing where it is missing or wrong. */
  @SuppressWarnings("unchecked")
  public <V> V get(Field<?, V> field) {
    for (int i = 0; i < values.length; i++) {
      if (of.get(i) == field) {
        return (V) values[i];
      }
    }
    throw new IllegalStateException("The table has no field " + field.name());
  }

  /** The object, for words of earlier versions and for problems of several fields together. */
  public Fields fields() {
    return fields;
  }

  /** Whether a field is there at all, if only as null. */
  public boolean given(Field<?, ?> field) {
    return fields.names().contains(field.name());
  }

  /** Whether no field of it is wrong. */
  public boolean sound() {
    return fields.problems().size() == problems;
  }

  /** The fields that nobody has asked for. */
  public UnknownFields rest() {
    return fields.rest();
  }
}
