package rovingglyph.document;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Transformed;
import rovingglyph.schema.Fields;

/** Every item stands in one place: the stack, or one group that is not in itself. */
final class GroupCheck {
  /** How deep groups stand in each other: a painter keeps a picture of each that is faded. */
  static final int DEEPEST = 5;

  private GroupCheck() {}

  /**
   * The stack as given; items that it does not name and that are in no group go on top, the
   * drawings, pictures, filled paths and colour fields first, so that nothing is ever unseen.
   */
  static List<String> stack(
      Fields f, List<String> given, Map<String, Item> items, Map<String, String> places) {
    List<Group> groups =
        items.values().stream().filter(i -> i instanceof Group).map(i -> (Group) i).toList();
    Map<String, Integer> in = membership(f, items, groups, places);
    Set<String> order = new LinkedHashSet<>(given);
    for (String id : order) {
      if (!items.containsKey(id)) {
        f.problem(
            "stack",
            "names \"" + id + "\", which is no lettering, picture or group",
            "ids of items");
      } else if (in.containsKey(id)) {
        String group = groups.get(in.get(id)).name();
        f.problem(
            "stack", "names \"" + id + "\", which is in the group \"" + group + "\"", "one place");
      }
    }
    for (int i = 0; i < groups.size(); i++) {
      int deep = depth(groups, in, i);
      boolean inItself = deep > groups.size();
      if (inItself || deep > DEEPEST) {
        f.problem(
            places.get(groups.get(i).id()) + ".members",
            inItself ? "the group is in itself" : "stand " + deep + " groups deep",
            "at most " + DEEPEST + " groups in each other");
        break;
      }
    }
    for (boolean words : new boolean[] {false, true}) {
      items.values().stream()
          .filter(i -> isBelowWords(i) != words && !in.containsKey(i.id()))
          .forEach(i -> order.add(i.id()));
    }
    return List.copyOf(order);
  }

  private static boolean isBelowWords(Item i) {
    return i instanceof FilledPath || i instanceof Transformed && !(i instanceof Group);
  }

  /** The index of the group that each member is in. */
  private static Map<String, Integer> membership(
      Fields f, Map<String, Item> items, List<Group> groups, Map<String, String> places) {
    Map<String, Integer> in = new HashMap<>();
    for (int i = 0; i < groups.size(); i++) {
      for (String id : groups.get(i).members()) {
        String reason = null;
        if (!items.containsKey(id)) {
          reason = "names \"" + id + "\", which is no lettering, picture or group";
        } else if (in.putIfAbsent(id, i) != null) {
          reason = "names \"" + id + "\", which is in a group already";
        }
        if (reason != null) {
          f.problem(
              places.get(groups.get(i).id()) + ".members",
              reason,
              "ids of items, each in one group");
        }
      }
    }
    return in;
  }

  /** How many groups a group's members are in; more than there are where it goes round. */
  private static int depth(List<Group> groups, Map<String, Integer> in, int of) {
    int deep = 1;
    Integer round = in.get(groups.get(of).id());
    while (round != null && deep <= groups.size()) {
      deep++;
      round = in.get(groups.get(round).id());
    }
    return deep;
  }
}
