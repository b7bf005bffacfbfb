package rovingglyph.schema;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;

/** Values that a JSON Schema refuses, found from what it says. */
public final class WrongValues {
  private WrongValues() {}

  public static List<JsonValue> of(JsonObject schema) {
    List<JsonValue> out = new ArrayList<>();
    if (schema.isEmpty()) {
      return out;
    }
    JsonValue any = schema.get("anyOf");
    if (any != null) {
      // What is wrong for the first is so for the others too, unless it is an object.
      return of(any.asArray().get(0).asObject()).stream().filter(v -> !v.isObject()).toList();
    }
    if (schema.get("enum") != null) {
      return List.of(Json.value("no word of it"), Json.value(7.5));
    }
    switch (schema.getString("type", "object")) {
      case "number" -> numbers(schema, out);
      case "integer" -> {
        numbers(schema, out);
        out.add(Json.value(schema.getDouble("minimum", 0) + 0.5));
      }
      case "boolean" -> out.addAll(List.of(Json.value("yes"), Json.value(1)));
      case "string" -> texts(schema, out);
      case "array" -> lists(schema, out);
      default -> out.addAll(List.of(Json.value(7), Json.value("none")));
    }
    return out;
  }

  private static void numbers(JsonObject schema, List<JsonValue> out) {
    out.add(Json.value("many"));
    out.add(Json.value(true));
    out.add(Json.value(schema.getDouble("minimum", 0) - 1));
    out.add(Json.value(schema.getDouble("maximum", 0) + 1));
  }

  private static void texts(JsonObject schema, List<JsonValue> out) {
    out.add(Json.value(7));
    out.add(new JsonObject());
    if (schema.get("pattern") != null) {
      out.add(Json.value("no such text"));
    }
    if (schema.get("minLength") != null) {
      out.add(Json.value(""));
    }
    int most = schema.getInt("maxLength", -1);
    if (most >= 0) {
      out.add(Json.value("x".repeat(most + 1)));
    }
  }

  private static void lists(JsonObject schema, List<JsonValue> out) {
    out.add(Json.value("none"));
    int most = schema.getInt("maxItems", Integer.MAX_VALUE);
    if (most <= 20) {
      JsonArray many = new JsonArray();
      for (int i = 0; i <= most; i++) {
        many.add(new JsonObject());
      }
      out.add(many);
    }
  }
}
