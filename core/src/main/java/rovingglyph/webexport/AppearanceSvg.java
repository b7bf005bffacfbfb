package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import rovingglyph.frame.Appearance;
import rovingglyph.frame.PreparedPath;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Matte;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Spelling;

/**
 * Blend mode, effects and clip of an item as groups round it, in the order of CSS: the effects are
 * done first. A clip is a mask, so that it can be soft, inverted and on a path that moves.
 */
final class AppearanceSvg {
  /** Wide enough for any frame, in px either way. */
  static final String EVERYWHERE = "x=\"-20000\" y=\"-20000\" width=\"40000\" height=\"40000\"";

  /** Of a blur's standard deviation, px. */
  static final double TOLERANCE = 0.03;

  private final PreparedScene prepared;
  private final Scene scene;
  private final SvgClock clock;
  private final Item item;
  private final String name;
  private final Values values;
  private int open;

  /** Writes a value: as a number while it is still, else as a property that is driven. */
  interface Values {
    /**
     * @param animations to which the name of the property is added if it is driven
     */
    String own(String name, AnimatedValue m, double tolerance, List<String> animations);
  }

  AppearanceSvg(PreparedScene prepared, SvgClock clock, Item item, String name, Values values) {
    this.prepared = prepared;
    this.scene = prepared.scene();
    this.clock = clock;
    this.item = item;
    this.name = name;
    this.values = values;
  }

  /** The style of the outermost group of the item, which is what meets the picture beneath. */
  static String blending(Item item) {
    BlendMode blend = item.properties().blend();
    return blend == BlendMode.NORMAL ? "" : "mix-blend-mode:" + Spelling.of(blend);
  }

  /**
   * The item with all of it.
   *
   * @param contents the item itself
   * @param measure what it is measured by; null where it is not
   * @param animate drives a class by animations
   */
  String round(String contents, String measure, Animate animate) {
    StringBuilder out = new StringBuilder();
    if (measure != null) {
      out.append(matte(item.properties().matte(), measure));
      group(out, measured());
    }
    Clip clip = item.properties().clip();
    if (clip != null) {
      out.append(mask(clip, animate));
      group(out, clipped());
    }
    List<Effect> effects = Appearance.effects(item);
    for (Effect e : effects) {
      if (e.kind() == Effect.Kind.CAST_SHADOW) {
        String own = name + "-cast" + effects.indexOf(e);
        out.append(
            new CastShadowSvg(prepared, clock, item, e, own).write(contents, values, animate));
      }
    }
    if (Appearance.shades(item)) {
      filtered(out, effects);
    } else {
      blurred(out, effects, animate);
    }
    return out.append(contents).append("</g>\n".repeat(open)).toString();
  }

  private String measured() {
    return "mask=\"url(#" + name + "-matte)\"";
  }

  /** The mask of a matte. What is left of white by something is that which it leaves. */
  private String matte(Matte matte, String measure) {
    boolean light = matte.by() == Matte.By.LUMINANCE;
    String id = name + "-matte";
    String mask = "<mask id=\"" + id + "\" maskUnits=\"userSpaceOnUse\" " + EVERYWHERE;
    if (!matte.inverted()) {
      String by = light ? "" : " style=\"mask-type:alpha\"";
      return mask + by + ">" + measure + "</mask>\n";
    }
    // How much of it there is, in black: how opaque it is, times how light.
    String amount =
        light
            ? "<feColorMatrix type=\"luminanceToAlpha\"/><feComposite operator=\"in\""
                + " in2=\"SourceAlpha\"/>"
            : "<feColorMatrix values=\"0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 1 0\"/>";
    Rect frame = new Rect(0, 0, scene.width(), scene.height());
    // A blur of a group round it sees a little beyond the frame.
    return filter(amount(name), amount, frame.grown(100))
        + mask
        + "><rect "
        + EVERYWHERE
        + " fill=\"#fff\"/>"
        + measure
        + "</mask>\n";
  }

  /** The filter, in the pixels of the frame, of what an inverted matte is measured by. */
  static String amount(String name) {
    return name + "-amount";
  }

  private String clipped() {
    return "mask=\"url(#" + name + "-clip)\"";
  }

  /** What only blurs can be said in CSS. */
  private void blurred(StringBuilder out, List<Effect> effects, Animate animate) {
    List<String> animations = new ArrayList<>();
    StringBuilder filter = new StringBuilder();
    for (Effect e : effects) {
      AnimatedValue m = item.movable(Channel.effect(e.id(), Effect.DEVIATION));
      String property = name + "-e" + effects.indexOf(e);
      filter.append(blur(values.own(property, m, TOLERANCE, animations), 1));
    }
    if (filter.length() > 0) {
      String own = name + "-effects";
      animate.animate(own, animations);
      group(out, "class=\"" + own + "\" style=\"filter:" + filter + "\"");
    }
  }

  private void filtered(StringBuilder out, List<Effect> effects) {
    FilterSvg f = new FilterSvg(item, clock);
    effects.stream().filter(e -> !e.isBlendedGlow()).forEach(f::add);
    if (!f.primitives().isEmpty()) {
      out.append(filter(name + "-filter", f));
      group(out, "filter=\"url(#" + name + "-filter)\"");
    }
  }

  /**
   * The glows that are blended with what is beneath the item, which come before it.
   *
   * @param contents the item itself, which each glow has again: what is used again by {@code use}
   *     has animations of its own, which scripts that set the time do not find
   * @param groups those that show and fade the item, to be opened round each
   */
  String glows(String contents, List<String> groups) {
    StringBuilder out = new StringBuilder();
    List<Effect> effects = Appearance.effects(item);
    for (Effect e : effects) {
      if (!e.isBlendedGlow()) {
        continue;
      }
      String id = name + "-glow" + effects.indexOf(e);
      FilterSvg f = new FilterSvg(item, clock);
      effects.subList(0, effects.indexOf(e)).stream()
          .filter(b -> !b.isBlendedGlow())
          .forEach(f::add);
      f.glowAlone(e);
      out.append(filter(id, f)).append("<g style=\"mix-blend-mode:");
      out.append(Spelling.of(e.choice(Effect.GLOW_BLEND))).append("\">");
      groups.forEach(out::append);
      out.append("<g ").append(item.properties().matte() == null ? "" : measured());
      out.append("><g ").append(item.properties().clip() == null ? "" : clipped());
      out.append("><g filter=\"url(#" + id + ")\">\n").append(contents);
      out.append("</g></g></g></g>").append("</g>".repeat(groups.size())).append("\n");
    }
    return out.toString();
  }

  /**
   * A filter that covers all that the item ever is, with what the effects reach beyond that:
   * browsers work on all of a filter's area.
   */
  private String filter(String id, FilterSvg f) {
    return filter(id, f.primitives(), region(t -> Affine.IDENTITY));
  }

  private Rect region(DoubleFunction<Affine> map) {
    return ItemRegion.of(prepared, item, map);
  }

  static String filter(String id, String primitives, Rect region) {
    return "<filter id=\""
        + id
        + "\" filterUnits=\"userSpaceOnUse\" color-interpolation-filters=\"sRGB\" x=\""
        + Decimal.text(region.left(), 0)
        + "\" y=\""
        + Decimal.text(region.top(), 0)
        + "\" width=\""
        + Decimal.text(Math.ceil(region.width()), 0)
        + "\" height=\""
        + Decimal.text(Math.ceil(region.height()), 0)
        + "\">\n"
        + primitives
        + "</filter>\n";
  }

  /** Has the animations of a class written. */
  interface Animate {
    void animate(String name, List<String> animations);
  }

  private void group(StringBuilder out, String attributes) {
    out.append("<g ").append(attributes).append(">\n");
    open++;
  }

  static String blur(String deviation, double share) {
    String times = share == 1 ? "" : "*" + share;
    return "blur(calc(max(0," + deviation + ")" + times + "*1px))";
  }

  private String mask(Clip clip, Animate animate) {
    String mask = name + "-clip";
    PreparedPath path = prepared.paths().get(clip.path());
    List<String> animations = new ArrayList<>();
    AnimatedValue soft = item.movable(Channel.SOFT_EDGE);
    String style = "";
    if (soft.moves() || soft.base() > 0) {
      // The width of a soft edge is four standard deviations.
      String width = values.own(mask + "-soft", soft, 4 * TOLERANCE, animations);
      style = " style=\"filter:" + blur(width, 0.25) + "\"";
      animate.animate(mask, animations);
    }
    String rest = clip.inverted() ? "<rect " + EVERYWHERE + " fill=\"#fff\"/>" : "";
    return "<mask id=\""
        + mask
        + "\" maskUnits=\"userSpaceOnUse\" "
        + EVERYWHERE
        + ">"
        + rest
        + "<g class=\""
        + mask
        + "\" fill=\""
        + (clip.inverted() ? "#000" : "#fff")
        + "\""
        + style
        + ">"
        + SmilShapes.contour("<path", path.moves(), path::at, "", clock)
        + "</g></mask>\n";
  }
}
