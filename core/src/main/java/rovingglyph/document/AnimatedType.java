package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Lists;
import rovingglyph.schema.ObjectType;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** A value that can move: a number or colour while it is still, else an object. */
final class AnimatedType implements FieldType<AnimatedValue> {
  /** Stands for every channel of numbers where the object is described, whatever its range. */
  private static final Channel ANY_NUMBER = Channel.axis("any ");

  private final Channel channel;
  private ObjectType<AnimatedValue> table;
  private double tableFor;

  private AnimatedType(Channel channel) {
    this.channel = channel;
  }

  static FieldType<AnimatedValue> of(Channel channel) {
    return new AnimatedType(channel);
  }

  /** The fields of some values of an object, each called as its channel is. */
  static <T> List<Field<T, AnimatedValue>> fields(
      Collection<Channel> channels,
      BiFunction<T, Channel, AnimatedValue> of,
      ToDoubleFunction<Channel> fallback) {
    List<Field<T, AnimatedValue>> out = new ArrayList<>();
    for (Channel c : channels) {
      out.add(
          field(c.field(), of(c), (T t) -> of.apply(t, c))
              .fallback(new AnimatedValue(fallback.applyAsDouble(c))));
    }
    return out;
  }

  /** Of the same fields those that are not always written are where they differ. */
  static <T> List<Field<T, AnimatedValue>> writing(
      Collection<Channel> always, List<Field<T, AnimatedValue>> fields) {
    List<Field<T, AnimatedValue>> out = new ArrayList<>();
    for (Field<T, AnimatedValue> f : fields) {
      boolean written = always.contains(((AnimatedType) f.type()).channel);
      out.add(written ? f : f.usual(f.fallback()));
    }
    return out;
  }

  /** What was read of them. */
  static void collect(
      Values v, List<? extends Field<?, AnimatedValue>> fields, Map<Channel, AnimatedValue> into) {
    fields.forEach(f -> into.put(((AnimatedType) f.type()).channel, v.get(f)));
  }

  static Map<Channel, AnimatedValue> collected(
      Values v, List<? extends Field<?, AnimatedValue>> fields) {
    Map<Channel, AnimatedValue> out = new LinkedHashMap<>();
    collect(v, fields, out);
    return out;
  }

  /** Of a value while it is still; colours are numbers in records. */
  static FieldType<Double> still(Channel c) {
    if (c == ANY_NUMBER) {
      return Types.number(-PathCodec.FARTHEST, PathCodec.FARTHEST, "");
    }
    return c.kind() == Channel.Kind.COLOUR ? COLOUR : Types.number(c.min(), c.max(), c.unit());
  }

  private static final FieldType<Double> COLOUR = colour(Types.colour());

  private static FieldType<Double> colour(FieldType<Integer> rgb) {
    return Types.like(
        rgb,
        (f, name, fallback) -> (double) rgb.read(f, name, fallback.intValue()),
        (value, out) -> rgb.write(value.intValue(), out));
  }

  /** The name of the object. */
  static String name(Channel c) {
    return c.kind() == Channel.Kind.COLOUR ? "MovingColour" : "Motion";
  }

  @Override
  public AnimatedValue read(Fields f, String name, AnimatedValue fallback) {
    JsonValue v = f.get(name);
    if (v == null) {
      return fallback;
    }
    return v.isObject()
        ? exact(fallback.base()).read(f.object(name))
        : new AnimatedValue(still(channel).read(f, name, fallback.base()));
  }

  @Override
  public void write(AnimatedValue m, StringBuilder out) {
    boolean plain = !m.keyed() && !m.moves() && m.stagger() == null;
    if (plain && m.extras().fields().isEmpty()) {
      still(channel).write(m.base(), out);
    } else {
      exact(tableFor).write(m, out);
    }
  }

  @Override
  public String typescript() {
    return channel.kind() == Channel.Kind.COLOUR ? "MovableColour" : "Movable";
  }

  @Override
  public JsonObject jsonSchema() {
    return new JsonObject()
        .add(
            "anyOf",
            new JsonArray()
                .add(still(channel).jsonSchema())
                .add(Lists.reference(objects().get(0))));
  }

  @Override
  public String words() {
    return "**movable**, " + still(channel).words();
  }

  /** The object for values of this sort, whatever their range. */
  @Override
  public List<ObjectType<?>> objects() {
    Channel any = channel.kind() == Channel.Kind.COLOUR ? Channel.FILL : ANY_NUMBER;
    return List.of(AnimatedValueCodec.of(any, 0));
  }

  /** The object for this value alone, whose table is kept: a field has one default. */
  ObjectType<AnimatedValue> exact(double fallback) {
    if (table == null || tableFor != fallback) {
      table = AnimatedValueCodec.of(channel, fallback);
      tableFor = fallback;
    }
    return table;
  }
}
