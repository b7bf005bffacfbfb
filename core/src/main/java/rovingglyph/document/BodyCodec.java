package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Body;
import rovingglyph.scene.Channel;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** The thickness of the letters of a plane, from and to JSON. */
final class BodyCodec {
  private static final Field<Valued<Body>, Body.Bevel> PROFILE =
      field("profile", Types.choice(Body.Bevel.values()), (Valued<Body> d) -> d.part().bevel())
          .usual(Body.Bevel.STRAIGHT)
          .about("of the bevel: one slope, or a quarter of a circle");
  private static final Field<Valued<Body>, Body.Sides> SIDES =
      field("sides", Types.choice(Body.Sides.values()), (Valued<Body> d) -> d.part().sides())
          .usual(Body.Sides.SAME)
          .about("in the colour of their letter, or in `sideColour`");
  private static final List<Field<Valued<Body>, AnimatedValue>> VALUES =
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

  static final Schema<Valued<Body>> SCHEMA =
      Schema.<Valued<Body>>named("Body")
          .with(PROFILE, SIDES)
          .with(VALUES)
          .keeping(d -> d.part().extras())
          .made(
              v ->
                  Valued.read(
                      new Body(v.get(PROFILE), v.get(SIDES), v.rest()), Body.CHANNELS, VALUES, v));

  private BodyCodec() {}

  private static Field<Valued<Body>, AnimatedValue> value(Channel c, String about) {
    return Valued.value(c, Body.start(c), about);
  }
}
