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
    // Written from its end into one buffer: documents and path data are thousands of these.
    char[] out = new char[32];
    int from = out.length;
    int end = from;
    int fraction = (int) rest;
    for (int i = 0; i < places; i++) {
      out[--from] = (char) ('0' + fraction % 10);
      fraction /= 10;
      if (out[from] == '0' && from == end - 1) {
        end--;
      }
    }
    if (end > from) {
      out[--from] = '.';
    }
    double left = whole;
    do {
      double tens = Math.floor(left / 10);
      out[--from] = (char) ('0' + (int) (left - tens * 10));
      left = tens;
    } while (left > 0);
    if (value < 0 && digits > 0) {
      out[--from] = '-';
    }
    return new String(out, from, end - from);
  }

  /**
   * The double nearest to a decimal number in the form of JSON.
   *
   * @throws NumberFormatException if it is none
   */
  public static double parse(String text) {
    // Up to 15 digits and a power of ten up to 22 are exact as doubles, and so is their quotient
    // but for one rounding (Clinger, How to read floating point numbers accurately, 1990). Much
    // quicker where this runs in a browser.
    int n = text.length();
    int at = n > 0 && text.charAt(0) == '-' ? 1 : 0;
    if (n == at || n - at > 16) {
      return Double.parseDouble(text);
    }
    double digits = 0;
    double power = 1;
    boolean point = false;
    int count = 0;
    for (int i = at; i < n; i++) {
      char c = text.charAt(i);
      if (c == '.' && !point) {
        point = true;
      } else if (c >= '0' && c <= '9' && ++count <= 15) {
        digits = digits * 10 + (c - '0');
        power = point ? power * 10 : power;
      } else {
        return Double.parseDouble(text);
      }
    }
    return count == 0 ? Double.parseDouble(text) : (at > 0 ? -digits : digits) / power;
  }
}
