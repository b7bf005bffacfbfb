package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Arguments.path;
import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import rovingglyph.document.PathCodec;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Refit;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;
import rovingglyph.paths.GuideContour;
import rovingglyph.paths.KnotsOf;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;
import rovingglyph.schema.Field;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * Paths that come into a scene. Each edit has the {@code id} of the new path and may name a
 * lettering to {@code seat} on it.
 */
public final class NewPaths {
  private static final Field<Values, String> SEAT =
      argument("seat", Types.text(Types.LONGEST_ID)).usual("");
  private static final Field<Values, String> OF = argument("of", Types.id());
  private static final Field<Values, ShapeKind> KIND =
      argument("kind", Types.choice(ShapeKind.values()));
  private static final Field<Values, JsonValue> PATH = argument("path", new JsonType("object"));
  private static final Field<Values, Double> DISTANCE = argument("distance", Arguments.ANY);
  private static final Field<Values, Boolean> FIT = argument("fit", Types.flag()).usual(false);

  /** A line of path data with the id and the name of the path that it becomes. */
  private record Line(String id, String name, String d) {}

  private static final Field<Line, String> LINE_ID = Field.field("id", Types.id(), Line::id);
  private static final Field<Line, String> LINE_NAME =
      Field.field("name", Types.text(4_000), Line::name).fallback("Path");
  private static final Field<Line, String> LINE_DATA =
      Field.field("d", Types.text(4_000_000), Line::d);
  private static final Field<Values, List<Line>> PATHS =
      argument(
          "paths",
          Lists.list(
              Schema.<Line>named("PathLine")
                  .with(LINE_ID, LINE_NAME, LINE_DATA)
                  .made(v -> new Line(v.get(LINE_ID), v.get(LINE_NAME), v.get(LINE_DATA))),
              1000));

  static final List<Command> ALL =
      List.of(
          adding("newShape", "Added a shape", List.of(KIND), NewPaths::shape),
          adding("newPath", "Drew a path", List.of(PATH), NewPaths::given),
          adding(
              "placePath",
              "Added a path",
              List.of(PATH),
              (scene, v) -> PathEdits.fit(given(scene, v), scene.width(), scene.height(), 0)),
          adding("duplicatePath", "Duplicated a path", List.of(OF), NewPaths::copy),
          adding(
              "parallelPath", "Added a parallel path", List.of(OF, DISTANCE), NewPaths::parallel),
          Command.of(
              "importPaths", "Brought in paths", List.of(PATHS, FIT, SEAT), NewPaths::imported));

  private NewPaths() {}

  private static Command adding(
      String op,
      String done,
      List<Field<Values, ?>> more,
      BiFunction<Scene, Values, GuidePath> make) {
    List<Field<Values, ?>> all = new ArrayList<>(List.of(ID, SEAT, PLAYHEAD));
    all.addAll(more);
    return Command.of(op, done, all, (scene, v) -> added(scene, v, make.apply(scene, v)));
  }

  private static Scene added(Scene scene, Values v, GuidePath path) {
    Scene with = scene.adding(path);
    if (!(scene.item(v.get(SEAT)) instanceof Lettering l)) {
      return with;
    }
    return with.withItem(Reshaping.onto(l, scene.path(l.path()), path));
  }

  private static String name(String name) {
    return name.substring(0, Math.min(200, name.length()));
  }

  /** A word with the least number that no path is called by. */
  static String free(Scene scene, String word) {
    Set<String> taken = scene.paths().stream().map(GuidePath::name).collect(Collectors.toSet());
    int n = 1;
    while (taken.contains(word + " " + n)) {
      n++;
    }
    return word + " " + n;
  }

  private static GuidePath copy(Scene scene, Values v) {
    GuidePath p = path(scene, v.get(OF));
    GuidePath copy = p.with(p.label().named(v.get(ID), name(p.name() + " copy")));
    double step = Math.round(Math.min(scene.width(), scene.height()) * 0.03);
    return PathEdits.move(copy, new Point(step, step));
  }

  private static GuidePath shape(Scene scene, Values v) {
    ShapeKind kind = v.get(KIND);
    PathLabel label = new PathLabel(v.get(ID), free(scene, kind.word()));
    return shape(kind, label, scene.width(), scene.height());
  }

  /**
   * A shape in the middle of a frame, as large as its lesser side asks for, in whole px. What comes
   * round starts at its lowest, so that the middle of the text is upright at the top.
   */
  public static ShapePath shape(ShapeKind kind, PathLabel label, double width, double height) {
    double k = Math.min(width, height) / 1000;
    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>();
    for (Channel c : kind.numbers()) {
      double v = kind.start(c);
      numbers.put(c, new AnimatedValue(c.unit().equals("px") ? Math.round(v * k) : v));
    }
    numbers.put(Channel.X, new AnimatedValue(width / 2));
    numbers.put(Channel.Y, new AnimatedValue(height / 2));
    ShapePath made = new ShapePath(label, kind, numbers, false, false);
    if (!kind.closed()) {
      return made;
    }
    Contour c = GuideContour.of(made);
    double share = lowest(c, width / 2) / c.length();
    // A circle's start is an angle, clockwise from the right.
    Channel start = kind == ShapeKind.CIRCLE ? Channel.START_ANGLE : Channel.START;
    double at = kind == ShapeKind.CIRCLE ? 360 * share - 90 : 100 * share;
    numbers.put(start, new AnimatedValue(Math.round(at * 100) / 100.0));
    return new ShapePath(label, kind, numbers, false, false);
  }

  /** Distance along a contour where it is below its middle. */
  private static double lowest(Contour c, double middle) {
    int n = 720;
    double best = 0;
    double y = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < n; i++) {
      double from = c.length() * i / n;
      double to = c.length() * (i + 1) / n;
      double before = c.at(from).point().x() - middle;
      double after = c.at(to).point().x() - middle;
      Point low = c.at(from).point();
      if (before * after <= 0 && before != after && low.y() > y) {
        y = low.y();
        best = from + (to - from) * before / (before - after);
      }
    }
    return best;
  }

  private static GuidePath given(Scene scene, Values v) {
    if (!v.get(PATH).isObject()) {
      throw new IllegalArgumentException("A path is an object, as in documents");
    }
    JsonObject named = new JsonObject(v.get(PATH).asObject()).set("id", v.get(ID));
    JsonValue name = named.get("name");
    if (name == null || name.equals(Json.value(""))) {
      boolean freehand = named.getString("kind", "").equals("freehand");
      named.set("name", free(scene, freehand ? "Stroke" : "Curve"));
    }
    return PathCodec.read(named);
  }

  /** A path at a distance beside another, outwards where positive. */
  private static GuidePath parallel(Scene scene, Values v) {
    GuidePath of = path(scene, v.get(OF));
    double distance = v.get(DISTANCE);
    double time = v.get(PLAYHEAD);
    PathLabel label = of.label().named(v.get(ID), name(of.name() + " beside"));
    if (of instanceof ShapePath s && s.kind() == ShapeKind.CIRCLE) {
      double outward = s.flipped() == s.reversed() ? distance : -distance;
      AnimatedValue radius = s.movable(Channel.RADIUS);
      return s.with(Channel.RADIUS, radius.mapped(r -> Channel.RADIUS.clamp(r + outward)))
          .with(label);
    }
    Contour c = GuideContour.of(of, time);
    List<Cubic> beside = Refit.beside(c, distance);
    if (beside.isEmpty()) {
      throw new IllegalArgumentException("Nothing is left of the path at that distance");
    }
    return new DrawnPath(label, KnotsOf.cubics(beside, c.closed()), c.closed(), List.of());
  }

  /**
   * {@code paths} is a list of {@code {id, name, d}}, one subpath each. With {@code fit} all
   * together are brought into the frame.
   */
  private static Scene imported(Scene scene, Values v) {
    List<GuidePath> read = new ArrayList<>();
    Rect box = Rect.EMPTY;
    for (Line line : v.get(PATHS)) {
      List<SubPath> parts = SvgPath.parse(line.d()).subPaths();
      if (parts.isEmpty()) {
        throw new IllegalArgumentException("This path data draws nothing");
      }
      Contour c = new Contour(parts.get(0).segments(), parts.get(0).closed());
      if (c.length() <= 0) {
        throw new IllegalArgumentException("This path has no length");
      }
      PathLabel label = new PathLabel(line.id(), name(line.name()));
      GuidePath plain = new DrawnPath(label, List.of(), false, List.of());
      read.add(PathEdits.drawn(plain, KnotsOf.contour(c), c.closed()));
      box = box.union(c.bounds());
    }
    Affine place = v.get(FIT) ? into(scene, box) : Affine.IDENTITY;
    Scene out = scene;
    for (GuidePath p : read) {
      out = out.adding(PathEdits.mapped(p, place, 0));
    }
    if (scene.item(v.get(SEAT)) instanceof Lettering l && !read.isEmpty()) {
      GuidePath first = out.path(read.get(0).id());
      return out.withItem(Reshaping.onto(l, scene.path(l.path()), first));
    }
    return out;
  }

  private static Affine into(Scene scene, Rect box) {
    double k =
        0.8
            * Math.min(
                scene.width() / Math.max(box.width(), 1e-6),
                scene.height() / Math.max(box.height(), 1e-6));
    return Affine.translate(scene.width() / 2.0, scene.height() / 2.0)
        .times(Affine.scale(k))
        .times(Affine.translate(-box.centre().x(), -box.centre().y()));
  }
}
