package rovingglyph.geometry;

import java.util.List;

/**
 * A map of the plane under which straight lines stay straight, as a plane is seen in perspective:
 * x' = (a x + c y + e) / w, y' = (b x + d y + f) / w with w = g x + h y + i. Where w is not greater
 * than 0 a point lies beside or behind the eye, and has no place.
 */
public record Projection(
    double a, double b, double c, double d, double e, double f, double g, double h, double i) {
  public static final Projection IDENTITY = of(Affine.IDENTITY);

  /**
   * Nearer to the eye than at this w nothing is seen; in the middle of what is mapped it is 1, so
   * that this is as near as grows things to 50 times their size.
   */
  public static final double NEAREST = 0.02;

  /** Corners that turn less than this, for their distances, lie on one line. */
  private static final double FLATTEST = 1e-6;

  /** A map without perspective. */
  public static Projection of(Affine m) {
    return new Projection(m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), 0, 0, 1);
  }

  /**
   * The map that takes four corners to four others; w is 1 in the middle of the former.
   *
   * @return null where either four are no corners, in order, of an area that bulges everywhere
   */
  public static Projection of(List<Point> from, List<Point> to) {
    if (!isConvex(from) || !isConvex(to)) {
      return null;
    }
    Projection m = ofSquare(to).times(ofSquare(from).inverse());
    Point middle = from.get(0).plus(from.get(1)).plus(from.get(2)).plus(from.get(3)).times(0.25);
    return m.scaled(1 / m.weight(middle));
  }

  /** Whether four points go round an area in order, whichever way, and bulge at each. */
  public static boolean isConvex(List<Point> corners) {
    double side = 0;
    for (int i = 0; i < 4; i++) {
      Point along = corners.get((i + 1) % 4).minus(corners.get(i));
      Point next = corners.get((i + 2) % 4).minus(corners.get((i + 1) % 4));
      double turn = along.cross(next);
      if (!(Math.abs(turn) > FLATTEST * along.length() * next.length()) || turn * side < 0) {
        return false;
      }
      side = turn;
    }
    return true;
  }

  /**
   * The unit square, clockwise from the origin with y down, to four corners (P. Heckbert,
   * Fundamentals of Texture Mapping and Image Warping, 1989, section 2.2.3).
   */
  private static Projection ofSquare(List<Point> p) {
    Point across = p.get(1).minus(p.get(2));
    Point down = p.get(3).minus(p.get(2));
    Point odd = p.get(0).minus(p.get(1)).plus(p.get(2)).minus(p.get(3));
    double all = across.cross(down);
    double g = odd.cross(down) / all;
    double h = across.cross(odd) / all;
    Point x = p.get(1).minus(p.get(0)).plus(p.get(1).times(g));
    Point y = p.get(3).minus(p.get(0)).plus(p.get(3).times(h));
    return new Projection(x.x(), x.y(), y.x(), y.y(), p.get(0).x(), p.get(0).y(), g, h, 1);
  }

  private Projection scaled(double k) {
    return new Projection(a * k, b * k, c * k, d * k, e * k, f * k, g * k, h * k, i * k);
  }

  /** Whether it has no perspective. */
  public boolean isFlat() {
    return g == 0 && h == 0 && i == 1;
  }

  /** The same where it has no perspective. */
  public Affine flat() {
    return new Affine(a, b, c, d, e, f);
  }

  /** This map after {@code inner}. */
  public Projection times(Projection inner) {
    return new Projection(
        a * inner.a + c * inner.b + e * inner.g,
        b * inner.a + d * inner.b + f * inner.g,
        a * inner.c + c * inner.d + e * inner.h,
        b * inner.c + d * inner.d + f * inner.h,
        a * inner.e + c * inner.f + e * inner.i,
        b * inner.e + d * inner.f + f * inner.i,
        g * inner.a + h * inner.b + i * inner.g,
        g * inner.c + h * inner.d + i * inner.h,
        g * inner.e + h * inner.f + i * inner.i);
  }

  /** This map after one without perspective. */
  public Projection times(Affine inner) {
    return times(of(inner));
  }

  /** The map back; one that flattens everything has none, and gives itself. */
  public Projection inverse() {
    if (isFlat()) {
      return of(flat().inverse());
    }
    double det = a * (d * i - f * h) - c * (b * i - f * g) + e * (b * h - d * g);
    return det == 0
        ? this
        : new Projection(
                d * i - f * h,
                f * g - b * i,
                e * h - c * i,
                a * i - e * g,
                c * f - e * d,
                e * b - a * f,
                b * h - d * g,
                c * g - a * h,
                a * d - c * b)
            .scaled(1 / det);
  }

  /** How far a point is from the eye, in shares of how far what keeps its size is. */
  public double weight(Point p) {
    return weight(p.x(), p.y());
  }

  /** The same of a point given by its coordinates. */
  public double weight(double x, double y) {
    return g * x + h * y + i;
  }

  /** Where a point goes; one that is nearer than {@link #NEAREST} as if it were as near. */
  public Point apply(Point p) {
    double w = Math.max(weight(p), NEAREST);
    return new Point((a * p.x() + c * p.y() + e) / w, (b * p.x() + d * p.y() + f) / w);
  }

  /** The bounding box of what is seen of the mapped rectangle. */
  public Rect apply(Rect r) {
    if (r.isEmpty()) {
      return r;
    }
    if (isFlat()) {
      return flat().apply(r);
    }
    Rect box = Rect.EMPTY;
    for (Point p : ProjectedPath.polygon(r.corners(), this)) {
      box = box.include(p);
    }
    return box;
  }

  /** The map without perspective that does the same at a point and next to it. */
  public Affine near(Point p) {
    if (isFlat()) {
      return flat();
    }
    double w = Math.max(weight(p), NEAREST);
    Point to = apply(p);
    double ax = (a - g * to.x()) / w;
    double bx = (b - g * to.y()) / w;
    double cx = (c - h * to.x()) / w;
    double dx = (d - h * to.y()) / w;
    return new Affine(
        ax, bx, cx, dx, to.x() - ax * p.x() - cx * p.y(), to.y() - bx * p.x() - dx * p.y());
  }
}
