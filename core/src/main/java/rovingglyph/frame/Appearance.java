package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.SubPath;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.type.Outline;

/**
 * What blend mode, effects, clip and the opacity of a whole do to an item of any kind at one time:
 * the layers of the frame round it. As in CSS the effects come first, then the clip, then opacity
 * and blending. Lengths are in the pixels round the item, as its own are.
 */
final class Appearance {
  /** How far a blur reaches, in standard deviations. */
  private static final double BLUR_REACH = 3;

  /** Standard deviations of the blurred clip within the width of its soft edge. */
  private static final double SOFT_EDGE_DEVIATIONS = 4;

  private final Item item;
  private final ItemProperties properties;
  private final double alpha;
  private final boolean isolated;
  private final double time;
  private final double scale;
  private final List<double[]> effects = new ArrayList<>();
  private double reach;

  /**
   * @param alpha of the item as a whole, 0 to 1
   * @param isolated whether it is a layer in any case
   * @param scale of the pixels round the item to those of the scene
   */
  Appearance(Item item, double alpha, boolean isolated, double time, double scale) {
    this.item = item;
    this.properties = item.properties();
    this.alpha = alpha;
    this.isolated = isolated;
    this.time = time;
    this.scale = scale;
    double variance = 0;
    for (Effect e : properties.effects()) {
      if (!e.off() && e.kind() == Effect.Kind.BLUR) {
        double deviation = blurOf(e);
        variance += deviation * deviation;
      }
    }
    // One blur after another is a single one whose variance is the sum of theirs.
    blur(effects, Math.sqrt(variance));
  }

  /** The standard deviation of a blur now, in scene pixels. */
  private double blurOf(Effect e) {
    return value(Channel.effect(e.id(), e.kind().parameters().get(0))) * scale;
  }

  private void blur(List<double[]> to, double deviation) {
    if (deviation > 0) {
      to.add(new double[] {Effect.Kind.BLUR.ordinal(), deviation});
      reach += BLUR_REACH * deviation;
    }
  }

  private double value(Channel c) {
    return c.clamp(Timeline.value(item.movable(c), time));
  }

  /** Whether it is faded, blended or clipped as a whole, for which it has to be a layer. */
  private boolean isWhole() {
    return isolated
        || alpha < 1
        || properties.blend() != BlendMode.NORMAL
        || properties.clip() != null;
  }

  /** Begins what layers there are; {@link #end} ends them. */
  void begin(Frame frame) {
    if (isWhole()) {
      frame.push(alpha, properties.blend(), List.of());
    }
    if (!effects.isEmpty()) {
      frame.push(1, BlendMode.NORMAL, effects);
    }
  }

  /**
   * @param path of the clip; null where there is none
   */
  void end(Frame frame, Contour path) {
    if (!effects.isEmpty()) {
      frame.pop(reach);
    }
    if (properties.clip() != null) {
      frame.matte(properties.clip().inverted());
      clip(frame, path);
    }
    if (isWhole()) {
      frame.pop(0);
    }
  }

  private void clip(Frame frame, Contour path) {
    double deviation = value(Channel.SOFT_EDGE) * scale / SOFT_EDGE_DEVIATIONS;
    if (deviation > 0) {
      double[] soft = {Effect.Kind.BLUR.ordinal(), deviation};
      frame.push(1, BlendMode.NORMAL, List.of(soft));
    }
    frame.fill(0, 1);
    frame.beginInline();
    frame.subPath(new SubPath(path.segments(), true));
    frame.endInline();
    if (deviation > 0) {
      frame.pop(BLUR_REACH * deviation);
    }
  }

  /** Whether the clip of an item leaves anything of a part of the frame. */
  static boolean shows(Clip clip, Contour path, Window spot) {
    Outline area = Outline.of(List.of(new SubPath(path.segments(), true)));
    return spot.touched(area, Affine.IDENTITY) != clip.inverted();
  }
}
