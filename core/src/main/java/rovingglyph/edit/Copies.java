package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.ITEMS;
import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.eclipsesource.json.ParseException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Cue;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.Group;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * Items copied as JSON, to be put into the same scene or another one: with what stands in them and
 * the paths that they need, but none of the files that they show.
 */
public final class Copies {
  /** By which a text is known to be a copy. */
  public static final String FORMAT = "roving-glyph-copy";

  private static final int VERSION = 1;
  private static final String ITEM_LIST = "items";
  private static final String PATH_LIST = "paths";

  static final Field<Values, String> COPIED =
      argument("copied", Types.text(SceneCodec.LONGEST))
          .about("what was copied, as it came from there");
  static final Field<Values, Boolean> SAME =
      argument("same", Types.flag())
          .usual(false)
          .about("it comes from this scene: what it held to here it holds to again");

  static final List<Command> ALL =
      List.of(
          Command.of(
              "paste",
              "Pasted",
              List.of(ID, COPIED, SAME),
              (scene, v) -> paste(scene, v.get(COPIED), v.get(ID), v.get(SAME))),
          Command.of(
              "duplicate",
              "Duplicated",
              List.of(ITEMS, ID),
              (scene, v) -> duplicate(scene, v.get(ITEMS), v.get(ID))));

  private Copies() {}

  /** Each copy directly above what it is a copy of, in its group too. */
  private static Scene duplicate(Scene scene, List<String> ids, String id) {
    Scene out = paste(scene, copy(scene, ids), id, true);
    List<String> copies = out.stack().subList(scene.stack().size(), out.stack().size());
    List<String> originals = outermost(scene, all(scene, ids));
    for (int i = 0; i < originals.size(); i++) {
      out = Groups.above(out, copies.get(i), originals.get(i));
    }
    return out;
  }

  /** The items with all that stands in them and the paths that they need, as JSON. */
  public static String copy(Scene scene, List<String> ids) {
    Set<String> wanted = all(scene, ids);
    JsonObject document = Json.parse(SceneCodec.write(scene)).asObject();
    JsonArray items = having(document, ITEM_LIST, wanted);
    Set<String> used = new LinkedHashSet<>();
    scene.paths().stream()
        .map(GuidePath::id)
        .filter(p -> CopiedIds.names(items, p))
        .forEach(used::add);
    return new JsonObject()
        .add("format", FORMAT)
        .add("version", VERSION)
        .add("stack", strings(outermost(scene, wanted)))
        .add(PATH_LIST, having(document, PATH_LIST, used))
        .add(ITEM_LIST, items)
        .toString();
  }

  private static Set<String> all(Scene scene, List<String> ids) {
    Set<String> out = new LinkedHashSet<>();
    ids.forEach(id -> take(scene, id, out));
    return out;
  }

  private static void take(Scene scene, String id, Set<String> wanted) {
    Item item = Arguments.item(scene, id);
    if (wanted.add(id) && item instanceof Group g) {
      g.members().forEach(m -> take(scene, m, wanted));
    }
  }

  /** Those that do not stand in another one of them, back to front. */
  private static List<String> outermost(Scene scene, Set<String> wanted) {
    List<String> order = new ArrayList<>();
    standing(scene, scene.stack(), order);
    return order.stream()
        .filter(wanted::contains)
        .filter(id -> scene.groupsRound(id).stream().noneMatch(g -> wanted.contains(g.id())))
        .toList();
  }

  /** All that stands in the scene, back to front, what is in a group after it. */
  private static void standing(Scene scene, List<String> ids, List<String> out) {
    for (String id : ids) {
      out.add(id);
      if (scene.item(id) instanceof Group g) {
        standing(scene, g.members(), out);
      }
    }
  }

  private static JsonArray having(JsonObject document, String list, Set<String> ids) {
    JsonArray out = new JsonArray();
    for (JsonValue v : document.get(list).asArray()) {
      if (ids.contains(v.asObject().getString("id", ""))) {
        out.add(v);
      }
    }
    return out;
  }

  private static JsonArray strings(Iterable<String> all) {
    JsonArray out = new JsonArray();
    all.forEach(out::add);
    return out;
  }

  /**
   * The scene with what was copied before all else, under new ids that begin with {@code id}. What
   * it held to and was not copied with it, it holds to again where that is there still and it comes
   * from this {@code same} scene; else it stands by itself.
   *
   * @throws IllegalArgumentException where the text is no copy, or was made by a later version
   */
  static Scene paste(Scene scene, String text, String id, boolean same) {
    try {
      return paste(scene, read(text), id, same);
    } catch (DocumentException e) {
      throw new RefusedEdit(e);
    } catch (UnsupportedOperationException e) {
      // A part is of another kind than it has to be.
      throw new IllegalArgumentException("What was copied is damaged", e);
    }
  }

  private static Scene paste(Scene scene, JsonObject copied, String id, boolean same) {
    CopiedIds ids = CopiedIds.of(copied, id, same ? idsOf(scene) : Set.of());
    JsonObject document = Json.parse(SceneCodec.write(scene)).asObject();
    for (String list : List.of(PATH_LIST, ITEM_LIST)) {
      JsonArray into = document.get(list).asArray();
      array(copied, list).forEach(v -> into.add(ids.renamed(v)));
    }
    if (array(copied, ITEM_LIST).values().stream().anyMatch(ids::isOfNothing)) {
      throw new IllegalArgumentException(
          "A part that is brought forward goes only with what it is a part of: copy both");
    }
    JsonArray stack = document.get("stack").asArray();
    array(copied, "stack").forEach(v -> stack.add(ids.renamed(v.asString())));
    return SceneCodec.read(document.toString());
  }

  private static JsonObject read(String text) {
    try {
      JsonValue v = Json.parse(text);
      if (v.isObject() && FORMAT.equals(v.asObject().getString("format", ""))) {
        if (v.asObject().getInt("version", 0) > VERSION) {
          throw new IllegalArgumentException(
              "This was copied in a newer version of the application: load the page anew");
        }
        return v.asObject();
      }
    } catch (ParseException | UnsupportedOperationException | NumberFormatException e) {
      // The same is said of what is no JSON and of other JSON.
    }
    throw new IllegalArgumentException("What was copied is nothing of a scene, or it is damaged");
  }

  private static JsonArray array(JsonObject copied, String list) {
    JsonValue v = copied.get(list);
    if (v == null || !v.isArray()) {
      throw new IllegalArgumentException("What was copied is damaged: it has no " + list);
    }
    return v.asArray();
  }

  private static Set<String> idsOf(Scene scene) {
    Set<String> out = scene.items().values().stream().map(Item::id).collect(Collectors.toSet());
    scene.items().values().stream()
        .filter(Footage.class::isInstance)
        .flatMap(f -> ((Footage) f).pins().stream())
        .map(FootagePin::id)
        .forEach(out::add);
    scene.cues().stream().map(Cue::id).forEach(out::add);
    return out;
  }
}
