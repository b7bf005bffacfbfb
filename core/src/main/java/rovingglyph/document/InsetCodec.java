package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import rovingglyph.geometry.Point;
import rovingglyph.scene.Inset;
import rovingglyph.schema.Field;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** Insets from and to JSON. */
final class InsetCodec {
  private static final Field<Inset, String> SCENE =
      field("scene", Types.id(), Inset::scene)
          .about("id of another scene of the project; one that is not there is not painted");
  private static final Field<Inset, Double> BEGINS =
      field("begins", Types.number(-Inset.MOST_BEGINS, Inset.MOST_BEGINS, "s"), Inset::begins)
          .usual(0.0)
          .about("when the scene that is shown is at its start");
  private static final Field<Inset, Double> SPEED =
      field("speed", Types.number(Inset.SLOWEST, Inset.FASTEST, ""), Inset::speed)
          .usual(1.0)
          .about("seconds of it in one second");
  private static final Field<Inset, Inset.AtEnd> AT_END =
      field("atEnd", Types.choice(Inset.AtEnd.values()), Inset::atEnd)
          .usual(Inset.AtEnd.LOOP)
          .about(
              "`loop`: it begins again, and has done so before `begins`; `hold`: its last frame"
                  + " stays, and before `begins` its first one stands");
  private static final Field<Inset, Boolean> BACKGROUND =
      field("background", Types.flag(), Inset::background)
          .usual(false)
          .about("whether its background is seen");
  private static final Field<Inset, Point> CENTRE =
      TransformedCodec.centre("from the middle of its frame");

  static final Schema<Inset> SCHEMA =
      Schema.<Inset>named("Inset")
          .kind("inset")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(SCENE, BEGINS, SPEED, AT_END, BACKGROUND, CENTRE)
          .with(TransformedCodec.PLACE)
          .keeping(Inset::extras)
          .made(
              v ->
                  ItemPropertiesCodec.of(
                      v,
                      "Inset",
                      (p, values) ->
                          new Inset(
                              p,
                              v.get(SCENE),
                              v.get(BEGINS),
                              v.get(SPEED),
                              v.get(AT_END),
                              v.get(BACKGROUND),
                              v.get(CENTRE),
                              TransformedCodec.place(v, values),
                              v.rest())));

  private InsetCodec() {}
}
