package rovingglyph.proof;

import rovingglyph.motion.Colours;

/** How bright colours are: relative luminance as WCAG 2.1 defines it, 0 to 1. */
final class Light {
  private static final double[] OF = Colours.light();

  private Light() {}

  /** Of an opaque 0xRRGGBB. */
  static double of(int rgb) {
    return 0.2126 * OF[rgb >> 16 & 255] + 0.7152 * OF[rgb >> 8 & 255] + 0.0722 * OF[rgb & 255];
  }

  /** The contrast of two luminances, 1 to 21. */
  static double contrast(double a, double b) {
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }
}
