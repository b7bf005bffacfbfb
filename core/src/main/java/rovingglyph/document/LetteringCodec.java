package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Lettering;
import rovingglyph.schema.Field;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Letterings from and to JSON. */
final class LetteringCodec {
  /** The longest text of a lettering, in UTF-16 units. */
  static final int LONGEST_TEXT = 10_000;

  static final int MOST_AXES = 64;

  private static final Channel ANY_AXIS = Channel.axis("any ");

  private static final Field<Lettering, String> TEXT =
      field("text", Types.text(LONGEST_TEXT), Lettering::text).fallback("");
  private static final Field<Lettering, String> FACE =
      field("face", Types.text(80), Lettering::face)
          .fallback("fraunces")
          .about("id of a typeface; one that is not there is stood in for by DejaVu Sans");
  private static final Field<Lettering, String> FACE_NAME =
      field("faceName", Types.text(200), Lettering::faceName)
          .usual("")
          .about("what the face was called when it was chosen, to be told if it is not there");
  private static final Field<Lettering, Map<String, AnimatedValue>> AXES =
      field(
              "axes",
              Lists.byTag(
                  AnimatedType.of(ANY_AXIS), new AnimatedValue(0), "an axis", "wght", MOST_AXES),
              Lettering::axes)
          .fallback(Map.of())
          .about("of a variable face; left out, the face's own start values");
  private static final Field<Lettering, String> PATH =
      field("path", Types.id(), Lettering::path).about("id of a path");
  private static final Field<Lettering, SeatCodec.SeatDocument> SEAT =
      field(
              "seat",
              Lists.object(SeatCodec.SCHEMA),
              (Lettering l) -> new SeatCodec.SeatDocument(l.seat(), l.values()))
          .fallback(SeatCodec.PLAIN)
          .about("how it sits on the path");
  private static final Field<Lettering, Filling.Kind> FILLING =
      field("filling", Types.choice(Filling.Kind.values()), (Lettering l) -> l.filling().kind())
          .usual(Filling.Kind.PLAIN)
          .about(
              "of the letters: plain in `fill`, graded by `stops` along the way from `fromX`, `fromY`"
                  + " to `toX`, `toY`, or nothing. A radial one has its middle at the first point and"
                  + " its rim goes through the second. Letters that a rule gives a colour keep it");
  private static final Field<Lettering, Filling.Across> ACROSS =
      field("across", Types.choice(Filling.Across.values()), (Lettering l) -> l.filling().across())
          .usual(Filling.Across.LETTER)
          .about(
              "of what the points of a gradient are percents: of the frame, of the advance and an em"
                  + " of each letter (from 0.8 em above its baseline), of the row of text, or of the"
                  + " path; along the last two only `fromX` and `toX` count");
  private static final Field<Lettering, List<Gradient.Stop>> STOPS =
      field("stops", StopsCodec.LIST, (Lettering l) -> l.filling().stops())
          .usual(List.of())
          .about(StopsCodec.ABOUT);
  private static final List<Field<Lettering, AnimatedValue>> VALUES =
      AnimatedType.writing(
          List.of(Channel.SIZE, Channel.TRACKING, Channel.OPACITY, Channel.ROTATION, Channel.FILL),
          AnimatedType.fields(Lettering.OWN, Lettering::movable, Lettering::start));

  static final Schema<Lettering> SCHEMA =
      Schema.<Lettering>named("Lettering")
          .kind("lettering")
          .sharing(ItemPropertiesCodec.SHARED)
          .with(TEXT, FACE, FACE_NAME, AXES, PATH, SEAT)
          .with(FILLING, ACROSS, STOPS)
          .with(VALUES)
          .with(TypesettingCodec.FIELDS)
          .with(LetterEffectsCodec.FIELDS)
          .keeping(Lettering::extras)
          .made(v -> ItemPropertiesCodec.of(v, "", (p, values) -> of(v, p, values)));

  private LetteringCodec() {}

  private static Lettering of(
      Values v, ItemProperties properties, Map<Channel, AnimatedValue> appearance) {
    SeatCodec.SeatDocument seat = v.get(SEAT);
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(seat.values());
    AnimatedType.collect(v, VALUES, values);
    v.get(AXES).forEach((tag, m) -> values.put(Channel.axis(tag), m));
    values.putAll(appearance);
    return new Lettering(
        properties,
        v.get(TEXT),
        v.get(FACE),
        v.get(FACE_NAME),
        TypesettingCodec.of(v),
        v.get(PATH),
        seat.seat(),
        LetterEffectsCodec.of(v),
        filling(v),
        values,
        v.rest());
  }

  private static Filling filling(Values v) {
    Filling out = new Filling(v.get(FILLING), v.get(ACROSS), v.get(STOPS));
    StopsCodec.check(v.fields(), out.isGraded(), out.stops());
    return out;
  }

  /** Where an item's document has a value, as the end of a JSON path. */
  static String place(Channel c) {
    if (c.kind() == Channel.Kind.AXIS) {
      return ".axes." + c.tag();
    }
    return (Lettering.SEAT.contains(c) ? ".seat." : ".") + c.field();
  }
}
