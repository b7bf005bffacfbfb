package rovingglyph.scene;

import com.eclipsesource.json.JsonValue;
import java.util.Map;

/** Fields of the document that this version does not know; kept and written back as they came. */
public record Extras(Map<String, JsonValue> fields) {
  public static final Extras NONE = new Extras(Map.of());
}
