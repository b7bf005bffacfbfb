package rovingglyph.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Color4f;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.GradientStyle;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageFilter;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathEffect;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.FrameSink;
import rovingglyph.frame.PathStep;
import rovingglyph.geometry.Affine;
import rovingglyph.scene.Effect;

/** Paints a display list by Skia, as canvasSink.ts does on the stage; it decides nothing. */
final class SkiaSink implements FrameSink, AutoCloseable {
  private static final PaintStrokeCap[] CAPS = {
    PaintStrokeCap.BUTT, PaintStrokeCap.ROUND, PaintStrokeCap.SQUARE
  };

  /** How far a blur reaches, in standard deviations. */
  private static final double BLUR_REACH = 3;

  private final List<Path> outlines;
  private final BitmapCache bitmaps;
  private final double scale;
  private final PathBuilder area = new PathBuilder();
  private Target top;

  /**
   * What is painted on: the picture, or a layer. Layers are surfaces of their own, of the size and
   * in the place that they have on the stage, so that gradients are dithered alike.
   *
   * @param left of it on the picture, px
   * @param how it is put over what is below
   * @param matte whether it measures the layer below instead of being seen
   */
  private record Target(
      Canvas canvas,
      Surface surface,
      int left,
      int above,
      int width,
      int height,
      Paint how,
      boolean matte,
      Target below) {
    /** Scene pixels to its own. */
    void place(double scale) {
      float s = (float) scale;
      canvas.setMatrix(new Matrix33(s, 0, -left, 0, s, -above, 0, 0, 1));
    }

    void close() {
      how.close();
      surface.close();
    }
  }

  /**
   * @param outlines that the list names by index
   * @param bitmaps that the list names by index
   * @param scale pixels of the picture per scene pixel
   */
  SkiaSink(Raster picture, List<Path> outlines, BitmapCache bitmaps, double scale) {
    this.outlines = outlines;
    this.bitmaps = bitmaps;
    this.scale = scale;
    this.top =
        new Target(
            picture.canvas(), null, 0, 0, picture.width(), picture.height(), null, false, null);
    top.place(scale);
  }

  @Override
  public void outline(int index, double[] n, int at) {
    area.addPath(
        outlines.get(index), matrix(n[at], n[at + 1], n[at + 2], n[at + 3], n[at + 4], n[at + 5]));
  }

  private static Matrix33 matrix(Affine m) {
    return matrix(m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
  }

  private static Matrix33 matrix(double a, double b, double c, double d, double e, double f) {
    return new Matrix33((float) a, (float) c, (float) e, (float) b, (float) d, (float) f, 0, 0, 1);
  }

  @Override
  public void step(PathStep step, double[] n, int at) {
    add(area, step, n, at);
  }

  static void add(PathBuilder path, PathStep step, double[] n, int at) {
    float x = step == PathStep.CLOSE ? 0 : (float) n[at];
    float y = step == PathStep.CLOSE ? 0 : (float) n[at + 1];
    switch (step) {
      case MOVE -> path.moveTo(x, y);
      case LINE -> path.lineTo(x, y);
      case QUADRATIC -> path.quadTo(x, y, (float) n[at + 2], (float) n[at + 3]);
      case CUBIC ->
          path.cubicTo(
              x, y, (float) n[at + 2], (float) n[at + 3], (float) n[at + 4], (float) n[at + 5]);
      case CLOSE -> path.closePath();
    }
  }

  @Override
  public void fill(FramePaint p) {
    try (Paint paint = paint(p)) {
      draw(paint);
    }
  }

  @Override
  public void stroke(FramePaint p, double width, int cap, double[] dash) {
    try (Paint paint = paint(p);
        PathEffect dashes = dash.length == 0 ? null : PathEffect.makeDash(floats(dash), 0)) {
      paint.setMode(PaintMode.STROKE).setStrokeWidth((float) width);
      paint.setStrokeCap(CAPS[cap]).setStrokeJoin(PaintStrokeJoin.ROUND).setPathEffect(dashes);
      draw(paint);
    }
  }

  /** Draws the steps so far and forgets them. */
  private void draw(Paint paint) {
    Progress.checkThread();
    try (Path path = area.detach()) {
      top.canvas.drawPath(path, paint);
    }
  }

  private Paint paint(FramePaint p) {
    Paint paint = new Paint().setAntiAlias(true);
    if (p.kind() == FramePaint.Kind.PLAIN) {
      return paint.setColor4f(colour(p.rgb(), p.alpha()), ColorSpace.getSRGB());
    }
    if (p.kind() == FramePaint.Kind.IMAGE) {
      try (Shader shader = image(p)) {
        return paint.setShader(shader).setAlphaf((float) p.alpha());
      }
    }
    try (Shader shader = gradient(p)) {
      return paint.setShader(shader).setDither(true).setAlphaf((float) p.alpha());
    }
  }

  /** A bitmap over the unit square before the map; nothing of a picture that is not kept. */
  private Shader image(FramePaint p) {
    Affine m = p.map();
    double across = Math.hypot(m.a(), m.b()) * scale;
    double down = Math.hypot(m.c(), m.d()) * scale;
    Image image = bitmaps.image(p.image(), across, down);
    if (image == null) {
      return Shader.makeColor(0);
    }
    // The pixel round it is there so that it does not fade out at its edge.
    Affine pixels =
        m.times(new Affine(1.0 / (image.getWidth() - 2), 0, 0, 1.0 / (image.getHeight() - 2), 0, 0))
            .times(Affine.translate(-1, -1));
    return image.makeShader(
        FilterTileMode.DECAL, FilterTileMode.DECAL, SamplingMode.LINEAR, matrix(pixels));
  }

  private static Shader gradient(FramePaint p) {
    Color4f[] colours = new Color4f[p.colours().length];
    for (int i = 0; i < colours.length; i++) {
      colours[i] = colour(p.colours()[i], p.opacities()[i]);
    }
    float[] offsets = floats(p.offsets());
    Affine m = p.map();
    GradientStyle style = new GradientStyle(FilterTileMode.CLAMP, false, matrix(m));
    ColorSpace srgb = ColorSpace.getSRGB();
    return p.kind() == FramePaint.Kind.LINEAR
        ? Shader.makeLinearGradient(0, 0, 1, 0, colours, srgb, offsets, style)
        : Shader.makeRadialGradient(0, 0, 1, colours, srgb, offsets, style);
  }

  private static Color4f colour(int rgb, double alpha) {
    return new Color4f(
        (rgb >> 16 & 255) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f, (float) alpha);
  }

  private static float[] floats(double[] numbers) {
    float[] out = new float[numbers.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (float) numbers[i];
    }
    return out;
  }

  @Override
  public void push(Layer layer) {
    double reach = 0;
    for (double[] e : layer.effects()) {
      reach += e[0] == Effect.Kind.BLUR.ordinal() ? BLUR_REACH * e[1] * scale : 0;
    }
    int more = (int) Math.ceil(reach);
    int left = Math.max(least(layer.left()), top.left - more);
    int above = Math.max(least(layer.top()), top.above - more);
    int right = Math.min(most(layer.right()), top.left + top.width + more);
    int below = Math.min(most(layer.bottom()), top.above + top.height + more);
    Paint how = new Paint().setAlphaf((float) layer.alpha());
    boolean normal = layer.blend() == rovingglyph.scene.BlendMode.NORMAL;
    how.setBlendMode(normal ? BlendMode.SRC_OVER : BlendMode.valueOf(layer.blend().name()));
    try (ImageFilter filter = filter(layer.effects())) {
      how.setImageFilter(filter);
    }
    // One that holds nothing, or nothing here, is still to be ended.
    open(left, above, Math.max(right - left, 1), Math.max(below - above, 1), how, false);
  }

  private int least(double at) {
    return (int) Math.floor(at * scale) - 1;
  }

  private int most(double at) {
    return (int) Math.ceil(at * scale) + 1;
  }

  private void open(int left, int above, int width, int height, Paint how, boolean matte) {
    ImageInfo info = ImageInfo.makeN32Premul(width, height, ColorSpace.getSRGB());
    Surface surface = Raster.surface(info);
    top = new Target(surface.getCanvas(), surface, left, above, width, height, how, matte, top);
    top.place(scale);
  }

  private ImageFilter filter(List<double[]> effects) {
    ImageFilter out = null;
    for (double[] e : effects) {
      ImageFilter before = out;
      if (e[0] == Effect.Kind.BLUR.ordinal()) {
        float deviation = (float) (e[1] * scale);
        out =
            before == null
                ? ImageFilter.makeBlur(deviation, deviation, FilterTileMode.DECAL)
                : ImageFilter.makeBlur(
                    deviation, deviation, FilterTileMode.DECAL, before, (Rect) null);
        if (before != null) {
          before.close();
        }
      }
    }
    return out;
  }

  @Override
  public void matte(boolean inverted) {
    Paint how = new Paint().setBlendMode(inverted ? BlendMode.DST_OUT : BlendMode.DST_IN);
    open(top.left, top.above, top.width, top.height, how, true);
  }

  @Override
  public void pop() {
    Target done = top;
    top = done.below;
    try (Image image = done.surface.makeImageSnapshot()) {
      top.canvas.resetMatrix();
      top.canvas.drawImage(image, done.left - top.left, done.above - top.above, done.how);
      top.place(scale);
    } finally {
      done.close();
    }
    if (done.matte) {
      // A layer ends with what measures it.
      pop();
    }
  }

  /** Gives back what is left: a list that was broken off leaves its layers open. */
  @Override
  public void close() {
    for (; top.below != null; top = top.below) {
      top.close();
    }
    area.close();
  }
}
