package rovingglyph.follow;

/**
 * Where the surroundings of a marked spot are in a frame: the spot at {@code x}, {@code y}, and
 * what lies {@code u}, {@code v} px off it in the frame where it was marked, at {@code x + a u + c
 * v}, {@code y + b u + d v}.
 */
record Warp(double a, double b, double c, double d, double x, double y) {
  static Warp at(double x, double y) {
    return new Warp(1, 0, 0, 1, x, y);
  }

  Warp to(double newX, double newY) {
    return new Warp(a, b, c, d, newX, newY);
  }

  double x(double u, double v) {
    return x + a * u + c * v;
  }

  double y(double u, double v) {
    return y + b * u + d * v;
  }

  /** The same grown and turned about the spot, in radians. */
  Warp grown(double scale, double turn) {
    double cos = scale * Math.cos(turn);
    double sin = scale * Math.sin(turn);
    return new Warp(
        cos * a - sin * b, sin * a + cos * b, cos * c - sin * d, sin * c + cos * d, x, y);
  }

  /** How far what lay to the right is turned, radians. */
  double angle() {
    return Math.atan2(b, a);
  }

  /** How many times as large an area is. */
  double area() {
    return a * d - b * c;
  }

  boolean isFinite() {
    return Double.isFinite(a + b + c + d + x + y);
  }
}
