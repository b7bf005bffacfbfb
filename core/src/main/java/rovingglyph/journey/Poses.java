package rovingglyph.journey;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
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
    labels.put(0L, "First");
    labels.put(last, "Last");
    for (Item item : moving(scene)) {
      if (scene.shows(item)) {
        item.values()
            .forEach((c, m) -> m.keyframes().forEach(k -> label(labels, scene, k, item, c, last)));
      }
    }
    for (Item item : scene.items().values()) {
      if (scene.shows(item)) {
        comesAndGoes(labels, scene, item.properties(), last);
      }
    }
    List<Pose> out = new ArrayList<>();
    labels.forEach((f, label) -> out.add(new Pose(scene.rate().timeOf(f), label)));
    return out;
  }

  /** The frame in which an item comes, and the first without it. */
  private static void comesAndGoes(
      TreeMap<Long, String> labels, Scene scene, ItemProperties p, long last) {
    if (p.shownFrom() > 0 && p.shownFrom() < scene.length()) {
      labels.putIfAbsent(Math.min(scene.rate().frameAt(p.shownFrom()), last), "Comes");
    }
    if (p.shownTo() < scene.length()) {
      labels.putIfAbsent(Math.min(scene.rate().frameAt(p.shownTo()), last), "Gone");
    }
  }

  /** The letterings and the groups; where none of them moves, all else that is placed. */
  private static List<? extends Item> moving(Scene scene) {
    List<Item> first = new ArrayList<>(scene.letterings());
    first.addAll(scene.groups());
    return first.stream().anyMatch(Animatable::moves) ? first : scene.others();
  }

  private static void label(
      TreeMap<Long, String> labels, Scene scene, Keyframe k, Item item, Channel c, long last) {
    long frame = scene.rate().frameAt(k.time());
    if (frame > last) {
      return;
    }
    String label = c.label();
    if (k.landing() != null) {
      label =
          switch (k.landing().kind()) {
            case OUT_BEFORE, OUT_AFTER -> "Just out";
            case INSIDE_BEFORE, INSIDE_AFTER -> "Just inside";
            case AT_REST -> "At rest";
            case CENTRED -> "Centred";
            case FACING_FRONT -> "In front";
            case AT_THE_BACK -> "At the back";
            case WHOLE_LAPS -> "Whole laps";
          };
    }
    boolean says = k.landing() != null && item instanceof Lettering;
    if (says || !labels.containsKey(frame)) {
      labels.put(frame, label);
    }
  }
}
