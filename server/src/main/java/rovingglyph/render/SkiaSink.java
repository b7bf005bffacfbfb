package rovingglyph.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Color4f;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.GradientStyle;
import io.github.humbleui.skija.ImageFilter;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathEffect;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.FrameSink;
import rovingglyph.frame.PathStep;
import rovingglyph.geometry.Affine;
import rovingglyph.scene.Effect;

/** Paints a display list on a canvas of Skia's; it decides nothing. */
final class SkiaSink implements FrameSink, AutoCloseable {
  private static final PaintStrokeCap[] CAPS = {
    PaintStrokeCap.BUTT, PaintStrokeCap.ROUND, PaintStrokeCap.SQUARE
  };

  private final Canvas canvas;
  private final List<Path> outlines;
  private final PathBuilder area = new PathBuilder();

  /** How many canvas layers each open layer is: a matte is a further one. */
  private final List<Integer> depths = new ArrayList<>();

  /**
   * @param outlines that the list names by index
   */
  SkiaSink(Canvas canvas, List<Path> outlines) {
    this.canvas = canvas;
    this.outlines = outlines;
  }

  @Override
  public void outline(int index, double[] n, int at) {
    area.addPath(
        outlines.get(index), matrix(n[at], n[at + 1], n[at + 2], n[at + 3], n[at + 4], n[at + 5]));
  }

  private static Matrix33 matrix(double a, double b, double c, double d, double e, double f) {
    return new Matrix33((float) a, (float) c, (float) e, (float) b, (float) d, (float) f, 0, 0, 1);
  }

  @Override
  public void step(PathStep step, double[] n, int at) {
    switch (step) {
      case MOVE -> area.moveTo((float) n[at], (float) n[at + 1]);
      case LINE -> area.lineTo((float) n[at], (float) n[at + 1]);
      case QUADRATIC ->
          area.quadTo((float) n[at], (float) n[at + 1], (float) n[at + 2], (float) n[at + 3]);
      case CUBIC ->
          area.cubicTo(
              (float) n[at],
              (float) n[at + 1],
              (float) n[at + 2],
              (float) n[at + 3],
              (float) n[at + 4],
              (float) n[at + 5]);
      case CLOSE -> area.closePath();
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
      canvas.drawPath(path, paint);
    }
  }

  private static Paint paint(FramePaint p) {
    Paint paint = new Paint().setAntiAlias(true);
    if (p.kind() == FramePaint.Kind.PLAIN) {
      return paint.setColor4f(colour(p.rgb(), p.alpha()), ColorSpace.getSRGB());
    }
    try (Shader shader = gradient(p)) {
      return paint.setShader(shader).setAlphaf((float) p.alpha());
    }
  }

  private static Shader gradient(FramePaint p) {
    Color4f[] colours = new Color4f[p.colours().length];
    for (int i = 0; i < colours.length; i++) {
      colours[i] = colour(p.colours()[i], p.opacities()[i]);
    }
    float[] offsets = floats(p.offsets());
    Affine m = p.map();
    Matrix33 map = matrix(m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
    GradientStyle style = new GradientStyle(FilterTileMode.CLAMP, false, map);
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
    try (Paint paint = new Paint();
        ImageFilter filter = filter(layer.effects())) {
      paint.setAlphaf((float) layer.alpha()).setImageFilter(filter);
      boolean normal = layer.blend() == rovingglyph.scene.BlendMode.NORMAL;
      paint.setBlendMode(normal ? BlendMode.SRC_OVER : BlendMode.valueOf(layer.blend().name()));
      // Only the layer's own box is kept and filtered.
      Rect box =
          layer.left() > layer.right()
              ? Rect.makeXYWH(0, 0, 0, 0)
              : Rect.makeLTRB(
                  (float) layer.left() - 1,
                  (float) layer.top() - 1,
                  (float) layer.right() + 1,
                  (float) layer.bottom() + 1);
      canvas.saveLayer(box, paint);
    }
    depths.add(1);
  }

  private static ImageFilter filter(List<double[]> effects) {
    ImageFilter out = null;
    for (double[] e : effects) {
      ImageFilter before = out;
      if (e[0] == Effect.Kind.BLUR.ordinal()) {
        float deviation = (float) e[1];
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
    try (Paint paint = new Paint()) {
      paint.setBlendMode(inverted ? BlendMode.DST_OUT : BlendMode.DST_IN);
      canvas.saveLayer((Rect) null, paint);
    }
    depths.set(depths.size() - 1, 2);
  }

  @Override
  public void pop() {
    for (int i = depths.remove(depths.size() - 1); i > 0; i--) {
      canvas.restore();
    }
  }

  @Override
  public void close() {
    area.close();
  }
}
