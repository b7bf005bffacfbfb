package rovingglyph.proof;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.List;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Inset;
import rovingglyph.scene.Seat;
import rovingglyph.schema.Spelling;

/** The edits that mend what is found. */
final class Mend {
  private Mend() {}

  private static JsonObject edit(String op) {
    return new JsonObject().add("op", op);
  }

  /** Other plain fields of an item. */
  static JsonObject item(String id, JsonObject fields) {
    return edit("change").add("items", new JsonArray().add(id)).add("fields", fields);
  }

  /** Another field of how a lettering sits. */
  static JsonObject seat(String id, JsonObject fields) {
    return item(id, fields).add("part", "seat");
  }

  /** Other settings of the scene. */
  static JsonObject scene(JsonObject fields) {
    return edit("changeScene").add("fields", fields);
  }

  /** What is found with the speed at which footage or an inset has it no more. */
  static Finding atSpeed(Finding f, double speed) {
    return speed < Inset.SLOWEST || speed > Inset.FASTEST
        ? f
        : f.mendedBy("Let it go so fast", item(f.item(), new JsonObject().add("speed", speed)));
  }

  /** An edit of one value that moves. */
  static JsonObject value(String op, String id, Channel channel) {
    return edit(op).add("item", id).add("channel", channel.field());
  }

  /** An edit of some keyframes of a value. */
  static JsonObject keys(String op, String id, Channel channel, List<Integer> indexes) {
    JsonArray chosen = Json.array().asArray();
    indexes.forEach(chosen::add);
    return value(op, id, channel).add("indexes", chosen);
  }

  /** Words on the other side of their path. */
  static JsonObject side(String id, Seat.Side side, double time) {
    return edit("side").add("item", id).add("side", Spelling.of(side)).add("time", time);
  }

  /** Words brought to where they stand upright. */
  static JsonObject readable(String id, double time) {
    return edit("readable").add("item", id).add("time", time);
  }
}
