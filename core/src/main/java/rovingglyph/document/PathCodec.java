package rovingglyph.document;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.FreehandPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.ShapeKeyframe;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;
import rovingglyph.scene.SmoothPath;

/** Guide paths from and to JSON. */
public final class PathCodec {
  /** Coordinates beyond this many px are refused: sums of their squares stay exact enough. */
  static final double FARTHEST = 1e6;

  private static final int MOST_POINTS = 5000;

  private PathCodec() {}

  /**
   * Reads one path.
   *
   * @throws DocumentException with every problem found
   */
  public static GuidePath read(JsonValue json) {
    List<Problem> problems = new ArrayList<>();
    GuidePath path = read(new Fields(json, "$", problems));
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return path;
  }

  static GuidePath read(Fields f) {
    String kind = f.text("kind", 80, "");
    PathLabel label = new PathLabel(f.id("id"), f.text("name", 200, "Path"));
    boolean hidden = f.flag("hidden", false);
    boolean locked = f.flag("locked", false);
    GuidePath path =
        switch (kind) {
          case "drawn" -> drawn(f, label);
          case "smooth" ->
              new SmoothPath(
                  label,
                  points(f, "points", MOST_POINTS),
                  f.choice("rule", SmoothPath.Rule.values(), SmoothPath.Rule.THROUGH),
                  f.flag("closed", false));
          case "freehand" ->
              new FreehandPath(
                  label,
                  points(f, "samples", 2 * MOST_POINTS),
                  f.number("steadiness", 0, 100, 30),
                  f.number("simplicity", 0, 100, 30),
                  f.flag("closed", false));
          default -> shape(f, label, Spelling.find(ShapeKind.values(), kind));
        };
    if (path == null) {
      f.problem("kind", kind.isEmpty() ? "is missing" : "\"" + kind + "\" is not known", kinds());
      return null;
    }
    return path.with(new PathLabel(label.id(), label.name(), hidden, locked, f.rest()));
  }

  private static String kinds() {
    StringBuilder out = new StringBuilder("drawn, smooth, freehand");
    for (ShapeKind k : ShapeKind.values()) {
      out.append(", ").append(Spelling.of(k));
    }
    return out.toString();
  }

  private static GuidePath shape(Fields f, PathLabel label, ShapeKind kind) {
    if (kind == null) {
      return null;
    }
    // Earlier documents give a circle's centre as a pair and its direction as a word.
    Point centre = f.point("centre", FARTHEST, Point.ORIGIN);
    boolean counter = "counterclockwise".equals(f.text("direction", 80, "clockwise"));
    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>();
    for (Channel c : kind.numbers()) {
      double missing = c == Channel.X ? centre.x() : c == Channel.Y ? centre.y() : kind.start(c);
      numbers.put(c, AnimatedValueCodec.read(f, c, missing));
    }
    return new ShapePath(
        label, kind, numbers, f.flag("flipped", false), f.flag("reversed", counter));
  }

  private static GuidePath drawn(Fields f, PathLabel label) {
    List<Knot> points = knots(f);
    List<ShapeKeyframe> shapes = new ArrayList<>(f.list("shapes", 500, PathCodec::shapeKeyframe));
    shapes.sort(Comparator.comparingDouble(ShapeKeyframe::time));
    return new DrawnPath(
        label,
        shapes.isEmpty() ? points : shapes.get(0).points(),
        f.flag("closed", false),
        List.copyOf(shapes));
  }

  private static ShapeKeyframe shapeKeyframe(Fields f) {
    return new ShapeKeyframe(
        f.number("time", 0, AnimatedValueCodec.LATEST, 0), knots(f), EasingCodec.read(f), f.rest());
  }

  private static List<Knot> knots(Fields f) {
    int before = f.problems().size();
    List<Knot> points = f.list("points", MOST_POINTS, PathCodec::knot);
    if (f.problems().size() == before) {
      check(f, "points", points.size(), points.stream().allMatch(p -> isOn(p, points.get(0).at())));
    }
    return points;
  }

  private static void check(Fields f, String field, int count, boolean onOneSpot) {
    if (count < 2) {
      f.problem(field, "a path needs at least two points, this has " + count, "2 to 5000");
    } else if (onOneSpot) {
      f.problem(field, "all points stand on one spot, so the path has no length", "two places");
    }
  }

  private static boolean isOn(Knot k, Point spot) {
    return k.at().equals(spot) && k.in().length() == 0 && k.out().length() == 0;
  }

  private static Knot knot(Fields f) {
    // Earlier documents say smooth or not.
    Knot.Kind kind = f.flag("smooth", true) ? Knot.Kind.SMOOTH : Knot.Kind.CORNER;
    return new Knot(
        new Point(f.number("x", -FARTHEST, FARTHEST, 0), f.number("y", -FARTHEST, FARTHEST, 0)),
        f.point("in", FARTHEST, Point.ORIGIN),
        f.point("out", FARTHEST, Point.ORIGIN),
        f.choice("kind", Knot.Kind.values(), kind),
        f.rest());
  }

  /** A list of pairs, as many as 2 to {@code most}, not all on one spot. */
  private static List<Point> points(Fields f, String name, int most) {
    JsonValue v = f.get(name);
    if (v != null && (!v.isArray() || v.asArray().size() > most)) {
      f.problem(name, "is not a list of at most " + most + " pairs", "[[x, y], ...]");
      return List.of(Point.ORIGIN, new Point(1, 0));
    }
    List<Point> out = new ArrayList<>();
    for (JsonValue p : v == null ? new JsonArray() : v.asArray()) {
      double x = coordinate(p, 0);
      double y = coordinate(p, 1);
      if (Double.isNaN(x) || Double.isNaN(y)) {
        f.problem(name + "[" + out.size() + "]", "is not a pair of numbers", "each within 1000000");
        return List.of(Point.ORIGIN, new Point(1, 0));
      }
      out.add(new Point(x, y));
    }
    boolean onOneSpot = out.stream().allMatch(p -> p.equals(out.get(0)));
    check(f, name, out.size(), onOneSpot);
    return List.copyOf(out);
  }

  private static double coordinate(JsonValue pair, int index) {
    if (!pair.isArray() || pair.asArray().size() != 2 || !pair.asArray().get(index).isNumber()) {
      return Double.NaN;
    }
    double d = Decimal.parse(pair.asArray().get(index).toString());
    return Math.abs(d) <= FARTHEST ? d : Double.NaN;
  }

  public static String write(GuidePath path) {
    Writer w = Writer.object().add("id", path.id()).add("name", path.name());
    if (path instanceof ShapePath s) {
      w.add("kind", Spelling.of(s.kind()));
      s.numbers().forEach((c, m) -> w.json(c.field(), AnimatedValueCodec.write(m, c)));
      w.flag("flipped", s.flipped()).flag("reversed", s.reversed());
    } else if (path instanceof DrawnPath d) {
      w.add("kind", "drawn").add("closed", d.closed()).list("points", d.points(), PathCodec::write);
      if (!d.shapes().isEmpty()) {
        w.list("shapes", d.shapes(), PathCodec::write);
      }
    } else if (path instanceof SmoothPath s) {
      w.add("kind", "smooth")
          .add("rule", Spelling.of(s.rule()))
          .add("closed", s.closed())
          .list("points", s.points(), Writer::pair);
    } else if (path instanceof FreehandPath f) {
      w.add("kind", "freehand")
          .add("steadiness", f.steadiness())
          .add("simplicity", f.simplicity())
          .add("closed", f.closed())
          .list("samples", f.samples(), Writer::pair);
    }
    return w.flag("hidden", path.label().hidden())
        .flag("locked", path.label().locked())
        .rest(path.label().extras())
        .text();
  }

  /** Points of a drawn path as in its document. */
  public static String knots(List<Knot> knots) {
    return Writer.list(knots, PathCodec::write);
  }

  private static String write(ShapeKeyframe k) {
    return Writer.object()
        .add("time", k.time())
        .list("points", k.points(), PathCodec::write)
        .json("easing", EasingCodec.write(k.easing()))
        .rest(k.extras())
        .text();
  }

  private static String write(Knot k) {
    return Writer.object()
        .add("x", k.at().x())
        .add("y", k.at().y())
        .point("in", k.in())
        .point("out", k.out())
        .add("kind", Spelling.of(k.kind()))
        .rest(k.extras())
        .text();
  }
}
