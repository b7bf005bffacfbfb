package rovingglyph.geometry;

/** Arc length of part of a segment by the 16-point Gauss-Legendre rule (NIST DLMF, 3.5(v)). */
final class GaussLegendre {
  private static final double[] X = {
    0.0950125098376374402, 0.2816035507792589132, 0.4580167776572273863, 0.6178762444026437484,
    0.7554044083550030339, 0.8656312023878317439, 0.9445750230732325761, 0.9894009349916499326
  };
  private static final double[] W = {
    0.1894506104550684963, 0.1826034150449235889, 0.1691565193950025382, 0.1495959888165767321,
    0.1246289712555338721, 0.0951585116824927848, 0.0622535239386478929, 0.0271524594117540949
  };

  private GaussLegendre() {}

  /** Integral of the speed over [u0, u1]; exact for polynomials up to degree 31. */
  static double length(Segment s, double u0, double u1) {
    double mid = (u0 + u1) / 2;
    double half = (u1 - u0) / 2;
    double sum = 0;
    for (int i = 0; i < X.length; i++) {
      double h = half * X[i];
      sum += W[i] * (s.speed(mid - h) + s.speed(mid + h));
    }
    return sum * half;
  }
}
