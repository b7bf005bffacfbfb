package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Picture;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Pictures from and to JSON. */
final class PictureCodec {
  private static final FieldType<Integer> PIXELS = Types.integer(1, Picture.LONGEST_SIDE, "px");

  private static final Field<Picture, String> IMAGE =
      field("image", Types.id(), Picture::image)
          .about(
              "id of the kept picture, made from its file: `picture-` and the first 20 hexadecimal"
                  + " digits of its SHA-256. The command line also takes a file that is called so");
  private static final Field<Picture, Integer> PIXEL_WIDTH =
      field("pixelWidth", PIXELS, Picture::pixelWidth)
          .fallback(400)
          .about("of the kept picture, its natural size");
  private static final Field<Picture, Integer> PIXEL_HEIGHT =
      field("pixelHeight", PIXELS, Picture::pixelHeight).fallback(400);
  private static final Field<Picture, Point> CENTRE = TransformedCodec.centre("from its middle");

  private static final List<Channel> OWN =
      Picture.VALUES.stream().filter(c -> !Picture.CHANNELS.contains(c)).toList();
  private static final List<Field<Picture, AnimatedValue>> VALUES =
      AnimatedType.fields(OWN, Picture::movable, Picture::start);

  static final Schema<Picture> SCHEMA =
      Schema.<Picture>named("Picture")
          .kind("picture")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(IMAGE, PIXEL_WIDTH, PIXEL_HEIGHT, CENTRE)
          .with(TransformedCodec.PLACE)
          .with(VALUES)
          .keeping(Picture::extras)
          .made(
              v ->
                  ItemPropertiesCodec.of(
                      v,
                      "Picture",
                      (p, appearance) ->
                          new Picture(
                              p,
                              v.get(IMAGE),
                              v.get(PIXEL_WIDTH),
                              v.get(PIXEL_HEIGHT),
                              v.get(CENTRE),
                              values(v, appearance),
                              v.rest())));

  private PictureCodec() {}

  private static Map<Channel, AnimatedValue> values(
      Values v, Map<Channel, AnimatedValue> appearance) {
    Map<Channel, AnimatedValue> out = TransformedCodec.place(v, appearance);
    AnimatedType.collect(v, VALUES, out);
    return out;
  }
}
