package rovingglyph.scene;

import java.util.List;

/**
 * What every item has, whatever its kind.
 *
 * @param name as lists show it; empty where the item is called by what it holds
 * @param shownFrom seconds; the item is there at this time and after it. Minus infinity where it is
 *     there from the start
 * @param shownTo seconds, greater than {@code shownFrom}; the item is there before this time. Plus
 *     infinity where it stays to the end
 * @param effects in the order in which they are done, before the clip
 * @param clip null where all of the item is seen
 * @param matte null where no other item says how much of it is seen
 * @param ride null where no path carries it
 * @param pin null where it is not pinned to footage
 * @param plane null where it is not turned in space
 */
public record ItemProperties(
    String id,
    String name,
    double shownFrom,
    double shownTo,
    boolean hidden,
    boolean locked,
    BlendMode blend,
    List<Effect> effects,
    Clip clip,
    Matte matte,
    Ride ride,
    Pin pin,
    Plane plane) {

  /** The most effects of an item. */
  public static final int MOST_EFFECTS = 20;

  /** Seconds. A document's time is a decimal and a frame's a fraction: these mean the same one. */
  private static final double SAME_TIME = 1e-6;

  /** Always there, neither hidden nor locked, as it is. */
  public ItemProperties(String id, String name) {
    this(
        id,
        name,
        Double.NEGATIVE_INFINITY,
        Double.POSITIVE_INFINITY,
        false,
        false,
        BlendMode.NORMAL,
        List.of(),
        null,
        null,
        null,
        null,
        null);
  }

  /** The same with other times; from must be less than to. */
  public ItemProperties shown(double from, double to) {
    return new ItemProperties(
        id, name, from, to, hidden, locked, blend, effects, clip, matte, ride, pin, plane);
  }

  /** The same hidden or not, locked or not. */
  public ItemProperties flagged(boolean newHidden, boolean newLocked) {
    return new ItemProperties(
        id, name, shownFrom, shownTo, newHidden, newLocked, blend, effects, clip, matte, ride, pin,
        plane);
  }

  /** The same with another blend mode. */
  public ItemProperties blended(BlendMode mode) {
    return new ItemProperties(
        id, name, shownFrom, shownTo, hidden, locked, mode, effects, clip, matte, ride, pin, plane);
  }

  /** The same with other effects. */
  public ItemProperties with(List<Effect> newEffects) {
    return new ItemProperties(
        id,
        name,
        shownFrom,
        shownTo,
        hidden,
        locked,
        blend,
        List.copyOf(newEffects),
        clip,
        matte,
        ride,
        pin,
        plane);
  }

  /** The effect with an id; null if it has none. */
  public Effect effect(String effect) {
    return effects.stream().filter(e -> e.id().equals(effect)).findFirst().orElse(null);
  }

  /** Clipped, or with null not clipped. */
  public ItemProperties clipped(Clip newClip) {
    return new ItemProperties(
        id, name, shownFrom, shownTo, hidden, locked, blend, effects, newClip, matte, ride, pin,
        plane);
  }

  /** Measured by another item, or with null by none. */
  public ItemProperties measuredBy(Matte newMatte) {
    return new ItemProperties(
        id, name, shownFrom, shownTo, hidden, locked, blend, effects, clip, newMatte, ride, pin,
        plane);
  }

  /** Carried along by a path, or with null by none. */
  public ItemProperties carried(Ride newRide) {
    return new ItemProperties(
        id, name, shownFrom, shownTo, hidden, locked, blend, effects, clip, matte, newRide, pin,
        plane);
  }

  /** Pinned to footage, or with null not. */
  public ItemProperties pinned(Pin newPin) {
    return new ItemProperties(
        id, name, shownFrom, shownTo, hidden, locked, blend, effects, clip, matte, ride, newPin,
        plane);
  }

  /** Turned in space, or with null not. */
  public ItemProperties turned(Plane newPlane) {
    return new ItemProperties(
        id, name, shownFrom, shownTo, hidden, locked, blend, effects, clip, matte, ride, pin,
        newPlane);
  }

  /** Whether the item is there at a time in seconds. */
  public boolean shownAt(double time) {
    return time >= shownFrom - SAME_TIME && time < shownTo - SAME_TIME;
  }

  /** Whether it is there at all times. */
  public boolean alwaysShown() {
    return shownFrom == Double.NEGATIVE_INFINITY && shownTo == Double.POSITIVE_INFINITY;
  }
}
