package rovingglyph.frame;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.motion.Place;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;

/**
 * What the groups round an item do to it, and the paths that carry them and the item. Of several
 * copies on a path it is the first.
 *
 * @param steps from outermost to innermost
 */
public record GroupTransform(List<Step> steps) {
  /** One map after another; either is null where there is none. */
  private record Step(Carriage carriage, Group group) {
    Affine map(double time) {
      Affine carried = carriage == null ? Affine.IDENTITY : carriage.first(time);
      return group == null ? carried : carried.times(Place.map(group, time));
    }

    boolean constant() {
      boolean still = group == null || group.values().entrySet().stream().noneMatch(Step::moves);
      boolean rests =
          carriage == null
              || (!carriage.path().moves()
                  && Channel.RIDE.stream().noneMatch(c -> carriage.item().movable(c).moves()));
      return still && rests;
    }

    private static boolean moves(Map.Entry<Channel, AnimatedValue> e) {
      Channel c = e.getKey();
      boolean ofPlace = Transformed.CHANNELS.contains(c) && c != Channel.OPACITY;
      return ofPlace && e.getValue().moves();
    }
  }

  /** That of an item of a scene. */
  public static GroupTransform of(Scene scene, String id) {
    Map<String, PreparedPath> paths = new HashMap<>();
    scene.paths().forEach(p -> paths.put(p.id(), new PreparedPath(p)));
    return of(scene, id, paths);
  }

  /** That of an item of a scene whose paths are prepared. */
  static GroupTransform of(Scene scene, String id, Map<String, PreparedPath> paths) {
    List<Step> out = new ArrayList<>();
    for (Group g : scene.groupsRound(id)) {
      out.add(new Step(carriage(g, paths), g));
    }
    Carriage own = carriage(scene.item(id), paths);
    if (own != null) {
      out.add(new Step(own, null));
    }
    return new GroupTransform(out);
  }

  /** The item with the path that carries it; null where none does. */
  static Carriage carriage(Item item, Map<String, PreparedPath> paths) {
    return item.properties().ride() == null
        ? null
        : new Carriage(item, paths.get(item.properties().ride().path()));
  }

  /** The map of the item's pixels to those of the frame. */
  public Affine map(double time) {
    Affine map = Affine.IDENTITY;
    for (Step s : steps) {
      map = map.times(s.map(time));
    }
    return map;
  }

  /** Whether that is the same at all times. */
  boolean constant() {
    return steps.stream().allMatch(Step::constant);
  }
}
