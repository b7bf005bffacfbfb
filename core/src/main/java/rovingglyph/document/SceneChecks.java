package rovingglyph.document;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;

/** Ids of a document: each there once, and what one names is there. */
final class SceneChecks {
  /** More would hold up whatever paints it. */
  private static final long MOST_PAINTINGS = 200;

  private SceneChecks() {}

  static void references(Scene scene, List<ItemList.Entry> entries, Fields f) {
    Set<String> ids = new LinkedHashSet<>();
    for (int i = 0; i < scene.paths().size(); i++) {
      unique(ids, scene.paths().get(i).id(), "paths[" + i + "].id", f);
    }
    for (ItemList.Entry e : entries) {
      unique(ids, e.item().id(), e.place() + ".id", f);
      if (e.item() instanceof Lettering l && scene.path(l.path()) == null) {
        f.problem(e.place() + ".path", "no path has the id \"" + l.path() + "\"", "");
      }
      if (e.item() instanceof FilledPath p && scene.path(p.path()) == null) {
        f.problem(e.place() + ".path", "no path has the id \"" + p.path() + "\"", "");
      }
      if (e.item() instanceof ForegroundCut c && scene.path(c.path()) == null) {
        f.problem(e.place() + ".path", "no path has the id \"" + c.path() + "\"", "");
      }
      Clip clip = e.item().properties().clip();
      if (clip != null && scene.path(clip.path()) == null) {
        f.problem(e.place() + ".clip.path", "no path has the id \"" + clip.path() + "\"", "");
      }
      Ride ride = e.item().properties().ride();
      if (ride != null && scene.path(ride.path()) == null) {
        f.problem(e.place() + ".ride.path", "no path has the id \"" + ride.path() + "\"", "");
      }
      Plane plane = e.item().properties().plane();
      if (plane != null && plane.behind() != null && scene.item(plane.behind()) == null) {
        f.problem(
            e.place() + ".plane.goesBehind", "no item has the id \"" + plane.behind() + "\"", "");
      }
    }
    for (ItemList.Entry e : entries) {
      // What adds nothing itself is painted no more often than its group.
      long paintings = own(e.item()) == 1 ? 1 : paintings(scene, e.item());
      if (paintings > MOST_PAINTINGS) {
        f.problem(
            e.place() + (isRiding(e.item()) ? ".ride.copies" : ".effects"),
            "have it painted " + paintings + " times, with those of the groups round it",
            "at most "
                + MOST_PAINTINGS
                + " times: fewer copies, cast shadows and blended glows in it or its groups");
      }
    }
    MatteCheck.check(scene, entries, f);
    PinCheck.check(scene, entries, ids, f);
    for (int i = 0; i < scene.templates().size(); i++) {
      unique(ids, scene.templates().get(i).id(), "templates[" + i + "].id", f);
    }
    for (int i = 0; i < scene.guides().size(); i++) {
      unique(ids, scene.guides().get(i).id(), "guides[" + i + "].id", f);
    }
    for (int i = 0; i < scene.cues().size(); i++) {
      unique(ids, scene.cues().get(i).id(), "cues[" + i + "].id", f);
    }
  }

  /** How many times an item is painted: shadows of groups show the shadows in them, too. */
  private static long paintings(Scene scene, Item item) {
    long out = 1;
    Item at = item;
    // Groups in a circle are told elsewhere.
    for (int deep = 0; at != null && deep <= GroupCheck.DEEPEST; deep++) {
      out *= own(at);
      at = scene.groupOf(at.id());
    }
    return out;
  }

  static int own(Item item) {
    Ride ride = item.properties().ride();
    int once = 1 + item.properties().effects().stream().mapToInt(Effect::paintings).sum();
    return ride == null ? once : once * ride.copies();
  }

  private static boolean isRiding(Item item) {
    return item.properties().ride() != null && item.properties().ride().copies() > 1;
  }

  static void unique(Set<String> ids, String id, String field, Fields f) {
    if (!ids.add(id)) {
      f.problem(field, "\"" + id + "\" is used twice", "an id of its own");
    }
  }
}
