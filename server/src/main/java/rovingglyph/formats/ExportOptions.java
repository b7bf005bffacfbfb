package rovingglyph.formats;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.util.LinkedHashMap;
import java.util.Map;
import rovingglyph.schema.Fields;

/** What was chosen for a file: a number for each option of its format. */
public record ExportOptions(Map<String, Double> values) {

  /** What holds where nothing is chosen. */
  public static ExportOptions of(ExportFormat format) {
    return read(format, Fields.of(new JsonObject()));
  }

  /** By the format's schema; what is wrong becomes a problem of the fields. */
  public static ExportOptions read(ExportFormat format, Fields f) {
    Map<String, Double> out = new LinkedHashMap<>();
    for (ExportOption o : format.options()) {
      out.put(
          o.name(),
          o.whole()
              ? f.integer(o.name(), (int) o.min(), (int) o.max(), (int) o.initial())
              : f.number(o.name(), o.min(), o.max(), o.initial()));
    }
    return new ExportOptions(out);
  }

  /** As it was written by {@link #text}. */
  public static ExportOptions parse(ExportFormat format, String text) {
    return read(format, Fields.of(Json.parse(text)));
  }

  double number(ExportOption option) {
    return values.get(option.name());
  }

  /** The size of the images by that of the frame; 1 where it cannot be chosen. */
  double scale() {
    return values.getOrDefault(ExportOption.SIZE.name(), 100.0) / 100;
  }

  /** As JSON. */
  public String text() {
    JsonObject out = new JsonObject();
    values.forEach(out::add);
    return out.toString();
  }
}
