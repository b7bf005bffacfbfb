package rovingglyph.proof;

import rovingglyph.scene.Scene;

/** Frames of one scene as whoever can paint them paints them, all of one size. */
public interface PaintedFrames extends AutoCloseable {
  /** Of every frame, in px. */
  int width();

  /** Of every frame, in px. */
  int height();

  /**
   * The frame at a time in seconds, row by row: 0xAARRGGBB, not multiplied by alpha. The array may
   * be the same one at every call.
   */
  int[] at(double time);

  @Override
  void close();

  /** Whoever can paint. */
  interface Painter {
    /**
     * Gets ready to paint.
     *
     * @param scale of the frames by the scene's
     */
    PaintedFrames open(Scene scene, double scale);
  }
}
