package rovingglyph.edit;

import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import rovingglyph.document.EasingCodec;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Easing;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;
import rovingglyph.schema.Writer;

/** Arguments that several kinds of edits have, and what they name in a scene. */
final class Arguments {
  /** As far as a number of an edit may go; the values it is put into have ranges of their own. */
  static final double FAR = 1e9;

  private static final int LONGEST_CHANNEL = 200;

  static final FieldType<Double> ANY = Types.number(-FAR, FAR, "");

  /** A drag may leave the scene at either end; edits bring times back into range. */
  private static final FieldType<Double> SECONDS = Types.number(-FAR, FAR, "s");

  static final Field<Values, String> ITEM = argument("item", Types.id());
  static final Field<Values, List<String>> ITEMS = argument("items", Types.ids(2200));

  /** Of something new. */
  static final Field<Values, String> ID = argument("id", Types.id());

  static final Field<Values, String> NAME = argument("name", Types.text(200)).optional();
  static final Field<Values, Double> TIME = argument("time", SECONDS);

  /** Where the playhead is, for what moves. */
  static final Field<Values, Double> PLAYHEAD = argument("time", SECONDS).usual(0.0);

  static final Field<Values, Double> X = argument("x", ANY).usual(0.0);
  static final Field<Values, Double> Y = argument("y", ANY).usual(0.0);
  static final Field<Values, Double> VALUE = argument("value", ANY);
  static final Field<Values, Channel> CHANNEL =
      argument(
          "channel",
          Types.like(
              Types.text(LONGEST_CHANNEL),
              Arguments::channel,
              (c, out) -> Writer.text(c.field(), out)));
  static final Field<Values, Integer> INDEX = argument("index", Types.integer(0, 5000));
  static final Field<Values, Easing> EASING =
      argument("easing", Types.like(EasingCodec.TYPE, Arguments::easing, EasingCodec.TYPE::write));

  private Arguments() {}

  /** The item that an edit names; it fails in plain words where there is none. */
  static Item item(Scene scene, String id) {
    Item item = scene.item(id);
    if (item == null) {
      throw new IllegalArgumentException("There is no such item any more");
    }
    return item;
  }

  static GuidePath path(Scene scene, String id) {
    GuidePath path = scene.path(id);
    if (path == null) {
      throw new IllegalArgumentException("There is no path \"" + id + "\"");
    }
    return path;
  }

  static Lettering lettering(Scene scene, String id) {
    if (scene.item(id) instanceof Lettering l) {
      return l;
    }
    throw new IllegalArgumentException("There is no lettering \"" + id + "\"");
  }

  /** A value that can move, by the name of its field. */
  private static Channel channel(Fields f, String name, Channel fallback) {
    String field = f.text(name, LONGEST_CHANNEL, null);
    Channel c = field == null ? null : Channel.of(field);
    if (field != null && c == null) {
      f.problem(name, "is no value: \"" + field + "\"", "such as pathOffset, size, axis-wght");
    }
    return c;
  }

  /** An own curve that is pulled too far by its handles is brought back into range. */
  private static Easing easing(Fields f, String name, Easing fallback) {
    JsonValue v = f.get(name);
    if (v != null && v.isArray() && v.asArray().size() == 4) {
      JsonArray c = v.asArray();
      if (c.values().stream().allMatch(JsonValue::isNumber)) {
        return Easing.own(
            within(c.get(0)), c.get(1).asDouble(), within(c.get(2)), c.get(3).asDouble());
      }
    }
    return EasingCodec.TYPE.read(f, name, fallback);
  }

  private static double within(JsonValue x) {
    return Math.min(Math.max(x.asDouble(), 0), 1);
  }
}
