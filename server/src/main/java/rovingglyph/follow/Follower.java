package rovingglyph.follow;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.scene.FootagePin;

/**
 * Follows what is marked from frame to frame. Where they are not seen for a while, as when
 * something passes in front of them, that is bridged once they are seen again: by what lies farther
 * round them, and where that tells nothing either, by straight lines.
 */
public final class Follower {
  /** So many seconds are bridged. */
  private static final double LONGEST_BRIDGE = 0.8;

  /** So few frames are bridged by straight lines: nothing else is as near. */
  private static final int SHORT = 2;

  /** What a frame brought. */
  public enum Outcome {
    /** The spots are seen in it. */
    FOUND,

    /** They are not; perhaps they will be again. */
    WAITING,

    /** They have not been for too long: whoever marked them has to say where they are. */
    LOST
  }

  private final Tracker tracker;

  /** Bridged so far, since the spots were seen last. */
  private final List<FootagePin.Frame> waiting = new ArrayList<>();

  /** After those: where the spots are is not known. */
  private final List<FootagePin.Frame> unknown = new ArrayList<>();

  /** The last in which it is known where they are. */
  private FootagePin.Frame last;

  /** The last in which they were seen. */
  private FootagePin.Frame sure;

  /**
   * Begins with the frame in which something was marked.
   *
   * @param marks in its pixels: one or two spots, or the four corners of something flat
   * @param area see {@link PlaneFollower}
   */
  Follower(GrayImage frame, double time, List<Point> marks, List<Point> area) {
    boolean plane = marks.size() == FootagePin.By.CORNERS.marks();
    this.tracker = plane ? new PlaneFollower(frame, marks, area) : new Spots(frame, marks);
    this.last = new FootagePin.Frame(time, 100, FootagePin.How.SET, marks);
    this.sure = last;
  }

  /** Whether there is nothing to hold on to where something was marked. */
  boolean isFlat() {
    return tracker.isFlat();
  }

  /**
   * Goes on to the next frame, or back to the one before.
   *
   * @param out gets the frames that are known now: this one, with those that are bridged by it
   */
  Outcome next(GrayImage frame, double time, List<FootagePin.Frame> out) {
    Tracker.Seen seen = tracker.next(frame);
    boolean found = seen.known() == Tracker.Known.SEEN;
    boolean known = seen.known() != Tracker.Known.NOT;
    if (!found && Math.abs(time - sure.time()) > LONGEST_BRIDGE) {
      return Outcome.LOST;
    }
    double percent = Math.round(1000 * Math.min(Math.max(seen.sure(), 0), 1)) / 10.0;
    FootagePin.How how = found ? FootagePin.How.FOUND : FootagePin.How.BRIDGED;
    FootagePin.Frame now = new FootagePin.Frame(time, percent, how, seen.points());
    if (!known) {
      unknown.add(now);
    } else {
      unknown.forEach(u -> waiting.add(between(last, u, now)));
      unknown.clear();
      waiting.add(now);
      last = now;
    }
    if (!found) {
      return Outcome.WAITING;
    }
    // Only now is it sure that what was bridged leads anywhere.
    if (waiting.size() <= SHORT + 1) {
      waiting.replaceAll(w -> w == now ? w : between(sure, w, now));
    }
    sure = now;
    out.addAll(waiting);
    waiting.clear();
    return Outcome.FOUND;
  }

  /** A frame in which nothing tells where the spots are, on the straight lines between others. */
  private static FootagePin.Frame between(
      FootagePin.Frame before, FootagePin.Frame unknown, FootagePin.Frame after) {
    double share = (unknown.time() - before.time()) / (after.time() - before.time());
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < before.points().size(); i++) {
      points.add(before.points().get(i).lerp(after.points().get(i), share));
    }
    return new FootagePin.Frame(unknown.time(), unknown.sure(), unknown.how(), points);
  }

  /** Whether the spots were not seen in the last frame. */
  boolean isWaiting() {
    return !waiting.isEmpty() || !unknown.isEmpty();
  }
}
