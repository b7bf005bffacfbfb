package rovingglyph.projects;

import rovingglyph.schema.Fields;
import rovingglyph.server.JsonBody;

/**
 * A scene to be made.
 *
 * @param width of its frame, px; 1920 where it is left out
 * @param height of its frame, px; 1080 where it is left out
 */
record NewScene(String name, Integer width, Integer height) {
  private static final int LEAST = 16;
  private static final int MOST = 8192;

  /** What a body tells of it. */
  static NewScene of(JsonBody body) {
    Fields f = body.fields();
    int width = f.integer("width", LEAST, MOST, EmptyScene.WIDTH);
    int height = f.integer("height", LEAST, MOST, EmptyScene.HEIGHT);
    f.check();
    return new NewScene(NewName.of(body).checked(), width, height);
  }
}
