package rovingglyph.render;

import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;

/**
 * What is painted for a file.
 *
 * @param scale of the images by the frame
 * @param spread whether what is wholly transparent has the colours of what is near, for encoders
 *     that would otherwise let black into the edges
 */
public record Take(
    PreparedScene prepared,
    Bitmaps bitmaps,
    FrameRange range,
    double scale,
    Raster.Pixels pixels,
    boolean spread) {

  /** All frames in the size of the scene, without transparency. */
  public static Take whole(PreparedScene prepared, Bitmaps bitmaps) {
    FrameRange all = FrameRange.all(prepared.scene());
    return new Take(prepared, bitmaps, all, 1, Raster.Pixels.OPAQUE, false);
  }

  Scene scene() {
    return prepared.scene();
  }

  /** In px. */
  public int width() {
    return FramePainter.scaled(scene().width(), scale);
  }

  /** In px. */
  public int height() {
    return FramePainter.scaled(scene().height(), scale);
  }
}
