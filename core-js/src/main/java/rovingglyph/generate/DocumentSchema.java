package rovingglyph.generate;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.WriterConfig;
import rovingglyph.document.SceneCodec;
import rovingglyph.schema.Field;
import rovingglyph.schema.Kinds;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Tables;

/** The scene document as a JSON Schema (2020-12), for editors and checkers of other people. */
final class DocumentSchema {
  private DocumentSchema() {}

  static String text() {
    Tables all = Tables.from(SceneCodec.schema());
    JsonObject defs = new JsonObject();
    all.schemas().forEach(s -> defs.add(s.name(), schema(s)));
    all.kinds().forEach(k -> defs.add(k.name(), kinds(k)));
    return new JsonObject()
            .add("$schema", "https://json-schema.org/draft/2020-12/schema")
            .add("title", "The scene document of Roving Glyph, version 2")
            .add("$ref", Lists.reference(all.schemas().get(0)).get("$ref"))
            .add("$defs", defs)
            .toString(WriterConfig.PRETTY_PRINT)
        + "\n";
  }

  private static JsonObject schema(Schema<?> s) {
    JsonObject properties = new JsonObject();
    JsonArray required = new JsonArray();
    if (s.kind() != null) {
      properties.add(Schema.KIND, new JsonObject().add("const", s.kind()));
      required.add(Schema.KIND);
    }
    for (Field<?, ?> f : s.fields()) {
      boolean has = f.presence() == Field.Presence.REQUIRED;
      JsonObject type = has ? f.type().jsonSchema() : Lists.orNull(f.type().jsonSchema());
      if (!f.about().isEmpty()) {
        type.add("description", f.about());
      }
      String fallback = Tables.fallback(f);
      if (fallback != null) {
        type.add("default", Json.parse(fallback));
      }
      properties.add(f.name(), type);
      if (has) {
        required.add(f.name());
      }
    }
    JsonObject out = new JsonObject().add("type", "object").add("properties", properties);
    return required.isEmpty() ? out : out.add("required", required);
  }

  private static JsonObject kinds(Kinds<?> k) {
    JsonArray any = new JsonArray();
    JsonArray words = new JsonArray();
    for (Schema<?> s : k.kinds()) {
      any.add(Lists.reference(s));
      words.add(s.kind());
    }
    if (k.open()) {
      JsonObject other =
          new JsonObject()
              .add("type", "string")
              .add("minLength", 1)
              .add("not", new JsonObject().add("enum", words));
      any.add(
          new JsonObject()
              .add("type", "object")
              .add("properties", new JsonObject().add(Schema.KIND, other))
              .add("required", new JsonArray().add(Schema.KIND)));
    }
    return new JsonObject().add("anyOf", any);
  }
}
