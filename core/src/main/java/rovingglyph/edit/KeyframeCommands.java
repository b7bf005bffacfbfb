package rovingglyph.edit;

import static rovingglyph.edit.Arguments.TIME;
import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import rovingglyph.document.MotionCodec;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of several keyframes of one value; {@code indexes} chooses them, left out it is all. */
final class KeyframeCommands {
  private static final Field<Values, List<Integer>> INDEXES =
      argument("indexes", Types.indexes(5000)).optional();
  private static final Field<Values, Double> BY = argument("by", Arguments.ANY).usual(0.0);
  private static final Field<Values, Double> BY_VALUE = argument("value", Arguments.ANY).usual(0.0);
  private static final Field<Values, Double> ABOUT = argument("about", Arguments.ANY);
  private static final Field<Values, Double> FACTOR = argument("factor", Arguments.ANY);
  private static final Field<Values, Double> SECONDS = argument("seconds", Arguments.ANY);
  private static final Field<Values, JsonValue> KEYS = argument("keys", new JsonType("unknown[]"));
  private static final Field<Values, Boolean> ONWARD =
      argument("onward", Types.flag()).usual(false);

  static final List<Command> ALL =
      List.of(
          several(
              "moveKeys",
              "Moved keyframes",
              List.of(BY, BY_VALUE),
              (g, m, chosen, v) -> g.move(m, chosen, v.get(BY), v.get(BY_VALUE))),
          several(
              "stretchKeys",
              "Stretched keyframes",
              List.of(ABOUT, FACTOR),
              (g, m, chosen, v) -> g.stretch(m, chosen, v.get(ABOUT), v.get(FACTOR))),
          several(
              "mirrorKeys",
              "Mirrored keyframes",
              List.of(),
              (g, m, chosen, v) -> g.mirror(m, chosen)),
          several(
              "swapKeys",
              "Swapped two keyframes",
              List.of(),
              (g, m, chosen, v) -> g.swap(m, chosen)),
          several(
              "removeKeys",
              "Removed keyframes",
              List.of(),
              (g, m, chosen, v) -> g.remove(m, chosen)),
          several(
              "holdKey",
              "Held a keyframe",
              List.of(SECONDS),
              (g, m, chosen, v) -> g.hold(m, chosen.iterator().next(), v.get(SECONDS))),
          ValueCommands.value(
              "pasteKeys",
              "Pasted keyframes",
              List.of(KEYS, TIME, ONWARD),
              (c, m, v) ->
                  new KeyframeGroups(c.edits())
                      .paste(m, keys(v.get(KEYS), c.channel()), v.get(TIME), v.get(ONWARD))));

  private KeyframeCommands() {}

  private interface Change {
    AnimatedValue of(KeyframeGroups groups, AnimatedValue m, Set<Integer> chosen, Values v);
  }

  private static Command several(
      String op, String done, List<Field<Values, ?>> more, Change change) {
    List<Field<Values, ?>> all = new ArrayList<>(List.of(INDEXES));
    all.addAll(more);
    return ValueCommands.value(
        op, done, all, (c, m, v) -> change.of(new KeyframeGroups(c.edits()), m, chosen(m, v), v));
  }

  private static Set<Integer> chosen(AnimatedValue m, Values v) {
    Set<Integer> chosen = new TreeSet<>();
    for (int i = 0; i < m.keyframes().size(); i++) {
      chosen.add(i);
    }
    if (v.get(INDEXES) != null) {
      chosen.retainAll(v.get(INDEXES));
    }
    if (chosen.isEmpty()) {
      throw new IllegalArgumentException("Choose keyframes first");
    }
    return chosen;
  }

  /** Copied keyframes, as a document has them. */
  private static List<Keyframe> keys(JsonValue json, Channel channel) {
    try {
      return MotionCodec.keys(json, channel);
    } catch (DocumentException e) {
      throw new IllegalArgumentException(
          "What was copied does not fit "
              + channel.label().toLowerCase()
              + ": "
              + e.problems().get(0).sentence());
    }
  }
}
