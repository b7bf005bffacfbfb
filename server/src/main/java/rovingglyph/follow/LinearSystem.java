package rovingglyph.follow;

/** Systems of linear equations. */
final class LinearSystem {
  /** Pivots smaller than this share of the greatest number leave the answer open. */
  private static final double SINGULAR = 1e-12;

  private LinearSystem() {}

  /**
   * The solution by Gaussian elimination with partial pivoting.
   *
   * @param rows coefficients with the right side behind them; overwritten
   * @return null where there is none, or more than one
   */
  static double[] solve(double[][] rows) {
    int n = rows.length;
    double greatest = 0;
    for (double[] r : rows) {
      for (int i = 0; i < n; i++) {
        greatest = Math.max(greatest, Math.abs(r[i]));
      }
    }
    for (int i = 0; i < n; i++) {
      int pivot = i;
      for (int k = i + 1; k < n; k++) {
        pivot = Math.abs(rows[k][i]) > Math.abs(rows[pivot][i]) ? k : pivot;
      }
      double[] top = rows[pivot];
      rows[pivot] = rows[i];
      rows[i] = top;
      if (!(Math.abs(top[i]) > SINGULAR * greatest)) {
        return null;
      }
      for (int k = i + 1; k < n; k++) {
        double share = rows[k][i] / top[i];
        for (int j = i; j <= n; j++) {
          rows[k][j] -= share * top[j];
        }
      }
    }
    double[] out = new double[n];
    for (int i = n - 1; i >= 0; i--) {
      double sum = rows[i][n];
      for (int j = i + 1; j < n; j++) {
        sum -= rows[i][j] * out[j];
      }
      out[i] = sum / rows[i][i];
    }
    return out;
  }
}
