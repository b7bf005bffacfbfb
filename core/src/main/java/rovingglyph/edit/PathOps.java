package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.CurveFit;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Refit;
import rovingglyph.paths.ArcByChord;
import rovingglyph.paths.GuideContour;
import rovingglyph.paths.KnotInsert;
import rovingglyph.paths.KnotsOf;
import rovingglyph.paths.ShapeOverTime;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Easing;
import rovingglyph.scene.FreehandPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKeyframe;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;
import rovingglyph.scene.SmoothPath;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Spelling;

/** Edits of one path of a scene: {@code path} is its id, {@code time} the playhead's. */
public final class PathOps {
  /** Edits after which the path is the same line elsewhere, or read otherwise. */
  private static final Set<String> WHOLE =
      Set.of("move", "scale", "rotate", "fit", "centre", "dragEnd", "number");

  private final Scene scene;
  private final GuidePath path;
  private final String op;
  private final JsonObject edit;
  private final double time;
  private final Point at;

  private PathOps(Scene scene, String op, JsonObject edit) {
    this.scene = scene;
    this.path = path(scene, edit.getString("path", ""));
    this.op = op;
    this.edit = edit;
    this.time = edit.getDouble("time", 0);
    this.at = new Point(edit.getDouble("x", 0), edit.getDouble("y", 0));
  }

  static GuidePath path(Scene scene, String id) {
    GuidePath path = scene.path(id);
    if (path == null) {
      throw new IllegalArgumentException("There is no path \"" + id + "\"");
    }
    return path;
  }

  static Scene apply(Scene scene, String op, JsonObject edit) {
    PathOps ops = new PathOps(scene, op, edit);
    return switch (op) {
      case "cut" -> ops.cut();
      case "join" -> ops.join();
      case "label" -> scene.withPath(ops.path.with(ops.label()));
      case "reverse" -> ops.reverse();
      default -> Reshaping.replace(scene, ops.edited(), ops.time, WHOLE.contains(op));
    };
  }

  private PathLabel label() {
    PathLabel l = path.label();
    return l.named(l.id(), edit.getString("name", l.name()))
        .shown(edit.getBoolean("hidden", l.hidden()), edit.getBoolean("locked", l.locked()));
  }

  /** A pin stays on its spot, which is as far from the other end now. */
  private Scene reverse() {
    double length = GuideContour.of(path, time).length();
    return scene
        .withPath(PathEdits.reverse(path))
        .withLetterings(
            l ->
                l.path().equals(path.id()) && l.seat().pin() != null
                    ? l.with(l.seat().pinned(length - l.seat().pin()))
                    : l);
  }

  private GuidePath edited() {
    double w = scene.width();
    double h = scene.height();
    return switch (op) {
      case "move" -> PathEdits.mapped(path, Affine.translate(at.x(), at.y()), time);
      case "scale" ->
          PathEdits.scale(path, at, edit.getDouble("sx", 1), edit.getDouble("sy", 1), time);
      case "rotate" -> PathEdits.rotate(path, at, edit.getDouble("angle", 0), time);
      case "fit" -> PathEdits.fit(path, w, h, time);
      case "centre" -> PathEdits.centre(path, w, h, time);
      case "dragEnd" -> PathEdits.dragEnd(path, edit.getBoolean("last", true), at, time);
      case "startAt" -> PathEdits.startAt(path, at, time);
      case "toPoints" -> PathEdits.toPoints(path, time);
      case "close" -> PathEdits.close(path, true);
      case "open" -> PathEdits.close(path, false);
      case "simplify" -> simplified();
      default -> ofKind();
    };
  }

  private GuidePath ofKind() {
    if (path instanceof ShapePath s) {
      return shape(s);
    }
    if (path instanceof FreehandPath f && op.equals("freehand")) {
      return new FreehandPath(
          f.label(),
          f.samples(),
          within(edit.getDouble("steadiness", f.steadiness())),
          within(edit.getDouble("simplicity", f.simplicity())),
          f.closed());
    }
    if (path instanceof SmoothPath s) {
      return smooth(s);
    }
    if (path instanceof DrawnPath d) {
      return drawn(d);
    }
    throw unknown();
  }

  private static double within(double percent) {
    return Math.min(Math.max(percent, 0), 100);
  }

  private IllegalArgumentException unknown() {
    return new IllegalArgumentException("This kind of path has no edit \"" + op + "\"");
  }

  private GuidePath shape(ShapePath s) {
    Contour c = GuideContour.of(s, time);
    return switch (op) {
      case "radius" -> {
        double r = Channel.RADIUS.clamp(GuideContour.centre(s, c, time).distance(at));
        yield s.with(Channel.RADIUS, new AnimatedValue(r));
      }
      case "chord" -> {
        if (s.kind() != ShapeKind.ARC) {
          throw unknown();
        }
        yield ArcByChord.with(s, edit.getDouble("chord", 1), edit.getDouble("height", 1), time);
      }
      default -> throw unknown();
    };
  }

  private Set<Integer> indexes(int count) {
    Set<Integer> out = new TreeSet<>();
    JsonValue list = edit.get("indexes");
    if (list != null && list.isArray()) {
      list.asArray().forEach(v -> out.add(v.asInt()));
    } else {
      out.add(edit.getInt("index", 0));
    }
    for (int i : out) {
      if (i < 0 || i >= count) {
        throw new IllegalArgumentException("There is no point " + (i + 1));
      }
    }
    return out;
  }

  private Arrange.Edge edge() {
    Arrange.Edge edge = Spelling.find(Arrange.Edge.values(), edit.getString("edge", ""));
    if (edge == null) {
      throw new IllegalArgumentException("There is no edge " + edit.get("edge"));
    }
    return edge;
  }

  /** Edits of places alone, the same for drawn and smooth paths; null for any other edit. */
  private List<Point> placed(List<Point> points) {
    return switch (op) {
      case "align" -> Arrange.align(points, indexes(points.size()), edge());
      case "distribute" ->
          Arrange.distribute(points, indexes(points.size()), edit.getBoolean("across", true));
      case "movePoint" -> {
        List<Point> out = new ArrayList<>(points);
        out.set(indexes(points.size()).iterator().next(), at);
        yield out;
      }
      case "movePoints" -> {
        List<Point> out = new ArrayList<>(points);
        indexes(points.size()).forEach(i -> out.set(i, points.get(i).plus(at)));
        yield out;
      }
      default -> null;
    };
  }

  private SmoothPath smooth(SmoothPath s) {
    List<Point> placed = placed(s.points());
    if (placed != null) {
      return s.with(placed);
    }
    return switch (op) {
      case "rule" -> {
        SmoothPath.Rule rule = Spelling.find(SmoothPath.Rule.values(), edit.getString("rule", ""));
        if (rule == null) {
          throw unknown();
        }
        yield new SmoothPath(s.label(), s.points(), rule, s.closed());
      }
      case "insert" -> {
        // Between the two points whose straight join is nearest.
        List<Knot> rough = s.points().stream().map(Knot::corner).toList();
        List<Knot> more = KnotInsert.at(rough, s.closed(), at);
        int index =
            KnotInsert.indexAt(more, GuideContour.ofKnots(rough, s.closed()).nearest(at).point());
        List<Point> points = new ArrayList<>(s.points());
        if (more.size() > rough.size()) {
          points.add(index, at);
        }
        yield s.with(points);
      }
      case "append" -> {
        List<Point> points = new ArrayList<>(s.points());
        points.add(at);
        yield s.with(points);
      }
      case "delete" -> {
        Set<Integer> gone = indexes(s.points().size());
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < s.points().size(); i++) {
          if (!gone.contains(i)) {
            points.add(s.points().get(i));
          }
        }
        if (points.size() < 2) {
          throw new IllegalArgumentException("A path needs at least two points");
        }
        yield s.with(points);
      }
      default -> throw unknown();
    };
  }

  private DrawnPath drawn(DrawnPath d) {
    if (op.equals("changeShape")) {
      return overTime(d, edit.getBoolean("on", true));
    }
    if (op.equals("easeShape")) {
      return eased(d);
    }
    List<Knot> knots = ShapeOverTime.at(d, time);
    KnotEdits edits = new KnotEdits(knots, d.closed());
    List<Point> placed = placed(edits.points());
    return PathEdits.atTime(
        d, time, placed != null ? edits.place(placed) : points(edits, knots, d.closed()));
  }

  private List<Knot> points(KnotEdits edits, List<Knot> knots, boolean closed) {
    int count = knots.size();
    return switch (op) {
      case "insert" -> KnotInsert.at(knots, closed, at);
      case "append" ->
          edits.append(at, new Point(edit.getDouble("outX", 0), edit.getDouble("outY", 0)));
      case "delete" -> edits.delete(indexes(count));
      case "moveIn", "moveOut" ->
          edits.moveHandle(
              indexes(count).iterator().next(),
              op.equals("moveOut"),
              at,
              edit.getBoolean("broken", false));
      case "smooth" -> edits.smooth(indexes(count));
      case "kind" -> {
        Knot.Kind kind = Spelling.find(Knot.Kind.values(), edit.getString("kind", ""));
        if (kind == null) {
          throw unknown();
        }
        yield edits.kind(indexes(count), kind);
      }
      default -> throw unknown();
    };
  }

  private DrawnPath overTime(DrawnPath d, boolean on) {
    List<Knot> now = ShapeOverTime.at(d, time);
    List<ShapeKeyframe> shapes =
        on
            ? List.of(new ShapeKeyframe(time, now, Easing.EASE_IN_OUT, UnknownFields.NONE))
            : List.<ShapeKeyframe>of();
    return new DrawnPath(d.label(), now, d.closed(), shapes);
  }

  private DrawnPath eased(DrawnPath d) {
    Easing easing = SceneEdits.easing(edit.get("easing"));
    List<ShapeKeyframe> shapes =
        d.shapes().stream()
            .map(k -> new ShapeKeyframe(k.time(), k.points(), easing, k.extras()))
            .toList();
    return new DrawnPath(d.label(), d.points(), d.closed(), shapes);
  }

  private GuidePath simplified() {
    CurveFit.Fitted f = simplify(path, edit.getDouble("tolerance", 1), time);
    Contour c = GuideContour.of(path, time);
    List<Knot> knots = KnotsOf.cubics(f.cubics(), c.closed());
    return path instanceof DrawnPath d
        ? PathEdits.atTime(d, time, knots)
        : PathEdits.drawn(path, knots, c.closed());
  }

  /** The path within a tolerance in px, at least 0.01. */
  public static CurveFit.Fitted simplify(GuidePath path, double tolerance, double time) {
    return Refit.simplified(GuideContour.of(path, time), Math.max(0.01, tolerance));
  }

  /** A cut path keeps its letterings on the first part; {@code id} is the second part's. */
  private Scene cut() {
    if (!(path instanceof DrawnPath d)) {
      throw new IllegalArgumentException("Turn the path into points first");
    }
    List<List<Knot>> parts =
        new KnotEdits(ShapeOverTime.at(d, time), d.closed())
            .cut(indexes(d.points().size()).iterator().next());
    DrawnPath first = new DrawnPath(d.label(), parts.get(0), false, List.of());
    Scene out = Reshaping.replace(scene, first, time, false);
    if (parts.size() == 1) {
      return out;
    }
    PathLabel label = d.label().named(edit.getString("id", ""), d.name() + ", second part");
    return out.adding(new DrawnPath(label, parts.get(1), false, List.of()));
  }

  /** Joined to the path {@code other}, which is taken up with its letterings. */
  private Scene join() {
    GuidePath other = path(scene, edit.getString("other", ""));
    DrawnPath a = PathEdits.toPoints(path, time);
    DrawnPath b = PathEdits.toPoints(other, time);
    if (a == b || a.id().equals(b.id())) {
      throw new IllegalArgumentException("A path cannot be joined to itself: close it instead");
    }
    if (a.closed() || b.closed()) {
      throw new IllegalArgumentException("Only open paths can be joined");
    }
    List<Knot> knots = KnotEdits.join(ShapeOverTime.at(a, time), ShapeOverTime.at(b, time));
    GuidePath joined = PathEdits.drawn(a, knots, false);
    Scene out = Reshaping.replace(scene, joined, time, false);
    return out.withLetterings(l -> l.path().equals(b.id()) ? Reshaping.onto(l, other, joined) : l)
        .withPaths(out.paths().stream().filter(p -> !p.id().equals(b.id())).toList());
  }
}
