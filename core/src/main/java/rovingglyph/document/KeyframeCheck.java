package rovingglyph.document;

import java.util.List;
import java.util.Map;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Movable;
import rovingglyph.scene.Scene;

/** One keyframe per frame and value. */
final class KeyframeCheck {
  private KeyframeCheck() {}

  static void perFrame(Scene scene, List<Problem> problems) {
    for (int i = 0; i < scene.letterings().size(); i++) {
      check(scene, scene.letterings().get(i), "$.letterings[" + i + "]", problems);
    }
    for (int i = 0; i < scene.pictures().size(); i++) {
      check(scene, scene.pictures().get(i), "$.pictures[" + i + "]", problems);
    }
    for (int i = 0; i < scene.groups().size(); i++) {
      check(scene, scene.groups().get(i), "$.groups[" + i + "]", problems);
    }
  }

  private static void check(Scene scene, Item item, String path, List<Problem> problems) {
    for (Map.Entry<Channel, Movable> e : item.values().entrySet()) {
      Channel c = e.getKey();
      List<Keyframe> keys = e.getValue().keyframes();
      for (int i = 1; i < keys.size(); i++) {
        long frame = scene.rate().frameAt(keys.get(i).time());
        if (scene.rate().frameAt(keys.get(i - 1).time()) == frame) {
          problems.add(
              new Problem(
                  path + LetteringCodec.place(c) + ".keyframes[" + i + "].time",
                  "two keyframes stand on frame "
                      + frame
                      + " ("
                      + SceneCodec.seconds(keys.get(i).time())
                      + ")",
                  "one keyframe per frame"));
        }
      }
    }
  }
}
