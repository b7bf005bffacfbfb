package rovingglyph.edit;

import static rovingglyph.edit.Arguments.EASING;
import static rovingglyph.edit.Arguments.NAME;
import static rovingglyph.edit.Arguments.PLAYHEAD;
import static rovingglyph.edit.Arguments.X;
import static rovingglyph.edit.Arguments.Y;
import static rovingglyph.edit.Arguments.path;
import static rovingglyph.edit.Command.argument;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.CurveFit;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Refit;
import rovingglyph.paths.ArcByChord;
import rovingglyph.paths.GuideContour;
import rovingglyph.paths.KnotsOf;
import rovingglyph.paths.ShapeOverTime;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Easing;
import rovingglyph.scene.FreehandPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Knot;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKeyframe;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;
import rovingglyph.scene.SmoothPath;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** Edits of one path as a whole: {@code path} is its id, {@code time} the playhead's. */
public final class PathCommands {
  static final Field<Values, String> PATH = argument("path", Types.id());

  private static final Field<Values, Double> SX = argument("sx", Arguments.ANY).usual(1.0);
  private static final Field<Values, Double> SY = argument("sy", Arguments.ANY).usual(1.0);
  private static final Field<Values, Double> ANGLE = argument("angle", Arguments.ANY).usual(0.0);
  private static final Field<Values, Boolean> LAST = argument("last", Types.flag()).usual(true);
  private static final Field<Values, Double> TOLERANCE =
      argument("tolerance", Arguments.ANY).usual(1.0);
  private static final Field<Values, Double> CHORD = argument("chord", Arguments.ANY).usual(1.0);
  private static final Field<Values, Double> HEIGHT = argument("height", Arguments.ANY).usual(1.0);
  private static final Field<Values, Double> STEADINESS =
      argument("steadiness", Arguments.ANY).optional();
  private static final Field<Values, Double> SIMPLICITY =
      argument("simplicity", Arguments.ANY).optional();
  private static final Field<Values, SmoothPath.Rule> RULE =
      argument("rule", Types.choice(SmoothPath.Rule.values()));
  private static final Field<Values, Boolean> ON = argument("on", Types.flag()).usual(true);
  private static final Field<Values, Boolean> HIDDEN = argument("hidden", Types.flag()).optional();
  private static final Field<Values, Boolean> LOCKED = argument("locked", Types.flag()).optional();
  private static final Field<Values, String> OTHER = argument("other", Types.id());

  static final List<Command> ALL =
      List.of(
          whole(
              "movePath",
              "Moved a path",
              List.of(X, Y),
              (e, v) -> PathEdits.mapped(e.path(), Affine.translate(v.get(X), v.get(Y)), e.time())),
          whole(
              "scale",
              "Scaled a path",
              List.of(X, Y, SX, SY),
              (e, v) -> PathEdits.scale(e.path(), at(v), v.get(SX), v.get(SY), e.time())),
          whole(
              "rotate",
              "Turned a path",
              List.of(X, Y, ANGLE),
              (e, v) -> PathEdits.rotate(e.path(), at(v), v.get(ANGLE), e.time())),
          whole(
              "fit",
              "Fitted a path to the frame",
              List.of(),
              (e, v) -> PathEdits.fit(e.path(), e.scene().width(), e.scene().height(), e.time())),
          whole(
              "centrePath",
              "Centred a path",
              List.of(),
              (e, v) ->
                  PathEdits.centre(e.path(), e.scene().width(), e.scene().height(), e.time())),
          whole(
              "dragEnd",
              "Moved the end of a path",
              List.of(X, Y, LAST),
              (e, v) -> PathEdits.dragEnd(e.path(), v.get(LAST), at(v), e.time())),
          shaped(
              "startAt",
              "Moved the start of a path",
              List.of(X, Y),
              (e, v) -> PathEdits.startAt(e.path(), at(v), e.time())),
          shaped(
              "toPoints",
              "Turned a path into points",
              List.of(),
              (e, v) -> PathEdits.toPoints(e.path(), e.time())),
          shaped("close", "Closed a path", List.of(), (e, v) -> PathEdits.close(e.path(), true)),
          shaped("open", "Opened a path", List.of(), (e, v) -> PathEdits.close(e.path(), false)),
          shaped("simplify", "Simplified a path", List.of(TOLERANCE), PathCommands::simplified),
          shaped("radius", "Changed a radius", List.of(X, Y), PathCommands::radius),
          shaped("chord", "Changed an arc", List.of(CHORD, HEIGHT), PathCommands::chord),
          shaped(
              "freehand",
              "Changed a stroke",
              List.of(STEADINESS, SIMPLICITY),
              PathCommands::freehand),
          shaped("rule", "Changed a curve's rule", List.of(RULE), PathCommands::ruled),
          shaped(
              "changeShape",
              "Let a path change shape, or not",
              List.of(ON),
              (e, v) -> overTime(e.drawn(), e.time(), v.get(ON))),
          shaped(
              "easeShape",
              "Changed an easing",
              List.of(EASING),
              (e, v) -> eased(e.drawn(), v.get(EASING))),
          command(
              "label",
              "Changed a path's name or flags",
              List.of(NAME, HIDDEN, LOCKED),
              (e, v) -> e.scene().withPath(e.path().with(label(e.path().label(), v)))),
          command("reverse", "Reversed a path", List.of(), (e, v) -> reversed(e)),
          command("join", "Joined two paths", List.of(OTHER), PathCommands::joined));

  private PathCommands() {}

  /** A path that is edited, in its scene, at the time of the playhead. */
  record Edited(Scene scene, GuidePath path, double time) {
    DrawnPath drawn() {
      if (path instanceof DrawnPath d) {
        return d;
      }
      throw unfit();
    }
  }

  interface Change<T> {
    T of(Edited e, Values v);
  }

  static IllegalArgumentException unfit() {
    return new IllegalArgumentException("This kind of path cannot be edited so");
  }

  static Command command(
      String op, String done, List<Field<Values, ?>> more, Change<Scene> change) {
    List<Field<Values, ?>> all = new ArrayList<>(List.of(PATH, PLAYHEAD));
    all.addAll(more);
    return Command.of(
        op,
        done,
        all,
        (scene, v) -> change.of(new Edited(scene, path(scene, v.get(PATH)), v.get(PLAYHEAD)), v));
  }

  /** An edit after which the path is the same line elsewhere, or read otherwise. */
  private static Command whole(
      String op, String done, List<Field<Values, ?>> more, Change<GuidePath> change) {
    return command(
        op, done, more, (e, v) -> Reshaping.replace(e.scene(), change.of(e, v), e.time(), true));
  }

  /** An edit after which the path may be another line. */
  static Command shaped(
      String op, String done, List<Field<Values, ?>> more, Change<? extends GuidePath> change) {
    return command(
        op, done, more, (e, v) -> Reshaping.replace(e.scene(), change.of(e, v), e.time(), false));
  }

  static Point at(Values v) {
    return new Point(v.get(X), v.get(Y));
  }

  private static PathLabel label(PathLabel l, Values v) {
    return l.named(l.id(), v.get(NAME) == null ? l.name() : v.get(NAME))
        .shown(
            v.get(HIDDEN) == null ? l.hidden() : v.get(HIDDEN),
            v.get(LOCKED) == null ? l.locked() : v.get(LOCKED));
  }

  /** A pin stays on its spot, which is as far from the other end now. */
  private static Scene reversed(Edited e) {
    double length = GuideContour.of(e.path(), e.time()).length();
    return e.scene()
        .withPath(PathEdits.reverse(e.path()))
        .withLetterings(
            l ->
                l.path().equals(e.path().id()) && l.seat().pin() != null
                    ? l.with(l.seat().pinned(length - l.seat().pin()))
                    : l);
  }

  private static GuidePath radius(Edited e, Values v) {
    if (!(e.path() instanceof ShapePath s)) {
      throw unfit();
    }
    Point centre = GuideContour.centre(s, GuideContour.of(s, e.time()), e.time());
    double r = Channel.RADIUS.clamp(centre.distance(at(v)));
    return s.with(Channel.RADIUS, new AnimatedValue(r));
  }

  private static GuidePath chord(Edited e, Values v) {
    if (e.path() instanceof ShapePath s && s.kind() == ShapeKind.ARC) {
      return ArcByChord.with(s, v.get(CHORD), v.get(HEIGHT), e.time());
    }
    throw unfit();
  }

  private static GuidePath freehand(Edited e, Values v) {
    if (!(e.path() instanceof FreehandPath f)) {
      throw unfit();
    }
    return new FreehandPath(
        f.label(),
        f.samples(),
        within(v.get(STEADINESS) == null ? f.steadiness() : v.get(STEADINESS)),
        within(v.get(SIMPLICITY) == null ? f.simplicity() : v.get(SIMPLICITY)),
        f.closed());
  }

  private static double within(double percent) {
    return Math.min(Math.max(percent, 0), 100);
  }

  private static GuidePath ruled(Edited e, Values v) {
    if (e.path() instanceof SmoothPath s) {
      return new SmoothPath(s.label(), s.points(), v.get(RULE), s.closed());
    }
    throw unfit();
  }

  private static DrawnPath overTime(DrawnPath d, double time, boolean on) {
    List<Knot> now = ShapeOverTime.at(d, time);
    List<ShapeKeyframe> shapes =
        on
            ? List.of(new ShapeKeyframe(time, now, Easing.EASE_IN_OUT, UnknownFields.NONE))
            : List.<ShapeKeyframe>of();
    return new DrawnPath(d.label(), now, d.closed(), shapes);
  }

  private static DrawnPath eased(DrawnPath d, Easing easing) {
    List<ShapeKeyframe> shapes =
        d.shapes().stream()
            .map(k -> new ShapeKeyframe(k.time(), k.points(), easing, k.extras()))
            .toList();
    return new DrawnPath(d.label(), d.points(), d.closed(), shapes);
  }

  private static GuidePath simplified(Edited e, Values v) {
    CurveFit.Fitted f = simplify(e.path(), v.get(TOLERANCE), e.time());
    Contour c = GuideContour.of(e.path(), e.time());
    List<Knot> knots = KnotsOf.cubics(f.cubics(), c.closed());
    return e.path() instanceof DrawnPath d
        ? PathEdits.atTime(d, e.time(), knots)
        : PathEdits.drawn(e.path(), knots, c.closed());
  }

  /** The path within a tolerance in px, at least 0.01. */
  public static CurveFit.Fitted simplify(GuidePath path, double tolerance, double time) {
    return Refit.simplified(GuideContour.of(path, time), Math.max(0.01, tolerance));
  }

  /** Joined to the path {@code other}, which is taken up with its letterings. */
  private static Scene joined(Edited e, Values v) {
    GuidePath other = path(e.scene(), v.get(OTHER));
    DrawnPath a = PathEdits.toPoints(e.path(), e.time());
    DrawnPath b = PathEdits.toPoints(other, e.time());
    if (a.id().equals(b.id())) {
      throw new IllegalArgumentException("A path cannot be joined to itself: close it instead");
    }
    if (a.closed() || b.closed()) {
      throw new IllegalArgumentException("Only open paths can be joined");
    }
    List<Knot> knots = KnotEdits.join(ShapeOverTime.at(a, e.time()), ShapeOverTime.at(b, e.time()));
    GuidePath joined = PathEdits.drawn(a, knots, false);
    Scene out = Reshaping.replace(e.scene(), joined, e.time(), false);
    out = out.withLetterings(l -> l.path().equals(b.id()) ? Reshaping.onto(l, other, joined) : l);
    for (Item i : out.items().values()) {
      out = out.withItem(FilledPaths.shaped(i, b.id(), joined.id()));
    }
    return out.withPaths(out.paths().stream().filter(p -> !p.id().equals(b.id())).toList());
  }
}
