package rovingglyph.values;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.eclipsesource.json.ParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.SceneEdits;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.schema.DocumentException;

/** Scenes with values from outside, by the rules of edits. */
public final class SceneValues {
  /**
   * A value for a field.
   *
   * @param item its id or name, or {@link SceneField#SCENE}
   * @param field as documents have it
   * @param text what a {@link SceneField} takes; for other fields JSON, or a text as it is
   */
  public record Value(String item, String field, String text) {
    /**
     * As it is written in one: {@code ITEM.FIELD=VALUE}.
     *
     * @throws BadValueException if it is not
     */
    public static Value parse(String given) {
      int equals = given.indexOf('=');
      if (equals < 0 || given.lastIndexOf('.', equals) <= 0) {
        throw new BadValueException("“" + given + "” is not written ITEM.FIELD=VALUE");
      }
      return of(given.substring(0, equals), given.substring(equals + 1));
    }

    /**
     * A value for a field by its path, which is {@link SceneField#path}.
     *
     * @throws BadValueException if that is no path
     */
    public static Value of(String path, String text) {
      int dot = path.lastIndexOf('.');
      if (dot <= 0 || dot + 1 == path.length()) {
        throw new BadValueException("“" + path + "” is not written ITEM.FIELD");
      }
      return new Value(path.substring(0, dot), path.substring(dot + 1), text);
    }

    private BadValueException bad(String reason) {
      return new BadValueException(item + "." + field + ": " + reason);
    }
  }

  private SceneValues() {}

  /**
   * The scene with all of them.
   *
   * @throws BadValueException for one that cannot be set
   * @throws DocumentException if the scene as a whole cannot be used then
   */
  public static Scene applied(Scene scene, List<Value> values, Assets assets) {
    Scene out = scene;
    Map<String, SceneField> fields = new LinkedHashMap<>();
    SceneField.of(scene).forEach(f -> fields.put(f.path(), f));
    for (Value v : values) {
      String id = v.item().equals(SceneField.SCENE) ? v.item() : id(scene, v);
      out = applied(out, id, v, fields.get(id + "." + v.field()), assets);
    }
    // What only the whole document tells, such as a name that is not there.
    SceneCodec.read(SceneCodec.write(out));
    // Those that it shows are not in a document, and are lost where all of it is read again.
    SceneShelf shelf = new SceneShelf();
    scene.shown().forEach(shelf::put);
    return shelf.filled(out);
  }

  private static Scene applied(Scene scene, String id, Value v, SceneField field, Assets assets) {
    JsonObject edit = new JsonObject();
    try {
      if (field != null && field.kind() == SceneField.Kind.PICTURE) {
        Assets.KnownPicture p = CellValue.picture(v.text(), assets);
        edit.add("op", "replacePicture").add("item", id).add("image", p.id());
        edit.add("pixelWidth", p.width()).add("pixelHeight", p.height());
        return SceneEdits.apply(scene, edit.toString());
      }
      boolean whole = id.equals(SceneField.SCENE);
      JsonValue value = field == null ? json(v.text()) : CellValue.of(field, v.text(), assets);
      edit.add("op", whole ? "changeScene" : "change");
      if (!whole) {
        edit.add("items", new JsonArray().add(id));
      }
      edit.add("fields", new JsonObject().add(v.field(), value));
      Scene out = SceneEdits.apply(scene, edit.toString());
      // Documents keep what they do not know; here it is a slip of the pen.
      if (!whole && out.item(id).extras().fields().containsKey(v.field())) {
        throw new BadValueException("there is no such field of it");
      }
      return out;
    } catch (BadValueException | DocumentException | IllegalArgumentException e) {
      throw v.bad(e.getMessage());
    }
  }

  private static String id(Scene scene, Value v) {
    if (scene.item(v.item()) != null) {
      return v.item();
    }
    List<Item> named = new ArrayList<>(scene.items().values());
    named.removeIf(i -> !i.name().equals(v.item()));
    if (named.size() != 1) {
      String known =
          scene.items().values().stream()
              .map(i -> i.name().isEmpty() ? i.id() : i.id() + " (" + i.name() + ")")
              .collect(Collectors.joining(", "));
      String what = named.isEmpty() ? "There is no item " : "Several items are called ";
      throw new BadValueException(what + "\"" + v.item() + "\"; there are scene, " + known);
    }
    return named.get(0).id();
  }

  /** JSON, or a text where it is none. */
  private static JsonValue json(String text) {
    try {
      return Json.parse(text);
    } catch (ParseException e) {
      return Json.value(text);
    }
  }
}
