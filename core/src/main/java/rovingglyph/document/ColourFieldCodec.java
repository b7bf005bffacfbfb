package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Gradient;
import rovingglyph.schema.Field;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Colour fields from and to JSON. */
final class ColourFieldCodec {
  private static final Field<Gradient.Stop, Double> OFFSET =
      field("offset", Types.number(0, 100, "%"), Gradient.Stop::offset)
          .fallback(0.0)
          .about("ascending");
  private static final Field<Gradient.Stop, Integer> COLOUR =
      field("colour", Types.colour(), Gradient.Stop::colour).fallback(0);
  private static final Field<Gradient.Stop, Double> STOP_OPACITY =
      field("opacity", Types.number(0, 100, "%"), Gradient.Stop::opacity).fallback(100.0);

  private static final Schema<Gradient.Stop> STOP =
      Schema.<Gradient.Stop>named("Stop")
          .with(OFFSET, COLOUR, STOP_OPACITY)
          .keeping(Gradient.Stop::extras)
          .made(
              v -> new Gradient.Stop(v.get(OFFSET), v.get(COLOUR), v.get(STOP_OPACITY), v.rest()));

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
      field("stops", Lists.list(STOP, Gradient.MOST_STOPS), (ColourField c) -> c.fill().stops())
          .usual(List.of())
          .about(
              "of a gradient 2 or more. Between stops colours are mixed in sRGB, not multiplied by"
                  + " their opacity, as in SVG; before the first and after the last their colours go"
                  + " on. A gradient that ends where it begins is of its last colour");

  private static final List<Channel> OWN =
      ColourField.VALUES.stream().filter(c -> !ColourField.CHANNELS.contains(c)).toList();
  private static final List<Field<ColourField, AnimatedValue>> VALUES =
      AnimatedType.fields(OWN, ColourField::movable, ColourField::start);

  static final Schema<ColourField> SCHEMA =
      Schema.<ColourField>named("ColourField")
          .kind("colour-field")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(AREA, FILLING, STOPS)
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
                              p, v.get(AREA), gradient(v), values(v, appearance), v.rest())));

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
    if (kind != Gradient.Kind.PLAIN && stops.size() < 2) {
      v.fields()
          .problem("stops", "has too few entries for a gradient", "2 to " + Gradient.MOST_STOPS);
    }
    for (int i = 1; i < stops.size(); i++) {
      if (stops.get(i).offset() < stops.get(i - 1).offset()) {
        v.fields()
            .problem("stops[" + i + "].offset", "is before the stop above it", "ascending offsets");
      }
    }
    return new Gradient(kind, stops);
  }
}
