package rovingglyph.frame;

import rovingglyph.geometry.Point3;
import rovingglyph.motion.Colours;

/**
 * Light that falls on faces from one side, and from all sides a little: by the cosine of the angle
 * to the face (J. H. Lambert, Photometria, 1760), reckoned in light, not in colour values. A face
 * towards the light has its own colour.
 */
final class Light {
  private static final double[] LIGHT = Colours.light();
  private static final int STEPS = 4096;
  private static final double[] VALUES = Colours.values(STEPS);

  /** By how much the flattest of faces lose their edge light. */
  private static final int FALL = 3;

  private final Point3 from;
  private final double ambient;
  private final double[] tint;
  private final double edge;

  /**
   * @param turn the way from which it comes, radians clockwise from the top
   * @param height how far it is before the picture, radians
   * @param ambient 0 to 1
   * @param warmth -1 bluish to 1 yellowish
   * @param edge of light on faces that are seen at a flat angle, 0 to 1
   */
  Light(double turn, double height, double ambient, double warmth, double edge) {
    double level = Math.cos(height);
    this.from = new Point3(level * Math.sin(turn), -level * Math.cos(turn), -Math.sin(height));
    this.ambient = ambient;
    double warm = Math.max(warmth, 0);
    double cold = Math.max(-warmth, 0);
    this.tint = new double[] {1 - 0.45 * cold, 1 - 0.22 * warm - 0.18 * cold, 1 - 0.6 * warm};
    this.edge = edge;
  }

  /** The way to where it comes from, of length 1. */
  Point3 from() {
    return from;
  }

  /** How much of it edges have more, 0 to 1. */
  double edge() {
    return edge;
  }

  /**
   * The colour of a face.
   *
   * @param rgb its own, 0xRRGGBB
   * @param normal the way out of it, of length 1
   * @param eye the way to the eye, of length 1
   */
  int on(int rgb, Point3 normal, Point3 eye) {
    return at(rgb, normal.dot(from), 1 - Math.min(Math.abs(normal.dot(eye)), 1));
  }

  /**
   * The same by numbers.
   *
   * @param cosine of the angle between the way out of the face and the light
   * @param flat 0 for a face that is seen straight, 1 for one that is seen from its edge
   */
  int at(int rgb, double cosine, double flat) {
    double direct = (1 - ambient) * Math.max(cosine, 0);
    double more = edge == 0 ? 0 : edge * Math.pow(flat, FALL);
    int out = 0;
    for (int i = 0; i < 3; i++) {
      int shift = 16 - 8 * i;
      double light = LIGHT[rgb >> shift & 255] * (ambient + direct * tint[i]) + more;
      int step = (int) Math.round(Math.min(light, 1) * STEPS);
      out |= (int) VALUES[step] << shift;
    }
    return out;
  }
}
