package rovingglyph.frame;

import java.util.Arrays;
import java.util.List;
import java.util.function.IntUnaryOperator;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.Gradient;

/**
 * What an area or a line is painted with. In a display list: the {@link Kind}, alpha, and of a
 * plain paint the colour; of an image its index, its moment and the nine numbers of its map; of a
 * gradient these numbers, the count of its stops, and for each its offset, colour and opacity.
 *
 * @param alpha 0 to 1, on top of what the stops have
 * @param rgb 0xRRGGBB of a plain paint
 * @param image index of one of the scene's, of a paint that is an image; else -1
 * @param moment of an image that is footage: the last frame whose own time, in seconds, is not
 *     after this one; less than 0 for one that does not move
 * @param map of a gradient: linear ones go from (0, 0) to (1, 0) before it, radial ones from the
 *     middle to the rim of the unit circle. Of an image: it fills the unit square before it, and
 *     what is beyond is as its edge. Null for a plain paint
 * @param offsets of the stops, ascending, 0 to 1; before the first and after the last their colours
 *     go on
 * @param colours of the stops, 0xRRGGBB
 * @param opacities of the stops, 0 to 1; between stops colours are mixed unpremultiplied, as in SVG
 *     and in a canvas
 */
public record FramePaint(
    Kind kind,
    double alpha,
    int rgb,
    int image,
    double moment,
    Projection map,
    double[] offsets,
    int[] colours,
    double[] opacities) {
  /** The kinds of paint. */
  public enum Kind {
    PLAIN,
    LINEAR,
    RADIAL,
    IMAGE
  }

  /** Numbers that an image takes in a display list. */
  static final int IMAGE_SIZE = 13;

  /** Numbers of a gradient before its stops. */
  static final int GRADED_HEAD = 12;

  private static final double[] NO_STOPS = {};

  /** One of a single colour, 0xRRGGBB. */
  public static FramePaint plain(int rgb, double alpha) {
    return new FramePaint(
        Kind.PLAIN, alpha, rgb, -1, Bitmapped.STILL, null, NO_STOPS, new int[0], NO_STOPS);
  }

  static FramePaint image(int index, double moment, Projection map, double alpha) {
    return new FramePaint(Kind.IMAGE, alpha, 0, index, moment, map, NO_STOPS, new int[0], NO_STOPS);
  }

  /**
   * A gradient from a point to another, or from its middle to one of its rim. One that ends where
   * it begins is of the colour of its last stop, as in SVG.
   *
   * @param linear whether it is the former
   * @param map of these points to the pixels round it
   */
  static FramePaint graded(
      boolean linear, List<Gradient.Stop> stops, Point from, Point to, Affine map, double alpha) {
    return graded(linear, stops, from, to, Projection.of(map), alpha);
  }

  /** The same under a map that may have perspective. */
  static FramePaint graded(
      boolean linear,
      List<Gradient.Stop> stops,
      Point from,
      Point to,
      Projection map,
      double alpha) {
    if (from.equals(to)) {
      Gradient.Stop last = stops.get(stops.size() - 1);
      return plain(last.colour(), alpha * last.opacity() / 100);
    }
    double dx = to.x() - from.x();
    double dy = to.y() - from.y();
    return new FramePaint(
        linear ? Kind.LINEAR : Kind.RADIAL,
        alpha,
        0,
        -1,
        Bitmapped.STILL,
        map.times(new Affine(dx, dy, -dy, dx, from.x(), from.y())),
        stops.stream().mapToDouble(s -> s.offset() / 100).toArray(),
        stops.stream().mapToInt(Gradient.Stop::colour).toArray(),
        // A canvas takes 256 opacities of a stop: all painters are given the nearest of these.
        stops.stream().mapToDouble(s -> Math.rint(s.opacity() * 2.55) / 255).toArray());
  }

  /**
   * Seen in a light; an image stays as it is.
   *
   * @param light what becomes of colours, 0xRRGGBB
   */
  FramePaint lit(IntUnaryOperator light) {
    int[] all = Arrays.stream(colours).map(light).toArray();
    int plain = kind == Kind.PLAIN ? light.applyAsInt(rgb) : rgb;
    return new FramePaint(kind, alpha, plain, image, moment, map, offsets, all, opacities);
  }

  /** How many numbers a paint takes in a display list. */
  static int size(double[] n, int at) {
    return switch (Kind.values()[(int) n[at]]) {
      case PLAIN -> 3;
      case IMAGE -> IMAGE_SIZE;
      case LINEAR, RADIAL -> GRADED_HEAD + 3 * (int) n[at + GRADED_HEAD - 1];
    };
  }

  static FramePaint read(double[] n, int at) {
    Kind kind = Kind.values()[(int) n[at]];
    if (kind == Kind.PLAIN) {
      return plain((int) n[at + 2], n[at + 1]);
    }
    if (kind == Kind.IMAGE) {
      return image((int) n[at + 2], n[at + 3], map(n, at + 4), n[at + 1]);
    }
    int count = (int) n[at + GRADED_HEAD - 1];
    double[] offsets = new double[count];
    int[] colours = new int[count];
    double[] opacities = new double[count];
    for (int i = 0; i < count; i++) {
      offsets[i] = n[at + GRADED_HEAD + 3 * i];
      colours[i] = (int) n[at + GRADED_HEAD + 1 + 3 * i];
      opacities[i] = n[at + GRADED_HEAD + 2 + 3 * i];
    }
    return new FramePaint(
        kind, n[at + 1], 0, -1, Bitmapped.STILL, map(n, at + 2), offsets, colours, opacities);
  }

  private static Projection map(double[] n, int at) {
    return new Projection(
        n[at], n[at + 1], n[at + 2], n[at + 3], n[at + 4], n[at + 5], n[at + 6], n[at + 7],
        n[at + 8]);
  }
}
