package rovingglyph.geometry;

/** The map x' = a x + c y + e, y' = b x + d y + f, in the order of SVG's {@code matrix()}. */
public record Affine(double a, double b, double c, double d, double e, double f) {
  public static final Affine IDENTITY = new Affine(1, 0, 0, 1, 0, 0);

  /** A move by so many px. */
  public static Affine translate(double x, double y) {
    return new Affine(1, 0, 0, 1, x, y);
  }

  /** The same scale in both directions, about the origin. */
  public static Affine scale(double k) {
    return new Affine(k, 0, 0, k, 0, 0);
  }

  /** A turn about the origin, in radians, clockwise on screen. */
  public static Affine rotate(double radians) {
    double cos = Math.cos(radians);
    double sin = Math.sin(radians);
    return new Affine(cos, sin, -sin, cos, 0, 0);
  }

  /** A turn clockwise about a point, with y down. */
  public static Affine rotate(double radians, Point about) {
    return translate(about.x(), about.y())
        .times(rotate(radians))
        .times(translate(-about.x(), -about.y()));
  }

  /** This map after {@code inner}. */
  public Affine times(Affine inner) {
    return new Affine(
        a * inner.a + c * inner.b,
        b * inner.a + d * inner.b,
        a * inner.c + c * inner.d,
        b * inner.c + d * inner.d,
        a * inner.e + c * inner.f + e,
        b * inner.e + d * inner.f + f);
  }

  /** The map back; one that flattens everything has none, and gives itself. */
  public Affine inverse() {
    double det = a * d - b * c;
    return det == 0
        ? this
        : new Affine(
            d / det,
            (0 - b) / det,
            (0 - c) / det,
            a / det,
            (c * f - d * e) / det,
            (b * e - a * f) / det);
  }

  /** Where a point goes. */
  public Point apply(Point p) {
    return new Point(a * p.x() + c * p.y() + e, b * p.x() + d * p.y() + f);
  }

  /** The bounding box of the mapped rectangle. */
  public Rect apply(Rect r) {
    if (r.isEmpty()) {
      return r;
    }
    return Rect.EMPTY
        .include(apply(new Point(r.left(), r.top())))
        .include(apply(new Point(r.right(), r.top())))
        .include(apply(new Point(r.left(), r.bottom())))
        .include(apply(new Point(r.right(), r.bottom())));
  }

  /** Whether it keeps all angles, but for rounding, and does not mirror. */
  public boolean isSimilarity() {
    double size = Math.abs(a) + Math.abs(b);
    return Math.abs(a - d) + Math.abs(b + c) <= 1e-9 * size;
  }
}
