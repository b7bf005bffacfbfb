package rovingglyph.document;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.ParseException;
import java.util.LinkedHashMap;
import java.util.Map;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;

/** A document with those of all scenes that it shows, as one text that stands alone. */
public final class SceneBundle {
  private static final String FORMAT = "roving-glyph-scenes";

  private SceneBundle() {}

  /**
   * The text of a document and those it shows; the document itself where it shows none.
   *
   * @param document that can be used
   * @param shown documents by id, those that are shown within others included
   */
  public static String write(String document, Map<String, String> shown) {
    if (shown.isEmpty()) {
      return document;
    }
    JsonObject others = new JsonObject();
    shown.forEach((id, d) -> others.add(id, Json.parse(d)));
    return new JsonObject()
        .add("format", FORMAT)
        .add("scene", Json.parse(document))
        .add("shown", others)
        .toString();
  }

  /**
   * The scene of such a text, or of a plain document, with those that it shows.
   *
   * @throws rovingglyph.schema.DocumentException if a document cannot be used
   */
  public static Scene read(String text) {
    JsonObject bundle = bundle(text);
    if (bundle == null) {
      return SceneCodec.read(text);
    }
    Map<String, String> shown = new LinkedHashMap<>();
    for (JsonObject.Member m : bundle.get("shown").asObject()) {
      shown.put(m.getName(), m.getValue().toString());
    }
    return filled(bundle.get("scene").toString(), shown);
  }

  /** The scene of a document with those that it shows. */
  public static Scene filled(String document, Map<String, String> shown) {
    SceneShelf shelf = new SceneShelf();
    shown.forEach((id, d) -> shelf.put(id, SceneCodec.read(d)));
    return shelf.filled(SceneCodec.read(document));
  }

  /** Null for a text that is none. */
  private static JsonObject bundle(String text) {
    if (!text.startsWith("{\"format\":\"" + FORMAT + "\"")) {
      return null;
    }
    try {
      return Json.parse(text).asObject();
    } catch (ParseException e) {
      return null;
    }
  }
}
