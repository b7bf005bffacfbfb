package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Spelling;

/** Edits of the effects, the blend mode and the clip of items of any kind. */
final class Appearances {
  private Appearances() {}

  /** Null if the edit is none of these. */
  static Scene apply(Scene scene, String op, JsonObject edit) {
    return switch (op) {
      case "addEffect" -> ofEach(scene, edit, item -> added(item, edit));
      case "removeEffect" -> effects(scene, edit, (all, at) -> all.remove(at));
      case "switchEffect" ->
          effects(
              scene,
              edit,
              (all, at) ->
                  all.set(at, all.get(at).switchedOff(edit.getBoolean("off", !all.get(at).off()))));
      case "moveEffect" ->
          effects(
              scene,
              edit,
              (all, at) -> {
                Effect moved = all.remove(at);
                all.add(Math.min(Math.max(edit.getInt("to", at), 0), all.size()), moved);
              });
      case "blend" -> ofEach(scene, edit, item -> item.with(item.properties().blended(mode(edit))));
      case "clip" -> ofEach(scene, edit, item -> clipped(scene, item, edit));
      default -> null;
    };
  }

  /** Changes all of {@code items}. */
  private static Scene ofEach(Scene scene, JsonObject edit, UnaryOperator<Item> change) {
    Scene out = scene;
    JsonValue given = edit.get("items");
    if (given == null || !given.isArray() || given.asArray().isEmpty()) {
      throw new IllegalArgumentException("Choose an item first");
    }
    for (JsonValue v : given.asArray()) {
      out = out.withItem(change.apply(Groups.item(scene, v.isString() ? v.asString() : "")));
    }
    return out;
  }

  /**
   * With an effect {@code effect} of a {@code kind} after its others, its numbers at their start.
   */
  private static Item added(Item item, JsonObject edit) {
    Effect.Kind kind = Spelling.find(Effect.Kind.values(), edit.getString("kind", ""));
    if (kind == null) {
      throw new IllegalArgumentException("There is no effect " + edit.get("kind"));
    }
    List<Effect> all = new ArrayList<>(item.properties().effects());
    if (all.size() >= ItemProperties.MOST_EFFECTS) {
      throw new IllegalArgumentException(
          "An item has at most " + ItemProperties.MOST_EFFECTS + " effects: take one away first");
    }
    String id = edit.getString("effect", "");
    if (id.isEmpty() || all.stream().anyMatch(e -> e.id().equals(id))) {
      throw new IllegalArgumentException("The new effect needs an id of its own");
    }
    all.add(new Effect(id, kind, Spelling.of(kind), false, UnknownFields.NONE));
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    for (Effect.Parameter p : kind.parameters()) {
      values.put(Channel.effect(id, p), new AnimatedValue(p.start()));
    }
    return item.with(item.properties().with(all), values);
  }

  /** What is done to one effect in the list of all. */
  private interface Change {
    void in(List<Effect> all, int at);
  }

  /** Changes the effect {@code effect} of the item {@code item}. */
  private static Scene effects(Scene scene, JsonObject edit, Change change) {
    Item item = Groups.item(scene, edit.getString("item", ""));
    List<Effect> all = new ArrayList<>(item.properties().effects());
    int at = all.stream().map(Effect::id).toList().indexOf(edit.getString("effect", ""));
    if (at < 0) {
      throw new IllegalArgumentException("There is no such effect any more");
    }
    change.in(all, at);
    return scene.withItem(tidied(item.with(item.properties().with(all)), item));
  }

  /** Without the values of what it no longer has. */
  private static Item tidied(Item item, Item before) {
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(item.values());
    before.appearance().stream()
        .filter(c -> !item.appearance().contains(c))
        .forEach(values::remove);
    return item.with(item.properties(), values);
  }

  private static BlendMode mode(JsonObject edit) {
    BlendMode mode = Spelling.find(BlendMode.values(), edit.getString("mode", ""));
    if (mode == null) {
      throw new IllegalArgumentException("There is no blend mode " + edit.get("mode"));
    }
    return mode;
  }

  /**
   * Clipped to the {@code path}, or with null not clipped; {@code inverted} or not. What is left
   * out stays.
   */
  private static Item clipped(Scene scene, Item item, JsonObject edit) {
    Clip before = item.properties().clip();
    JsonValue path = edit.get("path");
    if (path != null && path.isNull() || path == null && before == null) {
      return tidied(item.with(item.properties().clipped(null)), item);
    }
    String id = path == null ? before.path() : path.asString();
    if (scene.path(id) == null) {
      throw new IllegalArgumentException("There is no such path any more");
    }
    boolean inverted = edit.getBoolean("inverted", before != null && before.inverted());
    Clip clip = new Clip(id, inverted, before == null ? UnknownFields.NONE : before.extras());
    Item out = item.with(item.properties().clipped(clip));
    return before == null ? out.with(Channel.SOFT_EDGE, new AnimatedValue(0)) : out;
  }
}
