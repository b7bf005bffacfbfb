package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.FreehandPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Pin;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;
import rovingglyph.scene.SmoothPath;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Field;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Kinds;
import rovingglyph.schema.Problem;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Spelling;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Guide paths from and to JSON; {@link DrawnPathCodec} has the drawn ones. */
public final class PathCodec {
  /** Coordinates beyond this many px are refused: sums of their squares stay exact enough. */
  static final double FARTHEST = 1e6;

  static final int MOST_POINTS = 5000;

  private static final Field<GuidePath, String> ID =
      field("id", Types.id(), GuidePath::id).about("unique in the scene");
  private static final Field<GuidePath, String> NAME =
      field("name", Types.text(200), GuidePath::name).fallback("Path");
  private static final Field<GuidePath, Boolean> HIDDEN =
      field("hidden", Types.flag(), (GuidePath p) -> p.label().hidden())
          .usual(false)
          .about("not shown on the stage");
  private static final Field<GuidePath, Boolean> LOCKED =
      field("locked", Types.flag(), (GuidePath p) -> p.label().locked())
          .usual(false)
          .about("not to be edited by handles");

  private static final Field<GuidePath, Pin> PIN =
      PinCodec.pinned((GuidePath p) -> p.label().pin());

  static final Schema.Shared<GuidePath> LABEL =
      new Schema.Shared<>("PathLabel", List.of(ID, NAME, HIDDEN, LOCKED, PIN));

  private static final Field<ShapePath, Boolean> FLIPPED =
      field("flipped", Types.flag(), ShapePath::flipped)
          .usual(false)
          .about("mirrored across its own level axis");
  private static final Field<ShapePath, Boolean> REVERSED =
      field("reversed", Types.flag(), ShapePath::reversed).usual(false).about("read the other way");

  private static final Field<SmoothPath, List<Point>> POINTS =
      field("points", Types.pairs(MOST_POINTS, -FARTHEST, FARTHEST), SmoothPath::points)
          .required(List.of())
          .about("2 or more, not all on one spot");
  private static final Field<SmoothPath, SmoothPath.Rule> RULE =
      field("rule", Types.choice(SmoothPath.Rule.values()), SmoothPath::rule)
          .fallback(SmoothPath.Rule.THROUGH)
          .about("through the points (Catmull-Rom) or near them (B-spline)");
  private static final Field<SmoothPath, Boolean> CLOSED =
      field("closed", Types.flag(), SmoothPath::closed).fallback(false);

  private static final Field<FreehandPath, List<Point>> SAMPLES =
      field("samples", Types.pairs(2 * MOST_POINTS, -FARTHEST, FARTHEST), FreehandPath::samples)
          .required(List.of())
          .about("of the stroke; 2 or more, not all on one spot. The curve is fitted from them");
  private static final Field<FreehandPath, Double> STEADINESS =
      field("steadiness", Types.number(0, 100, "%"), FreehandPath::steadiness)
          .fallback(30.0)
          .about("how far a trembling hand is smoothed");
  private static final Field<FreehandPath, Double> SIMPLICITY =
      field("simplicity", Types.number(0, 100, "%"), FreehandPath::simplicity)
          .fallback(30.0)
          .about("how far the curve may leave the stroke for the sake of fewer points");
  private static final Field<FreehandPath, Boolean> STROKE_CLOSED =
      field("closed", Types.flag(), FreehandPath::closed).fallback(false);

  private static final Schema<SmoothPath> SMOOTH =
      Schema.<SmoothPath>named("SmoothPath")
          .kind("smooth")
          .sharing(LABEL)
          .with(RULE, CLOSED, POINTS)
          .keeping(p -> p.label().extras())
          .made(v -> new SmoothPath(label(v), points(v, POINTS), v.get(RULE), v.get(CLOSED)));

  private static final Schema<FreehandPath> FREEHAND =
      Schema.<FreehandPath>named("FreehandPath")
          .kind("freehand")
          .sharing(LABEL)
          .with(STEADINESS, SIMPLICITY, STROKE_CLOSED, SAMPLES)
          .keeping(p -> p.label().extras())
          .made(
              v ->
                  new FreehandPath(
                      label(v),
                      points(v, SAMPLES),
                      v.get(STEADINESS),
                      v.get(SIMPLICITY),
                      v.get(STROKE_CLOSED)));

  /** Every kind of path. */
  static final Kinds<GuidePath> KINDS =
      new Kinds<>("GuidePath", kinds(), PathCodec::kind, new NoPath());

  private PathCodec() {}

  private static List<Schema<? extends GuidePath>> kinds() {
    List<Schema<? extends GuidePath>> out = new ArrayList<>();
    for (ShapeKind k : ShapeKind.values()) {
      out.add(shape(k));
    }
    out.add(DrawnPathCodec.SCHEMA);
    out.add(SMOOTH);
    out.add(FREEHAND);
    return out;
  }

  private static String kind(GuidePath path) {
    if (path instanceof ShapePath s) {
      return Spelling.of(s.kind());
    }
    return path instanceof DrawnPath ? "drawn" : path instanceof SmoothPath ? "smooth" : "freehand";
  }

  private static final class NoPath implements Kinds.Unknown<GuidePath> {
    @Override
    public GuidePath read(Fields f, String word, String known) {
      String what = word.isEmpty() ? "is missing" : "\"" + word + "\" is not known";
      f.problem(Schema.KIND, what, known);
      return null;
    }

    @Override
    public void write(GuidePath value, StringBuilder out) {
      throw new IllegalStateException("There is no such path");
    }

    @Override
    public boolean allowed() {
      return false;
    }
  }

  private static Schema<ShapePath> shape(ShapeKind kind) {
    List<Field<ShapePath, AnimatedValue>> numbers =
        AnimatedType.fields(kind.numbers(), (p, c) -> p.numbers().get(c), kind::start);
    return Schema.<ShapePath>named(title(kind))
        .kind(Spelling.of(kind))
        .sharing(LABEL)
        .with(numbers)
        .with(FLIPPED, REVERSED)
        .keeping(p -> p.label().extras())
        .made(v -> shape(v, kind, AnimatedType.collected(v, numbers)));
  }

  private static ShapePath shape(Values v, ShapeKind kind, Map<Channel, AnimatedValue> numbers) {
    // Earlier documents give a circle's centre as a pair and its direction as a word.
    Fields f = v.fields();
    Point centre = f.point("centre", FARTHEST, null);
    boolean counter = "counterclockwise".equals(f.text("direction", 80, "clockwise"));
    if (centre != null) {
      numbers.computeIfPresent(Channel.X, (c, m) -> f.has("x") ? m : m.with(centre.x()));
      numbers.computeIfPresent(Channel.Y, (c, m) -> f.has("y") ? m : m.with(centre.y()));
    }
    boolean reversed = f.has("reversed") ? v.get(REVERSED) : counter;
    return new ShapePath(label(v), kind, numbers, v.get(FLIPPED), reversed);
  }

  /** CIRCLE becomes CirclePath. */
  private static String title(ShapeKind kind) {
    return kind.name().charAt(0) + kind.name().substring(1).toLowerCase() + "Path";
  }

  /** Asked for last, when all fields that are known have been. */
  static PathLabel label(Values v) {
    return new PathLabel(
        v.get(ID), v.get(NAME), v.get(HIDDEN), v.get(LOCKED), v.get(PIN), v.rest());
  }

  /** As many as 2, not all on one spot. */
  private static List<Point> points(Values v, Field<?, List<Point>> field) {
    List<Point> points = v.get(field);
    if (v.sound()) {
      boolean onOneSpot = points.stream().allMatch(p -> p.equals(points.get(0)));
      check(v.fields(), field.name(), points.size(), onOneSpot);
    }
    return points;
  }

  static void check(Fields f, String field, int count, boolean onOneSpot) {
    if (count < 2) {
      f.problem(field, "a path needs at least two points, this has " + count, "2 to 5000");
    } else if (onOneSpot) {
      f.problem(field, "all points stand on one spot, so the path has no length", "two places");
    }
  }

  /**
   * Reads one path.
   *
   * @throws DocumentException with every problem found
   */
  public static GuidePath read(JsonValue json) {
    List<Problem> problems = new ArrayList<>();
    GuidePath path = KINDS.read(new Fields(json, "$", problems));
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return path;
  }

  /** A path as in its document. */
  public static String write(GuidePath path) {
    return KINDS.text(path);
  }
}
