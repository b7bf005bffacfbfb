package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Problem;

/** Parts of movable values on their own, as edits carry them. */
public final class MotionCodec {
  private static final List<String> PARTS = List.of("cruise", "sway", "stagger", "follow");

  private MotionCodec() {}

  /**
   * A movable with its cruise, sway, stagger or follow changed.
   *
   * @param parts those fields that it has; null takes one away
   * @throws DocumentException if one cannot be used
   */
  public static AnimatedValue changed(AnimatedValue m, Channel channel, JsonObject parts) {
    FieldType<AnimatedValue> type = AnimatedType.of(channel);
    JsonValue written = Json.parse(type.text(m));
    JsonObject whole =
        written.isObject()
            ? written.asObject()
            : new JsonObject().add("still", written).add("keyframes", Json.array());
    for (String name : PARTS) {
      JsonValue v = parts.get(name);
      if (v != null) {
        whole.remove(name);
        if (!v.isNull()) {
          whole.add(name, v);
        }
      }
    }
    List<Problem> problems = new ArrayList<>();
    JsonObject holder = new JsonObject().add(channel.field(), whole);
    AnimatedValue out = type.read(new Fields(holder, "$", problems), channel.field(), m);
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return out;
  }

  /** A movable without its keyframes, as documents write it: a number where nothing else moves. */
  public static String motion(AnimatedValue m, Channel channel) {
    return AnimatedType.of(channel).text(m.with(List.of()));
  }

  private static FieldType<List<Keyframe>> keys(Channel c) {
    return Lists.list(AnimatedValueCodec.keyframe(c), AnimatedValueCodec.MOST_KEYFRAMES);
  }

  /** Keyframes as text, to be pasted later. */
  public static String keys(List<Keyframe> keys, Channel channel) {
    return keys(channel).text(keys);
  }

  /**
   * Keyframes from what {@link #keys(List, Channel)} wrote.
   *
   * @throws DocumentException if they do not fit the channel
   */
  public static List<Keyframe> keys(JsonValue json, Channel channel) {
    List<Problem> problems = new ArrayList<>();
    JsonObject holder = new JsonObject().add("keyframes", json == null ? Json.array() : json);
    Fields f = new Fields(holder, "$", problems);
    List<Keyframe> out = keys(channel).read(f, "keyframes", List.of());
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return out;
  }
}
