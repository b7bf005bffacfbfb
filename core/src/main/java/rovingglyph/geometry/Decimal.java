package rovingglyph.geometry;

/** Numbers as short decimal text, the same on every machine and without exponents. */
public final class Decimal {
  private Decimal() {}

  /**
   * Rounded to at most {@code places} (0 to 9) decimals, without trailing zeros. Values beyond 1e9
   * lose decimals; NaN and infinities are written as 0, since no format has a word for them.
   */
  public static String text(double value, int places) {
    if (Double.isNaN(value) || Double.isInfinite(value)) {
      return "0";
    }
    double power = 1;
    for (int i = 0; i < places; i++) {
      power *= 10;
    }
    double scaled = Math.abs(value) * power;
    if (scaled > 9e18) {
      return Long.toString(Math.round(value));
    }
    long digits = Math.round(scaled);
    if (digits == 0) {
      return "0";
    }
    String all = Long.toString(digits);
    while (all.length() <= places) {
      all = "0" + all;
    }
    int point = all.length() - places;
    int end = all.length();
    while (end > point && all.charAt(end - 1) == '0') {
      end--;
    }
    String text = all.substring(0, point) + (end > point ? "." + all.substring(point, end) : "");
    return value < 0 ? "-" + text : text;
  }
}
