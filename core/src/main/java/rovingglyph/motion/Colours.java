package rovingglyph.motion;

import rovingglyph.scene.Typesetting;

/**
 * Mixing of sRGB colours, 0xRRGGBB. OKLCH and its conversions are those of CSS Color 4, sections
 * 9.2 and 18, its hues going the shorter way round; a mix outside sRGB is brought back by clipping.
 */
public final class Colours {
  /** Less colourful than this has no hue of its own, and takes the other's. */
  private static final double GREY = 1e-4;

  private Colours() {}

  /** The colour at a share of the way; shares outside [0, 1] go on in the same direction. */
  public static int mix(int a, int b, double share, Typesetting.ColourMix mix) {
    if (a == b) {
      return a;
    }
    if (mix == Typesetting.ColourMix.SRGB) {
      int out = 0;
      for (int shift = 16; shift >= 0; shift -= 8) {
        double from = a >> shift & 255;
        double to = b >> shift & 255;
        out |= channel((from + (to - from) * share) / 255) << shift;
      }
      return out;
    }
    double[] p = lch(a);
    double[] q = lch(b);
    double from = p[1] < GREY ? q[2] : p[2];
    double to = q[1] < GREY ? p[2] : q[2];
    double hue = Math.IEEEremainder(to - from, 2 * Math.PI);
    return rgb(p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share, from + hue * share);
  }

  private static int channel(double v) {
    return (int) Math.round(Math.min(Math.max(v, 0), 1) * 255);
  }

  /** The light of each of the 256 values of a channel of sRGB, 0 to 1. */
  public static double[] light() {
    double[] out = new double[256];
    for (int v = 0; v < out.length; v++) {
      out[v] = linear(v);
    }
    return out;
  }

  /**
   * The values of a channel of sRGB, 0 to 255, for light from 0 to 1 in equal steps.
   *
   * @param steps at least 1; of 4096 neighbours differ by no more than one value but in the darkest
   *     1/500
   */
  public static double[] values(int steps) {
    double[] out = new double[steps + 1];
    for (int i = 0; i <= steps; i++) {
      out[i] = Math.round(encoded((double) i / steps) * 255);
    }
    return out;
  }

  private static double linear(int v) {
    double c = v / 255.0;
    return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
  }

  private static double encoded(double v) {
    return v <= 0.0031308 ? 12.92 * v : 1.055 * Math.pow(v, 1 / 2.4) - 0.055;
  }

  /** Lightness, chroma and hue in radians. */
  private static double[] lch(int rgb) {
    double r = linear(rgb >> 16 & 255);
    double g = linear(rgb >> 8 & 255);
    double b = linear(rgb & 255);
    double l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
    double m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
    double s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
    double x = 1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s;
    double y = 0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s;
    return new double[] {
      0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
      Math.sqrt(x * x + y * y),
      Math.atan2(y, x)
    };
  }

  private static int rgb(double lightness, double chroma, double hue) {
    double x = chroma * Math.cos(hue);
    double y = chroma * Math.sin(hue);
    double l = cube(lightness + 0.3963377774 * x + 0.2158037573 * y);
    double m = cube(lightness - 0.1055613458 * x - 0.0638541728 * y);
    double s = cube(lightness - 0.0894841775 * x - 1.2914855480 * y);
    int r = channel(encoded(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s));
    int g = channel(encoded(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s));
    int b = channel(encoded(-0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s));
    return r << 16 | g << 8 | b;
  }

  private static double cube(double v) {
    return v * v * v;
  }
}
