package rovingglyph.frame;

import java.util.LinkedHashMap;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Scene;

/**
 * Scenes whose letters are as flat as their fronts, and lit as before: for what has no words for
 * sides that turn.
 */
public final class ThinLetters {
  private ThinLetters() {}

  /** Whether an item has letters with thickness. */
  public static boolean isThick(Item item) {
    Plane plane = item.properties().plane();
    AnimatedValue thickness = item.movable(Channel.THICKNESS);
    return item instanceof Lettering
        && plane != null
        && plane.body() != null
        && (thickness.moves() || thickness.keyed() || thickness.base() > 0);
  }

  /** A scene, and all that are inset into it, without thickness. */
  public static PreparedScene of(PreparedScene scene) {
    Scene plain = scene.scene();
    Map<String, PreparedLettering> letterings = new LinkedHashMap<>();
    Map<String, PreparedItem> items = new LinkedHashMap<>(scene.items());
    for (Map.Entry<String, PreparedLettering> e : scene.letterings().entrySet()) {
      PreparedLettering l = e.getValue();
      if (isThick(l.lettering())) {
        Map<Channel, AnimatedValue> values = new LinkedHashMap<>(l.lettering().values());
        values.put(Channel.THICKNESS, new AnimatedValue(0));
        Lettering thin = (Lettering) l.lettering().with(l.lettering().properties(), values);
        l = l.solved(thin, l.unsolved());
        plain = plain.withItem(thin);
        items.put(e.getKey(), l);
      }
      letterings.put(e.getKey(), l);
    }
    items.replaceAll(
        (id, item) -> item instanceof PreparedInset i ? i.showing(of(i.shown())) : item);
    return new PreparedScene(
        plain,
        scene.paths(),
        letterings,
        items,
        scene.outlines(),
        scene.images(),
        scene.unsolved());
  }
}
