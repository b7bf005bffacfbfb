package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Core;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** What is within a ring of letters, from and to JSON. */
final class CoreCodec {
  private static final Field<Valued<Core>, Core.Shape> SHAPE =
      field("shape", Types.choice(Core.Shape.values()), (Valued<Core> d) -> d.part().shape())
          .usual(Core.Shape.DRUM)
          .about(
              "a cylinder, a sphere, or a circle without height; its axis is square to the plane");
  private static final List<Field<Valued<Core>, AnimatedValue>> VALUES =
      List.of(
          value(Channel.CORE_RADIUS, "about the middle of the path"),
          value(Channel.CORE_HEIGHT, "of a drum, along its axis"),
          value(
              Channel.CORE_LIFT,
              "of its middle above the plane, the way that standing letters go up"),
          value(Channel.CORE_COLOUR, "before light falls on it"));

  static final Schema<Valued<Core>> SCHEMA =
      Schema.<Valued<Core>>named("Core")
          .with(SHAPE)
          .with(VALUES)
          .keeping(d -> d.part().extras())
          .made(v -> Valued.read(new Core(v.get(SHAPE), v.rest()), Core.CHANNELS, VALUES, v));

  private CoreCodec() {}

  private static Field<Valued<Core>, AnimatedValue> value(Channel c, String about) {
    return Valued.value(c, Core.start(c), about);
  }
}
