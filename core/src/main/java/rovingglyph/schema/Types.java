package rovingglyph.schema;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;

/** The plain types of fields; {@link Lists} has those that hold others. */
public final class Types {
  /** The longest id, in characters. */
  public static final int LONGEST_ID = 80;

  private Types() {}

  /** Reads a field that is there. */
  public interface Reader<V> {
    /** As {@link FieldType#read}. */
    V read(Fields f, String name, V fallback);
  }

  private record Plain<V>(
      Reader<V> reader,
      BiConsumer<V, StringBuilder> writer,
      String typescript,
      JsonObject jsonSchema,
      String words)
      implements FieldType<V> {
    @Override
    public V read(Fields f, String name, V fallback) {
      return f.get(name) == null ? fallback : reader.read(f, name, fallback);
    }

    @Override
    public void write(V value, StringBuilder out) {
      writer.accept(value, out);
    }

    /** One of its own, which whoever asks may add to. */
    @Override
    public JsonObject jsonSchema() {
      return new JsonObject(jsonSchema);
    }
  }

  /** A type that is described as another one, but held otherwise. */
  public static <V> FieldType<V> like(
      FieldType<?> other, Reader<V> reader, BiConsumer<V, StringBuilder> writer) {
    return new FieldType<>() {
      @Override
      public V read(Fields f, String name, V fallback) {
        return reader.read(f, name, fallback);
      }

      @Override
      public void write(V value, StringBuilder out) {
        writer.accept(value, out);
      }

      @Override
      public String typescript() {
        return other.typescript();
      }

      @Override
      public JsonObject jsonSchema() {
        return other.jsonSchema();
      }

      @Override
      public String words() {
        return other.words();
      }

      @Override
      public List<ObjectType<?>> objects() {
        return other.objects();
      }
    };
  }

  /** A number in a range, both ends in it. */
  public static FieldType<Double> number(double min, double max, String unit) {
    return new Plain<>(
        (f, name, fallback) -> number(f, name, min, max, fallback),
        Writer::number,
        "number",
        range("number", min, max),
        told(min, max) + after(unit));
  }

  /** A range as the format's page tells it. */
  private static String told(double min, double max) {
    if (min == -max) {
      return "\u00b1" + grouped(max);
    }
    return grouped(min) + " to " + grouped(max);
  }

  private static String grouped(double n) {
    return n == Math.rint(n) && n >= 0 ? Fields.grouped((int) n) : Decimal.text(n, 3);
  }

  private static Double number(Fields f, String name, double min, double max, Double fallback) {
    double d = f.number(name, min, max, Double.NaN);
    return Double.isNaN(d) ? fallback : (Double) d;
  }

  /** A unit as it stands after a number: degrees close to it, others with a space. */
  private static String after(String unit) {
    return unit.isEmpty() || unit.equals("\u00b0") ? unit : " " + unit;
  }

  private static JsonObject range(String type, double min, double max) {
    return new JsonObject()
        .add("type", type)
        .add("minimum", Json.parse(Writer.number(min)))
        .add("maximum", Json.parse(Writer.number(max)));
  }

  /** A whole number in a range, both ends in it. */
  public static FieldType<Integer> integer(int min, int max) {
    return integer(min, max, "");
  }

  /** A whole number in a range, both ends in it, with its unit as descriptions tell it. */
  public static FieldType<Integer> integer(int min, int max, String unit) {
    return new Plain<>(
        (f, name, fallback) -> {
          int before = f.problems().size();
          int n = f.integer(name, min, max, min);
          return f.problems().size() > before ? fallback : (Integer) n;
        },
        (n, out) -> out.append(n.intValue()),
        "number",
        range("integer", min, max),
        told(min, max) + after(unit) + ", whole");
  }

  /** True or false. */
  public static FieldType<Boolean> flag() {
    return new Plain<>(
        (f, name, fallback) -> {
          int before = f.problems().size();
          boolean b = f.flag(name, false);
          return f.problems().size() > before ? fallback : (Boolean) b;
        },
        (b, out) -> out.append(b.booleanValue()),
        "boolean",
        new JsonObject().add("type", "boolean"),
        "`true` or `false`");
  }

  /** A text, in UTF-16 units. */
  public static FieldType<String> text(int longest) {
    return new Plain<>(
        (f, name, fallback) -> f.text(name, longest, fallback),
        Writer::text,
        "string",
        new JsonObject().add("type", "string").add("maxLength", longest),
        "up to " + Fields.grouped(longest) + " characters");
  }

  /** The id of the object itself or of another; it has to be there. */
  public static FieldType<String> id() {
    return new FieldType<>() {
      @Override
      public String read(Fields f, String name, String fallback) {
        return f.has(name) ? f.id(name) : fallback == null ? "" : fallback;
      }

      @Override
      public void write(String value, StringBuilder out) {
        Writer.text(value, out);
      }

      @Override
      public String typescript() {
        return "string";
      }

      @Override
      public JsonObject jsonSchema() {
        return new JsonObject()
            .add("type", "string")
            .add("minLength", 1)
            .add("maxLength", LONGEST_ID);
      }

      @Override
      public String words() {
        return "1 to " + LONGEST_ID + " characters";
      }
    };
  }

  /** A colour as 0xRRGGBB. */
  public static FieldType<Integer> colour() {
    return new Plain<>(
        Fields::colour,
        (c, out) -> Writer.colour(c, out),
        "string",
        new JsonObject().add("type", "string").add("pattern", "^#[0-9A-Fa-f]{6}$"),
        "a colour");
  }

  /** One of some words. */
  public static <E extends Enum<E>> FieldType<E> choice(E[] values) {
    List<String> words = new ArrayList<>();
    for (E e : values) {
      words.add(Spelling.of(e));
    }
    JsonArray all = new JsonArray();
    words.forEach(all::add);
    return new Plain<>(
        (f, name, fallback) -> f.choice(name, values, fallback),
        (e, out) -> Writer.text(Spelling.of(e), out),
        String.join(" | ", words.stream().map(w -> "'" + w + "'").toList()),
        new JsonObject().add("enum", all),
        String.join(", ", words.stream().map(w -> "`\"" + w + "\"`").toList()));
  }

  /** A pair of coordinates, each within the limit of 0. */
  public static FieldType<Point> pair(double limit) {
    return new Plain<>(
        (f, name, fallback) -> f.point(name, limit, fallback),
        Writer::pair,
        "[number, number]",
        numbers(2, 2, -limit, limit),
        "`[x, y]`, each within " + told(-limit, limit));
  }

  /** A map of the plane that can be undone, as the six numbers of SVG's {@code matrix()}. */
  public static FieldType<Affine> matrix(double limit) {
    return new Plain<>(
        (f, name, fallback) -> {
          double[] n = f.numbers(name, 6, -limit, limit);
          if (n == null) {
            return fallback;
          }
          Affine map = new Affine(n[0], n[1], n[2], n[3], n[4], n[5]);
          if (n[0] * n[3] - n[1] * n[2] == 0) {
            f.problem(name, "flattens everything", "a map that can be undone");
          }
          return map;
        },
        (m, out) ->
            Writer.list(List.of(m.a(), m.b(), m.c(), m.d(), m.e(), m.f()), out, Writer::number),
        "[number, number, number, number, number, number]",
        numbers(6, 6, -limit, limit),
        "`[a, b, c, d, e, f]` as in SVG's `matrix()`, each within " + told(-limit, limit));
  }

  private static JsonObject numbers(int fewest, int most, double min, double max) {
    return new JsonObject()
        .add("type", "array")
        .add("items", range("number", min, max))
        .add("minItems", fewest)
        .add("maxItems", most);
  }

  /** A list of numbers, each in a range. */
  public static FieldType<List<Double>> numbers(int most, double min, double max) {
    return new Plain<>(
        (f, name, fallback) -> {
          JsonValue v = f.get(name);
          int n = v.isArray() ? Math.min(v.asArray().size(), most + 1) : 0;
          if (!v.isArray() || n > most) {
            f.problem(
                name,
                v.isArray()
                    ? "has " + v.asArray().size() + " numbers"
                    : "is not a list of numbers: " + Fields.shown(v),
                "at most " + most + ", each " + Fields.range(min, max));
            return fallback;
          }
          double[] read = f.numbers(name, n, min, max);
          List<Double> out = new ArrayList<>();
          for (int i = 0; read != null && i < n; i++) {
            out.add(read[i]);
          }
          return List.copyOf(out);
        },
        (all, out) -> Writer.list(all, out, Writer::number),
        "number[]",
        numbers(0, most, min, max),
        "up to " + most + " numbers of " + told(min, max));
  }

  /** A list of whole numbers of 0 and more. */
  public static FieldType<List<Integer>> indexes(int most) {
    return new Plain<>(
        (f, name, fallback) -> {
          JsonValue v = f.get(name);
          List<Integer> out = new ArrayList<>();
          for (JsonValue entry : v.isArray() ? v.asArray() : new JsonArray()) {
            double d = entry.isNumber() ? entry.asDouble() : -1;
            if (d >= 0 && d < most && d == Math.rint(d)) {
              out.add((int) d);
            }
          }
          if (!v.isArray() || out.size() != v.asArray().size()) {
            f.problem(name, "is not a list of indexes: " + Fields.shown(v), "0 to " + (most - 1));
            return fallback;
          }
          return List.copyOf(out);
        },
        (all, out) -> Writer.list(all, out, (n, to) -> to.append(n.intValue())),
        "number[]",
        numbers(0, most, 0, most - 1.0),
        "indexes from 0 on");
  }

  /** The same, or null, which is not the same as nothing at all; see {@link Values#given}. */
  public static <V> FieldType<V> orNull(FieldType<V> type) {
    return new Plain<>(
        type::read,
        type::write,
        type.typescript() + " | null",
        Lists.orNull(type.jsonSchema()),
        type.words() + ", or `null`");
  }

  /** A list of pairs of numbers. */
  public static FieldType<List<Point>> pairs(int most, double min, double max) {
    return new Plain<>(
        (f, name, fallback) -> {
          double[] flat = f.pairs(name, most, min, max);
          Point[] points = new Point[flat.length / 2];
          for (int i = 0; i < points.length; i++) {
            points[i] = new Point(flat[2 * i], flat[2 * i + 1]);
          }
          return List.of(points);
        },
        (all, out) -> Writer.list(all, out, Writer::pair),
        "[number, number][]",
        new JsonObject()
            .add("type", "array")
            .add("items", numbers(2, 2, min, max))
            .add("maxItems", most),
        "up to " + most + " pairs `[x, y]`");
  }

  /** Ids of other objects. */
  public static FieldType<List<String>> ids(int most) {
    return new Plain<>(
        (f, name, fallback) -> List.copyOf(f.texts(name, most)),
        (all, out) -> Writer.list(all, out, Writer::text),
        "string[]",
        new JsonObject()
            .add("type", "array")
            .add("items", new JsonObject().add("type", "string"))
            .add("maxItems", most),
        "up to " + Fields.grouped(most) + " ids");
  }
}
