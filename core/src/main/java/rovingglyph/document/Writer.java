package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import java.util.function.Function;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Extras;

/** Builds one JSON object in document order. */
final class Writer {
  private final JsonObject object = new JsonObject();

  private Writer() {}

  static Writer object() {
    return new Writer();
  }

  Writer add(String name, String value) {
    object.add(name, value);
    return this;
  }

  Writer add(String name, double value) {
    object.add(name, number(value));
    return this;
  }

  Writer add(String name, boolean value) {
    object.add(name, value);
    return this;
  }

  /** Only what is true is written. */
  Writer flag(String name, boolean value) {
    return value ? add(name, true) : this;
  }

  Writer add(String name, JsonValue value) {
    object.add(name, value);
    return this;
  }

  /** Null is written as null. */
  Writer colour(String name, Integer rgb) {
    object.add(name, rgb == null ? Json.NULL : Json.value(colour(rgb)));
    return this;
  }

  static String colour(int rgb) {
    String hex = Integer.toHexString(rgb | 0x1000000).substring(1);
    return "#" + hex.toUpperCase();
  }

  Writer point(String name, Point p) {
    object.add(name, new JsonArray().add(number(p.x())).add(number(p.y())));
    return this;
  }

  <T> Writer list(String name, List<T> values, Function<T, JsonValue> write) {
    JsonArray array = new JsonArray();
    values.forEach(v -> array.add(write.apply(v)));
    object.add(name, array);
    return this;
  }

  Writer texts(String name, List<String> values) {
    return list(name, values, Json::value);
  }

  Writer rest(Extras extras) {
    extras.fields().forEach(object::add);
    return this;
  }

  /**
   * Whole numbers without a fraction, so that a document reads the same wherever it was written.
   */
  static JsonValue number(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e15
        ? Json.value((long) value)
        : Json.value(value);
  }

  JsonObject json() {
    return object;
  }

  String text() {
    return object.toString();
  }
}
