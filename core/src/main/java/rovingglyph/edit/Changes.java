package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.ITEMS;
import static rovingglyph.edit.Arguments.item;
import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.document.FieldChanges;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.TracingImage;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of plain fields, as documents have them: {@code fields} says which, and their values. */
final class Changes {
  private static final Field<Values, JsonValue> FIELDS =
      argument(Command.FIELDS, new JsonType("Record<string, unknown>"));
  private static final Field<Values, String> PART =
      argument("part", Types.text(Types.LONGEST_ID))
          .optional()
          .about("the field that the fields belong to, of every item; what is left out stays");
  private static final Field<Values, String> PICTURE_NAME = argument("name", Types.text(200));
  private static final Field<Values, String> IMAGE = argument("image", Types.id());
  private static final Field<Values, Double> WIDTH = argument("width", Types.number(1, 1e5, "px"));
  private static final Field<Values, Double> HEIGHT =
      argument("height", Types.number(1, 1e5, "px"));

  static final List<Command> ALL =
      List.of(
          Command.of("change", "Changed {field}", List.of(ITEMS, FIELDS, PART), Changes::ofItems),
          Command.of(
              "changeScene",
              "Changed {field} of the scene",
              List.of(FIELDS),
              (scene, v) -> FieldChanges.of(scene, fields(v))),
          Command.of(
              "addTemplate",
              "Added a picture to trace",
              List.of(ID, PICTURE_NAME, IMAGE, WIDTH, HEIGHT),
              Changes::addTemplate),
          Command.of(
              "changeTemplate",
              "Changed a picture to trace",
              List.of(ITEM, FIELDS),
              Changes::changeTemplate),
          Command.of(
              "removeTemplate",
              "Removed a picture to trace",
              List.of(ITEM),
              (scene, v) ->
                  scene.withTemplates(
                      scene.templates().stream()
                          .filter(t -> !t.id().equals(v.get(ITEM)))
                          .toList())));

  private Changes() {}

  private static JsonObject fields(Values v) {
    if (!v.get(FIELDS).isObject()) {
      throw new IllegalArgumentException("What is to be changed is told as an object");
    }
    return v.get(FIELDS).asObject();
  }

  /**
   * The first item gets the fields as they are, the others of its kind what is new in them; or all
   * of them get them within {@code part}.
   */
  private static Scene ofItems(Scene scene, Values v) {
    if (v.get(ITEMS).isEmpty()) {
      throw new IllegalArgumentException("Choose an item first");
    }
    Item first = item(scene, v.get(ITEMS).get(0));
    String part = v.get(PART);
    Scene out = scene.withItem(changed(first, v));
    for (String id : v.get(ITEMS).subList(1, v.get(ITEMS).size())) {
      Item other = item(scene, id);
      if (other.getClass() == first.getClass()) {
        out =
            out.withItem(
                part == null ? FieldChanges.alike(other, first, fields(v)) : changed(other, v));
      }
    }
    return out;
  }

  private static Item changed(Item item, Values v) {
    String part = v.get(PART);
    return part == null
        ? FieldChanges.of(item, fields(v))
        : FieldChanges.within(item, part, fields(v));
  }

  /** In the middle of the frame, as large as that lets it be. */
  private static Scene addTemplate(Scene scene, Values v) {
    double k = Math.min(scene.width() / v.get(WIDTH), scene.height() / v.get(HEIGHT));
    double width = v.get(WIDTH) * k;
    double height = v.get(HEIGHT) * k;
    List<TracingImage> all = new ArrayList<>(scene.templates());
    all.add(
        new TracingImage(
            v.get(ID),
            v.get(PICTURE_NAME),
            v.get(IMAGE),
            (scene.width() - width) / 2,
            (scene.height() - height) / 2,
            width,
            height,
            40,
            false,
            UnknownFields.NONE));
    return scene.withTemplates(all);
  }

  private static Scene changeTemplate(Scene scene, Values v) {
    List<TracingImage> all = new ArrayList<>(scene.templates());
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).id().equals(v.get(ITEM))) {
        all.set(i, FieldChanges.of(all.get(i), fields(v)));
        return scene.withTemplates(all);
      }
    }
    throw new IllegalArgumentException("There is no such picture any more");
  }
}
