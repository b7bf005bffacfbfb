package rovingglyph.journey;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;

/** The frames worth comparing: the first, those at keyframes, the last. */
public final class Poses {
  /** A time in seconds, on a frame, and what happens there. */
  public record Pose(double time, String label) {}

  private Poses() {}

  /** In order of time, one per frame. */
  public static List<Pose> of(Scene scene) {
    TreeMap<Long, String> labels = new TreeMap<>();
    long last = scene.frameCount() - 1L;
    labels.put(0L, "First frame");
    labels.put(last, "Last frame");
    List<Item> items = new ArrayList<>(scene.pictures());
    items.addAll(scene.letterings());
    for (Item item : items) {
      for (Channel c : Channel.values()) {
        if (!item.hidden() && item.movable(c) != null) {
          item.movable(c).keyframes().forEach(k -> label(labels, scene, k, item, c, last));
        }
      }
    }
    List<Pose> out = new ArrayList<>();
    labels.forEach((f, label) -> out.add(new Pose(scene.rate().timeOf(f), label)));
    return out;
  }

  private static void label(
      TreeMap<Long, String> labels, Scene scene, Keyframe k, Item item, Channel c, long last) {
    long frame = scene.rate().frameAt(k.time());
    if (frame > last) {
      return;
    }
    String label = c.label();
    if (k.landing() != null) {
      String word = k.landing().kind().word();
      label = word.substring(0, 1).toUpperCase() + word.substring(1);
    }
    boolean says = k.landing() != null && item instanceof Lettering;
    if (says || !labels.containsKey(frame)) {
      labels.put(frame, label);
    }
  }
}
