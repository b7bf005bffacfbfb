package rovingglyph.formats;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import rovingglyph.schema.Fields;

/** A colour, written #RRGGBB; none where nothing was chosen. */
public record ColourOption(String name, String label) implements ExportOption {
  @Override
  public JsonValue read(Fields f) {
    Integer colour = f.colour(name, null);
    return colour == null ? Json.NULL : Json.value(String.format("#%06X", colour));
  }

  @Override
  public String told(JsonValue value) {
    return value.asString();
  }

  @Override
  public String allowed() {
    return "#RRGGBB";
  }
}
