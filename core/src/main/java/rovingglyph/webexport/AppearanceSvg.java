package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedPath;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Spelling;

/**
 * Blend mode, effects and clip of an item as groups round it, in the order of CSS: the effects are
 * done first. A clip is a mask, so that it can be soft, inverted and on a path that moves.
 */
final class AppearanceSvg {
  /** Wide enough for any frame, in px either way. */
  private static final String EVERYWHERE =
      "x=\"-20000\" y=\"-20000\" width=\"40000\" height=\"40000\"";

  /** Of a blur's standard deviation, px. */
  private static final double TOLERANCE = 0.03;

  private final PreparedScene prepared;
  private final Scene scene;
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

  AppearanceSvg(PreparedScene prepared, Item item, String name, Values values) {
    this.prepared = prepared;
    this.scene = prepared.scene();
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
   * Begins the groups; {@link #end} ends them.
   *
   * @param animate drives a class by animations
   */
  String begin(Animate animate) {
    StringBuilder out = new StringBuilder();
    Clip clip = item.properties().clip();
    if (clip != null) {
      out.append(mask(clip, animate));
      group(out, "mask=\"url(#" + name + "-clip)\"");
    }
    List<String> animations = new ArrayList<>();
    StringBuilder filter = new StringBuilder();
    for (Effect e : item.properties().effects()) {
      if (!e.off() && e.kind() == Effect.Kind.BLUR) {
        Channel c = Channel.effect(e.id(), e.kind().parameters().get(0));
        String property = name + "-e" + item.properties().effects().indexOf(e);
        filter.append(blur(values.own(property, item.movable(c), TOLERANCE, animations), 1));
      }
    }
    if (filter.length() > 0) {
      String own = name + "-effects";
      animate.animate(own, animations);
      group(out, "class=\"" + own + "\" style=\"filter:" + filter + "\"");
    }
    return out.toString();
  }

  /** Has the animations of a class written. */
  interface Animate {
    void animate(String name, List<String> animations);
  }

  private void group(StringBuilder out, String attributes) {
    out.append("<g ").append(attributes).append(">\n");
    open++;
  }

  String end() {
    return "</g>\n".repeat(open);
  }

  private static String blur(String deviation, double share) {
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
        + SmilShapes.contour("<path", path.moves(), path::at, "", scene)
        + "</g></mask>\n";
  }
}
