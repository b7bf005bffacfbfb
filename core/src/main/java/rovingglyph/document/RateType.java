package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import rovingglyph.scene.FrameRate;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Writer;

/** A frame rate as a text: a number, or a fraction of two. */
final class RateType implements FieldType<FrameRate> {
  private static final int LONGEST = 20;

  @Override
  public FrameRate read(Fields f, String name, FrameRate fallback) {
    String text = f.text(name, LONGEST, null);
    FrameRate rate = text == null ? fallback : FrameRate.parse(text);
    if (rate == null) {
      f.problem(
          name,
          "is not a frame rate: " + Json.value(text),
          "1 to 120 as text, such as 25 or 30000/1001");
      return fallback;
    }
    return rate;
  }

  @Override
  public void write(FrameRate rate, StringBuilder out) {
    Writer.text(rate.text(), out);
  }

  @Override
  public String typescript() {
    return "string";
  }

  @Override
  public JsonObject jsonSchema() {
    return new JsonObject()
        .add("type", "string")
        .add("maxLength", LONGEST)
        .add("pattern", "^[0-9]+(\\.[0-9]+)?(/[0-9]+)?$");
  }

  @Override
  public String words() {
    return "1 to 120 as a text, such as `\"25\"` or `\"30000/1001\"`";
  }
}
