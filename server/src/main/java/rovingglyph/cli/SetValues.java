package rovingglyph.cli;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.eclipsesource.json.ParseException;
import java.util.List;
import java.util.stream.Collectors;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.schema.DocumentException;

/** Values of a scene that are set from outside: {@code ITEM.FIELD=VALUE}, by the rules of edits. */
final class SetValues {
  /** In the place of an item: the scene itself. */
  private static final String SCENE = "scene";

  private SetValues() {}

  /**
   * The scene with all of them.
   *
   * @param given each an item by its id or name, a dot, a field as documents have it, and after an
   *     equals sign its value: JSON, or a text as it is
   * @throws Refused for one that cannot be set
   */
  static Scene applied(Scene scene, List<String> given) {
    Scene out = scene;
    for (String g : given) {
      out = applied(out, g);
    }
    // What only the whole document tells, such as a name that is not there.
    SceneCodec.read(SceneCodec.write(out));
    // Those that it shows are not in a document, and are lost where all of it is read again.
    SceneShelf shelf = new SceneShelf();
    scene.shown().forEach(shelf::put);
    return shelf.filled(out);
  }

  private static Scene applied(Scene scene, String given) {
    int equals = given.indexOf('=');
    int dot = equals < 0 ? -1 : given.lastIndexOf('.', equals);
    if (dot <= 0 || dot + 1 == equals) {
      throw new Refused("--set is \"" + given + "\"; it takes ITEM.FIELD=VALUE");
    }
    String item = given.substring(0, dot);
    String field = given.substring(dot + 1, equals);
    String text = given.substring(equals + 1);
    JsonObject edit = new JsonObject();
    JsonObject now;
    if (item.equals(SCENE)) {
      edit.add("op", "changeScene");
      now = Json.parse(SceneCodec.write(scene)).asObject();
    } else {
      String id = id(scene, item);
      edit.add("op", "change").add("items", new JsonArray().add(id));
      now = document(scene, id);
    }
    JsonValue before = now.get(field);
    edit.add("fields", new JsonObject().add(field, value(text, before)));
    try {
      Scene out = SceneEdits.apply(scene, edit.toString());
      // Documents keep what they do not know; here it is a slip of the pen.
      if (!item.equals(SCENE) && out.item(id(out, item)).extras().fields().containsKey(field)) {
        throw new Refused("--set " + item + "." + field + ": there is no such field of it");
      }
      return out;
    } catch (DocumentException | IllegalArgumentException e) {
      throw new Refused("--set " + item + "." + field + ": " + e.getMessage());
    }
  }

  private static String id(Scene scene, String item) {
    if (scene.item(item) != null) {
      return item;
    }
    List<Item> named = scene.items().values().stream().filter(i -> i.name().equals(item)).toList();
    if (named.size() != 1) {
      String known =
          scene.items().values().stream()
              .map(i -> i.name().isEmpty() ? i.id() : i.id() + " (" + i.name() + ")")
              .collect(Collectors.joining(", "));
      String what = named.isEmpty() ? "There is no item " : "Several items are called ";
      throw new Refused(what + "\"" + item + "\"; there are scene, " + known);
    }
    return named.get(0).id();
  }

  private static JsonObject document(Scene scene, String id) {
    for (JsonValue i : Json.parse(SceneCodec.write(scene)).asObject().get("items").asArray()) {
      if (i.asObject().getString("id", "").equals(id)) {
        return i.asObject();
      }
    }
    return new JsonObject();
  }

  /**
   * A text where there is one now, so that "2026" can be words; else JSON, or a text if it is none.
   */
  private static JsonValue value(String text, JsonValue before) {
    if (before != null && before.isString()) {
      return Json.value(text);
    }
    try {
      return Json.parse(text);
    } catch (ParseException e) {
      return Json.value(text);
    }
  }
}
