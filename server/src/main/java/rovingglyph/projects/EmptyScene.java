package rovingglyph.projects;

import java.util.List;
import java.util.Map;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Blur;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownFields;

/** The document that a new scene begins with. */
final class EmptyScene {
  private EmptyScene() {}

  static String document(String name) {
    return SceneCodec.write(
        new Scene(
            name,
            1920,
            1080,
            new FrameRate(25, 1),
            6,
            0xF3E9D2,
            List.of(),
            Map.of(),
            List.of(),
            List.of(),
            Blur.NONE,
            List.of(),
            Map.of(),
            UnknownFields.NONE));
  }
}
