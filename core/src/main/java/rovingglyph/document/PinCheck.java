package rovingglyph.document;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import rovingglyph.scene.Footage;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Pin;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;

/** Pins name what is followed in some footage, and none holds to what holds to it. */
public final class PinCheck {
  private static final String AGAIN = "holds to footage that holds to it";

  private final Scene scene;
  private final Set<String> open = new HashSet<>();
  private final Set<String> clear = new HashSet<>();

  private PinCheck(Scene scene) {
    this.scene = scene;
  }

  static void check(Scene scene, List<ItemList.Entry> entries, Set<String> ids, Fields f) {
    for (ItemList.Entry e : entries) {
      if (e.item() instanceof Footage footage) {
        for (int i = 0; i < footage.pins().size(); i++) {
          SceneChecks.unique(ids, footage.pins().get(i).id(), e.place() + ".pins[" + i + "].id", f);
        }
      }
    }
    PinCheck check = new PinCheck(scene);
    for (ItemList.Entry e : entries) {
      check.named(e.item().properties().pin(), e.place(), f);
    }
    for (int i = 0; i < scene.paths().size(); i++) {
      check.named(scene.paths().get(i).label().pin(), "paths[" + i + "]", f);
    }
    for (ItemList.Entry e : entries) {
      if (e.item() instanceof Footage && check.comesRound(e.item().id())) {
        f.problem(e.place() + ".pin", AGAIN, "a pin to other footage, or none");
        return;
      }
    }
  }

  private void named(Pin pin, String place, Fields f) {
    if (pin != null && scene.pinned(pin.to()) == null) {
      f.problem(place + ".pin.to", "nothing is followed under the id \"" + pin.to() + "\"", "");
    }
  }

  /** Whether where some footage stands would have to be known to tell where it stands. */
  public static boolean isCircular(Scene scene) {
    PinCheck check = new PinCheck(scene);
    return scene.items().values().stream()
        .anyMatch(i -> i instanceof Footage && check.comesRound(i.id()));
  }

  /** The same of one item, looked at once. */
  private boolean comesRound(String id) {
    if (clear.contains(id)) {
      return false;
    }
    if (!open.add(id)) {
      return true;
    }
    boolean out = false;
    Item at = scene.item(id);
    // Groups in a circle are told elsewhere.
    for (int deep = 0; at != null && deep <= GroupCheck.DEEPEST; deep++) {
      out |= holdsRound(at);
      at = scene.groupOf(at.id());
    }
    open.remove(id);
    clear.add(id);
    return out;
  }

  private boolean holdsRound(Item item) {
    Ride ride = item.properties().ride();
    GuidePath path = ride == null ? null : scene.path(ride.path());
    return follows(item.properties().pin()) || path != null && follows(path.label().pin());
  }

  private boolean follows(Pin pin) {
    Footage footage = pin == null ? null : scene.pinned(pin.to());
    return footage != null && comesRound(footage.id());
  }
}
