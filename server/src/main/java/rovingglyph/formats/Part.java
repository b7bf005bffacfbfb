package rovingglyph.formats;

import java.util.ArrayList;
import java.util.List;

/**
 * Frames of a file, or rows of a series, that follow each other and are made by one machine.
 *
 * @param first counted from that of the whole
 * @param count at least 1
 */
public record Part(int first, int count) {
  /** About so many frames are a part: encoders begin anew after as many by themselves. */
  private static final int USUAL = 240;

  /** Parts of one whole at most, but for the shorter ones at its end. */
  private static final int MOST = 400;

  /** A file of fewer frames is made at once. */
  private static final int LEAST = 3 * USUAL / 2;

  /** All of it. */
  public static List<Part> whole(int count) {
    return List.of(new Part(0, count));
  }

  /**
   * Cuts frames into parts. Those at the end are shorter, so that two machines have done at about
   * the same time.
   *
   * @param step the lengths of all but the last are a multiple of it; where it is longer than a
   *     part should be, of 1
   */
  static List<Part> cut(int frames, int step) {
    if (frames < LEAST) {
      return whole(frames);
    }
    int length = Math.max(USUAL, up(frames, MOST));
    List<Part> out = new ArrayList<>();
    int at = 0;
    for (; frames - at > 2 * length; at = end(out)) {
      add(out, at, stepped(length, step), frames);
    }
    for (int shorter = up(frames - at, at == 0 ? 2 : 4); at < frames; at = end(out)) {
      add(out, at, stepped(shorter, step), frames);
    }
    return out;
  }

  private static int stepped(int length, int step) {
    return step > length ? length : up(length, step) * step;
  }

  private static int end(List<Part> parts) {
    Part last = parts.get(parts.size() - 1);
    return last.first + last.count;
  }

  private static void add(List<Part> parts, int first, int length, int all) {
    parts.add(new Part(first, Math.min(length, all - first)));
  }

  /**
   * Cuts rows of which each becomes so many frames.
   *
   * @param frames at least 1
   */
  public static List<Part> cutRows(int rows, int frames) {
    int length = Math.max(up(rows, MOST), up(USUAL, frames));
    List<Part> out = new ArrayList<>();
    for (int at = 0; at < rows; at = end(out)) {
      add(out, at, length, rows);
    }
    return out;
  }

  private static int up(int number, int by) {
    return (number + by - 1) / by;
  }
}
