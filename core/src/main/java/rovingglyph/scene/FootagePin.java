package rovingglyph.scene;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import rovingglyph.geometry.Point;

/**
 * What moves in footage, followed from frame to frame, so that things can be pinned to it.
 *
 * @param id unique in the scene
 * @param name as lists show it
 * @param by what is marked, which says what of the motion things follow
 * @param area the part of what four corners mark that is followed: a polygon, in shares across and
 *     down between them as in a unit square; empty for all of it
 * @param smoothing seconds: the standard deviation of the Gaussian by which unrest is taken out of
 *     the motion; 0 leaves it as it was found
 * @param frames ascending by time; before the first and after the last nothing moves
 */
public record FootagePin(
    String id,
    String name,
    By by,
    List<Point> area,
    double smoothing,
    List<Frame> frames,
    UnknownFields extras) {

  /** The most frames that one has. */
  public static final int MOST_FRAMES = 10_000;

  /** The most that footage has. */
  public static final int MOST = 50;

  /** The most points of an area. */
  public static final int MOST_AREA = 200;

  /** The longest smoothing, seconds. */
  public static final double SMOOTHEST = 2;

  /** Seconds: times nearer than this are of the same frame. */
  private static final double SAME = 1e-4;

  /** What is marked. */
  public enum By {
    /** A spot: things follow its place. */
    SPOT(1),

    /** Two spots: things follow their place, and turn and grow with the line between them. */
    TWO_SPOTS(2),

    /** Four corners of something flat, in order round it: things lie in its plane as it is seen. */
    CORNERS(4);

    private final int marks;

    By(int marks) {
      this.marks = marks;
    }

    /** How many points are marked. */
    public int marks() {
      return marks;
    }
  }

  /** How a frame's points were found. */
  public enum How {
    /** Set by hand: whatever follows goes from here, both ways. */
    SET,

    /** Found in the frame. */
    FOUND,

    /** Not seen in the frame; it lies between frames before and after where they were. */
    BRIDGED
  }

  /**
   * Where the marked points are in a frame.
   *
   * @param time the frame's own in the footage, seconds
   * @param sure how far what is there looks like what was marked, 0 to 100
   * @param points in pixels of the footage, upright, as many as are marked
   */
  public record Frame(double time, double sure, How how, List<Point> points) {
    /** Whether it is the frame of a time. */
    public boolean isAt(double other) {
      return Math.abs(time - other) < SAME;
    }
  }

  /** The same with other frames. */
  public FootagePin with(List<Frame> others) {
    return new FootagePin(id, name, by, area, smoothing, List.copyOf(others), extras);
  }

  /** The same called otherwise, or smoothed otherwise. */
  public FootagePin with(String newName, double newSmoothing) {
    return new FootagePin(id, newName, by, area, newSmoothing, frames, extras);
  }

  /** The frame after which nothing moves. */
  public Frame last() {
    return frames.get(frames.size() - 1);
  }

  /** The index of the last frame whose time is not after a moment; of the first before all. */
  public int frame(double moment) {
    int low = 0;
    int high = frames.size() - 1;
    while (low < high) {
      int middle = (low + high + 1) >>> 1;
      if (frames.get(middle).time <= moment) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return low;
  }

  /** The index of what is known of a frame of the footage: its own, or that of one before it. */
  public int known(double time) {
    return frame(time + SAME);
  }

  /**
   * With found frames in the place of those it has, but for what lies on the other side of a frame
   * that was set by hand.
   *
   * @param from the time of the frame from which was followed
   * @param found ascending, all before or all after that time, or on both sides of it
   */
  public FootagePin followed(double from, List<Frame> found) {
    double first = nextSet(from, false).orElse(Double.NEGATIVE_INFINITY);
    double last = nextSet(from, true).orElse(Double.POSITIVE_INFINITY);
    List<Frame> out = new ArrayList<>();
    boolean back = found.stream().anyMatch(f -> f.time < from - SAME);
    boolean on = found.stream().anyMatch(f -> f.time > from + SAME);
    for (Frame f : frames) {
      boolean stays = f.time <= first || f.time >= last || f.isAt(from);
      if (stays || f.time < from && !back || f.time > from && !on) {
        out.add(f);
      }
    }
    for (Frame f : found) {
      if (f.time > first + SAME && f.time < last - SAME && !f.isAt(from)) {
        out.add(f);
      }
    }
    out.sort((a, b) -> Double.compare(a.time, b.time));
    return with(out);
  }

  /** The time of the frame nearest to a moment that was set by hand, after it or before it. */
  Optional<Double> nextSet(double moment, boolean after) {
    double way = after ? 1 : -1;
    return frames.stream()
        .filter(f -> f.how == How.SET && (f.time - moment) * way > SAME)
        .map(Frame::time)
        .min(Comparator.comparingDouble(time -> time * way));
  }

  /** With a frame set by hand, which stands in the place of the one of the same time. */
  public FootagePin set(Frame frame) {
    List<Frame> out = new ArrayList<>(frames);
    out.removeIf(f -> f.isAt(frame.time));
    out.add(frame);
    out.sort((a, b) -> Double.compare(a.time, b.time));
    return with(out);
  }
}
