package rovingglyph.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How well letters stand out from what is really round them: part by part of a picture the mean
 * luminance within the letters against that of the pixels round them. Where letters have outlines
 * the better of the letters' and the outlines' contrast counts.
 */
final class Contrast {
  /** Of the alpha of a letter's own pixel. */
  private static final int INSIDE = 230;

  /** A pixel round letters has less of them. */
  private static final int OUTSIDE = 5;

  /** Without anything behind there is no telling what will be. */
  private static final int PAINTED = 128;

  /** Fewer pixels of a kind do not tell a part's luminance. */
  private static final int LEAST = 6;

  /** Between the edge of what is seen of a letter and what is round it, px. */
  private static final double EDGE = 1.5;

  /**
   * Letters that are hard to see.
   *
   * @param contrast their mean contrast, to 1
   * @param share of all letters, by area
   */
  record Weak(double contrast, double share) {}

  private record Part(double contrast, int pixels) {}

  private final int width;
  private final int height;
  private final int[] picture;
  private final int[] letters;
  private final double[] distance;

  private Contrast(int width, int height, int[] picture, int[] letters) {
    this.width = width;
    this.height = height;
    this.picture = picture;
    this.letters = letters;
    this.distance = distances();
  }

  /**
   * What of some letters has less contrast than is wanted.
   *
   * @param picture all that is seen, as {@link PaintedFrames#at}
   * @param letters the same with nothing but the letters
   * @param em of the letters in px of the picture
   * @param line the width of their outlines, px
   * @param wanted to 1
   */
  static Weak of(
      int width, int height, int[] picture, int[] letters, double em, double line, double wanted) {
    Contrast c = new Contrast(width, height, picture, letters);
    List<Part> parts = c.parts((int) Math.max(8, em), line + EDGE, Math.max(3, em * 0.12));
    double all = 0;
    double weak = 0;
    double sum = 0;
    for (Part p : parts) {
      all += p.pixels;
      if (p.contrast < wanted) {
        weak += p.pixels;
        sum += p.contrast * p.pixels;
      }
    }
    return new Weak(weak > 0 ? sum / weak : wanted, all > 0 ? weak / all : 0);
  }

  private List<Part> parts(int side, double line, double band) {
    List<Part> out = new ArrayList<>();
    for (int y = 0; y < height; y += side) {
      for (int x = 0; x < width; x += side) {
        Part p = part(x, y, side, line, band);
        if (p != null) {
          out.add(p);
        }
      }
    }
    return out;
  }

  /** Null where there are no letters, or nothing is known to be behind them. */
  private Part part(int left, int top, int side, double line, double band) {
    double[] sum = new double[3];
    int[] n = new int[3];
    for (int y = top; y < Math.min(top + side, height); y++) {
      for (int x = left; x < Math.min(left + side, width); x++) {
        int zone = zone(y * width + x, line, band);
        if (zone >= 0) {
          sum[zone] += Light.of(picture[y * width + x]);
          n[zone]++;
        }
      }
    }
    if (n[0] < LEAST || n[2] < LEAST) {
      return null;
    }
    double round = sum[2] / n[2];
    double own = Light.contrast(sum[0] / n[0], round);
    boolean outlined = line > EDGE && n[1] >= LEAST;
    double lined = outlined ? Light.contrast(sum[1] / n[1], round) : 1;
    return new Part(Math.max(own, lined), n[0]);
  }

  /** 0 within a letter, 1 at its edge, 2 round it, else -1. */
  private int zone(int pixel, double line, double band) {
    if (picture[pixel] >>> 24 < PAINTED) {
      return -1;
    }
    if (letters[pixel] >>> 24 >= INSIDE) {
      return 0;
    }
    double d = distance[pixel];
    if (d <= line - EDGE) {
      return 1;
    }
    return d > line && d <= line + band && letters[pixel] >>> 24 <= OUTSIDE ? 2 : -1;
  }

  /**
   * How far each pixel is from the nearest one within a letter, px: in two passes by steps of 1 and
   * the square root of 2 (Borgefors, Distance transformations in digital images, 1986), at most 8
   * percent too much.
   */
  private double[] distances() {
    double[] d = new double[width * height];
    Arrays.fill(d, Double.POSITIVE_INFINITY);
    for (int i = 0; i < d.length; i++) {
      d[i] = letters[i] >>> 24 >= INSIDE ? 0 : d[i];
    }
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        near(d, x, y, x - 1, y, 1);
        near(d, x, y, x, y - 1, 1);
        near(d, x, y, x - 1, y - 1, Math.sqrt(2));
        near(d, x, y, x + 1, y - 1, Math.sqrt(2));
      }
    }
    for (int y = height - 1; y >= 0; y--) {
      for (int x = width - 1; x >= 0; x--) {
        near(d, x, y, x + 1, y, 1);
        near(d, x, y, x, y + 1, 1);
        near(d, x, y, x + 1, y + 1, Math.sqrt(2));
        near(d, x, y, x - 1, y + 1, Math.sqrt(2));
      }
    }
    return d;
  }

  private void near(double[] d, int x, int y, int fromX, int fromY, double step) {
    if (fromX >= 0 && fromX < width && fromY >= 0 && fromY < height) {
      int i = y * width + x;
      d[i] = Math.min(d[i], d[fromY * width + fromX] + step);
    }
  }
}
