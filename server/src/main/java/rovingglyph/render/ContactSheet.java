package rovingglyph.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.types.Rect;

/** Frames from all over a file in one image, whose colours stand for those of all. */
public final class ContactSheet {
  /** Along each side of the sheet. */
  private static final int SIDE = 6;

  /** The longer side of a frame on it, px. */
  private static final double LARGEST = 320;

  private ContactSheet() {}

  /**
   * The sheet as a PNG.
   *
   * @param step called before every frame
   */
  public static byte[] of(Take take, Runnable step) {
    double small = Math.min(1, LARGEST / Math.max(take.width(), take.height()));
    int width = FramePainter.scaled(take.width(), small);
    int height = FramePainter.scaled(take.height(), small);
    int frames = Math.min(take.range().count(), SIDE * SIDE);
    int columns = Math.min(frames, SIDE);
    int rows = (frames + columns - 1) / columns;
    try (Raster sheet = new Raster(columns * width, rows * height, Raster.Pixels.ALPHA);
        FramePainter painter = new FramePainter(take.prepared(), take.bitmaps(), take.scale());
        Raster frame = painter.raster(Raster.Pixels.ALPHA)) {
      sheet.canvas().clear(0);
      for (int i = 0; i < frames; i++) {
        step.run();
        painter.paint(frame, take.range().time(i * take.range().count() / frames));
        Rect place = Rect.makeXYWH(i % columns * width, i / columns * height, width, height);
        paint(frame, sheet.canvas(), place);
      }
      return sheet.png();
    }
  }

  /** Takes single pixels, so that no colours come in that no frame has. */
  private static void paint(Raster frame, Canvas canvas, Rect place) {
    try (Image image = frame.snapshot()) {
      Rect all = Rect.makeWH(frame.width(), frame.height());
      canvas.drawImageRect(image, all, place, SamplingMode.DEFAULT, null, true);
    }
  }
}
