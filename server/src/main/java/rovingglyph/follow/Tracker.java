package rovingglyph.follow;

import java.util.List;
import rovingglyph.geometry.Point;

/** Something that is followed from frame to frame. */
interface Tracker {
  /** How it is known where something is in a frame. */
  enum Known {
    /** It is seen. */
    SEEN,

    /** It is not, but what lies round it is. */
    HELD,

    /** Nothing tells where it is. */
    NOT
  }

  /**
   * Where it is in a frame.
   *
   * @param points as many as were marked, px
   * @param sure 0 to 1: how far it looks like what was marked
   */
  record Seen(List<Point> points, double sure, Known known) {}

  /** Where it is in the next frame. */
  Seen next(GrayImage frame);

  /** Whether something of it is all alike, so that it cannot be followed. */
  boolean isFlat();
}
