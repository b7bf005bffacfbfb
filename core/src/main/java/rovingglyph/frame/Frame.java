package rovingglyph.frame;

import java.util.Arrays;

/**
 * What is to be painted at one time, back to front, as numbers: for each shape {@code colour}
 * (0xRRGGBB), {@code alpha} (0 to 1), {@code n}, then n times {@code outline} (index into the
 * prepared scene's outlines) and the six numbers of its map to scene pixels, as in SVG's {@code
 * matrix()}. The n outlines of a shape are one area, filled once by the non-zero rule, so that
 * overlapping letters of one lettering do not show through each other.
 */
public final class Frame {
  /** Numbers before the outlines of a shape. */
  public static final int HEAD = 3;

  /** Numbers per outline. */
  public static final int STRIDE = 7;

  private double[] numbers = new double[256];
  private int size;

  void shape(int rgb, double alpha, int count) {
    grow(HEAD + STRIDE * count);
    numbers[size++] = rgb;
    numbers[size++] = alpha;
    numbers[size++] = count;
  }

  void outline(int index, double a, double b, double c, double d, double e, double f) {
    numbers[size++] = index;
    numbers[size++] = a;
    numbers[size++] = b;
    numbers[size++] = c;
    numbers[size++] = d;
    numbers[size++] = e;
    numbers[size++] = f;
  }

  private void grow(int more) {
    if (size + more > numbers.length) {
      numbers = Arrays.copyOf(numbers, Math.max(size + more, numbers.length * 2));
    }
  }

  /** The list, as long as it is filled. */
  public double[] numbers() {
    return Arrays.copyOf(numbers, size);
  }
}
