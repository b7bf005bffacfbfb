package rovingglyph.projects;

import java.io.IOException;
import org.springframework.stereotype.Component;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FramePainter;
import rovingglyph.scene.Scene;
import rovingglyph.server.Turns;
import rovingglyph.shaping.Shaper;

/**
 * Small pictures of scenes: a third into them, where there is more to see than at the beginning.
 */
@Component
public class ScenePictures {
  private final Shaper shaper;
  private final Bitmaps bitmaps;

  /** One picture at a time; a history asks for as many as are in sight. */
  private final Turns turns = new Turns(30);

  ScenePictures(Shaper shaper, Bitmaps bitmaps) {
    this.shaper = shaper;
    this.bitmaps = bitmaps;
  }

  /**
   * A picture as a PNG file.
   *
   * @param largest width and height that it has at most, px
   */
  public byte[] png(Scene scene, double largest) throws IOException, InterruptedException {
    return turns.take(
        () -> {
          PreparedScene prepared = Preparation.prepare(scene, shaper);
          double scale = Math.min(1, largest / Math.max(scene.width(), scene.height()));
          try (FramePainter painter = new FramePainter(prepared, bitmaps, scale)) {
            return painter.png(scene.onFrame(scene.length() / 3));
          }
        });
  }
}
