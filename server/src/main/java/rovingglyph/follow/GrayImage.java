package rovingglyph.follow;

/**
 * A frame as what is followed is looked for in it: gray, whole, halved and halved once more. A
 * point is in pixels of the whole frame, whose first has its middle at 0.5, 0.5.
 */
final class GrayImage {
  /** How often a frame is halved. */
  static final int LEVELS = 3;

  private final int[] widths = new int[LEVELS];
  private final int[] heights = new int[LEVELS];
  private final float[][] pixels = new float[LEVELS][];

  /**
   * A frame.
   *
   * @param gray row by row, 0 to 255 each
   */
  GrayImage(int width, int height, byte[] gray) {
    float[] whole = new float[width * height];
    for (int i = 0; i < whole.length; i++) {
      whole[i] = gray[i] & 255;
    }
    widths[0] = width;
    heights[0] = height;
    pixels[0] = whole;
    for (int l = 1; l < LEVELS; l++) {
      halve(l);
    }
  }

  private void halve(int level) {
    int from = widths[level - 1];
    int width = Math.max(1, from / 2);
    int height = Math.max(1, heights[level - 1] / 2);
    float[] source = pixels[level - 1];
    float[] out = new float[width * height];
    int right = from > 1 ? 1 : 0;
    int below = heights[level - 1] > 1 ? from : 0;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int at = 2 * y * from + 2 * x;
        out[y * width + x] =
            (source[at] + source[at + right] + source[at + below] + source[at + right + below]) / 4;
      }
    }
    widths[level] = width;
    heights[level] = height;
    pixels[level] = out;
  }

  int width() {
    return widths[0];
  }

  int height() {
    return heights[0];
  }

  /**
   * The value at a point, between pixels by a bilinear mean; NaN outside.
   *
   * @param x in pixels of the whole frame
   */
  float at(int level, double x, double y) {
    double scale = 1.0 / (1 << level);
    double u = x * scale - 0.5;
    double v = y * scale - 0.5;
    int width = widths[level];
    if (!(u >= 0 && v >= 0 && u < width - 1 && v < heights[level] - 1)) {
      return Float.NaN;
    }
    int left = (int) u;
    int top = (int) v;
    float a = (float) (u - left);
    float b = (float) (v - top);
    float[] p = pixels[level];
    int at = top * width + left;
    float upper = p[at] + (p[at + 1] - p[at]) * a;
    float lower = p[at + width] + (p[at + width + 1] - p[at + width]) * a;
    return upper + (lower - upper) * b;
  }
}
