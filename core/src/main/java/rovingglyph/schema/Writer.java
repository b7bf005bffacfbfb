package rovingglyph.schema;

import com.eclipsesource.json.Json;
import java.util.List;
import java.util.function.Function;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.scene.UnknownFields;

/** Writes one JSON object as text, in document order. */
public final class Writer {
  private final StringBuilder out = new StringBuilder("{");

  private Writer() {}

  public static Writer object() {
    return new Writer();
  }

  private StringBuilder name(String name) {
    if (out.length() > 1) {
      out.append(',');
    }
    return out.append(Json.value(name)).append(':');
  }

  public Writer add(String name, String value) {
    name(name).append(Json.value(value));
    return this;
  }

  public Writer add(String name, double value) {
    name(name).append(number(value));
    return this;
  }

  public Writer add(String name, boolean value) {
    name(name).append(value);
    return this;
  }

  /** Only what is true is written. */
  public Writer flag(String name, boolean value) {
    return value ? add(name, true) : this;
  }

  /** A choice, unless it is the usual one. */
  public Writer differing(String name, Enum<?> value, Enum<?> usual) {
    return value == usual ? this : add(name, Spelling.of(value));
  }

  /** A number, unless it is the usual one. */
  public Writer differing(String name, double value, double usual) {
    return value == usual ? this : add(name, value);
  }

  /** A value that is JSON text already. */
  public Writer json(String name, String text) {
    name(name).append(text);
    return this;
  }

  /** Null is written as null. */
  public Writer colour(String name, Integer rgb) {
    return rgb == null ? json(name, "null") : add(name, colour(rgb));
  }

  public static String colour(int rgb) {
    String hex = Integer.toHexString(rgb | 0x1000000).substring(1);
    return "#" + hex.toUpperCase();
  }

  public Writer point(String name, Point p) {
    return json(name, pair(p));
  }

  public static String pair(Point p) {
    return "[" + number(p.x()) + "," + number(p.y()) + "]";
  }

  public <T> Writer list(String name, List<T> values, Function<T, String> write) {
    return json(name, list(values, write));
  }

  public static <T> String list(List<T> values, Function<T, String> write) {
    StringBuilder all = new StringBuilder("[");
    for (T v : values) {
      all.append(all.length() > 1 ? "," : "").append(write.apply(v));
    }
    return all.append(']').toString();
  }

  public Writer texts(String name, List<String> values) {
    return list(name, values, v -> Json.value(v).toString());
  }

  public Writer rest(UnknownFields extras) {
    extras.fields().forEach((name, value) -> json(name, value.toString()));
    return this;
  }

  /**
   * The shortest text that is read as the same number; whole numbers without a fraction, so that a
   * document reads the same wherever it was written.
   */
  public static String number(double value) {
    boolean moderate = Math.abs(value) < 1e9;
    if (value == Math.rint(value) && Math.abs(value) < 1e15) {
      return moderate ? Integer.toString((int) value) : Long.toString((long) value);
    }
    // Most numbers have few decimals, and are written much faster so.
    if (moderate && Math.rint(value * 1e6) / 1e6 == value) {
      return Decimal.text(value, 6);
    }
    return Json.value(value).toString();
  }

  public String text() {
    return out.append('}').toString();
  }
}
