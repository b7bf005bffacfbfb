package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Gradient;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Colour fields from and to JSON. */
final class ColourFieldCodec {
  private static final Field<ColourField, ColourField.Area> AREA =
      field("area", Types.choice(ColourField.Area.values()), ColourField::area)
          .fallback(ColourField.Area.RECTANGLE)
          .about(
              "`width` by `height` round its own origin; or all of the frame, where these and its"
                  + " place count for nothing, and which a click on the stage goes through");
  private static final Field<ColourField, Gradient.Kind> FILLING =
      field("filling", Types.choice(Gradient.Kind.values()), (ColourField c) -> c.fill().kind())
          .fallback(Gradient.Kind.PLAIN)
          .about(
              "plain in `fill`, or graded by its stops along the way from `fromX`, `fromY` to `toX`,"
                  + " `toY`, in percent of the area's width and height. A radial one has its middle"
                  + " at the first point and its rim goes through the second");
  private static final Field<ColourField, List<Gradient.Stop>> STOPS =
      field("stops", StopsCodec.LIST, (ColourField c) -> c.fill().stops())
          .usual(List.of())
          .about(StopsCodec.ABOUT);

  private static final Field<ColourField, Point> CENTRE =
      TransformedCodec.centre("from its middle");

  private static final List<Channel> OWN =
      ColourField.VALUES.stream().filter(c -> !ColourField.CHANNELS.contains(c)).toList();
  private static final List<Field<ColourField, AnimatedValue>> VALUES =
      AnimatedType.fields(OWN, ColourField::movable, ColourField::start);

  static final Schema<ColourField> SCHEMA =
      Schema.<ColourField>named("ColourField")
          .kind("colour-field")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(AREA, FILLING, STOPS, CENTRE)
          .with(TransformedCodec.PLACE)
          .with(VALUES)
          .keeping(ColourField::extras)
          .made(
              v ->
                  ItemPropertiesCodec.of(
                      v,
                      "Colour field",
                      (p, appearance) ->
                          new ColourField(
                              p,
                              v.get(AREA),
                              gradient(v),
                              v.get(CENTRE),
                              values(v, appearance),
                              v.rest())));

  private ColourFieldCodec() {}

  private static Map<Channel, AnimatedValue> values(
      Values v, Map<Channel, AnimatedValue> appearance) {
    Map<Channel, AnimatedValue> out = TransformedCodec.place(v, appearance);
    AnimatedType.collect(v, VALUES, out);
    return out;
  }

  private static Gradient gradient(Values v) {
    Gradient.Kind kind = v.get(FILLING);
    List<Gradient.Stop> stops = v.get(STOPS);
    StopsCodec.check(v.fields(), kind != Gradient.Kind.PLAIN, stops);
    return new Gradient(kind, stops);
  }
}
