package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Drawing;
import rovingglyph.scene.Group;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Transformed;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Drawings and groups from and to JSON. */
final class TransformedCodec {
  /** What everything has that is put somewhere as a whole. */
  static final List<Field<Transformed, AnimatedValue>> PLACE =
      AnimatedType.fields(
          Transformed.CHANNELS, Transformed::movable, c -> Transformed.start(c, Point.ORIGIN));

  private static final Field<Drawing, List<Drawing.Part>> PARTS =
      field("parts", DrawingParts.TYPE, Drawing::parts).fallback(List.of()).about("back to front");

  private static final Field<Drawing, Point> DRAWING_CENTRE = centre("");

  static final Schema<Drawing> DRAWING =
      Schema.<Drawing>named("Drawing")
          .kind("drawing")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(PARTS, DRAWING_CENTRE)
          .with(PLACE)
          .keeping(Drawing::extras)
          .made(
              v ->
                  ItemPropertiesCodec.of(
                      v,
                      "Picture",
                      (p, values) ->
                          new Drawing(
                              p, v.get(PARTS), v.get(DRAWING_CENTRE), place(v, values), v.rest())));

  private static final Field<Group, List<String>> MEMBERS =
      field("members", Types.ids(2000), Group::members)
          .fallback(List.of())
          .about(
              "ids of items, back to front; an item stands in the stack or in one group, groups at"
                  + " most 5 deep in each other");
  private static final Field<Group, Point> CENTRE =
      field("centre", Types.pair(PathCodec.FARTHEST), Group::centre)
          .fallback(Point.ORIGIN)
          .about(
              "in the pixels of its members: the point that `x`, `y` put somewhere (left out, where"
                  + " it is), and about which it is scaled and turned");

  static final Schema<Group> GROUP =
      Schema.<Group>named("Group")
          .kind("group")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(MEMBERS, CENTRE)
          .with(PLACE)
          .keeping(Group::extras)
          .made(v -> ItemPropertiesCodec.of(v, "Group", (p, values) -> group(v, p, values)));

  private TransformedCodec() {}

  /**
   * The centre of something that has its own origin as that where nothing is said.
   *
   * @param from where its own pixels begin
   */
  static <T extends Transformed> Field<T, Point> centre(String from) {
    return Field.<T, Point>field("centre", Types.pair(PathCodec.FARTHEST), T::centre)
        .usual(Point.ORIGIN)
        .about(
            "in its own pixels"
                + (from.isEmpty() ? "" : " " + from)
                + ": the point that `x`, `y` put somewhere, and about which it is scaled and turned");
  }

  /** The values of its place, those of its appearance among them. */
  static Map<Channel, AnimatedValue> place(Values v, Map<Channel, AnimatedValue> appearance) {
    Map<Channel, AnimatedValue> out = AnimatedType.collected(v, PLACE);
    out.putAll(appearance);
    return out;
  }

  private static Group group(Values v, ItemProperties p, Map<Channel, AnimatedValue> appearance) {
    Map<Channel, AnimatedValue> values = place(v, appearance);
    Point centre = v.get(CENTRE);
    at(values, Channel.X, v, centre.x());
    at(values, Channel.Y, v, centre.y());
    return new Group(p, v.get(MEMBERS), centre, values, v.rest());
  }

  /** A group whose document does not say where its centre stands leaves it where it is. */
  private static void at(Map<Channel, AnimatedValue> values, Channel c, Values v, double there) {
    boolean moves = v.fields().has(c.field()) && v.fields().get(c.field()).isObject();
    boolean said = moves ? v.fields().object(c.field()).has("still") : v.fields().has(c.field());
    if (!said) {
      values.put(c, values.get(c).with(there));
    }
  }
}
