package rovingglyph.render;

import java.awt.image.BufferedImage;

/** Mixes pictures of one size in linear light, with what is transparent weighing nothing. */
final class MotionBlur {
  private static final float[] LINEAR = new float[256];
  private static final byte[] ENCODED = new byte[4097];

  static {
    for (int i = 0; i < 256; i++) {
      double c = i / 255.0;
      LINEAR[i] = (float) (c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4));
    }
    for (int i = 0; i <= 4096; i++) {
      double v = i / 4096.0;
      double c = v <= 0.0031308 ? 12.92 * v : 1.055 * Math.pow(v, 1 / 2.4) - 0.055;
      ENCODED[i] = (byte) Math.round(c * 255);
    }
  }

  private final int width;
  private final int height;
  private final float[] sums;
  private final int[] row;
  private int count;

  MotionBlur(int width, int height) {
    this.width = width;
    this.height = height;
    this.sums = new float[width * height * 4];
    this.row = new int[width];
  }

  void add(BufferedImage image) {
    boolean clear = image.getColorModel().hasAlpha();
    for (int y = 0; y < height; y++) {
      image.getRGB(0, y, width, 1, row, 0, width);
      int at = y * width * 4;
      for (int x = 0; x < width; x++, at += 4) {
        int p = row[x];
        float a = clear ? (p >>> 24) / 255f : 1;
        sums[at] += LINEAR[p >> 16 & 255] * a;
        sums[at + 1] += LINEAR[p >> 8 & 255] * a;
        sums[at + 2] += LINEAR[p & 255] * a;
        sums[at + 3] += a;
      }
    }
    count++;
  }

  /** Writes the mean of all that was added. */
  void mix(BufferedImage image) {
    for (int y = 0; y < height; y++) {
      int at = y * width * 4;
      for (int x = 0; x < width; x++, at += 4) {
        float a = sums[at + 3];
        int alpha = Math.round(a / count * 255);
        row[x] = alpha << 24;
        for (int k = 0; k < 3 && a > 0; k++) {
          row[x] |= (ENCODED[Math.round(sums[at + k] / a * 4096)] & 255) << (16 - 8 * k);
        }
      }
      image.setRGB(0, y, width, 1, row, 0, width);
    }
  }
}
