package rovingglyph.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Color4f;
import io.github.humbleui.skija.ColorFilter;
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
import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.FrameSink;
import rovingglyph.frame.LayerEffects;
import rovingglyph.frame.LineStyle;
import rovingglyph.frame.PathStep;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;

/** Paints a display list by Skia, as canvasSink.ts does on the stage; it decides nothing. */
final class SkiaSink implements FrameSink, AutoCloseable {
  private static final PaintStrokeCap[] CAPS = {
    PaintStrokeCap.BUTT, PaintStrokeCap.ROUND, PaintStrokeCap.SQUARE
  };

  private static final PaintStrokeJoin[] JOINS = {
    PaintStrokeJoin.ROUND, PaintStrokeJoin.MITER, PaintStrokeJoin.BEVEL
  };

  /** Over the longest side of a bitmap this is no thousandth of a pixel. */
  private static final double SAME = 1e-8;

  private static final double SAME_PIXEL = 1e-3;

  /** Of a picture, before its map. */
  private static final Point MIDDLE = new Point(0.5, 0.5);

  private final List<Path> outlines;
  private final BitmapCache bitmaps;
  private final double scale;

  /** What layers are made of. */
  private final ImageInfo pixels;

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
      List<double[]> effects,
      double reach,
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
    this.pixels = picture.layers();
    this.top =
        new Target(
            picture.canvas(),
            null,
            0,
            0,
            picture.width(),
            picture.height(),
            null,
            false,
            List.of(),
            0,
            null);
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

  private static Matrix33 matrix(Projection m) {
    return new Matrix33(
        (float) m.a(),
        (float) m.c(),
        (float) m.e(),
        (float) m.b(),
        (float) m.d(),
        (float) m.f(),
        (float) m.g(),
        (float) m.h(),
        (float) m.i());
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
  public void stroke(FramePaint p, LineStyle line, Affine map) {
    float[] dash = floats(line.dash());
    try (Paint paint = paint(p);
        PathEffect dashes = dash.length == 0 ? null : PathEffect.makeDash(dash, 0)) {
      paint.setMode(PaintMode.STROKE).setStrokeWidth((float) line.width());
      paint.setStrokeCap(CAPS[line.cap()]).setStrokeJoin(JOINS[line.join()]);
      paint.setStrokeMiter((float) LineStyle.MITER_LIMIT).setPathEffect(dashes);
      int saved = top.canvas.save();
      top.canvas.concat(matrix(map));
      draw(paint);
      top.canvas.restoreToCount(saved);
    }
  }

  @Override
  public void clip() {
    top.canvas.save();
    try (Path path = area.detach()) {
      top.canvas.clipPath(path, true);
    }
  }

  @Override
  public void unclip() {
    top.canvas.restore();
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
    Projection m = p.map();
    Affine middle = m.near(MIDDLE);
    double across = Math.hypot(middle.a(), middle.b()) * scale;
    double down = Math.hypot(middle.c(), middle.d()) * scale;
    Image image = bitmaps.image(p.image(), p.moment(), across, down);
    if (image == null) {
      return Shader.makeColor(0);
    }
    // The pixel round it is there so that it does not fade out at its edge.
    Projection pixels =
        m.times(new Affine(1.0 / (image.getWidth() - 2), 0, 0, 1.0 / (image.getHeight() - 2), 0, 0))
            .times(Affine.translate(-1, -1));
    if (isPixelForPixel(pixels)) {
      // The same, and several times as quick.
      return image.makeShader(
          FilterTileMode.CLAMP, FilterTileMode.CLAMP, SamplingMode.DEFAULT, matrix(pixels));
    }
    return image.makeShader(
        FilterTileMode.DECAL, FilterTileMode.DECAL, SamplingMode.LINEAR, matrix(pixels));
  }

  /** Whether every pixel of a bitmap falls on one of the picture. */
  private boolean isPixelForPixel(Projection m) {
    return m.isFlat()
        && Math.abs(m.a() * scale - 1) < SAME
        && Math.abs(m.d() * scale - 1) < SAME
        && Math.abs(m.b()) < SAME
        && Math.abs(m.c()) < SAME
        && isWhole(m.e() * scale)
        && isWhole(m.f() * scale);
  }

  private static boolean isWhole(double n) {
    return Math.abs(n - Math.rint(n)) < SAME_PIXEL;
  }

  private static Shader gradient(FramePaint p) {
    Color4f[] colours = new Color4f[p.colours().length];
    for (int i = 0; i < colours.length; i++) {
      colours[i] = colour(p.colours()[i], p.opacities()[i]);
    }
    float[] offsets = floats(p.offsets());
    Projection m = p.map();
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
    int more = (int) Math.ceil(layer.reach() * scale);
    int left = Math.max(least(layer.left()), top.left - more);
    int above = Math.max(least(layer.top()), top.above - more);
    int right = Math.min(most(layer.right()), top.left + top.width + more);
    int below = Math.min(most(layer.bottom()), top.above + top.height + more);
    Paint how = new Paint().setAlphaf((float) layer.alpha()).setBlendMode(blend(layer.blend()));
    // One that holds nothing, or nothing here, is still to be ended.
    int width = Math.max(right - left, 1);
    open(
        left, above, width, Math.max(below - above, 1), how, false, layer.effects(), layer.reach());
  }

  static BlendMode blend(rovingglyph.scene.BlendMode mode) {
    return switch (mode) {
      case NORMAL -> BlendMode.SRC_OVER;
      case PLUS_LIGHTER -> BlendMode.PLUS;
      default -> BlendMode.valueOf(mode.name());
    };
  }

  private int least(double at) {
    return (int) Math.floor(at * scale) - 1;
  }

  private int most(double at) {
    return (int) Math.ceil(at * scale) + 1;
  }

  private void open(
      int left,
      int above,
      int width,
      int height,
      Paint how,
      boolean matte,
      List<double[]> effects,
      double reach) {
    Surface surface = Raster.surface(pixels.withWidthHeight(width, height));
    top =
        new Target(
            surface.getCanvas(),
            surface,
            left,
            above,
            width,
            height,
            how,
            matte,
            effects,
            reach,
            top);
    top.place(scale);
  }

  @Override
  public void matte(boolean inverted, boolean luminance) {
    Paint how = new Paint().setBlendMode(inverted ? BlendMode.DST_OUT : BlendMode.DST_IN);
    if (luminance) {
      how.setColorFilter(ColorFilter.getLuma());
    }
    open(top.left, top.above, top.width, top.height, how, true, List.of(), 0);
  }

  @Override
  public void pop() {
    Target done = top;
    top = done.below;
    try {
      put(done);
    } finally {
      done.close();
    }
    if (done.matte) {
      // A layer ends with what measures it.
      pop();
    }
  }

  /** Puts a layer that has ended over what is below it. */
  private void put(Target done) {
    List<double[]> effects = done.effects;
    int last = effects.size() - 1;
    boolean blurLast = last >= 0 && effects.get(last)[0] == LayerEffects.Kind.BLUR.ordinal();
    int more = (int) Math.ceil(done.reach() * scale);
    LayerPicture.Area limits =
        new LayerPicture.Area(top.left, top.above, top.left + top.width, top.above + top.height)
            .grown(more);
    LayerPicture picture =
        new LayerPicture(done.surface.makeImageSnapshot(), done.left, done.above);
    try {
      for (double[] e : blurLast ? effects.subList(0, last) : effects) {
        picture = picture.with(e, scale, limits);
      }
      try (ImageFilter blur = blurLast ? LayerPicture.blur(effects.get(last)[1] * scale) : null) {
        done.how.setImageFilter(blur);
        top.canvas.resetMatrix();
        top.canvas.drawImage(
            picture.image(), picture.left() - top.left, picture.top() - top.above, done.how);
        top.place(scale);
      }
    } finally {
      picture.close();
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
