package rovingglyph.schema;

import com.eclipsesource.json.Json;
import java.util.List;
import java.util.function.BiConsumer;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;

/**
 * JSON, written into one buffer: documents are thousands of short pieces, and joining them as texts
 * takes most of the time where this runs in a browser.
 */
public final class Writer {
  private Writer() {}

  /** A text in quotation marks. */
  public static void text(String s, StringBuilder out) {
    if (isPlain(s)) {
      out.append('"').append(s).append('"');
    } else {
      out.append(Json.value(s));
    }
  }

  /** Whether nothing of it is to be escaped. */
  private static boolean isPlain(String s) {
    for (int i = 0; i < s.length(); i++) {
      char c = s.charAt(i);
      if (c < ' ' || c > '~' || c == '"' || c == '\\') {
        return false;
      }
    }
    return true;
  }

  /** The name of a field, after a comma unless it is the first of its object. */
  public static void name(String name, StringBuilder out) {
    comma(out);
    text(name, out);
    out.append(':');
  }

  static void comma(StringBuilder out) {
    if (out.charAt(out.length() - 1) != '{') {
      out.append(',');
    }
  }

  /** A colour 0xRRGGBB in quotation marks, as #RRGGBB. */
  public static void colour(int rgb, StringBuilder out) {
    out.append('"').append(colour(rgb)).append('"');
  }

  /** A colour 0xRRGGBB as #RRGGBB. */
  public static String colour(int rgb) {
    String hex = Integer.toHexString(rgb | 0x1000000).substring(1);
    return "#" + hex.toUpperCase();
  }

  /** A point as a list of two numbers. */
  public static void pair(Point p, StringBuilder out) {
    out.append('[');
    number(p.x(), out);
    out.append(',');
    number(p.y(), out);
    out.append(']');
  }

  /** A list, each entry written in turn. */
  public static <T> void list(
      List<T> values, StringBuilder out, BiConsumer<T, StringBuilder> write) {
    out.append('[');
    for (int i = 0; i < values.size(); i++) {
      if (i > 0) {
        out.append(',');
      }
      write.accept(values.get(i), out);
    }
    out.append(']');
  }

  /**
   * The shortest text that is read as the same number; whole numbers without a fraction, so that a
   * document reads the same wherever it was written.
   */
  public static void number(double value, StringBuilder out) {
    boolean moderate = Math.abs(value) < 1e9;
    if (value == Math.rint(value) && Math.abs(value) < 1e15) {
      if (moderate) {
        out.append((int) value);
      } else {
        out.append((long) value);
      }
    } else if (moderate && Math.rint(value * 1e6) / 1e6 == value) {
      // Most numbers have few decimals, and are written much faster so.
      out.append(Decimal.text(value, 6));
    } else {
      out.append(Json.value(value));
    }
  }

  /** A number as its shortest text; see {@link #number(double, StringBuilder)}. */
  public static String number(double value) {
    StringBuilder out = new StringBuilder();
    number(value, out);
    return out.toString();
  }
}
