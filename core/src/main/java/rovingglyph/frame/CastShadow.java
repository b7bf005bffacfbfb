package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Space;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Effect;

/**
 * The shape of an item thrown on a ground, at one time. A point at a height above the ground line
 * lands beside its foot, as far as the throw is long for that height. What lies below the line
 * throws nothing.
 *
 * <p>Its blur grows with the height, evenly up to the far end: the shape is painted in bands, each
 * of one blur, that fade into each other by their height.
 *
 * @param ground from coordinates along and down from the ground line to the pixels round the item
 * @param across along the ground per pixel of height
 * @param down from the ground per pixel of height
 * @param farEnd height at which blur and fade are full, px
 * @param deviation of the blur there, px
 * @param fade how much of the shadow is gone there, 0 to 1
 */
public record CastShadow(
    Affine ground,
    double across,
    double down,
    double farEnd,
    double deviation,
    double fade,
    int rgb,
    double opacity) {
  private static final int BANDS = Effect.CAST_BANDS;

  /** A shadow thrown flatter than this, per pixel of height, is not seen. */
  private static final double FLATTEST = 1e-3;

  /** How far from the foot the ground's line is turned by, px. */
  private static final double LINE_GRIP = 160;

  /** Wide and high enough for any frame, px. */
  private static final double FAR = 20000;

  /** Paints the item under a map. */
  interface Contents {
    void paint(Space round);
  }

  /** The map of the item to its shadow, in the pixels round it. */
  public Affine thrown() {
    return ground.times(flat()).times(ground.inverse());
  }

  private Affine flat() {
    return new Affine(1, 0, -across, -down, 0, 0);
  }

  /**
   * What the stage shows of it, x and y by turns in the pixels round the item: the foot, a point
   * along the ground by which its line is turned, the height of the far end, and where that lands.
   */
  public double[] marks() {
    double[] out = new double[8];
    double[][] places = {{0, 0}, {LINE_GRIP, 0}, {0, -farEnd}, {across * farEnd, down * farEnd}};
    for (int i = 0; i < places.length; i++) {
      out[2 * i] = x(ground, places[i][0], places[i][1]);
      out[2 * i + 1] = y(ground, places[i][0], places[i][1]);
    }
    return out;
  }

  /** Whether anything is to be seen of it. */
  boolean isSeen() {
    return opacity > 0 && Math.abs(down) > FLATTEST;
  }

  /** How many bands of different blur it has. */
  public int bands() {
    return deviation > 0 ? BANDS : 1;
  }

  /** The standard deviation of a band, px. */
  public double deviation(int band) {
    return bands() == 1 ? 0 : deviation * band / (BANDS - 1);
  }

  /** The heights of the stops by which bands fade, in shares of the far end. */
  public static double stop(int i) {
    return i / (BANDS - 1.0);
  }

  /** How many stops there are. */
  public static int stops() {
    return BANDS;
  }

  /** How much of one of so many bands is seen at a stop, 0 to 1. */
  public static double seen(int bands, int band, int stop, double fade) {
    return bands == 1 || band == stop ? 1 - fade * stop(stop) : 0;
  }

  /**
   * Adds it to a frame.
   *
   * @param map of the groups round the item
   * @param scale of it in the middle of the item
   */
  void paint(Frame frame, Space map, double scale, Contents item) {
    frame.push(opacity, BlendMode.NORMAL, LayerEffects.NONE);
    for (int i = 0; i < bands(); i++) {
      BlendMode blend = i == 0 ? BlendMode.NORMAL : BlendMode.PLUS_LIGHTER;
      frame.push(1, blend, LayerEffects.NONE);
      LayerEffects.Shade shade = new LayerEffects.Shade(deviation(i) * scale, 1, rgb, 1);
      frame.push(1, BlendMode.NORMAL, new LayerEffects().shadow(0, 0, 0, shade, true));
      item.paint(map.times(thrown()));
      frame.pop();
      frame.matte(false);
      frame.mapped(map);
      measure(frame, i);
      frame.pop();
    }
    frame.pop();
  }

  /** How much of a band is seen, by height. */
  private void measure(Frame frame, int band) {
    Affine shadow = ground.times(flat());
    double[] offsets = new double[BANDS];
    double[] opacities = new double[BANDS];
    for (int i = 0; i < BANDS; i++) {
      offsets[i] = stop(i);
      // A canvas takes 256 opacities of a stop.
      opacities[i] = Math.rint(seen(bands(), band, i, fade) * 255) / 255;
    }
    frame.fill(
        new FramePaint(
            FramePaint.Kind.LINEAR,
            1,
            0,
            -1,
            Bitmapped.STILL,
            Projection.of(shadow.times(new Affine(0, -farEnd, 1, 0, 0, 0))),
            offsets,
            new int[BANDS],
            opacities));
    frame.beginInline();
    Affine m = shadow;
    frame.polygon(
        new double[] {
          x(m, -FAR, 0), y(m, -FAR, 0), x(m, FAR, 0), y(m, FAR, 0),
          x(m, FAR, -FAR), y(m, FAR, -FAR), x(m, -FAR, -FAR), y(m, -FAR, -FAR)
        });
    frame.endInline();
  }

  private static double x(Affine m, double x, double y) {
    return m.a() * x + m.c() * y + m.e();
  }

  private static double y(Affine m, double x, double y) {
    return m.b() * x + m.d() * y + m.f();
  }
}
