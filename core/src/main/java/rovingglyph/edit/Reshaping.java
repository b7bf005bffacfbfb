package rovingglyph.edit;

import rovingglyph.geometry.Contour;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.Channel;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;

/**
 * What stands on a path stays when the path is edited: path offsets keep their share of the length,
 * unless a lettering keeps distances, and a pin stays on its spot. Landings are solved again when
 * the scene is prepared.
 */
final class Reshaping {
  private final Contour old;
  private final Contour now;
  private final boolean whole;

  private Reshaping(GuidePath old, GuidePath now, double time, boolean whole) {
    this.old = GuideContour.of(old, time);
    this.now = GuideContour.of(now, time);
    this.whole = whole;
  }

  /**
   * Puts an edited path in the place of the old one with the same id.
   *
   * @param time at which the two are compared, for paths that move
   * @param whole whether the path as a whole was moved or scaled; then a pin keeps its share too
   */
  static Scene replace(Scene scene, GuidePath edited, double time, boolean whole) {
    Reshaping r = new Reshaping(scene.path(edited.id()), edited, time, whole);
    Scene out =
        scene.withPath(edited).withLetterings(l -> l.path().equals(edited.id()) ? r.kept(l) : l);
    for (Item i : out.items().values()) {
      Ride ride = i.properties().ride();
      out =
          ride != null && ride.path().equals(edited.id())
              ? out.withItem(r.shared(i, Channel.RIDE_OFFSET))
              : out;
    }
    return out;
  }

  /** The lettering on another path of the scene. */
  static Lettering onto(Lettering l, GuidePath from, GuidePath to) {
    Lettering kept = new Reshaping(from, to, 0, true).kept(l);
    return kept.on(to.id(), kept.seat());
  }

  private Lettering kept(Lettering l) {
    Seat seat = l.seat();
    Lettering pinned = seat.pin() == null ? l : l.with(seat.pinned(pin(seat.pin())));
    boolean kept = seat.reshape() == Seat.Reshape.KEEP_SHARE;
    return kept ? (Lettering) shared(pinned, Channel.PATH_OFFSET) : pinned;
  }

  /** With the share of the length that a distance along the path has. */
  private Item shared(Item item, Channel c) {
    double share = old.length() > 0 ? now.length() / old.length() : 1;
    return share <= 0 ? item : item.with(c, item.movable(c).mapped(v -> c.clamp(v * share)));
  }

  private double pin(double d) {
    if (whole) {
      return old.length() > 0 ? d * now.length() / old.length() : d;
    }
    return now.nearest(old.at(d).point()).distance();
  }
}
