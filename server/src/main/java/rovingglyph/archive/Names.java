package rovingglyph.archive;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.Map;
import java.util.Set;

/**
 * The names by which documents speak of what lies beside them: typefaces, pictures, footage, other
 * scenes. Each is a text of its own wherever it stands, and nothing else looks like one, so that
 * none can be forgotten when a new place for them comes.
 */
public final class Names {
  private Names() {}

  private static final int LONGEST = 80;

  /** Adds every text of a value that may be a name. */
  public static void collect(JsonValue value, Set<String> into) {
    if (value.isString()) {
      if (value.asString().length() <= LONGEST) {
        into.add(value.asString());
      }
    } else if (value.isArray()) {
      value.asArray().forEach(v -> collect(v, into));
    } else if (value.isObject()) {
      value.asObject().forEach(m -> collect(m.getValue(), into));
    }
  }

  /** The value with other names in the places of those that are known. */
  static JsonValue renamed(JsonValue value, Map<String, String> names) {
    if (value.isString()) {
      String other = names.get(value.asString());
      return other == null ? value : Json.value(other);
    }
    if (value.isArray()) {
      JsonArray out = new JsonArray();
      value.asArray().forEach(v -> out.add(renamed(v, names)));
      return out;
    }
    if (value.isObject()) {
      JsonObject out = new JsonObject();
      value.asObject().forEach(m -> out.add(m.getName(), renamed(m.getValue(), names)));
      return out;
    }
    return value;
  }
}
