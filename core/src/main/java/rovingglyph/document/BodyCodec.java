package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Body;
import rovingglyph.scene.Channel;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** The thickness of the letters of a plane, from and to JSON. */
final class BodyCodec {
  /** A body with its values. */
  record Document(Body body, Map<Channel, AnimatedValue> values) {}

  private static final Field<Document, Body.Bevel> PROFILE =
      field("profile", Types.choice(Body.Bevel.values()), (Document d) -> d.body.bevel())
          .usual(Body.Bevel.STRAIGHT)
          .about("of the bevel: one slope, or a quarter of a circle");
  private static final Field<Document, Body.Sides> SIDES =
      field("sides", Types.choice(Body.Sides.values()), (Document d) -> d.body.sides())
          .usual(Body.Sides.SAME)
          .about("in the colour of their letter, or in `sideColour`");
  private static final List<Field<Document, AnimatedValue>> VALUES =
      List.of(
          value(Channel.THICKNESS, "how far backs are behind fronts, which stay where they are"),
          value(
              Channel.BEVEL,
              "how far edges are broken, in width and depth: at most half of the thickness, and"
                  + " where strokes are thin as much as they leave"),
          value(Channel.SIDE_COLOUR, "of sides and bevels, before light falls on them"),
          value(Channel.LIGHT_FROM, "the way from which the light comes, clockwise from the top"),
          value(
              Channel.LIGHT_HEIGHT,
              "how far the light is before the picture: 90 is from the viewer, -90 from behind"),
          value(
              Channel.AMBIENT,
              "how light faces are that the light does not reach, in light, not in colour values;"
                  + " faces towards the light have their own colour"),
          value(Channel.WARMTH, "of the light: above 0 yellowish, below bluish"),
          value(Channel.EDGE_LIGHT, "white light on faces that are seen at a flat angle"));

  static final Schema<Document> SCHEMA =
      Schema.<Document>named("Body")
          .with(PROFILE, SIDES)
          .with(VALUES)
          .keeping(d -> d.body.extras())
          .made(
              v -> {
                Map<Channel, AnimatedValue> values = new LinkedHashMap<>();
                for (int i = 0; i < VALUES.size(); i++) {
                  values.put(Body.CHANNELS.get(i), v.get(VALUES.get(i)));
                }
                return new Document(new Body(v.get(PROFILE), v.get(SIDES), v.rest()), values);
              });

  private BodyCodec() {}

  private static Field<Document, AnimatedValue> value(Channel c, String about) {
    return field(c.field(), AnimatedType.of(c), (Document d) -> d.values.get(c))
        .fallback(new AnimatedValue(Body.start(c)))
        .about(about);
  }
}
