package rovingglyph.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Surface;

/**
 * Mixes pictures of one size in linear light, with what is transparent weighing nothing. Sums are
 * single floats: halves, added up 128 times, can lose several levels of a still colour by their
 * rounding.
 */
final class MotionBlur implements AutoCloseable {
  private final Surface sums;
  private final int samples;

  /**
   * @param samples how many pictures will be added
   */
  MotionBlur(int width, int height, int samples) {
    this.samples = samples;
    this.sums =
        Raster.surface(
            new ImageInfo(
                width,
                height,
                ColorType.RGBA_F32,
                ColorAlphaType.PREMUL,
                ColorSpace.getSRGBLinear()));
  }

  void add(Raster picture) {
    try (Image image = picture.snapshot();
        Paint share = new Paint()) {
      share.setAlphaf(1f / samples).setBlendMode(BlendMode.PLUS);
      sums.getCanvas().drawImage(image, 0, 0, share);
    }
  }

  /** Writes the mean of all that was added. */
  void mix(Raster picture) {
    Canvas canvas = picture.canvas();
    canvas.resetMatrix();
    try (Image image = sums.makeImageSnapshot();
        Paint over = new Paint()) {
      over.setBlendMode(BlendMode.SRC);
      canvas.drawImage(image, 0, 0, over);
    }
  }

  @Override
  public void close() {
    sums.close();
  }
}
