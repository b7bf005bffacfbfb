package rovingglyph.render;

import java.nio.ByteOrder;
import rovingglyph.frame.Preparation;
import rovingglyph.proof.PaintedFrames;
import rovingglyph.scene.Scene;
import rovingglyph.type.TypeSource;

/** Frames painted for Proof to look at, without motion blur. */
public final class RasterFrames implements PaintedFrames {
  private final FramePainter painter;
  private final Raster raster;
  private final int[] pixels;

  private RasterFrames(FramePainter painter) {
    this.painter = painter;
    this.raster = painter.raster(Raster.Pixels.ALPHA);
    this.pixels = new int[raster.width() * raster.height()];
  }

  /** Paints with these typefaces and bitmaps. */
  public static Painter with(TypeSource type, Bitmaps bitmaps) {
    return (Scene scene, double scale) ->
        new RasterFrames(new FramePainter(Preparation.prepare(scene, type), bitmaps, scale));
  }

  @Override
  public int width() {
    return raster.width();
  }

  @Override
  public int height() {
    return raster.height();
  }

  @Override
  public int[] at(double time) {
    painter.paintSharp(raster, time);
    // Blue, green, red, alpha.
    raster.unpremultiplied().order(ByteOrder.LITTLE_ENDIAN).asIntBuffer().get(pixels);
    return pixels;
  }

  @Override
  public void close() {
    raster.close();
    painter.close();
  }
}
