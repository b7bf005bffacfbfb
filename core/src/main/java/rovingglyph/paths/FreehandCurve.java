package rovingglyph.paths;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.CurveFit;
import rovingglyph.geometry.Point;
import rovingglyph.scene.FreehandPath;

/** A stroke of the hand, steadied and fitted with few cubics. */
public final class FreehandCurve {
  /**
   * The curve.
   *
   * @param error how far the stroke lies from it at most, px
   */
  public record Drawn(List<Cubic> cubics, boolean closed, double error) {
    /** The curve as a contour. */
    public Contour contour() {
      return new Contour(cubics, closed);
    }
  }

  /** Points that the stroke is brought to, evenly along it. */
  private static final int EVEN = 400;

  /** A direction that changes by more than this over a few even points is a corner, radians. */
  private static final double CORNER = Math.toRadians(65);

  private FreehandCurve() {}

  /** The curve fitted to a stroke by its steadiness and simplicity. */
  public static Drawn of(FreehandPath f) {
    List<Point> stroke = new ArrayList<>(f.samples());
    if (f.closed()) {
      stroke.add(stroke.get(0));
    }
    List<Point> even = evenly(stroke);
    double length = even.get(0).distance(even.get(1)) * (even.size() - 1);
    List<Point> steady =
        steadied(even, Math.pow(f.steadiness() / 100, 2) * 0.05 * EVEN, f.closed());
    double tolerance = Math.max(0.25, Math.pow(f.simplicity() / 100, 2) * 0.03 * length);
    List<Cubic> out = new ArrayList<>();
    double error = 0;
    int from = 0;
    Point seam = f.closed() ? steady.get(1).minus(steady.get(steady.size() - 2)).unit() : null;
    for (int i = 1; i < steady.size(); i++) {
      boolean last = i == steady.size() - 1;
      if (last || corner(steady, i)) {
        CurveFit.Fitted fit =
            CurveFit.fit(
                steady.subList(from, i + 1),
                from == 0 ? seam : null,
                last ? seam : null,
                tolerance);
        out.addAll(fit.cubics());
        error = Math.max(error, fit.error());
        from = i;
      }
    }
    return new Drawn(out, f.closed(), error + farthest(stroke, steady));
  }

  private static List<Point> evenly(List<Point> stroke) {
    double[] at = new double[stroke.size()];
    for (int i = 1; i < at.length; i++) {
      at[i] = at[i - 1] + stroke.get(i).distance(stroke.get(i - 1));
    }
    double total = at[at.length - 1];
    List<Point> out = new ArrayList<>();
    int i = 1;
    for (int k = 0; k <= EVEN; k++) {
      double d = total * k / EVEN;
      while (i < at.length - 1 && at[i] < d) {
        i++;
      }
      double step = at[i] - at[i - 1];
      double u = step > 0 ? Math.min(1, Math.max(0, (d - at[i - 1]) / step)) : 0;
      out.add(stroke.get(i - 1).lerp(stroke.get(i), u));
    }
    return out;
  }

  /** A Gaussian mean over neighbours; towards an open end over fewer, so that the ends stay. */
  private static List<Point> steadied(List<Point> row, double sigma, boolean closed) {
    if (sigma < 0.3) {
      return row;
    }
    int n = row.size() - 1;
    int reach = (int) Math.ceil(3 * sigma);
    List<Point> out = new ArrayList<>();
    for (int i = 0; i <= n; i++) {
      int r = closed ? Math.min(reach, n / 2) : Math.min(reach, Math.min(i, n - i));
      double weights = 0;
      double x = 0;
      double y = 0;
      for (int k = -r; k <= r; k++) {
        double w = Math.exp(-0.5 * k * k / (sigma * sigma));
        Point p = row.get(closed ? Math.floorMod(i + k, n) : i + k);
        weights += w;
        x += w * p.x();
        y += w * p.y();
      }
      out.add(new Point(x / weights, y / weights));
    }
    return out;
  }

  private static boolean corner(List<Point> row, int i) {
    return bend(row, i) > CORNER
        && bend(row, i) >= bend(row, i - 1)
        && bend(row, i) > bend(row, i + 1);
  }

  private static double bend(List<Point> row, int i) {
    int reach = 4;
    if (i < reach || i >= row.size() - reach) {
      return 0;
    }
    Point in = row.get(i).minus(row.get(i - reach));
    Point out = row.get(i + reach).minus(row.get(i));
    return Math.abs(Math.atan2(in.cross(out), in.dot(out)));
  }

  /** How far a sample lies from the steadied row, looked for round the same share of the length. */
  private static double farthest(List<Point> stroke, List<Point> row) {
    double worst = 0;
    int at = 0;
    for (Point p : stroke) {
      int best = at;
      for (int k = Math.max(0, at - 2); k < Math.min(row.size(), at + 24); k++) {
        if (row.get(k).distance(p) < row.get(best).distance(p)) {
          best = k;
        }
      }
      at = best;
      worst = Math.max(worst, row.get(best).distance(p));
    }
    return worst;
  }
}
