package rovingglyph.seat;

import rovingglyph.geometry.Contour;

/**
 * Places of a contour at equal steps, with cubic Hermite curves between: for bent letters, which
 * ask for thousands of places. Steps that hold a corner are looked up in the contour itself.
 */
final class Stations {
  private static final double STEP = 3;

  private final Contour contour;
  private final int n;
  private final double step;
  private final double[] x;
  private final double[] y;
  private final double[] tx;
  private final double[] ty;
  private final boolean[] corner;

  Stations(Contour contour) {
    this.contour = contour;
    n = (int) Math.min(8000, Math.max(16, Math.ceil(contour.length() / STEP)));
    step = contour.length() / n;
    x = new double[n + 1];
    y = new double[n + 1];
    tx = new double[n + 1];
    ty = new double[n + 1];
    corner = new boolean[n + 1];
    for (int i = 0; i <= n; i++) {
      boolean last = i == n && contour.closed();
      Contour.Station s =
          contour.at(last ? Math.nextDown(contour.length()) : Math.min(i * step, contour.length()));
      x[i] = s.point().x();
      y[i] = s.point().y();
      tx[i] = s.tangent().x();
      ty[i] = s.tangent().y();
    }
    for (Contour.Corner c : contour.corners()) {
      int cell = (int) Math.min(n - 1, c.distance() / step);
      corner[cell] = true;
      // On the border between two steps the corner belongs to both.
      corner[Math.max(0, cell - 1)] = true;
      corner[Math.min(n - 1, cell + 1)] = true;
    }
  }

  /** Writes the point and the unit tangent: x, y, x, y. Past an end it goes straight on. */
  void at(double d, double[] out) {
    if (d < 0 || d > n * step) {
      int end = d < 0 ? 0 : n;
      double more = d < 0 ? d : d - n * step;
      out[0] = x[end] + tx[end] * more;
      out[1] = y[end] + ty[end] * more;
      out[2] = tx[end];
      out[3] = ty[end];
      return;
    }
    int i = (int) Math.min(n - 1, d / step);
    if (corner[i]) {
      Contour.Station s = contour.at(Math.min(d, Math.nextDown(contour.length())));
      Track.write(s.point(), s.tangent(), out);
      return;
    }
    double u = d / step - i;
    double v = 1 - u;
    double a = v * v * (1 + 2 * u);
    double b = u * u * (3 - 2 * u);
    double p = step * u * v * v;
    double q = -step * u * u * v;
    out[0] = a * x[i] + b * x[i + 1] + p * tx[i] + q * tx[i + 1];
    out[1] = a * y[i] + b * y[i + 1] + p * ty[i] + q * ty[i + 1];
    double dx = v * tx[i] + u * tx[i + 1];
    double dy = v * ty[i] + u * ty[i + 1];
    double length = Math.sqrt(dx * dx + dy * dy);
    out[2] = dx / length;
    out[3] = dy / length;
  }
}
