package rovingglyph.proof;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Flashes by WCAG 2.1, success criterion 2.3.1: a flash is a pair of opposing changes of relative
 * luminance by a tenth of its range or more, the darker of which is below 0.8; there are too many
 * where more than three come within a second, in a quarter of a field of ten degrees. Of a frame
 * that fills a screen that field is a third of its width and height, and a quarter of it a sixth of
 * both. It is the mean luminance of such areas that is looked at, so that letters which pass are no
 * flashes: what flashes in several smaller places at once is not found, nor are flashes of
 * saturated red.
 */
final class Flashes {
  private static final double CHANGE = 0.1;
  private static final double BRIGHT = 0.8;

  /** Of opposing changes in a second: more than three pairs. */
  private static final int TOO_MANY = 7;

  /** Of the frame's width and height: the areas that are looked at. */
  private static final double AREA = 1.0 / 6;

  private final int columns;
  private final int rows;
  private final int across;
  private final int down;
  private final List<Area> areas = new ArrayList<>();
  private double first = -1;

  /** An area: its last turn, which way it goes, and when it turned of late. */
  private static final class Area {
    private double low = Double.NaN;
    private double high = Double.NaN;
    private int way;
    private final Deque<Double> changes = new ArrayDeque<>();

    void add(double time, double light) {
      if (Double.isNaN(low)) {
        low = light;
        high = light;
      }
      if (way <= 0 && light >= low + CHANGE && low < BRIGHT) {
        turn(time, 1, light);
      } else if (way >= 0 && light <= high - CHANGE && light < BRIGHT) {
        turn(time, -1, light);
      } else {
        // While it goes on one way the place from which it may turn goes along.
        low = way <= 0 ? Math.min(low, light) : low;
        high = way >= 0 ? Math.max(high, light) : high;
      }
      while (!changes.isEmpty() && changes.peekFirst() <= time - 1 + 1e-9) {
        changes.removeFirst();
      }
    }

    private void turn(double time, int newWay, double light) {
      way = newWay;
      low = light;
      high = light;
      changes.addLast(time);
    }
  }

  /**
   * @param columns of the parts of the frame whose mean luminance is told
   * @param rows of the same
   */
  Flashes(int columns, int rows) {
    this.columns = columns;
    this.rows = rows;
    this.across = (int) Math.max(1, Math.round(columns * AREA));
    this.down = (int) Math.max(1, Math.round(rows * AREA));
    for (int i = 0; i < (columns - across + 1) * (rows - down + 1); i++) {
      areas.add(new Area());
    }
  }

  /**
   * The next frame.
   *
   * @param time in seconds, ascending
   * @param light the mean luminance of each part, row by row
   */
  void add(double time, double[] light) {
    int area = 0;
    for (int y = 0; y + down <= rows; y++) {
      for (int x = 0; x + across <= columns; x++) {
        Area a = areas.get(area++);
        a.add(time, mean(light, x, y));
        if (first < 0 && a.changes.size() >= TOO_MANY) {
          first = time;
        }
      }
    }
  }

  private double mean(double[] light, int left, int top) {
    double sum = 0;
    for (int y = top; y < top + down; y++) {
      for (int x = left; x < left + across; x++) {
        sum += light[y * columns + x];
      }
    }
    return sum / (across * down);
  }

  /** The end of the first second with too many of them; -1 where there is none. */
  double first() {
    return first;
  }
}
