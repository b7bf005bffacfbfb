package rovingglyph.follow;

/** How alike two series of numbers are, but for brightness and contrast. */
final class Correlation {
  private double sumA;
  private double sumB;
  private double squaresA;
  private double squaresB;
  private double products;
  private int count;

  /** Adds a pair; one that is not known in either is left out. */
  void add(double a, double b) {
    if (Double.isNaN(a + b)) {
      return;
    }
    sumA += a;
    sumB += b;
    squaresA += a * a;
    squaresB += b * b;
    products += a * b;
    count++;
  }

  /**
   * It, -1 to 1.
   *
   * @param least with fewer pairs nothing is alike
   */
  double value(int least) {
    double both = Math.sqrt((squaresA - sumA * sumA / count) * (squaresB - sumB * sumB / count));
    return count < least || !(both > 0) ? -1 : (products - sumA * sumB / count) / both;
  }
}
