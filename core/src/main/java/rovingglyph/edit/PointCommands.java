package rovingglyph.edit;

import static rovingglyph.edit.Arguments.X;
import static rovingglyph.edit.Arguments.Y;
import static rovingglyph.edit.Command.argument;
import static rovingglyph.edit.PathCommands.at;
import static rovingglyph.edit.PathCommands.command;
import static rovingglyph.edit.PathCommands.shaped;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import rovingglyph.edit.PathCommands.Edited;
import rovingglyph.geometry.Point;
import rovingglyph.paths.GuideContour;
import rovingglyph.paths.KnotInsert;
import rovingglyph.paths.ShapeOverTime;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SmoothPath;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * Edits of points of drawn and smooth paths: {@code index} or {@code indexes} chooses them, the
 * first one where both are left out.
 */
final class PointCommands {
  private static final Field<Values, Integer> INDEX =
      argument("index", Types.integer(0, PathEdits.MOST_POINTS)).usual(0);
  private static final Field<Values, List<Integer>> INDEXES =
      argument("indexes", Types.indexes(PathEdits.MOST_POINTS)).optional();
  private static final Field<Values, Arrange.Edge> EDGE =
      argument("edge", Types.choice(Arrange.Edge.values()));
  private static final Field<Values, Boolean> ACROSS = argument("across", Types.flag()).usual(true);
  private static final Field<Values, Double> OUT_X = argument("outX", Arguments.ANY).usual(0.0);
  private static final Field<Values, Double> OUT_Y = argument("outY", Arguments.ANY).usual(0.0);
  private static final Field<Values, Boolean> BROKEN =
      argument("broken", Types.flag()).usual(false);
  private static final Field<Values, Knot.Kind> KIND =
      argument("kind", Types.choice(Knot.Kind.values()));

  /** Of the second part. */
  private static final Field<Values, String> SECOND =
      argument("id", Types.text(Types.LONGEST_ID)).usual("");

  static final List<Command> ALL =
      List.of(
          placing(
              "align",
              "Aligned points",
              List.of(EDGE),
              (points, v) -> Arrange.align(points, chosen(v, points.size()), v.get(EDGE))),
          placing(
              "distribute",
              "Distributed points",
              List.of(ACROSS),
              (points, v) -> Arrange.distribute(points, chosen(v, points.size()), v.get(ACROSS))),
          placing("movePoint", "Moved a point", List.of(X, Y), PointCommands::moved),
          placing("movePoints", "Moved points", List.of(X, Y), PointCommands::shifted),
          ofPoints("insert", "Added a point", List.of(X, Y), PointCommands::inserted),
          ofPoints("append", "Added a point", List.of(X, Y, OUT_X, OUT_Y), PointCommands::appended),
          ofPoints("delete", "Deleted points", List.of(), PointCommands::deleted),
          ofPoints(
              "moveIn", "Moved a handle", List.of(X, Y, BROKEN), (e, v) -> handle(e, v, false)),
          ofPoints(
              "moveOut", "Moved a handle", List.of(X, Y, BROKEN), (e, v) -> handle(e, v, true)),
          ofPoints(
              "smooth",
              "Smoothed points",
              List.of(),
              (e, v) -> knots(e, edits -> edits.smooth(chosen(v, edits.points().size())))),
          ofPoints(
              "kind",
              "Changed the kind of points",
              List.of(KIND),
              (e, v) ->
                  knots(e, edits -> edits.kind(chosen(v, edits.points().size()), v.get(KIND)))),
          command("cut", "Cut a path", List.of(INDEX, SECOND), PointCommands::cut));

  private PointCommands() {}

  private interface Placing {
    List<Point> of(List<Point> points, Values v);
  }

  private interface KnotChange {
    List<Knot> of(KnotEdits edits);
  }

  private static List<Field<Values, ?>> choosing(List<Field<Values, ?>> more) {
    List<Field<Values, ?>> all = new ArrayList<>(List.of(INDEX, INDEXES));
    all.addAll(more);
    return all;
  }

  private static Command ofPoints(
      String op,
      String done,
      List<Field<Values, ?>> more,
      PathCommands.Change<? extends GuidePath> change) {
    return shaped(op, done, choosing(more), change);
  }

  /** An edit of places alone, the same for drawn and smooth paths. */
  private static Command placing(
      String op, String done, List<Field<Values, ?>> more, Placing placing) {
    return shaped(
        op,
        done,
        choosing(more),
        (e, v) ->
            e.path() instanceof SmoothPath s
                ? s.with(placing.of(s.points(), v))
                : knots(e, edits -> edits.place(placing.of(edits.points(), v))));
  }

  private static Set<Integer> chosen(Values v, int count) {
    Set<Integer> out = new TreeSet<>();
    out.addAll(v.get(INDEXES) == null ? List.of(v.get(INDEX)) : v.get(INDEXES));
    for (int i : out) {
      if (i >= count) {
        throw new IllegalArgumentException("There is no point " + (i + 1));
      }
    }
    return out;
  }

  private static int first(Values v, int count) {
    Set<Integer> all = chosen(v, count);
    if (all.isEmpty()) {
      throw new IllegalArgumentException("Choose a point first");
    }
    return all.iterator().next();
  }

  private static List<Point> moved(List<Point> points, Values v) {
    List<Point> out = new ArrayList<>(points);
    out.set(first(v, points.size()), at(v));
    return out;
  }

  private static List<Point> shifted(List<Point> points, Values v) {
    List<Point> out = new ArrayList<>(points);
    chosen(v, points.size()).forEach(i -> out.set(i, points.get(i).plus(at(v))));
    return out;
  }

  private static DrawnPath knots(Edited e, KnotChange change) {
    DrawnPath d = e.drawn();
    KnotEdits edits = new KnotEdits(ShapeOverTime.at(d, e.time()), d.closed());
    return PathEdits.atTime(d, e.time(), change.of(edits));
  }

  private static GuidePath inserted(Edited e, Values v) {
    if (e.path() instanceof SmoothPath s) {
      return s.with(between(s, at(v)));
    }
    DrawnPath d = e.drawn();
    List<Knot> now = ShapeOverTime.at(d, e.time());
    return PathEdits.atTime(d, e.time(), KnotInsert.at(now, d.closed(), at(v)));
  }

  /** With a point between the two whose straight join is nearest. */
  private static List<Point> between(SmoothPath s, Point at) {
    List<Knot> rough = s.points().stream().map(Knot::corner).toList();
    List<Knot> more = KnotInsert.at(rough, s.closed(), at);
    int index =
        KnotInsert.indexAt(more, GuideContour.ofKnots(rough, s.closed()).nearest(at).point());
    List<Point> points = new ArrayList<>(s.points());
    if (more.size() > rough.size()) {
      points.add(index, at);
    }
    return points;
  }

  private static GuidePath appended(Edited e, Values v) {
    if (e.path() instanceof SmoothPath s) {
      List<Point> points = new ArrayList<>(s.points());
      points.add(at(v));
      return s.with(points);
    }
    return knots(e, edits -> edits.append(at(v), new Point(v.get(OUT_X), v.get(OUT_Y))));
  }

  private static GuidePath deleted(Edited e, Values v) {
    if (!(e.path() instanceof SmoothPath s)) {
      return knots(e, edits -> edits.delete(chosen(v, edits.points().size())));
    }
    Set<Integer> gone = chosen(v, s.points().size());
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < s.points().size(); i++) {
      if (!gone.contains(i)) {
        points.add(s.points().get(i));
      }
    }
    if (points.size() < 2) {
      throw new IllegalArgumentException("A path needs at least two points");
    }
    return s.with(points);
  }

  private static GuidePath handle(Edited e, Values v, boolean out) {
    return knots(
        e, edits -> edits.moveHandle(first(v, edits.points().size()), out, at(v), v.get(BROKEN)));
  }

  /** A cut path keeps its letterings on the first part; {@code id} is the second part's. */
  private static Scene cut(Edited e, Values v) {
    if (!(e.path() instanceof DrawnPath d)) {
      throw new IllegalArgumentException("Turn the path into points first");
    }
    KnotEdits edits = new KnotEdits(ShapeOverTime.at(d, e.time()), d.closed());
    if (v.get(INDEX) >= d.points().size()) {
      throw new IllegalArgumentException("There is no point " + (v.get(INDEX) + 1));
    }
    List<List<Knot>> parts = edits.cut(v.get(INDEX));
    DrawnPath first = new DrawnPath(d.label(), parts.get(0), false, List.of());
    Scene out = Reshaping.replace(e.scene(), first, e.time(), false);
    if (parts.size() == 1) {
      return out;
    }
    PathLabel label = d.label().named(v.get(SECOND), d.name() + ", second part");
    return out.adding(new DrawnPath(label, parts.get(1), false, List.of()));
  }
}
