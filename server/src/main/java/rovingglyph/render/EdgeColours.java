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
 * <p>Means of halves, quarters and so on of the image are taken of what is seen there; what is not
 * seen has the colour of the smallest part round it in which something is.
 */
final class EdgeColours {
  /** Of one size: sums of red, green and blue, and of how many pixels; four numbers each. */
  private record Level(int width, int height, long[] sums) {
    static Level half(int width, int height) {
      int w = (width + 1) / 2;
      int h = (height + 1) / 2;
      return new Level(w, h, new long[4 * w * h]);
    }

    int at(int x, int y) {
      return 4 * (y * width + x);
    }

    void add(int x, int y, long red, long green, long blue, long count) {
      int at = at(x, y);
      sums[at] += red;
      sums[at + 1] += green;
      sums[at + 2] += blue;
      sums[at + 3] += count;
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
    if (deep) {
      spread(little.asLongBuffer(), width, height);
    } else {
      spread(little.asIntBuffer(), width, height);
    }
  }

  private static void spread(IntBuffer pixels, int width, int height) {
    Level first = Level.half(width, height);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int p = pixels.get(y * width + x);
        if (p >>> 24 != 0) {
          first.add(x / 2, y / 2, p >> 16 & 255, p >> 8 & 255, p & 255, 1);
        }
      }
    }
    int[] near = near(first);
    for (int y = 0; near != null && y < height; y++) {
      for (int x = 0; x < width; x++) {
        int at = y * width + x;
        if (pixels.get(at) >>> 24 == 0) {
          pixels.put(at, near[y / 2 * first.width + x / 2]);
        }
      }
    }
  }

  private static void spread(LongBuffer pixels, int width, int height) {
    Level first = Level.half(width, height);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        long p = pixels.get(y * width + x);
        if (p >>> 48 != 0) {
          first.add(x / 2, y / 2, p >> 8 & 255, p >> 24 & 255, p >> 40 & 255, 1);
        }
      }
    }
    int[] near = near(first);
    for (int y = 0; near != null && y < height; y++) {
      for (int x = 0; x < width; x++) {
        int at = y * width + x;
        if (pixels.get(at) >>> 48 == 0) {
          int c = near[y / 2 * first.width + x / 2];
          pixels.put(
              at, (c >> 16 & 255) * 257L | (c >> 8 & 255) * 257L << 16 | (c & 255) * 257L << 32);
        }
      }
    }
  }

  /** The colour for each part of the first level, 0xRRGGBB; null where nothing at all is seen. */
  private static int[] near(Level level) {
    Level half = Level.half(level.width, level.height);
    boolean whole = true;
    for (int y = 0; y < level.height; y++) {
      for (int x = 0; x < level.width; x++) {
        int at = level.at(x, y);
        long[] s = level.sums;
        whole &= s[at + 3] > 0;
        half.add(x / 2, y / 2, s[at], s[at + 1], s[at + 2], s[at + 3]);
      }
    }
    boolean single = level.width == 1 && level.height == 1;
    if (single && !whole) {
      return null;
    }
    int[] coarse = whole ? null : near(half);
    if (!whole && coarse == null) {
      return null;
    }
    int[] out = new int[level.width * level.height];
    for (int y = 0; y < level.height; y++) {
      for (int x = 0; x < level.width; x++) {
        int at = level.at(x, y);
        long n = level.sums[at + 3];
        out[y * level.width + x] =
            n > 0 ? mean(level.sums, at, n) : coarse[y / 2 * half.width + x / 2];
      }
    }
    return out;
  }

  private static int mean(long[] sums, int at, long n) {
    return (int) (sums[at] / n) << 16 | (int) (sums[at + 1] / n) << 8 | (int) (sums[at + 2] / n);
  }
}
