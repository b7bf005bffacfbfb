package rovingglyph.frame;

import java.util.Arrays;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.Bitmapped;

/**
 * The paint of faces side by side over which the light changes smoothly: one colour, or a gradient
 * across them whose lines of one colour go down them.
 */
final class StripPaint {
  /** Where colours are told across the side of a letter. */
  static final Stops FEW = Stops.of(5);

  /** Where they are told across a larger wall. */
  static final Stops MANY = Stops.of(17);

  /** Colours whose channels differ by no more are one. */
  private static final int ALIKE = 2;

  /** Narrower than this share of what they could be, strips have one colour. */
  private static final double LEAST_WIDE = 1e-3;

  private final double[] a;
  private final double[] b;
  private final int first;
  private final double chordX;
  private final double chordY;
  private final double downX;
  private final double downY;

  /** Tells the colour of a face, 0xRRGGBB, a share of the way across it. */
  interface Colours {
    int at(int face, double share);
  }

  /** Shares of the width: closer where a round side turns away. */
  record Stops(double[] offsets, double[] opaque) {
    private static Stops of(int count) {
      double[] offsets = new double[count];
      for (int i = 0; i < count; i++) {
        offsets[i] = (1 - Math.cos(Math.PI * i / (count - 1))) / 2;
      }
      double[] opaque = new double[count];
      Arrays.fill(opaque, 1);
      return new Stops(offsets, opaque);
    }
  }

  private StripPaint(double[] a, double[] b, int first, int edges) {
    this.a = a;
    this.b = b;
    this.first = first;
    int i = index(0);
    int k = index(edges);
    this.chordX = a[k] - a[i];
    this.chordY = a[k + 1] - a[i + 1];
    double x = 0;
    double y = 0;
    for (int j = 0; j <= edges; j++) {
      int c = index(j);
      x += b[c] - a[c];
      y += b[c + 1] - a[c + 1];
    }
    this.downX = x;
    this.downY = y;
  }

  /**
   * The paint of some faces.
   *
   * @param a their corners on one side as they are seen, x and y by turns, round and round
   * @param b those on the other side
   * @param first of these corners
   * @param edges how many faces
   * @param stops where colours are told
   */
  static FramePaint of(
      double[] a, double[] b, int first, int edges, Stops stops, Colours colours, double alpha) {
    StripPaint s = new StripPaint(a, b, first, edges);
    double wide = s.chordX * s.downY - s.chordY * s.downX;
    double could = Math.hypot(s.chordX, s.chordY) * Math.hypot(s.downX, s.downY);
    if (!(Math.abs(wide) > LEAST_WIDE * could)) {
      return FramePaint.plain(colours.at(0, 0), alpha);
    }
    double[] offsets = stops.offsets;
    int[] all = new int[offsets.length];
    int j = 0;
    double from = 0;
    double to = s.at(1, wide);
    for (int k = 0; k < all.length; k++) {
      while (j < edges - 1 && to < offsets[k]) {
        j++;
        from = to;
        to = s.at(j + 1, wide);
      }
      double share = to > from ? Math.min(Math.max((offsets[k] - from) / (to - from), 0), 1) : 1;
      all[k] = colours.at(j, share);
    }
    if (areAlike(all)) {
      return FramePaint.plain(all[all.length / 2], alpha);
    }
    int i = s.index(0);
    Affine map = new Affine(s.chordX, s.chordY, s.downX, s.downY, a[i], a[i + 1]);
    return new FramePaint(
        FramePaint.Kind.LINEAR,
        alpha,
        0,
        -1,
        Bitmapped.STILL,
        Projection.of(map),
        offsets,
        all,
        stops.opaque);
  }

  private int index(int corner) {
    return 2 * ((first + corner) % (a.length / 2));
  }

  /** How far across it a corner lies, 0 to 1, along lines that go down it. */
  private double at(int corner, double wide) {
    int i = index(0);
    int c = index(corner);
    double x = a[c] - a[i];
    double y = a[c + 1] - a[i + 1];
    return (x * downY - y * downX) / wide;
  }

  private static boolean areAlike(int[] colours) {
    for (int shift = 16; shift >= 0; shift -= 8) {
      int least = 255;
      int most = 0;
      for (int c : colours) {
        least = Math.min(least, c >> shift & 255);
        most = Math.max(most, c >> shift & 255);
      }
      if (most - least > ALIKE) {
        return false;
      }
    }
    return true;
  }
}
