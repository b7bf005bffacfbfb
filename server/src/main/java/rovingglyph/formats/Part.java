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

  /** Parts of one whole at most. */
  private static final int MOST = 400;

  /** All of it. */
  public static List<Part> whole(int count) {
    return List.of(new Part(0, count));
  }

  /**
   * Cuts frames into parts of about the same length, none but the last much shorter than is usual.
   *
   * @param step the lengths of all but the last are a multiple of it; where it is longer than a
   *     part should be, of 1
   */
  static List<Part> cut(int frames, int step) {
    int parts = Math.max(1, Math.min(MOST, Math.round((float) frames / USUAL)));
    int even = up(frames, parts);
    return each(frames, step > even ? even : up(even, step) * step);
  }

  /**
   * Cuts rows of which each becomes so many frames.
   *
   * @param frames at least 1
   */
  public static List<Part> cutRows(int rows, int frames) {
    return each(rows, Math.max(up(rows, MOST), up(USUAL, frames)));
  }

  private static List<Part> each(int count, int length) {
    List<Part> out = new ArrayList<>();
    for (int first = 0; first < count; first += length) {
      out.add(new Part(first, Math.min(length, count - first)));
    }
    return out;
  }

  private static int up(int number, int by) {
    return (number + by - 1) / by;
  }
}
