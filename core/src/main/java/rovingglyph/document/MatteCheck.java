package rovingglyph.document;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;

/** Mattes name items that are there, none is measured by itself, and all can be painted in time. */
public final class MatteCheck {
  /** Paintings of single items for the mattes of one item and of all in it; more would hold up. */
  private static final long MOST_PAINTINGS = 20_000;

  private final Scene scene;
  private final boolean mattes;
  private final Map<String, Long> known = new HashMap<>();
  private final Set<String> open = new HashSet<>();

  private MatteCheck(Scene scene, boolean mattes) {
    this.scene = scene;
    this.mattes = mattes;
  }

  /** Whether an item would have to be painted to tell how much of it is seen. */
  public static boolean isCircular(Scene scene, String item) {
    return new MatteCheck(scene, true).paintings(item) < 0;
  }

  static void check(Scene scene, List<ItemList.Entry> entries, Fields f) {
    if (entries.stream().allMatch(e -> e.item().properties().matte() == null)) {
      return;
    }
    MatteCheck with = new MatteCheck(scene, true);
    MatteCheck without = new MatteCheck(scene, false);
    for (ItemList.Entry e : entries) {
      Matte matte = e.item().properties().matte();
      String field = e.place() + (matte == null ? "" : ".matte.item");
      if (matte != null && scene.item(matte.item()) == null) {
        f.problem(field, "no item has the id \"" + matte.item() + "\"", "");
        continue;
      }
      long paintings = with.paintings(e.item().id());
      long measuring = paintings - without.paintings(e.item().id());
      if (paintings < 0 && matte != null) {
        f.problem(field, "the item would be measured by itself", "an item that is not in it");
      } else if (measuring > MOST_PAINTINGS) {
        f.problem(
            field,
            "has " + measuring + " items painted for its mattes",
            "at most " + MOST_PAINTINGS + ": fewer mattes of mattes");
      }
    }
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
    Matte matte = mattes ? item.properties().matte() : null;
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
