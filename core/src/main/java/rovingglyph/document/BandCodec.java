package rovingglyph.document;

import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Band;
import rovingglyph.scene.Channel;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;

/** The strip behind letters, from and to JSON. */
final class BandCodec {
  private static final List<Field<Valued<Band>, AnimatedValue>> VALUES =
      List.of(
          value(
              Channel.BAND_HEIGHT, "from its lower to its upper edge; a band of no height is none"),
          value(Channel.BAND_LIFT, "of its middle above the path, the way that letters go up"),
          value(Channel.BAND_GAP, "how far it is behind the fronts of letters"),
          value(Channel.BAND_COLOUR, "of both its faces, before light falls on them"));

  static final Schema<Valued<Band>> SCHEMA =
      Schema.<Valued<Band>>named("Band")
          .with(VALUES)
          .keeping(d -> d.part().extras())
          .made(v -> Valued.read(new Band(v.rest()), Band.CHANNELS, VALUES, v));

  private BandCodec() {}

  private static Field<Valued<Band>, AnimatedValue> value(Channel c, String about) {
    return Valued.value(c, Band.start(c), about);
  }
}
