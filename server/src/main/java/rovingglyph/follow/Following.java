package rovingglyph.follow;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.render.FootageSource;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;

/** Follows marked spots through footage, from one frame on. */
public final class Following {
  /** Takes what is found as it comes. */
  public interface To {
    /**
     * Frames that are known now.
     *
     * @return false if no more are wanted
     */
    boolean frames(List<FootagePin.Frame> found) throws IOException;
  }

  /** Why it ended. */
  public enum End {
    /** At the last frame that was asked for. */
    DONE,

    /** The spots are not seen any more. */
    LOST,

    /** The surroundings of a spot are all alike. */
    FLAT,

    /** No more were wanted. */
    STOPPED
  }

  /** Decimals of px that are kept. */
  private static final double KEPT = 1000;

  private final FootageSource source;
  private final List<Point> marks;
  private final List<Point> area;
  private final int first;

  /**
   * Follows spots.
   *
   * @param moment of the frame in which they are marked, seconds
   * @param marks in pixels of the footage, upright: spots, or four corners of something flat
   * @param area the part of what is flat that is followed, see {@link FootagePin}
   */
  public Following(FootageSource source, double moment, List<Point> marks, List<Point> area) {
    this.source = source;
    this.marks = marks;
    this.area = area;
    this.first = Footage.frame(source.times(), moment);
  }

  /**
   * Follows them one way, up to the frame of a moment.
   *
   * @param until a moment before or after the one where they are marked
   */
  public End run(double until, To to) throws IOException {
    int last = Footage.frame(source.times(), until);
    boolean back = last < first;
    try (GrayFrames frames = new GrayFrames(source, first, back)) {
      double k = frames.scale();
      List<Point> scaled = marks.stream().map(p -> p.times(k)).toList();
      Follower follower = new Follower(frames.read(), source.times()[first], scaled, area);
      if (follower.isFlat()) {
        return End.FLAT;
      }
      while (frames.hasNext() && (back ? frames.next() >= last : frames.next() <= last)) {
        double time = source.times()[frames.next()];
        List<FootagePin.Frame> found = new ArrayList<>();
        if (follower.next(frames.read(), time, found) == Follower.Outcome.LOST) {
          return End.LOST;
        }
        if (!to.frames(found.stream().map(f -> kept(f, k)).toList())) {
          return End.STOPPED;
        }
      }
      return follower.isWaiting() ? End.LOST : End.DONE;
    }
  }

  private static FootagePin.Frame kept(FootagePin.Frame f, double scale) {
    List<Point> points =
        f.points().stream()
            .map(p -> new Point(rounded(p.x() / scale), rounded(p.y() / scale)))
            .toList();
    return new FootagePin.Frame(f.time(), f.sure(), f.how(), points);
  }

  private static double rounded(double px) {
    return Math.round(px * KEPT) / KEPT;
  }
}
