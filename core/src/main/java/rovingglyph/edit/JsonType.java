package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;

/** A part of a document that an edit carries as it is; whatever reads it tells what is wrong. */
record JsonType(String typescript) implements FieldType<JsonValue> {
  @Override
  public JsonValue read(Fields f, String name, JsonValue missing) {
    JsonValue v = f.get(name);
    return v == null ? missing : v;
  }

  @Override
  public void write(JsonValue value, StringBuilder out) {
    out.append(value);
  }

  @Override
  public JsonObject jsonSchema() {
    return new JsonObject();
  }

  @Override
  public String words() {
    return "as in documents";
  }
}
