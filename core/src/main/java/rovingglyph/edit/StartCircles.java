package rovingglyph.edit;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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

  /** As many places as there are: words on any of them are in the frame. */
  private static final int MOST = 15;

  private StartCircles() {}

  /** A circle where there is none yet; where all places are taken, in the first. */
  static ShapePath next(Scene scene, String id) {
    PathLabel label = new PathLabel(id, NewPaths.free(scene, ShapeKind.CIRCLE.word()));
    List<ShapePath> all = all(scene, label);
    return all.stream()
        .filter(c -> scene.paths().stream().noneMatch(p -> p.with(label).equals(c)))
        .findFirst()
        .orElse(all.get(0));
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
    return path.name().startsWith(ShapeKind.CIRCLE.word() + " ")
        && all(scene, path.label()).contains(path);
  }

  private static List<ShapePath> all(Scene scene, PathLabel label) {
    ShapePath first = NewPaths.shape(ShapeKind.CIRCLE, label, scene.width(), scene.height());
    double side = Math.min(scene.width(), scene.height());
    return IntStream.range(0, MOST).mapToObj(n -> moved(first, side, n)).toList();
  }

  private static ShapePath moved(ShapePath first, double side, int n) {
    double aside = Math.round(n / RADII.size() * STEP * side);
    double radius = Math.round(RADII.get(n % RADII.size()) * side);
    Map<Channel, AnimatedValue> numbers = new LinkedHashMap<>(first.numbers());
    numbers.computeIfPresent(Channel.X, (c, x) -> x.with(x.base() + aside));
    numbers.computeIfPresent(Channel.Y, (c, y) -> y.with(y.base() + aside));
    numbers.put(Channel.RADIUS, new AnimatedValue(radius));
    return new ShapePath(first.label(), first.kind(), numbers, false, false);
  }
}
