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
  static final int WIDTH = 1920;
  static final int HEIGHT = 1080;

  private EmptyScene() {}

  static String document(String name) {
    return document(name, WIDTH, HEIGHT);
  }

  /** One with a frame of a size in px. */
  static String document(String name, int width, int height) {
    return SceneCodec.write(
        new Scene(
            name,
            width,
            height,
            new FrameRate(25, 1),
            6,
            0xF3E9D2,
            List.of(),
            Map.of(),
            List.of(),
            List.of(),
            List.of(),
            Blur.NONE,
            List.of(),
            Map.of(),
            UnknownFields.NONE));
  }
}
