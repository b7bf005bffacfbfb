package rovingglyph.frame;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.motion.Place;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Group;

/**
 * The groups round an item.
 *
 * @param groups outermost first
 */
public record GroupTransform(List<Group> groups) {

  /** The map of the item's pixels to those of the frame. */
  public Affine map(double time) {
    Affine map = Affine.IDENTITY;
    for (Group g : groups) {
      map = map.times(Place.map(g, time));
    }
    return map;
  }

  /** Whether that is the same at all times. */
  boolean constant() {
    for (Group g : groups) {
      for (Map.Entry<Channel, AnimatedValue> e : g.values().entrySet()) {
        if (e.getKey() != Channel.OPACITY && e.getValue().moves()) {
          return false;
        }
      }
    }
    return true;
  }
}
