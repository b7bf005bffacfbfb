package rovingglyph.frame;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Place;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Group;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;

/**
 * What the groups round an item do to it, and the paths that carry them and the item, what they are
 * pinned to, and the planes that they lie in. Of several copies on a path it is the first.
 *
 * @param steps from outermost to innermost
 */
public record GroupTransform(List<Step> steps) {
  /** One map after another; the group is null where there is none. */
  private record Step(Carried carried, Group group) {
    Space map(double time) {
      Space first = carried.first(time);
      return group == null ? first : first.times(Place.map(group, time));
    }

    boolean constant() {
      boolean still = group == null || group.values().entrySet().stream().noneMatch(Step::moves);
      return still && carried.constant();
    }

    private static boolean moves(Map.Entry<Channel, AnimatedValue> e) {
      Channel c = e.getKey();
      boolean ofPlace = Transformed.CHANNELS.contains(c) && c != Channel.OPACITY;
      return ofPlace && e.getValue().moves();
    }
  }

  /** That of an item of a scene. */
  public static GroupTransform of(Scene scene, String id) {
    return of(scene, id, new HashMap<>());
  }

  /**
   * That of an item of a scene.
   *
   * @param paths that are prepared already; others are added as they are needed
   */
  static GroupTransform of(Scene scene, String id, Map<String, PreparedPath> paths) {
    List<Step> out = new ArrayList<>(round(scene, id, paths).steps);
    out.add(new Step(Carried.of(scene, scene.item(id), paths), null));
    return new GroupTransform(out);
  }

  /** The same without what moves the item itself. */
  static GroupTransform round(Scene scene, String id, Map<String, PreparedPath> paths) {
    List<Step> out = new ArrayList<>();
    for (Group g : scene.groupsRound(id)) {
      out.add(new Step(Carried.of(scene, g, paths), g));
    }
    return new GroupTransform(out);
  }

  /** The map of the item's pixels to those of the frame, as it lies flat in what it is in. */
  public Projection map(double time) {
    return space(time).plane();
  }

  /** How things in the item's own space are seen in the frame. */
  public Space space(double time) {
    Space out = Space.FLAT;
    for (Step s : steps) {
      out = out.times(s.map(time));
    }
    return out;
  }

  /** Whether that is the same at all times. */
  boolean constant() {
    return steps.stream().allMatch(Step::constant);
  }
}
