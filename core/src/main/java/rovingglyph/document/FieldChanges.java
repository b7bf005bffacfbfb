package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.TracingImage;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.schema.ObjectType;

/**
 * Plain fields of a document set to other values, by the rules of the document. What is null goes
 * back to its default. A value that moves is not set so: there are edits of keyframes for that.
 */
public final class FieldChanges {
  private static final List<String> OF_SCENE =
      List.of("name", "width", "height", "rate", "length", "background", "blur");

  private FieldChanges() {}

  /**
   * An item with other fields.
   *
   * @throws DocumentException where they cannot be used
   */
  public static Item of(Item item, JsonObject fields) {
    return changed(ItemList.KINDS, item, fields);
  }

  /**
   * An item that gets what is new in fields of another one: of a field that has fields of its own
   * only those that differ from how they were there.
   */
  public static Item alike(Item item, Item other, JsonObject fields) {
    JsonObject own = Json.parse(ItemList.KINDS.text(item)).asObject();
    JsonObject was = Json.parse(ItemList.KINDS.text(other)).asObject();
    JsonObject fresh = new JsonObject();
    for (JsonObject.Member m : fields) {
      JsonValue before = was.get(m.getName());
      boolean parts = m.getValue().isObject() && before != null && before.isObject();
      JsonValue present = own.get(m.getName());
      fresh.add(
          m.getName(),
          parts ? merged(present, before.asObject(), m.getValue().asObject()) : m.getValue());
    }
    return of(item, fresh);
  }

  /**
   * An item with other fields of one of its fields, which has fields of its own.
   *
   * @param part the name of that one; what is left out of it stays
   * @throws DocumentException where they cannot be used
   */
  public static Item within(Item item, String part, JsonObject fields) {
    JsonValue own = Json.parse(ItemList.KINDS.text(item)).asObject().get(part);
    String before = own != null && own.isObject() ? own.toString() : "{}";
    return of(item, new JsonObject().add(part, with(before, fields)));
  }

  private static JsonObject merged(JsonValue present, JsonObject was, JsonObject now) {
    boolean has = present != null && present.isObject();
    JsonObject out = has ? new JsonObject(present.asObject()) : new JsonObject();
    for (JsonObject.Member m : now) {
      if (!m.getValue().equals(was.get(m.getName()))) {
        out.set(m.getName(), m.getValue());
      }
    }
    return out;
  }

  /**
   * A picture to trace over with other fields.
   *
   * @throws DocumentException where they cannot be used
   */
  public static TracingImage of(TracingImage image, JsonObject fields) {
    return changed(SceneSchema.TEMPLATE, image, fields);
  }

  /**
   * A scene with other settings: name, size, rate, length, background, motion blur.
   *
   * @throws DocumentException where they cannot be used
   */
  public static Scene of(Scene scene, JsonObject fields) {
    Fields f = Fields.of(fields);
    for (String name : fields.names()) {
      if (!OF_SCENE.contains(name)) {
        f.problem(name, "is no setting of a scene", String.join(", ", OF_SCENE));
      }
    }
    f.check();
    return SceneCodec.read(with(SceneCodec.write(scene), fields).toString());
  }

  private static <T> T changed(ObjectType<T> type, T value, JsonObject fields) {
    Fields f = Fields.of(with(type.text(value), fields));
    T out = type.read(f);
    f.check();
    return out;
  }

  private static JsonObject with(String document, JsonObject fields) {
    JsonObject out = Json.parse(document).asObject();
    for (JsonObject.Member m : fields) {
      out.remove(m.getName());
      if (!m.getValue().isNull()) {
        out.add(m.getName(), m.getValue());
      }
    }
    return out;
  }
}
