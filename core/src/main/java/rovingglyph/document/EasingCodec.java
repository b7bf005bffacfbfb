package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.Easing;

/**
 * Easings from and to JSON: a word, where CSS has one that of CSS, four numbers for an own curve,
 * or an object with the numbers of another kind: {@code {"spring": [stiffness, damping, mass]}},
 * {@code {"bounce": [3]}}, {@code {"steps": [5]}}, {@code {"list": [0, 0.4, 1]}}.
 */
public final class EasingCodec {
  /** Words of earlier versions, which are read for good. */
  private static final Map<String, Easing.Kind> FORMER =
      Map.of(
          "steady", Easing.Kind.LINEAR,
          "gentle-start", Easing.Kind.EASE_IN,
          "gentle-stop", Easing.Kind.EASE_OUT,
          "gentle-both", Easing.Kind.EASE_IN_OUT);

  private EasingCodec() {}

  static Easing read(Fields f) {
    JsonValue v = f.get("easing");
    if (v != null && v.isString() && FORMER.containsKey(v.asString())) {
      return Easing.of(FORMER.get(v.asString()));
    }
    if (v == null || v.isString()) {
      return Easing.of(f.choice("easing", Easing.Kind.values(), Easing.Kind.LINEAR));
    }
    return v.isObject() ? byNumbers(f.object("easing")) : own(f);
  }

  /**
   * An easing of its own, as documents have it.
   *
   * @throws DocumentException if it is none
   */
  public static Easing read(JsonValue easing) {
    List<Problem> problems = new ArrayList<>();
    Easing e = read(new Fields(Json.object().add("easing", easing), "$", problems));
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return e;
  }

  private static Easing own(Fields f) {
    double[] c = f.numbers("easing", 4, -100, 100);
    if (c == null) {
      return Easing.LINEAR;
    }
    if (c[0] < 0 || c[0] > 1 || c[2] < 0 || c[2] > 1) {
      f.problem("easing", "an own curve [x1, y1, x2, y2] has x1 or x2 out of range", "0 to 1");
      return Easing.LINEAR;
    }
    return Easing.own(c[0], c[1], c[2], c[3]);
  }

  private static Easing byNumbers(Fields f) {
    if (f.get("spring") != null) {
      double[] n = f.numbers("spring", 3, 1e-3, 1e6);
      return n == null ? Easing.LINEAR : Easing.by(Easing.Kind.SPRING, List.of(n[0], n[1], n[2]));
    }
    if (f.get("bounce") != null) {
      double[] n = f.numbers("bounce", 1, 1, 20);
      return n == null ? Easing.LINEAR : Easing.by(Easing.Kind.BOUNCE, List.of(Math.rint(n[0])));
    }
    if (f.get("steps") != null) {
      double[] n = f.numbers("steps", 1, 1, 1000);
      return n == null ? Easing.LINEAR : Easing.by(Easing.Kind.STEPS, List.of(Math.rint(n[0])));
    }
    JsonValue list = f.get("list");
    if (list == null || !list.isArray() || list.asArray().size() < 2) {
      f.problem(null, "is no easing", "spring, bounce, steps, or a list of two values or more");
      return Easing.LINEAR;
    }
    double[] n = f.numbers("list", Math.min(list.asArray().size(), 200), -100, 100);
    if (n == null) {
      return Easing.LINEAR;
    }
    List<Double> values = new ArrayList<>();
    for (double d : n) {
      values.add(d);
    }
    return Easing.by(Easing.Kind.LIST, values);
  }

  static String write(Easing e) {
    if (e.kind() == Easing.Kind.OWN) {
      return Writer.list(List.of(e.x1(), e.y1(), e.x2(), e.y2()), Writer::number);
    }
    return e.numbers().isEmpty()
        ? Json.value(Spelling.of(e.kind())).toString()
        : Writer.object().list(Spelling.of(e.kind()), e.numbers(), Writer::number).text();
  }
}
