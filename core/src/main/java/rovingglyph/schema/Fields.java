package rovingglyph.schema;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.scene.UnknownFields;

/**
 * The fields of one JSON object, read with checks. A field that is missing gives the default; one
 * that is wrong gives the default too and leaves a problem, so that one reading finds them all.
 */
public final class Fields {
  private final JsonObject object;
  private final Fields parent;
  private final String step;
  private final int index;
  private final List<Problem> problems;
  private final List<String> known = new ArrayList<>();

  /** The fields of a whole text; {@link #check} tells its problems. */
  public static Fields of(JsonValue value) {
    return new Fields(value, "$", new ArrayList<>());
  }

  /**
   * The fields of one value.
   *
   * @param path of the value in its document, such as {@code $}
   * @param problems to which what is wrong is added
   */
  public Fields(JsonValue value, String path, List<Problem> problems) {
    this(value, null, path, -1, problems);
  }

  /** Where it stands is told by steps, which become a text only where there is a problem. */
  private Fields(JsonValue value, Fields parent, String step, int index, List<Problem> problems) {
    this.parent = parent;
    this.step = step;
    this.index = index;
    this.problems = problems;
    if (value.isObject()) {
      object = value.asObject();
    } else {
      object = new JsonObject();
      problem(null, "is not an object: " + shown(value), "{ ... }");
    }
  }

  /** The JSON path of a field; of the object itself for null. */
  public String path(String name) {
    String here = parent == null ? step : parent.path(step) + (index < 0 ? "" : "[" + index + "]");
    return name == null ? here : here + "." + name;
  }

  /**
   * Notes what is wrong.
   *
   * @param name of the field; null for the object itself
   * @param allowed the allowed range or values; empty where that says nothing more
   */
  public void problem(String name, String reason, String allowed) {
    problems.add(new Problem(path(name), reason, allowed));
  }

  /**
   * The value of a field; null where it is not there or is null. It counts as known from then on.
   */
  public JsonValue get(String name) {
    known.add(name);
    JsonValue v = object.get(name);
    return v == null || v.isNull() ? null : v;
  }

  /** Tells of every field that nobody has asked for. */
  public void refuseRest() {
    rest().fields().forEach((name, v) -> problem(name, "is not known here: " + shown(v), ""));
  }

  /** Whether a field is there and not null. */
  public boolean has(String name) {
    return get(name) != null;
  }

  /** A number from {@code min} to {@code max}; {@code fallback} where it is not there or wrong. */
  public double number(String name, double min, double max, double fallback) {
    JsonValue v = get(name);
    return v == null ? fallback : number(v, name, min, max, fallback);
  }

  private double number(JsonValue v, String name, double min, double max, double fallback) {
    if (!v.isNumber()) {
      problem(name, "is not a number: " + shown(v), range(min, max));
      return fallback;
    }
    double d = Decimal.parse(v.toString());
    if (!(d >= min && d <= max)) {
      problem(name, "is " + shown(v) + ", out of range", range(min, max));
      return fallback;
    }
    return d;
  }

  /** A range as problems and descriptions tell it. */
  static String range(double min, double max) {
    return Decimal.text(min, 3) + " to " + Decimal.text(max, 3);
  }

  /**
   * A whole number from {@code min} to {@code max}; {@code fallback} where it is not there or
   * wrong.
   */
  public int integer(String name, int min, int max, int fallback) {
    double d = number(name, min, max, fallback);
    if (d != Math.rint(d)) {
      problem(name, "is not a whole number: " + Decimal.text(d, 3), min + " to " + max);
      return fallback;
    }
    return (int) d;
  }

  /** True or false; {@code fallback} where it is not there or neither. */
  public boolean flag(String name, boolean fallback) {
    JsonValue v = get(name);
    if (v == null) {
      return fallback;
    }
    if (!v.isBoolean()) {
      problem(name, "is neither true nor false: " + shown(v), "true, false");
      return fallback;
    }
    return v.asBoolean();
  }

  /**
   * A text of at most {@code longest} UTF-16 units without U+0000; {@code fallback} where it is not
   * there or wrong.
   */
  public String text(String name, int longest, String fallback) {
    JsonValue v = get(name);
    if (v == null) {
      return fallback;
    }
    if (!v.isString()) {
      problem(name, "is not a text: " + shown(v), "at most " + longest + " characters");
      return fallback;
    }
    String s = v.asString();
    if (s.length() > longest) {
      problem(name, "has " + s.length() + " characters", "at most " + longest);
      return fallback;
    }
    if (s.indexOf('\0') >= 0) {
      problem(name, "holds the character U+0000", "any other character");
      return fallback;
    }
    return s;
  }

  /** An id of 1 to 80 characters; empty where it is missing or wrong. */
  public String id(String name) {
    String s = text(name, 80, "");
    if (s.isEmpty()) {
      String what = has(name) ? "is empty: " + shown(get(name)) : "is missing or empty";
      problem(name, what, "1 to 80 characters");
    }
    return s;
  }

  /**
   * A colour written #RRGGBB as 0xRRGGBB; null where it is missing and {@code fallback} is null.
   */
  public Integer colour(String name, Integer fallback) {
    String s = text(name, 80, null);
    if (s == null) {
      return fallback;
    }
    if (s.length() != 7 || s.charAt(0) != '#' || !isHex(s)) {
      problem(name, "is not a colour: " + shown(get(name)), "#RRGGBB");
      return fallback;
    }
    return Integer.parseInt(s.substring(1), 16);
  }

  private static boolean isHex(String s) {
    for (int i = 1; i < s.length(); i++) {
      if ("0123456789abcdefABCDEF".indexOf(s.charAt(i)) < 0) {
        return false;
      }
    }
    return true;
  }

  /** One of the values, spelt in lower case with hyphens. */
  public <E extends Enum<E>> E choice(String name, E[] values, E fallback) {
    String s = text(name, 80, null);
    if (s == null) {
      return fallback;
    }
    E found = Spelling.find(values, s);
    if (found != null) {
      return found;
    }
    problem(name, "is an unknown choice: " + shown(get(name)), Spelling.all(values));
    return fallback;
  }

  /** A pair [x, y], each within +-limit. */
  public Point point(String name, double limit, Point fallback) {
    double[] pair = numbers(name, 2, -limit, limit);
    return pair == null ? fallback : new Point(pair[0], pair[1]);
  }

  /** An array of {@code count} numbers; null where missing or wrong. */
  public double[] numbers(String name, int count, double min, double max) {
    JsonValue v = get(name);
    if (v == null) {
      return null;
    }
    if (!v.isArray() || v.asArray().size() != count) {
      problem(
          name, "is not a list of " + count + " numbers: " + shown(v), "each " + range(min, max));
      return null;
    }
    double[] out = new double[count];
    int before = problems.size();
    for (int i = 0; i < count; i++) {
      JsonValue entry = v.asArray().get(i);
      double d = entry.isNumber() ? Decimal.parse(entry.toString()) : Double.NaN;
      boolean good = d >= min && d <= max;
      out[i] = good ? d : number(entry, name + "[" + i + "]", min, max, 0);
    }
    return problems.size() == before ? out : null;
  }

  /** An array of at most {@code most} pairs of numbers, one after another; empty where wrong. */
  public double[] pairs(String name, int most, double min, double max) {
    JsonValue v = get(name);
    if (v == null) {
      return new double[0];
    }
    if (!v.isArray() || v.asArray().size() > most) {
      problem(name, "is not a list of at most " + most + " pairs: " + shown(v), "[[x, y], ...]");
      return new double[0];
    }
    double[] out = new double[2 * v.asArray().size()];
    for (int i = 0; i < out.length / 2; i++) {
      double[] pair = pair(v.asArray().get(i), min, max);
      if (pair == null) {
        problem(
            name + "[" + i + "]",
            "is not a pair of numbers in range: " + shown(v.asArray().get(i)),
            "each " + range(min, max));
        return new double[0];
      }
      out[2 * i] = pair[0];
      out[2 * i + 1] = pair[1];
    }
    return out;
  }

  /** Null where it is none. */
  private static double[] pair(JsonValue v, double min, double max) {
    if (!v.isArray() || v.asArray().size() != 2) {
      return null;
    }
    double[] out = new double[2];
    for (int i = 0; i < 2; i++) {
      JsonValue entry = v.asArray().get(i);
      out[i] = entry.isNumber() ? Decimal.parse(entry.toString()) : Double.NaN;
      if (!(out[i] >= min && out[i] <= max)) {
        return null;
      }
    }
    return out;
  }

  /**
   * The objects of a list of at most {@code most}; what is read as null is left out. Empty where
   * the list is missing or wrong.
   */
  public <T> List<T> list(String name, int most, Function<Fields, T> read) {
    JsonValue v = get(name);
    List<T> out = new ArrayList<>();
    if (v == null) {
      return out;
    }
    if (!v.isArray()) {
      problem(name, "is not a list: " + shown(v), "at most " + most + " entries");
      return out;
    }
    JsonArray array = v.asArray();
    if (array.size() > most) {
      problem(name, "has " + array.size() + " entries", "at most " + most);
      return out;
    }
    for (int i = 0; i < array.size(); i++) {
      T one = read.apply(new Fields(array.get(i), this, name, i, problems));
      if (one != null) {
        out.add(one);
      }
    }
    return List.copyOf(out);
  }

  /** The texts of a list of at most {@code most}; empty where it is missing or wrong. */
  public List<String> texts(String name, int most) {
    JsonValue v = get(name);
    List<String> out = new ArrayList<>();
    if (v == null) {
      return out;
    }
    if (!v.isArray() || v.asArray().size() > most) {
      problem(name, "is not a list of at most " + most + " texts: " + shown(v), "[ ... ]");
      return out;
    }
    for (JsonValue entry : v.asArray()) {
      if (entry.isString()) {
        out.add(entry.asString());
      } else {
        problem(name, "holds something that is not a text: " + shown(entry), "texts");
      }
    }
    return out;
  }

  /** The fields of the object in a field; those of an empty one where it is missing. */
  public Fields object(String name) {
    JsonValue v = get(name);
    return new Fields(v == null ? new JsonObject() : v, this, name, -1, problems);
  }

  /** The names of all fields, known or not, in the order of the document. */
  public List<String> names() {
    return object.names();
  }

  /** The problems found so far, in the whole document. */
  public List<Problem> problems() {
    return problems;
  }

  /**
   * Ends a reading.
   *
   * @throws DocumentException with every problem found so far
   */
  public void check() {
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
  }

  /** The fields nobody has asked for. */
  public UnknownFields rest() {
    Map<String, JsonValue> out = new LinkedHashMap<>();
    for (JsonObject.Member m : object) {
      if (!known.contains(m.getName())) {
        out.put(m.getName(), m.getValue());
      }
    }
    return out.isEmpty() ? UnknownFields.NONE : new UnknownFields(out);
  }

  /** A whole number with its thousands set apart. */
  static String grouped(int n) {
    return n < 1000 ? "" + n : grouped(n / 1000) + "," + ("" + (1000 + n % 1000)).substring(1);
  }

  /** The beginning of a value, as problems tell it. */
  static String shown(JsonValue v) {
    String s = v.toString();
    return s.length() > 24 ? s.substring(0, 24) + "..." : s;
  }
}
