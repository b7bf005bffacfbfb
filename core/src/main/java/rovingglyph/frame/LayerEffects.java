package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.BlendMode;

/**
 * What is done to the picture of a layer when it ends, in order, as painters are told it. Lengths
 * are in scene pixels, colours 0xRRGGBB, opacities 0 to 1.
 */
public final class LayerEffects {
  /** What painters can do to a picture. */
  public enum Kind {
    /** The Gaussian blur of CSS Filter Effects; its standard deviation. */
    BLUR,

    /**
     * A shadow of its shape, which goes beneath it: how far across and down, by how much the shape
     * is spread first (the dilation of SVG's feMorphology), standard deviation of its blur, by how
     * much its coverage is multiplied after that (up to full), colour, opacity, and 1 where the
     * shadow alone is left, else 0.
     */
    SHADOW,

    /**
     * A glow from its edge inwards: standard deviation of the blur of what it does not cover, by
     * how much that is multiplied, colour, opacity, blend mode.
     */
    INNER_GLOW
  }

  static final LayerEffects NONE = new LayerEffects();

  /** How far a blur reaches, in standard deviations. */
  public static final double BLUR_REACH = 3;

  private final List<double[]> all = new ArrayList<>();
  private double reach;

  /** Whether an effect of a display list leaves a shadow, and not what casts it. */
  public static boolean isShadowAlone(double[] effect) {
    return effect[0] == Kind.SHADOW.ordinal() && effect[8] != 0;
  }

  /** Each its kind and then its own numbers. */
  List<double[]> all() {
    return all;
  }

  /** How far beyond the picture they paint or look together, px. */
  double reach() {
    return reach;
  }

  /** With what others do, first. */
  LayerEffects after(LayerEffects others) {
    all.addAll(0, others.all);
    reach += others.reach;
    return this;
  }

  /** One blur after another is a single one whose variance is the sum of theirs. */
  LayerEffects blur(double deviation) {
    if (deviation <= 0) {
      return this;
    }
    double before = 0;
    if (!all.isEmpty() && all.get(all.size() - 1)[0] == Kind.BLUR.ordinal()) {
      before = all.remove(all.size() - 1)[1];
      reach -= BLUR_REACH * before;
    }
    double both = Math.hypot(before, deviation);
    all.add(new double[] {Kind.BLUR.ordinal(), both});
    reach += BLUR_REACH * both;
    return this;
  }

  /** How a shadow or glow is softened and coloured. */
  record Shade(double deviation, double strength, int rgb, double opacity) {}

  LayerEffects shadow(double dx, double dy, double spread, Shade s, boolean alone) {
    if (s.opacity <= 0 && !alone) {
      return this;
    }
    all.add(
        new double[] {
          Kind.SHADOW.ordinal(),
          dx,
          dy,
          spread,
          s.deviation,
          s.strength,
          s.rgb,
          s.opacity,
          alone ? 1 : 0
        });
    reach += Math.max(Math.abs(dx), Math.abs(dy)) + BLUR_REACH * s.deviation + spread;
    return this;
  }

  LayerEffects innerGlow(Shade s, BlendMode blend) {
    if (s.opacity > 0 && s.strength > 0) {
      all.add(
          new double[] {
            Kind.INNER_GLOW.ordinal(), s.deviation, s.strength, s.rgb, s.opacity, blend.ordinal()
          });
      // It paints nothing there, but an edge of the frame is no edge of the item.
      reach += BLUR_REACH * s.deviation;
    }
    return this;
  }
}
