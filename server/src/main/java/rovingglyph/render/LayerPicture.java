package rovingglyph.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Color4f;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageFilter;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.IRect;
import io.github.humbleui.types.Rect;
import java.util.function.Consumer;
import rovingglyph.frame.LayerEffects;

/**
 * The picture of a layer that has ended, and what its effects make of it, in pixels of the whole
 * picture; as layerEffects.ts does on the stage, step for step.
 *
 * @param left of the image
 */
record LayerPicture(Image image, int left, int top) implements AutoCloseable {
  /** An area in pixels of the whole picture. */
  record Area(int left, int top, int right, int bottom) {
    Area grown(double by) {
      int more = (int) Math.ceil(by);
      return new Area(left - more, top - more, right + more, bottom + more);
    }

    Area within(Area other) {
      return new Area(
          Math.max(left, other.left),
          Math.max(top, other.top),
          Math.min(right, other.right),
          Math.min(bottom, other.bottom));
    }

    Area around(Area other) {
      return new Area(
          Math.min(left, other.left),
          Math.min(top, other.top),
          Math.max(right, other.right),
          Math.max(bottom, other.bottom));
    }
  }

  private Area area() {
    return new Area(left, top, left + image.getWidth(), top + image.getHeight());
  }

  /** A picture of an area, at least one pixel large, with pixels like its own. */
  private LayerPicture drawn(Area area, Consumer<Canvas> draw) {
    int width = Math.max(area.right - area.left, 1);
    int height = Math.max(area.bottom - area.top, 1);
    try (Surface surface = Raster.surface(image.getImageInfo().withWidthHeight(width, height))) {
      surface.getCanvas().translate(-area.left, -area.top);
      draw.accept(surface.getCanvas());
      return new LayerPicture(surface.makeImageSnapshot(), area.left, area.top);
    }
  }

  /** Draws it moved by so much, with an opacity and a blend mode. */
  private void draw(Canvas onto, double dx, double dy, double alpha, BlendMode mode) {
    try (Paint how = new Paint().setAlphaf((float) alpha).setBlendMode(mode)) {
      draw(onto, dx, dy, how);
    }
  }

  private void draw(Canvas onto, double dx, double dy, Paint how) {
    // Skia lets what lies between pixels be, unless it is asked for.
    onto.drawImageRect(
        image,
        Rect.makeWH(image.getWidth(), image.getHeight()),
        Rect.makeXYWH((float) (left + dx), (float) (top + dy), image.getWidth(), image.getHeight()),
        SamplingMode.LINEAR,
        how,
        false);
  }

  /**
   * What an effect makes of it; the picture itself is given back.
   *
   * @param n its kind and numbers, in scene pixels
   * @param limits what is seen at most
   */
  LayerPicture with(double[] n, double scale, Area limits) {
    try (LayerPicture before = this) {
      return switch (LayerEffects.Kind.values()[(int) n[0]]) {
        case BLUR -> before.blurred(n[1] * scale, limits);
        case SHADOW -> before.shaded(n, scale, limits);
        case INNER_GLOW -> before.glowing(n, scale);
      };
    }
  }

  private LayerPicture blurred(double deviation, Area limits) {
    return drawn(
        area().grown(LayerEffects.BLUR_REACH * deviation).within(limits),
        c -> {
          try (ImageFilter blur = blur(deviation);
              Paint how = new Paint().setImageFilter(blur)) {
            draw(c, 0, 0, how);
          }
        });
  }

  /** The Gaussian blur; null for none. */
  static ImageFilter blur(double deviation) {
    float d = (float) deviation;
    return d > 0 ? ImageFilter.makeBlur(d, d, FilterTileMode.DECAL) : null;
  }

  private LayerPicture shaded(double[] n, double scale, Area limits) {
    double dx = n[1] * scale;
    double dy = n[2] * scale;
    boolean alone = n[8] != 0;
    Area wide = limits.grown(Math.max(Math.abs(dx), Math.abs(dy)));
    try (LayerPicture shape = spread(n[3] * scale, wide);
        LayerPicture soft = shape.coloured(n[4] * scale, n[5], (int) n[6], wide)) {
      Area cast = soft.area().grown(Math.max(Math.abs(dx), Math.abs(dy)));
      Area all = (alone ? cast : cast.around(area())).within(limits);
      return drawn(
          all,
          c -> {
            soft.draw(c, dx, dy, n[7], BlendMode.SRC_OVER);
            if (!alone) {
              draw(c, 0, 0, 1, BlendMode.SRC_OVER);
            }
          });
    }
  }

  /** The shape dilated: by whole pixels, and by the share of one more. */
  private LayerPicture spread(double radius, Area limits) {
    int whole = (int) Math.floor(radius);
    return drawn(
        area().grown(radius).within(limits),
        c -> {
          dilate(c, whole, 1);
          dilate(c, whole + 1, radius - whole);
        });
  }

  private void dilate(Canvas c, int radius, double alpha) {
    try (ImageFilter filter =
            radius == 0 ? null : ImageFilter.makeDilate(radius, radius, null, (IRect) null);
        Paint how = new Paint().setAlphaf((float) alpha).setImageFilter(filter)) {
      draw(c, 0, 0, how);
    }
  }

  /** Its shape blurred, made stronger, and in one colour. */
  private LayerPicture coloured(double deviation, double strength, int rgb, Area limits) {
    try (LayerPicture soft = blurred(deviation, limits)) {
      return soft.inColour(strength, rgb);
    }
  }

  private LayerPicture inColour(double strength, int rgb) {
    return drawn(
        area(),
        c -> {
          int whole = (int) Math.floor(strength);
          for (int i = 0; i < whole; i++) {
            draw(c, 0, 0, 1, BlendMode.PLUS);
          }
          if (strength > whole) {
            draw(c, 0, 0, strength - whole, BlendMode.PLUS);
          }
          tint(c, rgb, BlendMode.SRC_IN);
        });
  }

  private static void tint(Canvas c, int rgb, BlendMode mode) {
    Color4f colour =
        new Color4f((rgb >> 16 & 255) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f, 1);
    try (Paint paint = new Paint().setColor4f(colour, ColorSpace.getSRGB()).setBlendMode(mode)) {
      c.drawPaint(paint);
    }
  }

  private LayerPicture glowing(double[] n, double scale) {
    double deviation = n[1] * scale;
    int mode = (int) n[5];
    try (LayerPicture around =
            drawn(area().grown(LayerEffects.BLUR_REACH * deviation), this::leftOut);
        LayerPicture light = around.coloured(deviation, n[2], (int) n[3], area());
        LayerPicture within =
            drawn(
                area(),
                c -> {
                  light.draw(c, 0, 0, n[4], BlendMode.SRC_OVER);
                  draw(c, 0, 0, 1, BlendMode.DST_IN);
                })) {
      return drawn(
          area(),
          c -> {
            draw(c, 0, 0, 1, BlendMode.SRC_OVER);
            within.draw(c, 0, 0, 1, SkiaSink.blend(rovingglyph.scene.BlendMode.values()[mode]));
          });
    }
  }

  /** Full coverage where it has none. */
  private void leftOut(Canvas c) {
    tint(c, 0, BlendMode.SRC);
    draw(c, 0, 0, 1, BlendMode.DST_OUT);
  }

  @Override
  public void close() {
    image.close();
  }
}
