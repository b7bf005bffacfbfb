package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.List;
import java.util.function.Function;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.Pin;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** What is followed in footage, and what holds to it, from and to JSON. */
public final class PinCodec {
  private static final Field<FootagePin.Frame, Double> TIME =
      field("time", Types.number(0, Footage.LONGEST, "s"), FootagePin.Frame::time)
          .fallback(0.0)
          .about("the frame's own in the footage; ascending");
  private static final Field<FootagePin.Frame, Double> SURE =
      field("sure", Types.number(0, 100, "%"), FootagePin.Frame::sure)
          .usual(100.0)
          .about("how far what is there looks like what was marked");
  private static final Field<FootagePin.Frame, FootagePin.How> HOW =
      field("how", Types.choice(FootagePin.How.values()), FootagePin.Frame::how)
          .usual(FootagePin.How.FOUND)
          .about("`set` by hand, `found`, or `bridged`: not seen, but between where it was");
  private static final Field<FootagePin.Frame, List<Point>> POINTS =
      field(
              "points",
              Types.pairs(FootagePin.By.CORNERS.marks(), -PathCodec.FARTHEST, PathCodec.FARTHEST),
              FootagePin.Frame::points)
          .required(List.of())
          .about("in pixels of the footage, as many as are marked");

  private static final Schema<FootagePin.Frame> FRAME =
      Schema.<FootagePin.Frame>named("PinFrame")
          .with(TIME, SURE, HOW, POINTS)
          .made(
              v ->
                  new FootagePin.Frame(
                      v.get(TIME), v.get(SURE), v.get(HOW), List.copyOf(v.get(POINTS))));

  /** Frames as a document has them. */
  public static final FieldType<List<FootagePin.Frame>> FRAME_LIST =
      Lists.list(FRAME, FootagePin.MOST_FRAMES);

  private static final Field<FootagePin, String> ID =
      field("id", Types.id(), FootagePin::id).about("unique in the scene");
  private static final Field<FootagePin, String> NAME =
      field("name", Types.text(200), FootagePin::name).fallback("Pin");
  private static final Field<FootagePin, FootagePin.By> BY =
      field("by", Types.choice(FootagePin.By.values()), FootagePin::by)
          .fallback(FootagePin.By.SPOT)
          .about(
              "a spot: things follow its place; two spots: they turn and grow with the line between"
                  + " them, too; corners, four of something flat: they lie in its plane");
  private static final Field<FootagePin, List<Point>> AREA =
      field("area", Types.pairs(FootagePin.MOST_AREA, 0, 1), FootagePin::area)
          .usual(List.of())
          .about(
              "of what is marked by corners the part that is followed, a polygon in shares across"
                  + " and down between them; all of it without");
  private static final Field<FootagePin, Double> SMOOTHING =
      field("smoothing", Types.number(0, FootagePin.SMOOTHEST, "s"), FootagePin::smoothing)
          .usual(0.0)
          .about("standard deviation of the Gaussian that takes unrest out of the motion");
  private static final Field<FootagePin, List<FootagePin.Frame>> FRAMES =
      field("frames", FRAME_LIST, FootagePin::frames)
          .required(List.of())
          .about("before the first and after the last nothing moves");

  /** What is followed in footage. */
  static final Schema<FootagePin> FOLLOWED =
      Schema.<FootagePin>named("FootagePin")
          .with(ID, NAME, BY, AREA, SMOOTHING, FRAMES)
          .keeping(FootagePin::extras)
          .made(
              v -> {
                FootagePin out =
                    new FootagePin(
                        v.get(ID),
                        v.get(NAME),
                        v.get(BY),
                        List.copyOf(v.get(AREA)),
                        v.get(SMOOTHING),
                        List.copyOf(v.get(FRAMES)),
                        v.rest());
                if (v.sound()) {
                  check(out, v);
                }
                return out;
              });

  private static final Field<Pin, String> TO =
      field("to", Types.id(), Pin::to).about("id of what is followed in footage");
  private static final Field<Pin, Double> AT =
      field("at", AnimatedValueCodec.TIME, Pin::at)
          .fallback(0.0)
          .about("the time of the scene at which it stands as it does by itself");

  private static final Field<Pin, Boolean> LAID =
      field("laid", Types.flag(), Pin::laid)
          .usual(false)
          .about(
              "instead all of the frame is fitted between the corners that are followed, so that"
                  + " what fills it covers them");

  private static final Schema<Pin> PIN =
      Schema.<Pin>named("Pin")
          .with(TO, AT, LAID)
          .keeping(Pin::extras)
          .made(v -> new Pin(v.get(TO), v.get(AT), v.get(LAID), v.rest()));

  private PinCodec() {}

  /** The field of a thing that can be pinned. */
  static <T> Field<T, Pin> pinned(Function<T, Pin> of) {
    return Field.<T, Pin>field("pin", Lists.object(PIN), of)
        .optional()
        .about("moves as something in footage does");
  }

  /** Tells what is wrong with the frames. */
  private static void check(FootagePin pin, Values v) {
    if (pin.frames().isEmpty()) {
      v.fields().problem(FRAMES.name(), "has no frame", "one at least");
    }
    double before = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < pin.frames().size(); i++) {
      FootagePin.Frame f = pin.frames().get(i);
      String place = FRAMES.name() + "[" + i + "]";
      if (f.time() <= before) {
        v.fields().problem(place + ".time", "does not come after the one before", "ascending");
        return;
      }
      before = f.time();
      int marks = pin.by().marks();
      if (f.points().size() != marks) {
        v.fields().problem(place + ".points", "has " + f.points().size(), marks + " points");
        return;
      }
      if (pin.by() == FootagePin.By.CORNERS && !Projection.isConvex(f.points())) {
        v.fields().problem(place + ".points", "go round no area", "four corners in order");
        return;
      }
    }
  }
}
