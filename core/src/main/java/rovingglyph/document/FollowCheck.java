package rovingglyph.document;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Movable;
import rovingglyph.scene.Scene;

/** Values that follow those of other letterings: the others are there, and none follows itself. */
final class FollowCheck {
  private FollowCheck() {}

  static void check(Scene scene, List<Problem> problems) {
    for (int i = 0; i < scene.letterings().size(); i++) {
      Lettering l = scene.letterings().get(i);
      for (Map.Entry<Channel, Movable> e : l.values().entrySet()) {
        if (e.getValue().follow() == null) {
          continue;
        }
        String where = Lettering.SEAT.contains(e.getKey()) ? ".seat." : ".";
        String path = "$.letterings[" + i + "]" + where + e.getKey().field() + ".follow";
        String other = e.getValue().follow().lettering();
        if (!(scene.item(other) instanceof Lettering)) {
          problems.add(
              new Problem(path, "no lettering has the id \"" + other + "\"", "ids of letterings"));
          continue;
        }
        List<String> round = round(scene, l.id(), new ArrayList<>(), new LinkedHashSet<>());
        if (round != null) {
          problems.add(
              new Problem(
                  path,
                  "goes round in a circle: " + String.join(" follows ", round),
                  "letterings that do not follow this one"));
          return;
        }
      }
    }
  }

  /** The names on a way from a lettering back to itself; null if there is none. */
  private static List<String> round(Scene scene, String id, List<String> way, Set<String> seen) {
    Lettering l = (Lettering) scene.item(id);
    way.add("\u201c" + l.text().strip() + "\u201d");
    if (!seen.add(id)) {
      return way;
    }
    for (Movable m : l.values().values()) {
      if (m.follow() != null && scene.item(m.follow().lettering()) instanceof Lettering) {
        List<String> found =
            round(scene, m.follow().lettering(), new ArrayList<>(way), new LinkedHashSet<>(seen));
        if (found != null) {
          return found;
        }
      }
    }
    return null;
  }
}
