package rovingglyph.frame;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Space;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/**
 * What moves an item besides its own place: the footage that it is pinned to, the path that carries
 * it, and the plane that it lies in.
 *
 * @param round what the groups round it do; null where it is not pinned
 * @param pin null where it is not pinned
 * @param ride null where no path carries it
 * @param turning null where it is not turned in space
 */
record Carried(GroupTransform round, PinMap pin, Carriage ride, Turning turning) {

  /**
   * That of an item.
   *
   * @param paths that are prepared already; others are added as they are needed
   */
  static Carried of(Scene scene, Item item, Map<String, PreparedPath> paths) {
    PinMap pin = PinMap.of(scene, item.properties().pin(), paths);
    GroupTransform round = pin == null ? null : GroupTransform.round(scene, item.id(), paths);
    String path = item.properties().ride() == null ? null : item.properties().ride().path();
    return new Carried(
        round,
        pin,
        path == null ? null : new Carriage(item, PreparedPath.of(scene, path, paths)),
        Turning.of(item));
  }

  /** What the pin does to the item, in the pixels round it. */
  Projection pinned(double time) {
    if (pin == null) {
      return Projection.IDENTITY;
    }
    Projection groups = round.map(time);
    return groups.inverse().times(pin.map(time)).times(groups);
  }

  /** What is done to each copy of the item that is seen, in the pixels round it. */
  List<Space> maps(double time) {
    Space held = Space.of(pinned(time));
    return ride == null
        ? List.of(turned(held, time))
        : ride.maps(time).stream().map(m -> turned(held.times(m), time)).toList();
  }

  private Space turned(Space round, double time) {
    return turning == null ? round : turning.within(round, time);
  }

  /** What is done to the first copy, seen or not. */
  Space first(double time) {
    Space held = Space.of(pinned(time));
    return turned(ride == null ? held : held.times(ride.first(time)), time);
  }

  /** Whether that is the same at all times. */
  boolean constant() {
    boolean rests =
        ride == null
            || (!ride.path().moves()
                && Channel.RIDE.stream().noneMatch(c -> ride.item().movable(c).moves()));
    return pin == null && rests && (turning == null || turning.constant());
  }
}
