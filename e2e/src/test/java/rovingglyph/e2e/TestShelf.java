package rovingglyph.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import rovingglyph.document.SceneBundle;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;

/** The scenes that test scenes show: those of chance by their names, else those of the demo. */
final class TestShelf {
  private TestShelf() {}

  static Scene filled(String document) {
    return SceneBundle.filled(document, documents(document));
  }

  /** The same with a kept picture in the place of all footage, which an SVG cannot hold. */
  static Scene filledWithStills(String document) {
    Map<String, String> shown = documents(document);
    shown.replaceAll((id, text) -> still(text));
    return SceneBundle.filled(still(document), shown);
  }

  private static String still(String document) {
    return document
        .replaceAll("\"kind\": ?\"footage\"", "\"kind\": \"picture\"")
        .replaceAll("footage-[0-9a-f]{20}", KeptPictures.ids().get(1));
  }

  /** The documents that one shows, by id, those within others included. */
  static Map<String, String> documents(String document) {
    Map<String, String> out = new LinkedHashMap<>();
    SceneShelf shelf = new SceneShelf();
    Scene scene = SceneCodec.read(document);
    for (Set<String> missing = shelf.missing(scene);
        !missing.isEmpty();
        missing = shelf.missing(scene)) {
      for (String id : missing) {
        out.put(id, document(id));
        shelf.put(id, SceneCodec.read(out.get(id)));
      }
    }
    return out;
  }

  private static String document(String id) {
    if (id.startsWith(RandomScenes.ID)) {
      return RandomScenes.shown(id);
    }
    try {
      return Files.readString(Path.of("../demo", id + ".json"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
