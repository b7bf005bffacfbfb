package rovingglyph.document;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Problem;

/** Values that follow those of other letterings: the others are there, and none follows itself. */
final class FollowCheck {
  private FollowCheck() {}

  static void check(Scene scene, Map<String, String> places, List<Problem> problems) {
    Set<String> clear = new HashSet<>();
    for (Lettering l : scene.letterings()) {
      for (Map.Entry<Channel, AnimatedValue> e : l.values().entrySet()) {
        if (e.getValue().follow() == null) {
          continue;
        }
        String path = "$." + places.get(l.id()) + ItemList.place(l, e.getKey()) + ".follow";
        String other = e.getValue().follow().lettering();
        if (!(scene.item(other) instanceof Lettering)) {
          problems.add(
              new Problem(path, "no lettering has the id \"" + other + "\"", "ids of letterings"));
          continue;
        }
        List<String> round = new ArrayList<>();
        if (goesRound(scene, l.id(), round, clear)) {
          List<String> names = round.stream().map(id -> name(scene, id)).toList();
          problems.add(
              new Problem(
                  path,
                  "goes round in a circle: " + String.join(" follows ", names),
                  "letterings that do not follow this one"));
          return;
        }
      }
    }
  }

  private static String name(Scene scene, String id) {
    return "\u201c" + ((Lettering) scene.item(id)).text().strip() + "\u201d";
  }

  /**
   * Whether one comes back to where it has been by following.
   *
   * @param way the ids up to here; ends as the way round, if there is one
   * @param clear ids from which no way goes round: each is looked at once
   */
  private static boolean goesRound(Scene scene, String id, List<String> way, Set<String> clear) {
    if (clear.contains(id)) {
      return false;
    }
    boolean again = way.contains(id);
    way.add(id);
    if (again) {
      return true;
    }
    for (AnimatedValue m : ((Lettering) scene.item(id)).values().values()) {
      boolean known = m.follow() != null && scene.item(m.follow().lettering()) instanceof Lettering;
      if (known && goesRound(scene, m.follow().lettering(), way, clear)) {
        return true;
      }
    }
    way.remove(way.size() - 1);
    clear.add(id);
    return false;
  }
}
