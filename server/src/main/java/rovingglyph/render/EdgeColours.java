package rovingglyph.render;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.nio.LongBuffer;

/**
 * Gives what is wholly transparent the colours of what is near. Encoders that lose something mix
 * the colours of neighbours, whatever their alpha: black behind an edge would come out as a dark
 * fringe round every letter.
 *
 * <p>Means are taken of what is seen in each four pixels, then in each four of those, and so on;
 * what is not seen has the colour of the smallest part round it in which something is.
 */
final class EdgeColours {
  /** Rows of pixels, a whole one at a time: single ones are slow to reach. */
  private interface Rows {
    /** Red, green and blue of a row as 0xAARRGGBB; the alpha is 0 where nothing is seen. */
    void read(int y, int[] row);

    /** Gives the pixels in which nothing is seen these colours. */
    void fill(int y, int[] row);
  }

  /** Four bytes a pixel, blue first. */
  private record Bytes(IntBuffer pixels, int width) implements Rows {
    @Override
    public void read(int y, int[] row) {
      pixels.get(y * width, row);
    }

    @Override
    public void fill(int y, int[] row) {
      pixels.put(y * width, row);
    }
  }

  /** Eight bytes a pixel, red first. */
  private record Words(LongBuffer pixels, long[] line) implements Rows {
    @Override
    public void read(int y, int[] row) {
      pixels.get(y * line.length, line);
      for (int x = 0; x < row.length; x++) {
        long p = line[x];
        int colour =
            (int) (p >> 8 & 255) << 16 | (int) (p >> 24 & 255) << 8 | (int) (p >> 40 & 255);
        row[x] = p >>> 48 == 0 ? 0 : 0xFF << 24 | colour;
      }
    }

    @Override
    public void fill(int y, int[] row) {
      pixels.get(y * line.length, line);
      for (int x = 0; x < row.length; x++) {
        if (line[x] >>> 48 == 0) {
          int c = row[x];
          line[x] = (c >> 16 & 255) * 257L | (c >> 8 & 255) * 257L << 16 | (c & 255) * 257L << 32;
        }
      }
      pixels.put(y * line.length, line);
    }
  }

  private EdgeColours() {}

  /**
   * Spreads the colours.
   *
   * @param pixels not multiplied by alpha, blue first, one byte each; or red first, two bytes each
   */
  static void spread(ByteBuffer pixels, int width, int height, boolean deep) {
    ByteBuffer little = pixels.duplicate().order(ByteOrder.LITTLE_ENDIAN);
    Rows rows =
        deep
            ? new Words(little.asLongBuffer(), new long[width])
            : new Bytes(little.asIntBuffer(), width);
    int across = (width + 1) / 2;
    int[] near = new int[across * ((height + 1) / 2)];
    int[] even = new int[width];
    int[] odd = new int[width];
    boolean whole = true;
    for (int y = 0; y < height; y += 2) {
      rows.read(y, even);
      rows.read(Math.min(y + 1, height - 1), odd);
      whole &= isSeen(even) && isSeen(odd);
      halve(even, odd, 0, 0, width, near, y / 2 * across);
    }
    if (whole || !fillUnseen(near, across, (height + 1) / 2)) {
      return;
    }
    for (int y = 0; y < height; y++) {
      rows.read(y, even);
      if (!isSeen(even)) {
        fill(even, near, y / 2 * across);
        rows.fill(y, even);
      }
    }
  }

  /** Whether something is seen in all of them. */
  private static boolean isSeen(int[] colours) {
    for (int c : colours) {
      if (c >>> 24 == 0) {
        return false;
      }
    }
    return true;
  }

  /** Gives what is not seen in a row the colours of a row of half as many. */
  private static void fill(int[] row, int[] near, int from) {
    for (int x = 0; x < row.length; x++) {
      if (row[x] >>> 24 == 0) {
        row[x] = near[from + x / 2] & 0xFFFFFF;
      }
    }
  }

  /**
   * Gives parts in which nothing is seen the colour of the smallest larger one in which something
   * is; false if nothing is seen in any.
   */
  private static boolean fillUnseen(int[] level, int width, int height) {
    if (isSeen(level)) {
      return true;
    }
    if (width == 1 && height == 1) {
      return false;
    }
    int across = (width + 1) / 2;
    int[] half = new int[across * ((height + 1) / 2)];
    for (int y = 0; y < height; y += 2) {
      int below = Math.min(y + 1, height - 1);
      halve(level, level, y * width, below * width, width, half, y / 2 * across);
    }
    if (!fillUnseen(half, across, (height + 1) / 2)) {
      return false;
    }
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        if (level[y * width + x] >>> 24 == 0) {
          level[y * width + x] = half[y / 2 * across + x / 2];
        }
      }
    }
    return true;
  }

  /** The means of what is seen in each four of two rows, opaque, or 0 where nothing is. */
  private static void halve(
      int[] upper, int[] lower, int atUpper, int atLower, int width, int[] into, int at) {
    for (int x = 0; x < width; x += 2) {
      int next = Math.min(x + 1, width - 1);
      into[at + x / 2] =
          mean(
              upper[atUpper + x], upper[atUpper + next], lower[atLower + x], lower[atLower + next]);
    }
  }

  private static int mean(int a, int b, int c, int d) {
    if ((a | b | c | d) >>> 24 == 0) {
      return 0;
    }
    int seen = 0;
    int redBlue = 0;
    int green = 0;
    for (int i = 0; i < 4; i++) {
      int p = i == 0 ? a : i == 1 ? b : i == 2 ? c : d;
      if (p >>> 24 != 0) {
        seen++;
        redBlue += p & 0xFF00FF;
        green += p >> 8 & 255;
      }
    }
    int red = (redBlue >>> 16) / seen;
    int blue = (redBlue & 0xFFFF) / seen;
    return 0xFF << 24 | red << 16 | green / seen << 8 | blue;
  }
}
