package rovingglyph.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Cue;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Problem;

/** What holds for the values of whatever can move: the paths and the items. */
final class KeyframeCheck {
  private KeyframeCheck() {}

  /**
   * One keyframe per frame and value, cues that are there, and no lag or following where nothing
   * lags or follows.
   */
  static void check(Scene scene, Map<String, String> places, List<Problem> problems) {
    Set<String> cues = scene.cues().stream().map(Cue::id).collect(Collectors.toSet());
    for (int i = 0; i < scene.paths().size(); i++) {
      check(scene, scene.paths().get(i), "$.paths[" + i + "]", cues, problems);
    }
    for (Item item : scene.items().values()) {
      check(scene, item, "$." + places.get(item.id()), cues, problems);
    }
  }

  private static void check(
      Scene scene, Animatable mover, String path, Set<String> cues, List<Problem> problems) {
    mover
        .values()
        .forEach(
            (c, m) -> {
              String at = path + place(mover, c);
              perFrame(scene, m.keyframes(), at, problems);
              cues(m.keyframes(), cues, at, problems);
              boolean letters = mover instanceof Lettering;
              if (m.stagger() != null && !(letters && c.mayLag())) {
                problems.add(
                    new Problem(
                        at + ".stagger", "only letters lag behind each other", "none here"));
              }
              if (m.follow() != null && !(letters && !c.isOfAppearance())) {
                problems.add(
                    new Problem(at + ".follow", "only letterings follow letterings", "none here"));
              }
            });
  }

  private static String place(Animatable mover, Channel c) {
    return mover instanceof Item item ? ItemList.place(item, c) : "." + c.field();
  }

  private static void perFrame(
      Scene scene, List<Keyframe> keys, String at, List<Problem> problems) {
    for (int i = 1; i < keys.size(); i++) {
      long frame = scene.rate().frameAt(keys.get(i).time());
      if (scene.rate().frameAt(keys.get(i - 1).time()) == frame) {
        problems.add(
            new Problem(
                at + ".keyframes[" + i + "].time",
                "two keyframes stand on frame "
                    + frame
                    + " ("
                    + SceneCodec.seconds(keys.get(i).time())
                    + ")",
                "one keyframe per frame"));
      }
    }
  }

  private static void cues(
      List<Keyframe> keys, Set<String> cues, String at, List<Problem> problems) {
    for (int i = 0; i < keys.size(); i++) {
      String cue = keys.get(i).cue();
      if (cue != null && !cues.contains(cue)) {
        problems.add(
            new Problem(
                at + ".keyframes[" + i + "].cue",
                "no cue has the id \"" + cue + "\"",
                "ids of cues"));
      }
    }
  }

  /**
   * Takes away what earlier versions left behind: deleting a cue forgot the keyframes of paths that
   * followed it, and these may share a frame.
   */
  static Scene healed(Scene scene) {
    Set<String> cues = scene.cues().stream().map(Cue::id).collect(Collectors.toSet());
    Scene out = scene;
    for (GuidePath p : scene.paths()) {
      GuidePath changed = p;
      for (Map.Entry<Channel, AnimatedValue> e : p.values().entrySet()) {
        List<Keyframe> keys = e.getValue().keyframes();
        List<Keyframe> kept = new ArrayList<>();
        Function<Keyframe, Long> frame = k -> scene.rate().frameAt(k.time());
        for (Keyframe k : keys) {
          if (!kept.isEmpty() && frame.apply(kept.get(kept.size() - 1)).equals(frame.apply(k))) {
            kept.remove(kept.size() - 1);
          }
          kept.add(k.cue() != null && !cues.contains(k.cue()) ? k.at(k.time(), null) : k);
        }
        if (!kept.equals(keys)) {
          changed = changed.with(e.getKey(), e.getValue().with(List.copyOf(kept)));
        }
      }
      out = changed == p ? out : out.withPath(changed);
    }
    return out;
  }
}
