package rovingglyph.proof;

import com.eclipsesource.json.JsonObject;
import java.util.List;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;

/** Landings that a path does not allow. */
final class LandingCheck {
  private LandingCheck() {}

  /**
   * @param c the value that lands
   * @param missing indexes of its keyframes whose landing has no solution
   */
  static List<Finding> of(Item item, Channel c, List<Integer> missing) {
    List<Keyframe> keys = item.movable(c).keyframes();
    return missing.stream().map(i -> found(item, c, i, keys.get(i))).toList();
  }

  private static Finding found(Item item, Channel c, int index, Keyframe k) {
    Landing landing = k.landing();
    String why =
        landing.isInside()
            ? " is nowhere wholly so far inside the frame on this path"
            : landing.isInDepth()
                ? " lies on a path that is nowhere nearer to the viewer than elsewhere"
                : " never gets out of the frame on this path";
    String message =
        Names.of(item) + why + ": " + Names.quoted(landing.kind().word()) + " keeps its last value";
    JsonObject letGo = Mend.value("land", item.id(), c).add("index", index);
    return Finding.of(message, item.id(), k.time()).mendedBy("Let go of the landing", letGo);
  }
}
