package rovingglyph.formats;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import rovingglyph.geometry.Decimal;
import rovingglyph.schema.Fields;

/**
 * A number.
 *
 * @param unit such as "%" or "s"; empty for a count
 * @param initial what it is where nothing was chosen; null where that depends on the scene
 * @param whole whether only whole numbers are good
 * @param playhead whether the interface takes the time of the playhead in place of {@code initial}
 */
public record NumberOption(
    String name,
    String label,
    String unit,
    double min,
    double max,
    Double initial,
    boolean whole,
    boolean playhead)
    implements ExportOption {

  static NumberOption whole(String name, String label, int min, int max, Integer initial) {
    Double first = initial == null ? null : (double) initial;
    return new NumberOption(name, label, "", min, max, first, true, false);
  }

  @Override
  public JsonValue read(Fields f) {
    if (!f.has(name)) {
      return initial == null ? Json.NULL : Json.value(initial);
    }
    double fallback = initial == null ? min : initial;
    return Json.value(
        whole
            ? f.integer(name, (int) min, (int) max, (int) fallback)
            : f.number(name, min, max, fallback));
  }

  @Override
  public String told(JsonValue value) {
    String number = Decimal.text(value.asDouble(), 3);
    return unit.isEmpty() ? number : number + " " + unit;
  }

  @Override
  public String allowed() {
    String range = Decimal.text(min, 3) + " to " + Decimal.text(max, 3);
    return unit.isEmpty() ? range : range + " " + unit;
  }
}
