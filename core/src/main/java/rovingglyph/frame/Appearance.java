package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.Typesetting;
import rovingglyph.type.Outline;

/**
 * What blend mode, effects, clip and the opacity of a whole do to an item of any kind at one time:
 * the layers of the frame round it. As in CSS the effects come first, then the clip, then opacity
 * and blending. Lengths are in the pixels round the item, as its own are.
 */
public final class Appearance {
  /** Standard deviations of the blurred clip within the width of its soft edge. */
  static final double SOFT_EDGE_DEVIATIONS = 4;

  private final Item item;
  private final ItemProperties properties;
  private final double alpha;
  private final boolean isolated;
  private final double time;
  private final Space map;
  private final Affine near;
  private final double scale;

  /**
   * @param alpha of the item as a whole, 0 to 1
   * @param isolated whether it is a layer in any case
   * @param map of the groups round it
   * @param near the same in the middle of the item, by which lengths of effects and of a clip go;
   *     of one that {@link #hasLengths} not it does not matter
   */
  Appearance(Item item, double alpha, boolean isolated, double time, Space map, Affine near) {
    this.item = item;
    this.properties = item.properties();
    this.alpha = alpha;
    this.isolated = isolated;
    this.time = time;
    this.map = map;
    this.near = near;
    this.scale = Math.hypot(near.a(), near.b());
  }

  /** The effects that are done to its picture, of kinds that are known. */
  public static List<Effect> effects(Item item) {
    return item.properties().effects().stream()
        .filter(e -> !e.off() && e.kind() != null && e.kind() != Effect.Kind.OUTLINE)
        .toList();
  }

  /** Whether anything of an item's finish has lengths. */
  static boolean hasLengths(Item item) {
    return item.properties().clip() != null || !effects(item).isEmpty();
  }

  /** Whether any effect of an item adds something to it, which is faded with it as a whole. */
  public static boolean adds(Item item) {
    return shades(item) || !Outlines.effects(item).isEmpty();
  }

  /** Whether any effect adds something to its picture. */
  public static boolean shades(Item item) {
    return effects(item).stream().anyMatch(e -> e.kind() != Effect.Kind.BLUR);
  }

  /**
   * Paints the item with all of it.
   *
   * @param clip the path that it is clipped to; null where there is none
   * @param matte paints what it is measured by
   */
  void paint(Frame frame, Contour clip, Runnable matte, CastShadow.Contents contents) {
    LayerEffects before = new LayerEffects();
    List<Effect> effects = effects(item);
    for (Effect e : effects) {
      if (e.isBlendedGlow()) {
        LayerEffects alone = new LayerEffects().after(before).shadow(0, 0, 0, shade(e), true);
        frame.push(alpha, e.choice(Effect.GLOW_BLEND), LayerEffects.NONE);
        cut(frame, clip, matte, () -> filtered(frame, alone, contents));
        frame.pop();
      } else {
        add(e, before);
      }
    }
    if (isWhole()) {
      frame.push(alpha, properties.blend(), LayerEffects.NONE);
    }
    cut(
        frame,
        clip,
        matte,
        () -> {
          for (Effect e : effects) {
            CastShadow cast = e.kind() == Effect.Kind.CAST_SHADOW ? cast(item, e, time) : null;
            if (cast != null && cast.isSeen()) {
              cast.paint(frame, map, scale, contents);
            }
          }
          filtered(frame, before, contents);
        });
    if (isWhole()) {
      frame.pop();
    }
  }

  /** Paints something into the open layer, and what tells how much of it is seen. */
  private void cut(Frame frame, Contour clip, Runnable matte, Runnable contents) {
    boolean both = properties.clip() != null && properties.matte() != null;
    if (both) {
      frame.push(1, BlendMode.NORMAL, LayerEffects.NONE);
    }
    contents.run();
    clip(frame, clip);
    if (both) {
      frame.pop();
    }
    if (properties.matte() != null) {
      frame.matte(properties.matte().inverted(), properties.matte().by());
      matte.run();
    }
  }

  private void filtered(Frame frame, LayerEffects effects, CastShadow.Contents contents) {
    if (!effects.all().isEmpty()) {
      frame.push(1, BlendMode.NORMAL, effects);
    }
    contents.paint(map);
    if (!effects.all().isEmpty()) {
      frame.pop();
    }
  }

  /** What an effect asks of the layer. */
  private void add(Effect e, LayerEffects to) {
    switch (e.kind()) {
      case BLUR -> to.blur(value(e, Effect.DEVIATION) * scale);
      case DROP_SHADOW -> {
        double x = value(e, Effect.DX);
        double y = value(e, Effect.DY);
        double spread = value(e, Effect.SPREAD) * scale;
        to.shadow(
            near.a() * x + near.c() * y, near.b() * x + near.d() * y, spread, shade(e), false);
      }
      case GLOW -> {
        if (e.choice(Effect.GLOW_SIDE) == Effect.GlowSide.INNER) {
          to.innerGlow(shade(e), e.choice(Effect.GLOW_BLEND));
        } else {
          to.shadow(0, 0, 0, shade(e), false);
        }
      }
      case CAST_SHADOW, OUTLINE -> {
        // The one lies beneath all of the item, the other belongs to the item itself.
      }
    }
  }

  /**
   * How far the effects of an item paint beyond it at a time, px; a cast shadow's only its blur.
   */
  public static double reach(Item item, double time) {
    Appearance a = new Appearance(item, 1, false, time, Space.FLAT, Affine.IDENTITY);
    LayerEffects all = new LayerEffects();
    double cast = 0;
    for (Effect e : effects(item)) {
      a.add(e, all);
      if (e.kind() == Effect.Kind.CAST_SHADOW) {
        cast = Math.max(cast, new LayerEffects().blur(a.value(e, Effect.DEVIATION)).reach());
      }
    }
    return Math.max(all.reach(), cast);
  }

  private LayerEffects.Shade shade(Effect e) {
    double strength =
        e.kind().parameters().contains(Effect.STRENGTH) ? value(e, Effect.STRENGTH) / 100 : 1;
    return new LayerEffects.Shade(
        value(e, Effect.DEVIATION) * scale,
        strength,
        colour(item, e, time),
        value(e, Effect.OPACITY) / 100);
  }

  /** The shadow that an effect throws at a time. */
  public static CastShadow cast(Item item, Effect e, double time) {
    double direction = Math.toRadians(value(item, e, Effect.DIRECTION, time));
    double length = value(item, e, Effect.THROW, time) / 100;
    Point foot =
        new Point(value(item, e, Effect.GROUND_X, time), value(item, e, Effect.GROUND_Y, time));
    double angle = Math.toRadians(value(item, e, Effect.GROUND_ANGLE, time));
    return new CastShadow(
        Affine.translate(foot.x(), foot.y()).times(Affine.rotate(angle, Point.ORIGIN)),
        length * Math.cos(direction),
        length * Math.sin(direction),
        value(item, e, Effect.FAR_END, time),
        value(item, e, Effect.DEVIATION, time),
        value(item, e, Effect.FADE, time) / 100,
        colour(item, e, time),
        value(item, e, Effect.OPACITY, time) / 100);
  }

  private double value(Effect e, Effect.Parameter p) {
    return value(item, e, p, time);
  }

  /** A number of an effect at a time, in its unit. */
  public static double value(Item item, Effect e, Effect.Parameter p, double time) {
    return value(item, Channel.effect(e.id(), p), time);
  }

  /** The colour of an effect at a time, 0xRRGGBB. */
  public static int colour(Item item, Effect e, double time) {
    return colour(item, e, Effect.COLOUR, time);
  }

  /** The same of any of its colours. */
  public static int colour(Item item, Effect e, Effect.Parameter p, double time) {
    AnimatedValue colour = item.movable(Channel.effect(e.id(), p));
    return Timeline.colour(colour, time, Typesetting.PLAIN.mix());
  }

  private static double value(Item item, Channel c, double time) {
    return c.clamp(Timeline.value(item.movable(c), time));
  }

  /** Whether it is faded, blended or clipped as a whole, for which it has to be a layer. */
  private boolean isWhole() {
    return isolated
        || alpha < 1
        || properties.blend() != BlendMode.NORMAL
        || properties.clip() != null
        || properties.matte() != null;
  }

  private void clip(Frame frame, Contour path) {
    if (properties.clip() == null) {
      return;
    }
    frame.matte(properties.clip().inverted());
    frame.mapped(map);
    double deviation = value(item, Channel.SOFT_EDGE, time) * scale / SOFT_EDGE_DEVIATIONS;
    if (deviation > 0) {
      frame.push(1, BlendMode.NORMAL, new LayerEffects().blur(deviation));
    }
    frame.fill(0, 1);
    frame.beginInline();
    frame.subPath(new SubPath(path.segments(), true));
    frame.endInline();
    if (deviation > 0) {
      frame.pop();
    }
  }

  /** Whether the clip of an item leaves anything of a part of the frame. */
  static boolean shows(Clip clip, Contour path, Window spot) {
    Outline area = Outline.of(List.of(new SubPath(path.segments(), true)));
    return spot.touched(area, Affine.IDENTITY) != clip.inverted();
  }
}
