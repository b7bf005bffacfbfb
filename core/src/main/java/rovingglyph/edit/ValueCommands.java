package rovingglyph.edit;

import static rovingglyph.edit.Arguments.CHANNEL;
import static rovingglyph.edit.Arguments.EASING;
import static rovingglyph.edit.Arguments.INDEX;
import static rovingglyph.edit.Arguments.ITEM;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Arguments.TIME;
import static rovingglyph.edit.Arguments.VALUE;
import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.document.MotionCodec;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Cue;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of one value that can move, of an item or a path, and of one of its keyframes. */
final class ValueCommands {
  /** What an axis that is left to the face has, where the edit is the first of it. */
  private static final Field<Values, Double> MISSING =
      argument("missing", Arguments.ANY).usual(0.0);

  private static final Field<Values, Double> BY = argument("by", Arguments.ANY);
  private static final Field<Values, Double> NEW_VALUE =
      argument("value", Arguments.ANY).optional();
  private static final Field<Values, Boolean> ARRIVING =
      argument("arriving", Types.flag()).usual(false);
  private static final Field<Values, Landing.Kind> LANDING =
      argument("landing", Types.choice(Landing.Kind.values())).optional();
  private static final Field<Values, Double> DISTANCE =
      argument("distance", Types.number(0, Landing.MOST_DISTANCE, "px"))
          .usual(0.0)
          .about("of a landing inside the frame: px that are kept to its edges");
  private static final Field<Values, Double> LAPS =
      argument("laps", Types.number(-1000, 1000, "")).usual(1.0);
  private static final Field<Values, String> CUE = argument("cue", Types.text(80)).optional();

  private static final Field<Values, JsonValue> CRUISE = part("cruise", "Cruise");
  private static final Field<Values, JsonValue> SWAY = part("sway", "Sway");
  private static final Field<Values, JsonValue> STAGGER = part("stagger", "Stagger");
  private static final Field<Values, JsonValue> FOLLOW = part("follow", "Follow");

  static final List<Command> ALL =
      List.of(
          value("set", "Set {channel}", List.of(TIME, VALUE, MISSING), ValueCommands::set),
          value(
              "key",
              "Set a keyframe of {channel}",
              List.of(TIME, VALUE, MISSING),
              (c, m, v) -> c.edits().key(m, v.get(TIME), v.get(VALUE))),
          value(
              "toggle",
              "Switched a keyframe of {channel}",
              List.of(TIME, MISSING),
              (c, m, v) -> c.edits().toggle(m, v.get(TIME))),
          value(
              "shift",
              "Shifted {channel}",
              List.of(BY),
              (c, m, v) -> c.edits().shift(m, v.get(BY))),
          value(
              "motion",
              "Changed the motion of {channel}",
              List.of(CRUISE, SWAY, STAGGER, FOLLOW),
              (c, m, v) -> MotionCodec.changed(m, c.channel(), parts(v))),
          keyframe(
              "remove", "Removed a keyframe", List.of(), (c, m, i, v) -> c.edits().remove(m, i)),
          keyframe(
              "move",
              "Moved a keyframe",
              List.of(TIME, NEW_VALUE),
              (c, m, i, v) -> c.edits().move(m, i, v.get(TIME), v.get(NEW_VALUE))),
          keyframe(
              "ease",
              "Changed an easing",
              List.of(EASING),
              (c, m, i, v) -> c.edits().ease(m, i, v.get(EASING))),
          keyframe(
              "speed",
              "Changed a speed",
              List.of(ARRIVING, VALUE),
              (c, m, i, v) -> c.edits().speed(m, i, v.get(ARRIVING), v.get(VALUE))),
          keyframe(
              "land",
              "Changed a landing",
              List.of(LANDING, LAPS, DISTANCE),
              (c, m, i, v) -> c.edits().land(m, i, landing(v))),
          keyframe(
              "follows",
              "Tied a keyframe to a cue",
              List.of(CUE),
              (c, m, i, v) -> follows(c, m, i, v.get(CUE))));

  private ValueCommands() {}

  /** A value's channel and the scene that it is in. */
  record Context(Scene scene, Channel channel) {
    KeyframeEdits edits() {
      return new KeyframeEdits(channel, scene.rate());
    }
  }

  interface ValueChange {
    AnimatedValue of(Context c, AnimatedValue m, Values v);
  }

  private interface KeyframeChange {
    AnimatedValue of(Context c, AnimatedValue m, int index, Values v);
  }

  /** An edit of the value {@code channel} of the item or path {@code item}. */
  static Command value(String op, String done, List<Field<Values, ?>> more, ValueChange change) {
    List<Field<Values, ?>> all = new ArrayList<>(List.of(ITEM, CHANNEL));
    all.addAll(more);
    // Of a path it says at which time it is compared with what it was.
    if (!more.contains(TIME)) {
      all.add(PLAYHEAD);
    }
    return Command.of(op, done, all, (scene, v) -> changed(scene, v, change));
  }

  private static Scene changed(Scene scene, Values v, ValueChange change) {
    Animatable item = scene.mover(v.get(ITEM));
    Channel channel = v.get(CHANNEL);
    AnimatedValue m = item == null ? null : item.movable(channel);
    if (m == null && channel.kind() == Channel.Kind.AXIS && item instanceof Lettering) {
      // An axis that was left to the face is set with its first edit.
      m = new AnimatedValue(v.fields().has(MISSING.name()) ? v.get(MISSING) : 0);
    }
    if (m == null) {
      throw new IllegalArgumentException(
          "There is no such value: " + channel + " of " + v.get(ITEM));
    }
    Animatable out = item.with(channel, change.of(new Context(scene, channel), m, v));
    double time = v.fields().number(PLAYHEAD.name(), -Arguments.FAR, Arguments.FAR, 0);
    return out instanceof GuidePath p
        ? Reshaping.replace(scene, p, time, true)
        : scene.withItem((Item) out);
  }

  private static Command keyframe(
      String op, String done, List<Field<Values, ?>> more, KeyframeChange change) {
    List<Field<Values, ?>> all = new ArrayList<>(List.of(INDEX));
    all.addAll(more);
    return value(
        op,
        done,
        all,
        (c, m, v) -> {
          int index = v.get(INDEX);
          if (index >= m.keyframes().size()) {
            throw new IllegalArgumentException("There is no keyframe " + index);
          }
          return change.of(c, m, index, v);
        });
  }

  private static AnimatedValue set(Context c, AnimatedValue m, Values v) {
    return c.edits().set(m, v.get(TIME), v.get(VALUE));
  }

  private static Landing landing(Values v) {
    return v.get(LANDING) == null
        ? null
        : new Landing(v.get(LANDING), v.get(LAPS), v.get(DISTANCE));
  }

  /** Ties a keyframe to a cue, at whose time it is from then on; without one it is let go. */
  private static AnimatedValue follows(Context c, AnimatedValue m, int index, String id) {
    Cue cue = id == null ? null : c.scene().cue(id);
    Keyframe k = m.keyframes().get(index);
    if (cue == null) {
      return m.with(replaced(m.keyframes(), index, k.at(k.time(), null)));
    }
    int there = c.edits().indexAt(m, cue.time());
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

  /** A part of a value's motion, as documents have it; null takes it away. */
  private static Field<Values, JsonValue> part(String name, String typescript) {
    FieldType<JsonValue> type = new JsonType(typescript);
    return argument(name, Types.orNull(type)).optional();
  }

  /** Those parts that the edit names. */
  private static JsonObject parts(Values v) {
    JsonObject out = new JsonObject();
    for (Field<Values, JsonValue> f : List.of(CRUISE, SWAY, STAGGER, FOLLOW)) {
      if (v.given(f)) {
        JsonValue part = v.get(f);
        out.add(f.name(), part == null ? com.eclipsesource.json.Json.NULL : part);
      }
    }
    return out;
  }
}
