package rovingglyph.bridge;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.List;
import rovingglyph.document.PathCodec;
import rovingglyph.edit.NewPaths;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;
import rovingglyph.paths.GuideContour;
import rovingglyph.paths.KnotsOf;
import rovingglyph.paths.PathPicture;
import rovingglyph.paths.ShapeOverTime;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Knot;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.SmoothPath;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Spelling;

/** What the interface wants to know of paths in general, as JSON. */
final class PathBridge {
  private PathBridge() {}

  /** The shapes that can be had, their numbers, and a small picture of each. */
  static JsonArray kinds() {
    JsonArray out = new JsonArray();
    for (ShapeKind k : ShapeKind.values()) {
      JsonArray numbers = new JsonArray();
      for (Channel c : k.numbers()) {
        numbers.add(
            new JsonObject()
                .add("field", c.field())
                .add("label", c.label())
                .add("unit", c.unit())
                .add("start", k.start(c)));
      }
      GuidePath sample = NewPaths.shape(k, new PathLabel("s", k.word()), 1000, 1000);
      out.add(
          new JsonObject()
              .add("kind", Spelling.of(k))
              .add("word", k.word())
              .add("closed", k.closed())
              .add("numbers", numbers)
              .add("picture", PathPicture.of(sample)));
    }
    return out;
  }

  /** A small picture of a path given as JSON; empty where it cannot be read. */
  static String picture(String path) {
    try {
      return PathPicture.of(PathCodec.read(Json.parse(path)));
    } catch (DocumentException e) {
      return "";
    }
  }

  static String sketch(String path) {
    try {
      return SvgPath.write(GuideContour.of(PathCodec.read(Json.parse(path))), 2);
    } catch (DocumentException e) {
      return "";
    }
  }

  /**
   * Lines as numbers, which cost a fraction of path data: of each its count of cubics, x and y of
   * its start, and six numbers a cubic, for both handles and the end.
   */
  static double[] lines(List<Contour> lines) {
    List<List<Cubic>> raised = lines.stream().map(KnotsOf::raised).toList();
    double[] out = new double[raised.stream().mapToInt(c -> 3 + 6 * c.size()).sum()];
    int n = 0;
    for (int i = 0; i < raised.size(); i++) {
      out[n++] = raised.get(i).size();
      n = write(lines.get(i).first(), out, n);
      for (Cubic k : raised.get(i)) {
        n = write(k.p3(), out, write(k.p2(), out, write(k.p1(), out, n)));
      }
    }
    return out;
  }

  /** Six numbers for each point of a path that has some: place, incoming and outgoing handle. */
  static double[] points(GuidePath path, double time) {
    List<Knot> knots =
        path instanceof DrawnPath d
            ? ShapeOverTime.at(d, time)
            : path instanceof SmoothPath s
                ? s.points().stream().map(Knot::corner).toList()
                : List.of();
    double[] out = new double[6 * knots.size()];
    int n = 0;
    for (Knot k : knots) {
      n = write(k.out(), out, write(k.in(), out, write(k.at(), out, n)));
    }
    return out;
  }

  private static int write(Point p, double[] out, int at) {
    out[at] = p.x();
    out[at + 1] = p.y();
    return at + 2;
  }

  /** The subpaths of path data, each with its picture; {@code error} and where, if it is broken. */
  static JsonObject parts(String data) {
    SvgPath.Parsed parsed = SvgPath.parse(data);
    JsonArray parts = new JsonArray();
    for (SubPath s : parsed.subPaths()) {
      Contour c = new Contour(s.segments(), s.closed());
      if (c.length() > 0) {
        parts.add(
            new JsonObject()
                .add("d", SvgPath.write(c, 9))
                .add("closed", c.closed())
                .add("length", c.length())
                .add("picture", PathPicture.of(c)));
      }
    }
    JsonObject out = new JsonObject().add("parts", parts);
    if (parsed.error() != null) {
      out.add("error", parsed.error()).add("position", parsed.position() + 1);
    }
    return out;
  }
}
