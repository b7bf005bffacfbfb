package rovingglyph.edit;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Spelling;

/**
 * Paths that come into a scene. Each edit has the {@code id} of the new path and may name a
 * lettering to {@code seat} on it.
 */
public final class NewPaths {
  private final Scene scene;
  private final JsonObject edit;

  private NewPaths(Scene scene, JsonObject edit) {
    this.scene = scene;
    this.edit = edit;
  }

  /** The scene with the new path; null if {@code op} is not one of these edits. */
  static Scene apply(Scene scene, String op, JsonObject edit) {
    NewPaths n = new NewPaths(scene, edit);
    return switch (op) {
      case "newShape" -> n.add(n.shape());
      case "newPath" -> n.add(n.given(edit.get("path")));
      case "placePath" -> {
        GuidePath given = n.given(edit.get("path"));
        yield n.add(PathEdits.fit(given, scene.width(), scene.height(), 0));
      }
      case "importPaths" -> n.imported();
      case "duplicatePath" -> {
        GuidePath p = n.source();
        GuidePath copy = p.with(p.label().named(n.id(), n.name(p.name() + " copy")));
        double step = Math.round(Math.min(scene.width(), scene.height()) * 0.03);
        yield n.add(PathEdits.move(copy, new Point(step, step)));
      }
      case "parallelPath" -> n.add(n.parallel());
      default -> null;
    };
  }

  private String id() {
    return edit.getString("id", "");
  }

  private static String name(String name) {
    return name.substring(0, Math.min(200, name.length()));
  }

  private GuidePath source() {
    return PathOps.path(scene, edit.getString("of", ""));
  }

  private Scene add(GuidePath path) {
    Scene with = scene.adding(path);
    String seat = edit.getString("seat", "");
    if (!(scene.item(seat) instanceof Lettering l)) {
      return with;
    }
    return with.withItem(Reshaping.onto(l, scene.path(l.path()), path));
  }

  private GuidePath shape() {
    ShapeKind kind = Spelling.find(ShapeKind.values(), edit.getString("kind", ""));
    if (kind == null) {
      throw new IllegalArgumentException("There is no shape " + edit.get("kind"));
    }
    PathLabel label = new PathLabel(id(), kind.word() + " " + (scene.paths().size() + 1));
    return shape(kind, label, scene.width(), scene.height());
  }

  /** A shape in the middle of a frame, as large as its lesser side asks for, in whole px. */
  public static ShapePath shape(ShapeKind kind, PathLabel label, double width, double height) {
    double k = Math.min(width, height) / 1000;
    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>();
    for (Channel c : kind.numbers()) {
      double v = kind.start(c);
      numbers.put(c, new AnimatedValue(c.unit().equals("px") ? Math.round(v * k) : v));
    }
    numbers.put(Channel.X, new AnimatedValue(width / 2));
    numbers.put(Channel.Y, new AnimatedValue(height / 2));
    return new ShapePath(label, kind, numbers, false, false);
  }

  private GuidePath given(JsonValue json) {
    try {
      JsonObject named = new JsonObject(json.asObject()).set("id", id());
      if (named.get("name") == null) {
        named.set("name", "Curve " + (scene.paths().size() + 1));
      }
      return PathCodec.read(named);
    } catch (DocumentException e) {
      throw new IllegalArgumentException(e.problems().get(0).reason());
    }
  }

  /** A path at a distance beside another, outwards where positive. */
  private GuidePath parallel() {
    GuidePath of = source();
    double distance = edit.getDouble("distance", 0);
    double time = edit.getDouble("time", 0);
    PathLabel label = of.label().named(id(), name(of.name() + " beside"));
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
  private Scene imported() {
    List<GuidePath> read = new ArrayList<>();
    Rect box = Rect.EMPTY;
    for (JsonValue v : edit.get("paths").asArray()) {
      JsonObject o = v.asObject();
      List<SubPath> parts = SvgPath.parse(o.getString("d", "")).subPaths();
      if (parts.isEmpty()) {
        throw new IllegalArgumentException("This path data draws nothing");
      }
      Contour c = new Contour(parts.get(0).segments(), parts.get(0).closed());
      if (c.length() <= 0) {
        throw new IllegalArgumentException("This path has no length");
      }
      PathLabel label = new PathLabel(o.getString("id", ""), name(o.getString("name", "Path")));
      GuidePath plain = new DrawnPath(label, List.of(), false, List.of());
      read.add(PathEdits.drawn(plain, KnotsOf.contour(c), c.closed()));
      box = box.union(c.bounds());
    }
    Affine place = edit.getBoolean("fit", false) ? into(box) : Affine.IDENTITY;
    Scene out = scene;
    for (GuidePath p : read) {
      out = out.adding(PathEdits.mapped(p, place, 0));
    }
    String seat = edit.getString("seat", "");
    if (scene.item(seat) instanceof Lettering l && !read.isEmpty()) {
      GuidePath first = out.path(read.get(0).id());
      return out.withItem(Reshaping.onto(l, scene.path(l.path()), first));
    }
    return out;
  }

  private Affine into(Rect box) {
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
