package rovingglyph.paths;

import java.util.Arrays;

/**
 * Lines between points of a picture that cling to its edges: the cheapest way from pixel to pixel,
 * where a pixel costs the less the steeper colours change at it. The ways from a point are found
 * once, by Dijkstra's algorithm with a queue of buckets (Dial 1969), within {@link #REACH} of it.
 *
 * <p>Places are in pixels, whole numbers at their middles. A line is within a pixel of an edge that
 * is steeper than all near it.
 */
public final class LiveWire {
  /** How far from a point its lines go, px either way; farther on they go straight. */
  public static final int REACH = 480;

  /** The least and the most that a step costs, for a step along a row or column. */
  private static final int LEAST = 2;

  private static final int MOST = 120;

  /**
   * The share of pixels that are less steep than what costs the least: a few hard edges leave the
   * soft ones their weight.
   */
  private static final double PLAIN = 0.97;

  private static final int[] DX = {1, 1, 0, -1, -1, -1, 0, 1};
  private static final int[] DY = {0, 1, 1, 1, 0, -1, -1, -1};

  private final int width;
  private final int height;
  private final int[] cost;

  private int left;
  private int top;
  private int across;
  private int down;
  private int fromX;
  private int fromY;

  /** The direction that leads back, from 0 on, per pixel of the part that is reached. */
  private byte[] back = {};

  /**
   * A picture.
   *
   * @param rgb 0xRRGGBB for every pixel, row by row
   */
  public LiveWire(int width, int height, int[] rgb) {
    this.width = width;
    this.height = height;
    this.cost = costs(rgb);
  }

  private int[] costs(int[] rgb) {
    double[] slope = new double[rgb.length];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        slope[y * width + x] = slope(rgb, x, y);
      }
    }
    double most = steepest(slope);
    int[] out = new int[rgb.length];
    for (int i = 0; i < out.length; i++) {
      double steep = most == 0 ? 0 : Math.min(1, slope[i] / most);
      out[i] = (int) Math.round(LEAST + (MOST - LEAST) * (1 - steep) * (1 - steep));
    }
    return out;
  }

  /** Of those that are counted as steep the least; where few pixels are, the steepest of all. */
  private static double steepest(double[] slope) {
    double[] sorted = slope.clone();
    Arrays.sort(sorted);
    double least = sorted[(int) (PLAIN * (sorted.length - 1))];
    return least > 0 ? least : sorted[sorted.length - 1];
  }

  /** How much the colour changes at a pixel, by Sobel's operator: of the channel that does most. */
  private double slope(int[] rgb, int x, int y) {
    double most = 0;
    for (int shift = 0; shift <= 16; shift += 8) {
      double gx = 0;
      double gy = 0;
      for (int k = -1; k <= 1; k++) {
        int weight = k == 0 ? 2 : 1;
        gx += weight * (at(rgb, x + 1, y + k, shift) - at(rgb, x - 1, y + k, shift));
        gy += weight * (at(rgb, x + k, y + 1, shift) - at(rgb, x + k, y - 1, shift));
      }
      most = Math.max(most, gx * gx + gy * gy);
    }
    return Math.sqrt(most);
  }

  private int at(int[] rgb, int x, int y, int shift) {
    int column = Math.min(Math.max(x, 0), width - 1);
    int row = Math.min(Math.max(y, 0), height - 1);
    return rgb[row * width + column] >> shift & 255;
  }

  /** Begins at the pixel nearest to a point. */
  public void from(double x, double y) {
    fromX = inside(x, width);
    fromY = inside(y, height);
    left = Math.max(0, fromX - REACH);
    top = Math.max(0, fromY - REACH);
    across = Math.min(width, fromX + REACH + 1) - left;
    down = Math.min(height, fromY + REACH + 1) - top;
    ways();
  }

  private static int inside(double v, int size) {
    return (int) Math.min(Math.max(Math.rint(v), 0), size - 1.0);
  }

  private void ways() {
    int n = across * down;
    back = new byte[n];
    int[] far = new int[n];
    boolean[] done = new boolean[n];
    Arrays.fill(far, Integer.MAX_VALUE);
    Buckets waiting = new Buckets(n);
    int start = index(fromX, fromY);
    far[start] = 0;
    waiting.put(start, 0);
    for (int i = waiting.next(); i >= 0; i = waiting.next()) {
      done[i] = true;
      spread(i, far, done, waiting);
    }
  }

  /** Brings the neighbours of a pixel that are nearer by it forward. */
  private void spread(int i, int[] far, boolean[] done, Buckets waiting) {
    int x = i % across;
    int y = i / across;
    for (int k = 0; k < 8; k++) {
      int nx = x + DX[k];
      int ny = y + DY[k];
      int to = ny * across + nx;
      if (nx < 0 || ny < 0 || nx >= across || ny >= down || done[to]) {
        continue;
      }
      int step = cost[(ny + top) * width + nx + left];
      int d = far[i] + (k % 2 == 0 ? step : (int) Math.round(step * Math.sqrt(2)));
      if (d < far[to]) {
        if (far[to] < Integer.MAX_VALUE) {
          waiting.take(to, far[to]);
        }
        far[to] = d;
        back[to] = (byte) ((k + 4) % 8);
        waiting.put(to, d);
      }
    }
  }

  /** Pixels by how far they are: one list for each distance, of so many that no step skips all. */
  private static final class Buckets {
    private static final int NONE = -1;

    private final int[] first = new int[2 * MOST];
    private final int[] after;
    private final int[] before;
    private int count;
    private int slot;

    Buckets(int pixels) {
      after = new int[pixels];
      before = new int[pixels];
      Arrays.fill(first, NONE);
    }

    void put(int i, int far) {
      int at = far % first.length;
      before[i] = NONE;
      after[i] = first[at];
      if (first[at] != NONE) {
        before[first[at]] = i;
      }
      first[at] = i;
      count++;
    }

    void take(int i, int far) {
      if (before[i] == NONE) {
        first[far % first.length] = after[i];
      } else {
        after[before[i]] = after[i];
      }
      if (after[i] != NONE) {
        before[after[i]] = before[i];
      }
      count--;
    }

    /** Takes one of the nearest; less than 0 where none is left. */
    int next() {
      if (count == 0) {
        return NONE;
      }
      while (first[slot] == NONE) {
        slot = (slot + 1) % first.length;
      }
      int i = first[slot];
      take(i, slot);
      return i;
    }
  }

  /** The line to the pixel nearest to a point: x, y of each pixel, from where it began. */
  public double[] to(double x, double y) {
    int atX = inside(x, width);
    int atY = inside(y, height);
    boolean reached =
        atX >= left && atY >= top && atX < left + across && atY < top + down && back.length > 0;
    if (!reached) {
      return new double[] {fromX, fromY, atX, atY};
    }
    int steps = 1;
    for (int i = index(atX, atY); i != index(fromX, fromY); i = before(i)) {
      steps++;
    }
    double[] out = new double[2 * steps];
    int i = index(atX, atY);
    for (int k = steps - 1; k >= 0; k--) {
      out[2 * k] = i % across + left;
      out[2 * k + 1] = i / across + top;
      i = k > 0 ? before(i) : i;
    }
    return out;
  }

  private int index(int x, int y) {
    return (y - top) * across + x - left;
  }

  private int before(int i) {
    return i + DY[back[i]] * across + DX[back[i]];
  }
}
