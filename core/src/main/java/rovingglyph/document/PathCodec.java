package rovingglyph.document;

import com.eclipsesource.json.JsonValue;
import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.scene.GuidePath;

/** Guide paths from and to JSON. */
final class PathCodec {
  /** Coordinates beyond this many px are refused: sums of their squares stay exact enough. */
  static final double FARTHEST = 1e6;

  private enum Kind {
    CIRCLE,
    DRAWN
  }

  private enum Direction {
    CLOCKWISE,
    COUNTERCLOCKWISE
  }

  private PathCodec() {}

  static GuidePath read(Fields f) {
    Kind kind = f.choice("kind", Kind.values(), null);
    if (kind == null) {
      f.problem("kind", "the kind of the path is missing", "circle, drawn");
      return null;
    }
    String id = f.id("id");
    String name = f.text("name", 200, "Path");
    return kind == Kind.CIRCLE ? circle(f, id, name) : drawn(f, id, name);
  }

  private static GuidePath circle(Fields f, String id, String name) {
    return new GuidePath.Circle(
        id,
        name,
        f.point("centre", FARTHEST, Point.ORIGIN),
        f.number("radius", 1, 1e5, 100),
        f.number("startAngle", -36000, 36000, -90),
        f.choice("direction", Direction.values(), Direction.CLOCKWISE) == Direction.CLOCKWISE,
        f.rest());
  }

  private static GuidePath drawn(Fields f, String id, String name) {
    int before = f.problems().size();
    List<GuidePath.Knot> points = f.list("points", 5000, PathCodec::knot);
    if (f.problems().size() == before) {
      if (points.size() < 2) {
        f.problem(
            "points", "a path needs at least two points, this has " + points.size(), "2 to 5000");
      } else if (points.stream().allMatch(p -> isOn(p, points.get(0).at()))) {
        f.problem(
            "points", "all points stand on one spot, so the path has no length", "two places");
      }
    }
    return new GuidePath.Drawn(id, name, points, f.flag("closed", false), f.rest());
  }

  private static boolean isOn(GuidePath.Knot k, Point spot) {
    return k.at().equals(spot) && k.in().length() == 0 && k.out().length() == 0;
  }

  private static GuidePath.Knot knot(Fields f) {
    return new GuidePath.Knot(
        new Point(f.number("x", -FARTHEST, FARTHEST, 0), f.number("y", -FARTHEST, FARTHEST, 0)),
        f.point("in", FARTHEST, Point.ORIGIN),
        f.point("out", FARTHEST, Point.ORIGIN),
        f.flag("smooth", true),
        f.rest());
  }

  static JsonValue write(GuidePath path) {
    Writer w = Writer.object().add("id", path.id()).add("name", path.name());
    if (path instanceof GuidePath.Circle c) {
      w.add("kind", Spelling.of(Kind.CIRCLE))
          .point("centre", c.centre())
          .add("radius", c.radius())
          .add("startAngle", c.startAngle())
          .add(
              "direction",
              Spelling.of(c.clockwise() ? Direction.CLOCKWISE : Direction.COUNTERCLOCKWISE));
    } else if (path instanceof GuidePath.Drawn d) {
      w.add("kind", Spelling.of(Kind.DRAWN))
          .add("closed", d.closed())
          .list("points", d.points(), PathCodec::write);
    }
    return w.rest(path.extras()).json();
  }

  private static JsonValue write(GuidePath.Knot k) {
    return Writer.object()
        .add("x", k.at().x())
        .add("y", k.at().y())
        .point("in", k.in())
        .point("out", k.out())
        .add("smooth", k.smooth())
        .rest(k.extras())
        .json();
  }
}
