package rovingglyph.document;

import rovingglyph.scene.Picture;
import rovingglyph.schema.Schema;

/** Pictures from and to JSON. */
final class PictureCodec {
  private static final BitmappedCodec<Picture> OF =
      BitmappedCodec.of("picture", "The command line also takes a file that is called so");

  static final Schema<Picture> SCHEMA =
      Schema.<Picture>named("Picture")
          .kind("picture")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(OF.image(), OF.pixelWidth(), OF.pixelHeight(), OF.centre())
          .with(TransformedCodec.PLACE)
          .with(OF.values())
          .keeping(Picture::extras)
          .made(
              v ->
                  ItemPropertiesCodec.of(
                      v,
                      "Picture",
                      (p, appearance) ->
                          new Picture(
                              p,
                              v.get(OF.image()),
                              v.get(OF.pixelWidth()),
                              v.get(OF.pixelHeight()),
                              v.get(OF.centre()),
                              OF.values(v, appearance),
                              v.rest())));

  private PictureCodec() {}
}
