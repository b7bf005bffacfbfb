package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Place;
import rovingglyph.scene.Clip;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/** What of a scene stands in a part of the frame at one time. */
final class SceneHits {
  private final PreparedScene prepared;
  private final Scene scene;
  private final double time;

  SceneHits(PreparedScene prepared, double time) {
    this.prepared = prepared;
    this.scene = prepared.scene();
    this.time = time;
  }

  /**
   * The id of the topmost of some items, and of those in them, that is seen; empty if none is.
   *
   * @param spot as they see it
   */
  String topmost(List<String> ids, Window spot) {
    List<Painted> all = new ArrayList<>();
    new StackOrder(scene, ids).each((id, half) -> all.add(new Painted(scene.item(id), half)));
    for (int i = all.size() - 1; i >= 0; i--) {
      Item item = all.get(i).item;
      if (!item.properties().shownAt(time) || isClippedAway(item, spot)) {
        continue;
      }
      for (Space ride : prepared.rides(item, time)) {
        Window there = spot.within(ride);
        if (item instanceof Group g) {
          String found = topmost(g.members(), there.within(Space.FLAT.times(Place.map(g, time))));
          if (!found.isEmpty()) {
            return found;
          }
        } else if (touchesOnce(item, there.halved(all.get(i).half))) {
          return item.id();
        }
      }
    }
    return "";
  }

  private record Painted(Item item, Half half) {}

  private boolean isClippedAway(Item item, Window spot) {
    Clip clip = item.properties().clip();
    if (clip == null) {
      return false;
    }
    Contour path = prepared.paths().get(clip.path()).at(time);
    return !Appearance.shows(clip, path, spot);
  }

  /** Whether the outlines of an item, which may ride elsewhere, reach into a part of the frame. */
  boolean touches(Item item, Window spot) {
    return prepared.rides(item, time).stream().anyMatch(r -> touchesOnce(item, spot.within(r)));
  }

  private boolean touchesOnce(Item item, Window spot) {
    if (item instanceof Group g) {
      Window within = spot.within(Space.FLAT.times(Place.map(g, time)));
      return g.members().stream().anyMatch(m -> touches(scene.item(m), within));
    }
    if (item instanceof ForegroundCut c) {
      Item source = scene.item(c.source());
      Space back = Space.of(prepared.round(c.id(), time).inverse());
      Window there = spot.within(back.times(prepared.round(source.id(), time, 0)));
      return prepared.isPainted(c)
          && source.properties().shownAt(time)
          && prepared.cutArea(c).touches(time, there)
          && touches(source, there);
    }
    PreparedItem plain = prepared.items().get(item.id());
    return plain != null && plain.touches(time, spot);
  }
}
