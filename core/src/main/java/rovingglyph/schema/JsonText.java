package rovingglyph.schema;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import com.eclipsesource.json.ParseException;
import java.util.ArrayList;
import java.util.List;

/**
 * JSON text from outside, held to what every reader and store can keep: whole characters without
 * U+0000, numbers that a double can hold, and bounded depth. Whatever passes can be written again
 * as it was read, fields that nobody knows included.
 */
public final class JsonText {
  /** How deep lists and objects may lie in each other. */
  public static final int DEEPEST = 60;

  /** The longest number, in characters; any double is written in fewer. */
  private static final int LONGEST_NUMBER = 400;

  /** More problems than these say nothing more. */
  private static final int MOST_PROBLEMS = 100;

  private JsonText() {}

  /**
   * Reads a text.
   *
   * @param longest the most characters
   * @throws DocumentException with every problem found
   */
  public static JsonValue read(String text, int longest) {
    List<Problem> problems = new ArrayList<>();
    JsonValue value = read(text, longest, problems);
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return value;
  }

  /** Reads a text and adds every problem found; null if it is no JSON or too long. */
  public static JsonValue read(String text, int longest, List<Problem> problems) {
    if (text.length() > longest) {
      problems.add(
          new Problem("$", "the text has " + text.length() + " characters", "at most " + longest));
      return null;
    }
    JsonValue value;
    try {
      value = Json.parse(text);
    } catch (ParseException e) {
      problems.add(
          new Problem(
              "$",
              "is not JSON: line "
                  + e.getLocation().line
                  + ", column "
                  + e.getLocation().column
                  + " is not understood",
              "JSON as in RFC 8259"));
      return null;
    }
    check(value, new Place(null, "$", -1), 1, problems);
    return value;
  }

  /** Where a value stands; it becomes a text only where there is a problem. */
  private record Place(Place in, String name, int index) {
    @Override
    public String toString() {
      if (in == null) {
        return name;
      }
      return index < 0 ? in + "." + name : in + "[" + index + "]";
    }
  }

  private static void check(JsonValue v, Place place, int depth, List<Problem> problems) {
    if (problems.size() >= MOST_PROBLEMS) {
      return;
    }
    if (v.isNumber()) {
      number(v.toString(), place, problems);
    } else if (v.isString()) {
      characters(v.asString(), place, "", problems);
    } else if (v.isObject() || v.isArray()) {
      if (depth > DEEPEST) {
        problems.add(
            new Problem(place.toString(), "lies too deep", "at most " + DEEPEST + " levels"));
      } else if (v.isObject()) {
        for (JsonObject.Member m : v.asObject()) {
          if (characters(m.getName(), place, ", a field's name", problems)) {
            check(m.getValue(), new Place(place, m.getName(), -1), depth + 1, problems);
          }
        }
      } else {
        int i = 0;
        for (JsonValue entry : v.asArray()) {
          check(entry, new Place(place, null, i), depth + 1, problems);
          i++;
        }
      }
    }
  }

  /** Whether a number is short and without an exponent, and so within any range. */
  private static boolean plain(String number) {
    return number.length() <= 24 && number.indexOf('e') < 0 && number.indexOf('E') < 0;
  }

  private static void number(String text, Place place, List<Problem> problems) {
    if (plain(text)) {
      return;
    }
    if (text.length() > LONGEST_NUMBER) {
      problems.add(
          new Problem(
              place.toString(),
              "is a number of " + text.length() + " characters",
              "at most " + LONGEST_NUMBER));
      return;
    }
    double d = Double.parseDouble(text);
    if (Double.isInfinite(d) || (d == 0 && hasValue(text))) {
      problems.add(
          new Problem(
              place.toString(),
              "is "
                  + (text.length() > 24 ? text.substring(0, 24) + "..." : text)
                  + ", out of range",
              "numbers that a double can hold, up to 1.8e308"));
    }
  }

  /** Whether a digit before the exponent is other than 0. */
  private static boolean hasValue(String number) {
    for (int i = 0; i < number.length(); i++) {
      char c = number.charAt(i);
      if (c == 'e' || c == 'E') {
        return false;
      }
      if (c >= '1' && c <= '9') {
        return true;
      }
    }
    return false;
  }

  private static boolean characters(String text, Place place, String what, List<Problem> problems) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == 0) {
        problems.add(
            new Problem(place + what, "holds the character U+0000", "any other character"));
        return false;
      }
      if (Character.isHighSurrogate(c)
          && i + 1 < text.length()
          && Character.isLowSurrogate(text.charAt(i + 1))) {
        i++;
      } else if (Character.isSurrogate(c)) {
        problems.add(
            new Problem(
                place + what, "holds half a character (a lone surrogate)", "whole characters"));
        return false;
      }
    }
    return true;
  }
}
