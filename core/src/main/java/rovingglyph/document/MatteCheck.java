package rovingglyph.document;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;

/**
 * Mattes and cuts name items that are there, none is measured by itself or a part of itself, and
 * all can be painted in time.
 */
public final class MatteCheck {
  /** Of single items for the mattes and cuts of one item and of all in it; more would hold up. */
  private static final long MOST_PAINTINGS = 20_000;

  private final Scene scene;
  private final boolean others;
  private final Map<String, Long> known = new HashMap<>();
  private final Set<String> open = new HashSet<>();

  private MatteCheck(Scene scene, boolean others) {
    this.scene = scene;
    this.others = others;
  }

  /** Whether an item would have to be painted to tell what of it is seen. */
  public static boolean isCircular(Scene scene, String item) {
    return new MatteCheck(scene, true).paintings(item) < 0;
  }

  static void check(Scene scene, List<ItemList.Entry> entries, Fields f) {
    if (entries.stream().allMatch(e -> others(e.item()).isEmpty())) {
      return;
    }
    MatteCheck with = new MatteCheck(scene, true);
    MatteCheck without = new MatteCheck(scene, false);
    for (ItemList.Entry e : entries) {
      Map<String, String> others = others(e.item());
      others.forEach(
          (field, id) -> {
            if (scene.item(id) == null) {
              f.problem(e.place() + field, "no item has the id \"" + id + "\"", "");
            }
          });
      long paintings = with.paintings(e.item().id());
      long more = paintings - without.paintings(e.item().id());
      String field = e.place() + others.keySet().stream().findFirst().orElse("");
      if (paintings < 0 && !others.isEmpty()) {
        boolean cut = e.item() instanceof ForegroundCut;
        f.problem(
            field,
            cut ? "the cut would be a part of itself" : "the item would be measured by itself",
            "an item that is not in it and does not hold it");
      } else if (more > MOST_PAINTINGS) {
        f.problem(
            field,
            "has " + more + " items painted for its mattes and cuts",
            "at most " + MOST_PAINTINGS + ": fewer mattes and cuts in each other");
      }
    }
  }

  /** The ids of other items that are painted for one, by the end of their JSON path. */
  private static Map<String, String> others(Item item) {
    Map<String, String> out = new LinkedHashMap<>();
    if (item instanceof ForegroundCut c) {
      out.put(".source", c.source());
    }
    if (item.properties().matte() != null) {
      out.put(".matte.item", item.properties().matte().item());
    }
    return out;
  }

  /** How many single items are painted for an item; negative where that comes round to itself. */
  private long paintings(String id) {
    Item item = scene.item(id);
    if (item == null || known.containsKey(id)) {
      return item == null ? 0 : known.get(id);
    }
    if (!open.add(id)) {
      return -1;
    }
    long within = item instanceof Group ? 0 : 1;
    if (item instanceof Group g) {
      for (String member : g.members()) {
        within = sum(within, paintings(member));
      }
    }
    if (others && item instanceof ForegroundCut c) {
      within = sum(within, paintings(c.source()));
    }
    Matte matte = others ? item.properties().matte() : null;
    long measured = matte == null ? 0 : paintings(matte.item());
    long out = within < 0 ? -1 : sum(within * SceneChecks.own(item), measured);
    open.remove(id);
    known.put(id, out);
    return out;
  }

  /** Never so great that it could run over. */
  private static long sum(long a, long b) {
    return a < 0 || b < 0 ? -1 : Math.min(a + b, Integer.MAX_VALUE);
  }
}
