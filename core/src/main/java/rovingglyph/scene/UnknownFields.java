package rovingglyph.scene;

import com.eclipsesource.json.JsonValue;
import java.util.Map;

/** Fields of the document that this version does not know; kept and written back as they came. */
public record UnknownFields(Map<String, JsonValue> fields) {
  public static final UnknownFields NONE = new UnknownFields(Map.of());
}
