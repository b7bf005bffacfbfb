package rovingglyph.scene;

import rovingglyph.geometry.Point;

/**
 * An item is carried along a path, once or in several copies, which are alike. How far along it is,
 * how far off the path and how far its copies are apart are its values {@link Channel#RIDE_OFFSET},
 * {@link Channel#RIDE_SHIFT} and {@link Channel#RIDE_GAP}.
 *
 * @param path id of the path, which lies in the pixels round the item
 * @param point of those pixels that is brought to the path, with the item round it
 * @param turns whether the item turns with the path: level where the path goes to the right
 * @param ends what happens past an end of the path; null follows the path: closed ones come round,
 *     on open ones it goes straight on. What is cut is not seen past an end.
 * @param copies 1 to {@link #MOST_COPIES}, each ahead of the one before along the path and painted
 *     over it
 * @param spacing where the copies are
 */
public record Ride(
    String path,
    Point point,
    boolean turns,
    Seat.EndRule ends,
    int copies,
    Spacing spacing,
    UnknownFields extras) {
  public static final int MOST_COPIES = 100;

  /** What tells how far copies are apart. */
  public enum Spacing {
    /** Shares of the path: where it does not come round, the last is at its end at rest. */
    EVEN,
    /** The item's {@link Channel#RIDE_GAP}. */
    DISTANCE
  }

  /** The same on another path. */
  public Ride on(String other) {
    return new Ride(other, point, turns, ends, copies, spacing, extras);
  }
}
