package rovingglyph.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.FrameReader;
import rovingglyph.frame.OutlineSteps;
import rovingglyph.frame.PreparedScene;
import rovingglyph.type.Outline;

/** Paints the frames of one prepared scene. One painter per thread. */
public final class FramePainter implements AutoCloseable {
  private final PreparedScene scene;
  private final double scale;
  private final int width;
  private final int height;
  private final List<Path> outlines = new ArrayList<>();
  private final BitmapCache bitmaps;

  /**
   * @param scale of its pictures by the frame; they have at least one pixel
   */
  public FramePainter(PreparedScene scene, Bitmaps bitmaps, double scale) {
    this.scene = scene;
    this.bitmaps = new BitmapCache(bitmaps, scene.images());
    this.scale = scale;
    this.width = scaled(scene.scene().width(), scale);
    this.height = scaled(scene.scene().height(), scale);
    scene.outlines().forEach(o -> outlines.add(path(o)));
  }

  /** What a length of the frame is in an image of another size: whole px, at least one. */
  public static int scaled(int length, double scale) {
    return (int) Math.max(1, Math.round(length * scale));
  }

  /** A raster of the size of this painter's pictures. */
  public Raster raster(Raster.Pixels pixels) {
    return new Raster(width, height, pixels);
  }

  /** The frame at a time as a PNG file; without a background it is transparent. */
  public byte[] png(double time) {
    try (Raster raster = raster(Raster.Pixels.ALPHA)) {
      paint(raster, time);
      return raster.png();
    }
  }

  /** Paints over all of the raster; an opaque one begins black. */
  public void paint(Raster raster, double time) {
    if (!scene.blurs()) {
      paintSharp(raster, time);
      return;
    }
    int samples = scene.samples(time);
    try (MotionBlur blur = new MotionBlur(width, height, samples)) {
      for (int i = 0; i < samples; i++) {
        paint(raster, scene.at(time, (i + 0.5) / samples - 0.5).numbers());
        blur.add(raster);
      }
      blur.mix(raster);
    }
  }

  /** The same without motion blur, which takes many times as long. */
  void paintSharp(Raster raster, double time) {
    paint(raster, scene.at(time).numbers());
  }

  private void paint(Raster raster, double[] numbers) {
    Canvas canvas = raster.canvas();
    Integer background = scene.scene().background();
    canvas.clear(background == null ? 0 : 0xFF000000 | background);
    try (SkiaSink sink = new SkiaSink(raster, outlines, bitmaps, scale)) {
      FrameReader.read(numbers, sink);
    }
  }

  private static Path path(Outline outline) {
    try (PathBuilder path = new PathBuilder()) {
      FrameReader.steps(OutlineSteps.of(outline), (step, n, at) -> SkiaSink.add(path, step, n, at));
      return path.detach();
    }
  }

  @Override
  public void close() {
    outlines.forEach(Path::close);
    bitmaps.close();
  }
}
