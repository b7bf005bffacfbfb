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
    if (scaled > 9e15) {
      return Long.toString(Math.round(value));
    }
    // In two whole numbers: 64-bit integers are slow where this runs in a browser.
    double digits = Math.floor(scaled + 0.5);
    double whole = Math.floor(digits / power);
    double rest = digits - whole * power;
    if (rest < 0) {
      whole -= 1;
      rest += power;
    }
    StringBuilder out = new StringBuilder();
    if (value < 0 && digits > 0) {
      out.append('-');
    }
    if (whole < 1e9) {
      out.append((int) whole);
    } else {
      out.append((long) whole);
    }
    return rest > 0 ? fraction(out, (int) rest, places) : out.toString();
  }

  private static String fraction(StringBuilder out, int rest, int places) {
    out.append('.');
    String digits = Integer.toString(rest);
    for (int i = digits.length(); i < places; i++) {
      out.append('0');
    }
    int end = digits.length();
    while (digits.charAt(end - 1) == '0') {
      end--;
    }
    return out.append(digits, 0, end).toString();
  }
}
