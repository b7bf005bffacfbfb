package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import com.eclipsesource.json.JsonObject;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Seat;
import rovingglyph.schema.Field;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;

/** How a lettering sits on its path, from and to JSON. */
final class SeatCodec {
  /** A seat with the values of the lettering that belong to it. */
  record SeatDocument(Seat seat, Map<Channel, AnimatedValue> values) {}

  private static final Field<SeatDocument, Seat.TextAnchor> ALIGN =
      field("align", Types.choice(Seat.TextAnchor.values()), (SeatDocument d) -> d.seat.align())
          .fallback(Seat.TextAnchor.START)
          .about(
              "which part of the text meets the resting point, which is the start, middle or end of"
                  + " the room between the margins");
  private static final Field<SeatDocument, Seat.Side> SIDE =
      field("side", Types.choice(Seat.Side.values()), (SeatDocument d) -> d.seat.side())
          .fallback(Seat.Side.LEFT)
          .about("the right one is the same on the reversed path");
  private static final Field<SeatDocument, Seat.Orientation> ORIENTATION =
      field(
              "orientation",
              Types.choice(Seat.Orientation.values()),
              (SeatDocument d) -> d.seat.orientation())
          .fallback(Seat.Orientation.TURN)
          .about("with the path, upright, or all to `fixedAngle`; `letterTurn` is added");
  private static final Field<SeatDocument, Seat.GlyphMethod> METHOD =
      field("method", Types.choice(Seat.GlyphMethod.values()), (SeatDocument d) -> d.seat.method())
          .usual(Seat.GlyphMethod.RIGID)
          .about("letters as they are, or bent with the line");
  private static final Field<SeatDocument, Seat.EndRule> ENDS =
      field("ends", Types.choice(Seat.EndRule.values()), (SeatDocument d) -> d.seat.ends())
          .optional()
          .about(
              "past an end: straight on, cut off, round. Left out, closed paths wrap and open ones"
                  + " continue");
  private static final Field<SeatDocument, Seat.Fit> FIT =
      field("fit", Types.choice(Seat.Fit.values()), (SeatDocument d) -> d.seat.fit())
          .usual(Seat.Fit.NATURAL)
          .about("to the room");
  private static final Field<SeatDocument, Seat.SpreadBy> SPREAD_BY =
      field("spreadBy", Types.choice(Seat.SpreadBy.values()), (SeatDocument d) -> d.seat.spreadBy())
          .usual(Seat.SpreadBy.LETTERS)
          .about("between what the extra space of a spread text stands");
  private static final Field<SeatDocument, Seat.Overlong> OVERLONG =
      field("overlong", Types.choice(Seat.Overlong.values()), (SeatDocument d) -> d.seat.overlong())
          .usual(Seat.Overlong.ON)
          .about(
              "text longer than its room goes on, is cut, or has its size shrunk; `through`: where"
                  + " its path comes round, as much as fits is seen, and a lap is one of the text");
  private static final Field<SeatDocument, Double> SEAM_GAP =
      field(
              "seamGap",
              Types.number(0, PathCodec.FARTHEST, "px"),
              (SeatDocument d) -> d.seat.seamGap())
          .usual(0.0)
          .about("room kept free at the join of a closed path");
  private static final Field<SeatDocument, Boolean> EVEN_SPACING =
      field("evenSpacing", Types.flag(), (SeatDocument d) -> d.seat.evenSpacing())
          .usual(false)
          .about(
              "whether advances are kept true at half the x-height plus the baseline shift. The path"
                  + " offset is then measured there too, such that one lap is one lap: a steady"
                  + " offset moves letters on straight parts steadily");
  private static final Field<SeatDocument, Double> LEAST_GAP =
      field("leastGap", Types.number(0, 1e4, "px"), (SeatDocument d) -> d.seat.leastGap())
          .usual(0.0)
          .about("that neighbouring outlines keep; 0 for none");
  private static final Field<SeatDocument, Seat.Reshape> RESHAPE =
      field("reshape", Types.choice(Seat.Reshape.values()), (SeatDocument d) -> d.seat.reshape())
          .usual(Seat.Reshape.KEEP_SHARE)
          .about("what the offset keeps when the path is edited: its share of the length, or px");
  private static final Field<SeatDocument, Double> PIN =
      field(
              "pin",
              Types.number(-PathCodec.FARTHEST, PathCodec.FARTHEST, "px"),
              (SeatDocument d) -> d.seat.pin())
          .optional()
          .about("distance along the path that is the resting point in place of the room's");
  private static final Field<SeatDocument, Seat.Corners> CORNERS =
      field("corners", Types.choice(Seat.Corners.values()), (SeatDocument d) -> d.seat.corners())
          .usual(Seat.Corners.BLEND)
          .about(
              "how a letter astride a corner turns: by the mean direction over its own advance, so"
                  + " that letters swing round the corner, or exactly as the path does at the middle"
                  + " of its advance, the rule of SVG 2");

  private static final Field<SeatDocument, Seat.Baseline> BASELINE =
      field("baseline", Types.choice(Seat.Baseline.values()), (SeatDocument d) -> d.seat.baseline())
          .usual(Seat.Baseline.ALPHABETIC)
          .about(
              "which line of the letters runs along the path: the one they stand on, the middle of"
                  + " capitals, or the top of capitals, from which they hang");

  private static final List<Field<SeatDocument, AnimatedValue>> VALUES =
      AnimatedType.writing(
          List.of(
              Channel.PATH_OFFSET,
              Channel.START_MARGIN,
              Channel.END_MARGIN,
              Channel.BASELINE_SHIFT),
          AnimatedType.fields(Lettering.SEAT, (d, c) -> d.values().get(c), Lettering::start));

  static final Schema<SeatDocument> SCHEMA =
      Schema.<SeatDocument>named("Seat")
          .with(ALIGN, SIDE, ORIENTATION, METHOD, ENDS, FIT, SPREAD_BY, OVERLONG, SEAM_GAP)
          .with(EVEN_SPACING, LEAST_GAP, RESHAPE, PIN, CORNERS, BASELINE)
          .with(VALUES)
          .keeping(d -> d.seat.extras())
          .made(
              v ->
                  new SeatDocument(
                      new Seat(
                          v.get(ALIGN),
                          v.get(SIDE),
                          v.get(ORIENTATION),
                          v.get(METHOD),
                          v.get(ENDS),
                          v.get(FIT),
                          v.get(SPREAD_BY),
                          v.get(OVERLONG),
                          v.get(SEAM_GAP),
                          v.get(EVEN_SPACING),
                          v.get(LEAST_GAP),
                          v.get(RESHAPE),
                          v.get(PIN),
                          v.get(CORNERS),
                          v.get(BASELINE),
                          v.rest()),
                      AnimatedType.collected(v, VALUES)));

  /** That of a lettering whose document says nothing of it. */
  static final SeatDocument PLAIN = SCHEMA.read(Fields.of(new JsonObject()));

  private SeatCodec() {}
}
