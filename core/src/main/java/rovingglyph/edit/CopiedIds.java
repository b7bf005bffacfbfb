package rovingglyph.edit;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/**
 * What the parts of a copy are called where it is put, and what they may hold to there.
 *
 * @param renamed new ids of items, paths and pins by those that were copied
 * @param kept ids of what is there and is held to, though it was not copied
 */
record CopiedIds(Map<String, String> renamed, Set<String> kept) {
  private static final String ID = "id";
  private static final String MEMBERS = "members";

  /** Fields of any object whose text is the id of an item or a path. */
  private static final Set<String> REFERENCES = Set.of("path", "source");

  /** Parts that are left out where the one that their field names is not there. */
  private static final Map<String, String> HOLDS =
      Map.of("pin", "to", "matte", "item", "follow", "lettering");

  /** Fields that are left out where the item that they name is not there. */
  private static final Set<String> LOOSE = Set.of("goesBehind");

  /** Lists whose objects have ids of their own among themselves. */
  private static final Set<String> OWN_IDS = Set.of("effects");

  static CopiedIds of(JsonObject copied, String prefix, Set<String> kept) {
    Map<String, String> renamed = new HashMap<>();
    for (String list : new String[] {"paths", "items"}) {
      if (copied.get(list) instanceof JsonArray all) {
        all.forEach(v -> collect(v, prefix, renamed));
      }
    }
    return new CopiedIds(renamed, kept);
  }

  private static void collect(JsonValue v, String prefix, Map<String, String> renamed) {
    if (!v.isObject()) {
      throw new IllegalArgumentException("What was copied is damaged");
    }
    String id = v.asObject().getString(ID, "");
    renamed.put(id, prefix + "-" + (renamed.size() + 1));
    if (v.asObject().get("pins") instanceof JsonArray pins) {
      pins.forEach(p -> collect(p, prefix, renamed));
    }
  }

  /** Whether a path is named anywhere within. */
  static boolean names(JsonValue within, String path) {
    if (within.isArray()) {
      return within.asArray().values().stream().anyMatch(v -> names(v, path));
    }
    if (!within.isObject()) {
      return false;
    }
    for (JsonObject.Member m : within.asObject()) {
      boolean here =
          m.getName().equals("path")
              && m.getValue().isString()
              && m.getValue().asString().equals(path);
      if (here || names(m.getValue(), path)) {
        return true;
      }
    }
    return false;
  }

  /** An item or a path under its new id, holding to what there is. */
  JsonValue renamed(JsonValue v) {
    return renamed(v, "");
  }

  String renamed(String id) {
    return renamed.getOrDefault(id, id);
  }

  private JsonValue renamed(JsonValue v, String list) {
    if (v.isArray()) {
      JsonArray out = new JsonArray();
      v.asArray().forEach(e -> out.add(named(e, list) ? text(e) : renamed(e, list)));
      return out;
    }
    if (!v.isObject()) {
      return v;
    }
    JsonObject out = new JsonObject();
    for (JsonObject.Member m : v.asObject()) {
      String name = m.getName();
      JsonValue part = m.getValue();
      if (isLost(name, part)) {
        continue;
      }
      boolean own = name.equals(ID) && !OWN_IDS.contains(list);
      boolean other = REFERENCES.contains(name) || LOOSE.contains(name);
      if (part.isString() && (own || other || name.equals(HOLDS.get(list)))) {
        out.add(name, text(part));
      } else {
        out.add(name, renamed(part, name));
      }
    }
    return out;
  }

  /** A part brought forward of an item that is not there. */
  boolean isOfNothing(JsonValue item) {
    String source = item.asObject().getString("source", "");
    return !source.isEmpty() && !renamed.containsKey(source) && !kept.contains(source);
  }

  private static boolean named(JsonValue v, String list) {
    return v.isString() && list.equals(MEMBERS);
  }

  private JsonValue text(JsonValue id) {
    return Json.value(renamed(id.asString()));
  }

  /** A part that holds to something that is not there, and the cue of a keyframe that is not. */
  private boolean isLost(String name, JsonValue part) {
    if (name.equals("cue") && part.isString()) {
      return !kept.contains(part.asString());
    }
    if (LOOSE.contains(name) && part.isString()) {
      return !renamed.containsKey(part.asString()) && !kept.contains(part.asString());
    }
    String field = HOLDS.get(name);
    if (field == null || !part.isObject()) {
      return false;
    }
    String to = part.asObject().getString(field, "");
    return !renamed.containsKey(to) && !kept.contains(to);
  }
}
