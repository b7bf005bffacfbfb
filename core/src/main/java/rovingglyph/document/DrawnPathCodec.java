package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Knot;
import rovingglyph.scene.ShapeKeyframe;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Paths of points with handles, from and to JSON. */
public final class DrawnPathCodec {
  private static final FieldType<Double> COORDINATE =
      Types.number(-PathCodec.FARTHEST, PathCodec.FARTHEST, "px");
  private static final FieldType<Point> HANDLE = Types.pair(PathCodec.FARTHEST);

  private static final Field<Knot, Double> X =
      field("x", COORDINATE, (Knot k) -> k.at().x()).fallback(0.0);
  private static final Field<Knot, Double> Y =
      field("y", COORDINATE, (Knot k) -> k.at().y()).fallback(0.0);
  private static final Field<Knot, Point> IN =
      field("in", HANDLE, Knot::in)
          .fallback(Point.ORIGIN)
          .about("the handle towards the point before, from this point");
  private static final Field<Knot, Point> OUT =
      field("out", HANDLE, Knot::out)
          .fallback(Point.ORIGIN)
          .about(
              "the handle towards the point after. Two points without handles between them are"
                  + " joined by a straight line, others by a cubic Bezier segment");
  private static final Field<Knot, Knot.Kind> KNOT_KIND =
      field("kind", Types.choice(Knot.Kind.values()), Knot::kind)
          .fallback(Knot.Kind.SMOOTH)
          .about("how an editor keeps the handles: apart, in line, in line and of one length");

  private static final Schema<Knot> KNOT =
      Schema.<Knot>named("Knot")
          .with(X, Y, IN, OUT, KNOT_KIND)
          .keeping(Knot::extras)
          .made(DrawnPathCodec::knot);

  private static final FieldType<List<Knot>> KNOTS = Lists.list(KNOT, PathCodec.MOST_POINTS);

  private static final Field<ShapeKeyframe, Double> TIME =
      field("time", AnimatedValueCodec.TIME, ShapeKeyframe::time).fallback(0.0);
  private static final Field<ShapeKeyframe, List<Knot>> SHAPE =
      field("points", KNOTS, ShapeKeyframe::points)
          .required(List.of())
          .about("2 or more, not all on one spot");
  private static final Field<ShapeKeyframe, Easing> EASING =
      field("easing", EasingCodec.TYPE, ShapeKeyframe::easing)
          .fallback(Easing.LINEAR)
          .about(EasingCodec.ABOUT);

  private static final Schema<ShapeKeyframe> SHAPE_KEYFRAME =
      Schema.<ShapeKeyframe>named("ShapeKeyframe")
          .with(TIME, SHAPE, EASING)
          .keeping(ShapeKeyframe::extras)
          .made(v -> new ShapeKeyframe(v.get(TIME), checked(v, SHAPE), v.get(EASING), v.rest()));

  private static final Field<DrawnPath, Boolean> CLOSED =
      field("closed", Types.flag(), DrawnPath::closed).fallback(false);
  private static final Field<DrawnPath, List<Knot>> POINTS =
      field("points", KNOTS, DrawnPath::points)
          .required(List.of())
          .about("2 or more, not all on one spot");
  private static final Field<DrawnPath, List<ShapeKeyframe>> SHAPES =
      field("shapes", Lists.list(SHAPE_KEYFRAME, 500), DrawnPath::shapes)
          .usual(List.of())
          .about("the path changes shape over time");

  static final Schema<DrawnPath> SCHEMA =
      Schema.<DrawnPath>named("DrawnPath")
          .kind("drawn")
          .sharing(PathCodec.LABEL)
          .with(CLOSED, POINTS, SHAPES)
          .keeping(p -> p.label().extras())
          .made(DrawnPathCodec::path);

  private DrawnPathCodec() {}

  private static Knot knot(Values v) {
    // Earlier documents say smooth or not.
    boolean smooth = v.fields().flag("smooth", true);
    boolean corner = !smooth && !v.fields().has("kind");
    Point at = new Point(v.get(X), v.get(Y));
    return new Knot(
        at, v.get(IN), v.get(OUT), corner ? Knot.Kind.CORNER : v.get(KNOT_KIND), v.rest());
  }

  private static DrawnPath path(Values v) {
    List<Knot> points = checked(v, POINTS);
    List<ShapeKeyframe> shapes = new ArrayList<>(v.get(SHAPES));
    shapes.sort(Comparator.comparingDouble(ShapeKeyframe::time));
    return new DrawnPath(
        PathCodec.label(v),
        shapes.isEmpty() ? points : shapes.get(0).points(),
        v.get(CLOSED),
        List.copyOf(shapes));
  }

  private static List<Knot> checked(Values v, Field<?, List<Knot>> field) {
    List<Knot> points = v.get(field);
    if (v.sound()) {
      boolean onOneSpot = points.stream().allMatch(p -> isOn(p, points.get(0).at()));
      PathCodec.check(v.fields(), field.name(), points.size(), onOneSpot);
    }
    return points;
  }

  private static boolean isOn(Knot k, Point spot) {
    return k.at().equals(spot) && k.in().length() == 0 && k.out().length() == 0;
  }

  /** Points as in their document. */
  public static String knots(List<Knot> knots) {
    return KNOTS.text(knots);
  }
}
