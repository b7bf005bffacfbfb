package rovingglyph.edit;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;

/**
 * The circles that new words come with: each in another place, and gone again with its words as
 * long as nobody has made anything of it.
 */
final class StartCircles {
  /** Their radii, of the lesser side of the frame: words on them do not touch each other. */
  private static final List<Double> RADII = List.of(0.35, 0.22, 0.12);

  /** How far the next ones are moved right and down, of the lesser side. */
  private static final double STEP = 0.06;

  /** As many places as are looked through. */
  private static final int MOST = 60;

  private StartCircles() {}

  /** A circle where there is none yet. */
  static ShapePath next(Scene scene, String id) {
    PathLabel label = new PathLabel(id, NewPaths.free(scene, ShapeKind.CIRCLE.word()));
    for (int n = 0; n < MOST; n++) {
      ShapePath at = at(scene, n, label);
      if (scene.paths().stream().noneMatch(p -> alike(p, at))) {
        return at;
      }
    }
    return at(scene, 0, label);
  }

  /**
   * What an edit left, without the circles that lost their last words by it and are used by nothing
   * else. One that was changed or renamed stays.
   */
  static Scene tidied(Scene before, Scene after) {
    Set<String> left = onPaths(before);
    left.removeAll(onPaths(after));
    left.removeIf(id -> after.path(id) == null || !isStart(after, after.path(id)));
    left.removeIf(id -> isUsed(after, id));
    if (left.isEmpty()) {
      return after;
    }
    return after.withPaths(after.paths().stream().filter(p -> !left.contains(p.id())).toList());
  }

  /** Whether anything stands on a path or has its shape. */
  static boolean isUsed(Scene scene, String path) {
    JsonArray items = Json.parse(SceneCodec.write(scene)).asObject().get("items").asArray();
    return CopiedIds.names(items, path);
  }

  private static Set<String> onPaths(Scene scene) {
    return scene.letterings().stream().map(Lettering::path).collect(Collectors.toSet());
  }

  private static boolean isStart(Scene scene, GuidePath path) {
    if (!path.name().startsWith(name())) {
      return false;
    }
    for (int n = 0; n < MOST; n++) {
      if (alike(path, at(scene, n, path.label()))) {
        return true;
      }
    }
    return false;
  }

  private static String name() {
    return ShapeKind.CIRCLE.word() + " ";
  }

  private static boolean alike(GuidePath path, ShapePath circle) {
    return path.with(circle.label()).equals(circle);
  }

  private static ShapePath at(Scene scene, int n, PathLabel label) {
    double side = Math.min(scene.width(), scene.height());
    double aside = Math.round(n / RADII.size() * STEP * side);
    double radius = Math.round(RADII.get(n % RADII.size()) * side);
    ShapePath first = NewPaths.shape(ShapeKind.CIRCLE, label, scene.width(), scene.height());
    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>(first.numbers());
    numbers.put(Channel.X, new AnimatedValue(scene.width() / 2.0 + aside));
    numbers.put(Channel.Y, new AnimatedValue(scene.height() / 2.0 + aside));
    numbers.put(Channel.RADIUS, new AnimatedValue(radius));
    return new ShapePath(label, first.kind(), numbers, false, false);
  }
}
