package rovingglyph.edit;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import rovingglyph.document.EasingCodec;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Cue;
import rovingglyph.scene.Easing;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Spelling;

/**
 * Edits of a scene as small JSON objects, for callers on the other side of a bridge. {@code op}
 * names the edit; see each case for its fields. An edit that names something that is not there, or
 * lacks a field, fails with an {@link IllegalArgumentException} in plain words.
 */
public final class SceneEdits {
  private SceneEdits() {}

  public static Scene apply(Scene scene, String json) {
    JsonObject edit = Json.parse(json).asObject();
    String op = edit.getString("op", "");
    Scene made = NewPaths.apply(scene, op, edit);
    Scene cued = made != null ? made : Cues.apply(scene, op, edit);
    Scene grouped = cued != null ? cued : Groups.apply(scene, op, edit);
    Scene looks = grouped != null ? grouped : Appearances.apply(scene, op, edit);
    Scene filled = looks != null ? looks : ColourFields.apply(scene, op, edit);
    if (filled != null) {
      return filled;
    }
    return switch (op) {
      case "recipe" -> Recipes.apply(scene, edit);
      case "deleteItem" -> Letterings.deleteItem(scene, edit);
      case "addLettering" -> Letterings.add(scene, edit);
      case "sit" -> Letterings.sit(scene, edit);
      case "shown" -> Shown.apply(scene, edit);
      case "pin" -> Letterings.pin(scene, edit);
      case "deletePath" -> Letterings.deletePath(scene, edit);
      default -> edit.get("path") != null ? PathOps.apply(scene, op, edit) : value(scene, op, edit);
    };
  }

  private static Scene value(Scene scene, String op, JsonObject e) {
    Animatable item = scene.mover(e.getString("item", ""));
    Channel channel = Channel.of(e.getString("channel", ""));
    AnimatedValue m = item == null || channel == null ? null : item.movable(channel);
    boolean axis = channel != null && channel.kind() == Channel.Kind.AXIS;
    if (m == null && axis && item instanceof Lettering) {
      // An axis that was left to the face is set with its first edit.
      m = new AnimatedValue(e.getDouble("missing", 0));
    }
    if (m == null) {
      throw new IllegalArgumentException("There is no such value: " + e);
    }
    KeyframeEdits edits = new KeyframeEdits(channel, scene.rate());
    int index = e.getInt("index", -1);
    if (e.get("index") != null && (index < 0 || index >= m.keyframes().size())) {
      throw new IllegalArgumentException("There is no keyframe " + index);
    }
    AnimatedValue edited =
        switch (op) {
          case "set" -> edits.set(m, number(e, "time"), number(e, "value"));
          case "key" -> edits.key(m, number(e, "time"), number(e, "value"));
          case "toggle" -> edits.toggle(m, number(e, "time"));
          case "remove" -> edits.remove(m, index);
          case "shift" -> edits.shift(m, number(e, "by"));
          case "move" ->
              edits.move(
                  m, index, number(e, "time"), e.get("value") == null ? null : number(e, "value"));
          case "ease" -> edits.ease(m, index, easing(e.get("easing")));
          case "speed" ->
              edits.speed(m, index, e.getBoolean("arriving", false), number(e, "value"));
          case "land" -> edits.land(m, index, landing(e));
          case "follows" -> follows(scene, edits, m, index, e.getString("cue", ""));
          case "motion" -> Motions.apply(m, channel, e);
          default -> group(op, new KeyframeGroups(edits), m, e, channel);
        };
    Animatable changed = item.with(channel, edited);
    return changed instanceof GuidePath p
        ? Reshaping.replace(scene, p, e.getDouble("time", 0), true)
        : scene.withItem((Item) changed);
  }

  /** {@code indexes} chooses keyframes, all if it is left out. */
  private static AnimatedValue group(
      String op, KeyframeGroups groups, AnimatedValue m, JsonObject e, Channel channel) {
    Set<Integer> chosen = new TreeSet<>();
    JsonValue list = e.get("indexes");
    for (int i = 0; i < m.keyframes().size(); i++) {
      chosen.add(i);
    }
    if (list != null && list.isArray()) {
      Set<Integer> asked = new TreeSet<>();
      list.asArray().forEach(v -> asked.add(v.asInt()));
      chosen.retainAll(asked);
    }
    if (chosen.isEmpty() && !op.equals("pasteKeys")) {
      throw new IllegalArgumentException("Choose keyframes first");
    }
    return switch (op) {
      case "moveKeys" -> groups.move(m, chosen, e.getDouble("by", 0), e.getDouble("value", 0));
      case "stretchKeys" -> groups.stretch(m, chosen, number(e, "about"), number(e, "factor"));
      case "mirrorKeys" -> groups.mirror(m, chosen);
      case "swapKeys" -> groups.swap(m, chosen);
      case "removeKeys" -> groups.remove(m, chosen);
      case "holdKey" -> groups.hold(m, chosen.iterator().next(), number(e, "seconds"));
      case "pasteKeys" ->
          groups.paste(
              m,
              Motions.keys(e.get("keys"), channel),
              number(e, "time"),
              e.getBoolean("onward", false));
      default -> throw new IllegalArgumentException("There is no edit \"" + op + "\"");
    };
  }

  /** Ties a keyframe to a cue, at whose time it is from then on; an empty one lets it go. */
  private static AnimatedValue follows(
      Scene scene, KeyframeEdits edits, AnimatedValue m, int index, String id) {
    Cue cue = scene.cue(id);
    Keyframe k = m.keyframes().get(index);
    if (cue == null) {
      return m.with(replaced(m.keyframes(), index, k.at(k.time(), null)));
    }
    int there = edits.indexAt(m, cue.time());
    if (there >= 0 && there != index) {
      throw new IllegalArgumentException(
          "Another keyframe stands at the cue \"" + cue.name() + "\"");
    }
    return KeyframeEdits.sorted(m, replaced(m.keyframes(), index, k.at(cue.time(), cue.id())));
  }

  private static List<Keyframe> replaced(List<Keyframe> keys, int index, Keyframe k) {
    List<Keyframe> out = new ArrayList<>(keys);
    out.set(index, k);
    return out;
  }

  private static double number(JsonObject e, String name) {
    JsonValue v = e.get(name);
    if (v == null || !v.isNumber()) {
      throw new IllegalArgumentException("The edit lacks the number \"" + name + "\": " + e);
    }
    return v.asDouble();
  }

  static Easing easing(JsonValue v) {
    if (v != null && v.isArray() && v.asArray().size() == 4) {
      JsonArray c = v.asArray();
      double x1 = Math.min(Math.max(c.get(0).asDouble(), 0), 1);
      double x2 = Math.min(Math.max(c.get(2).asDouble(), 0), 1);
      return Easing.own(x1, c.get(1).asDouble(), x2, c.get(3).asDouble());
    }
    try {
      return EasingCodec.read(v == null ? Json.NULL : v);
    } catch (DocumentException e) {
      throw new IllegalArgumentException("There is no easing " + v);
    }
  }

  private static Landing landing(JsonObject e) {
    JsonValue v = e.get("landing");
    if (v == null || v.isNull()) {
      return null;
    }
    Landing.Kind kind = v.isString() ? Spelling.find(Landing.Kind.values(), v.asString()) : null;
    if (kind == null) {
      throw new IllegalArgumentException("There is no landing " + v);
    }
    return new Landing(kind, e.getDouble("laps", 1));
  }
}
