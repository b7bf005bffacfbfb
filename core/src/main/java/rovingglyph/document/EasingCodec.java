package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.Easing;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Problem;
import rovingglyph.schema.Spelling;
import rovingglyph.schema.Types;
import rovingglyph.schema.Writer;

/**
 * Easings from and to JSON: a word, where CSS has one that of CSS, four numbers for an own curve,
 * or an object with the numbers of another kind: {@code {"spring": [stiffness, damping, mass]}},
 * {@code {"bounce": [3]}}, {@code {"steps": [5]}}, {@code {"list": [0, 0.4, 1]}}.
 */
public final class EasingCodec {
  /** The most numbers of a list. */
  private static final int MOST_NUMBERS = 200;

  /** Words of earlier versions, which are read for good. */
  private static final Map<String, Easing.Kind> FORMER =
      Map.of(
          "steady", Easing.Kind.LINEAR,
          "gentle-start", Easing.Kind.EASE_IN,
          "gentle-stop", Easing.Kind.EASE_OUT,
          "gentle-both", Easing.Kind.EASE_IN_OUT);

  /** The type of a keyframe's easing. */
  public static final FieldType<Easing> TYPE =
      new FieldType<>() {
        @Override
        public Easing read(Fields f, String name, Easing fallback) {
          return EasingCodec.read(f, name, fallback);
        }

        @Override
        public void write(Easing value, StringBuilder out) {
          EasingCodec.write(value, out);
        }

        @Override
        public String typescript() {
          return "Easing";
        }

        @Override
        public JsonObject jsonSchema() {
          return EasingCodec.jsonSchema();
        }

        @Override
        public String words() {
          return words.words()
              + ", an own curve `[x1, y1, x2, y2]`, x within 0 to 1, or `{ \"spring\": [stiffness,"
              + " damping, mass] }`, `{ \"bounce\": [times] }`, `{ \"steps\": [n] }`,"
              + " `{ \"list\": [values at equal distances] }`";
        }

        private final FieldType<Easing.Kind> words = Types.choice(Easing.Kind.values());
      };

  static final String ABOUT =
      "of the way to the next; `linear` and the `ease-` words as in CSS, an own curve as in CSS"
          + " `cubic-bezier()`. The words of earlier versions, `steady`, `gentle-start`,"
          + " `gentle-stop` and `gentle-both`, are read as these";

  private EasingCodec() {}

  private static Easing read(Fields f, String name, Easing fallback) {
    JsonValue v = f.get(name);
    if (v == null) {
      return fallback;
    }
    if (v.isString() && FORMER.containsKey(v.asString())) {
      return Easing.of(FORMER.get(v.asString()));
    }
    if (v.isString()) {
      Easing.Kind kind = f.choice(name, Easing.Kind.values(), null);
      return kind == null ? fallback : Easing.of(kind);
    }
    return v.isObject() ? byNumbers(f.object(name)) : own(f, name);
  }

  private static JsonObject jsonSchema() {
    JsonArray all =
        new JsonArray()
            .add(Types.choice(Easing.Kind.values()).jsonSchema())
            .add(Types.numbers(4, -100, 100).jsonSchema().add("minItems", 4));
    for (String kind : List.of("spring", "bounce", "steps", "list")) {
      all.add(
          new JsonObject()
              .add("type", "object")
              .add(
                  "properties",
                  new JsonObject().add(kind, Types.numbers(MOST_NUMBERS, -100, 1e6).jsonSchema()))
              .add("required", new JsonArray().add(kind)));
    }
    return new JsonObject().add("anyOf", all);
  }

  /**
   * An easing of its own, as documents have it.
   *
   * @throws DocumentException if it is none
   */
  public static Easing read(JsonValue easing) {
    List<Problem> problems = new ArrayList<>();
    Easing e =
        read(
            new Fields(Json.object().add("easing", easing), "$", problems),
            "easing",
            Easing.LINEAR);
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return e;
  }

  private static Easing own(Fields f, String name) {
    double[] c = f.numbers(name, 4, -100, 100);
    if (c == null) {
      return Easing.LINEAR;
    }
    if (c[0] < 0 || c[0] > 1 || c[2] < 0 || c[2] > 1) {
      f.problem(name, "an own curve [x1, y1, x2, y2] has x1 or x2 out of range", "0 to 1");
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
    double[] n = f.numbers("list", Math.min(list.asArray().size(), MOST_NUMBERS), -100, 100);
    if (n == null) {
      return Easing.LINEAR;
    }
    List<Double> values = new ArrayList<>();
    for (double d : n) {
      values.add(d);
    }
    return Easing.by(Easing.Kind.LIST, values);
  }

  static void write(Easing e, StringBuilder out) {
    if (e.kind() == Easing.Kind.OWN) {
      Writer.list(List.of(e.x1(), e.y1(), e.x2(), e.y2()), out, Writer::number);
    } else if (e.numbers().isEmpty()) {
      Writer.text(Spelling.of(e.kind()), out);
    } else {
      out.append('{');
      Writer.name(Spelling.of(e.kind()), out);
      Writer.list(e.numbers(), out, Writer::number);
      out.append('}');
    }
  }
}
