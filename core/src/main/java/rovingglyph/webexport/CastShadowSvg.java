package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.Appearance;
import rovingglyph.frame.CastShadow;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Item;

/** The shadow that an item throws on a ground, as frames have it: the item again, in bands. */
final class CastShadowSvg {
  private static final double LENGTH = 0.05;
  private static final double ANGLE = 0.02;
  private static final double SHARE = 0.003;

  private final PreparedScene prepared;
  private final Item item;
  private final Effect effect;
  private final SvgClock clock;
  private final String name;

  /**
   * @param name of what belongs to this effect alone
   */
  CastShadowSvg(PreparedScene prepared, SvgClock clock, Item item, Effect effect, String name) {
    this.prepared = prepared;
    this.item = item;
    this.effect = effect;
    this.clock = clock;
    this.name = name;
  }

  /**
   * The whole of it.
   *
   * @param contents what throws it
   */
  String write(String contents, AppearanceSvg.Values values, AppearanceSvg.Animate animate) {
    List<String> animations = new ArrayList<>();
    String x = own("x", Effect.GROUND_X, LENGTH, values, animations);
    String y = own("y", Effect.GROUND_Y, LENGTH, values, animations);
    String angle = own("angle", Effect.GROUND_ANGLE, ANGLE, values, animations);
    String direction = own("way", Effect.DIRECTION, ANGLE, values, animations);
    String length = own("throw", Effect.THROW, 0.05, values, animations);
    String opacity = own("alpha", Effect.OPACITY, 0.3, values, animations);
    animate.animate(name, animations);
    String ground =
        "translate(calc(" + x + "*1px),calc(" + y + "*1px)) rotate(calc(" + angle + "*1deg))";
    String back =
        "rotate(calc(" + angle + "*-1deg)) translate(calc(" + x + "*-1px),calc(" + y + "*-1px))";
    // An easing may carry it beyond its range.
    length = "max(0," + length + ")";
    String flat = "matrix(1,0," + per(length, "cos", direction);
    flat += "," + per(length, "sin", direction) + ",0,0)";
    StringBuilder out = new StringBuilder();
    out.append("<g class=\"" + name + "\" style=\"isolation:isolate;opacity:calc(");
    out.append("min(100,max(0," + opacity + "))/100)\">\n");
    Rect region = ItemRegion.of(prepared, item, t -> at(t).thrown());
    int bands = moving(Effect.DEVIATION) ? CastShadow.stops() : at(0).bands();
    for (int i = 0; i < bands; i++) {
      String mask = name + "-m" + i;
      String filter = name + "-f" + i;
      out.append(gradient(mask + "-g", i, bands));
      out.append("<mask id=\"" + mask + "\" maskUnits=\"userSpaceOnUse\" ");
      out.append(AppearanceSvg.EVERYWHERE + "><g style=\"transform:" + ground + " " + flat);
      out.append(
          "\"><rect x=\"-20000\" y=\"-20000\" width=\"40000\" height=\"20000\" fill=\"url(#");
      out.append(mask + "-g)\"/></g></mask>\n");
      FilterSvg f = new FilterSvg(item, clock);
      f.shadeAlone(effect, CastShadow.stop(i));
      out.append(AppearanceSvg.filter(filter, f.primitives(), region));
      String blend = i == 0 ? "" : " style=\"mix-blend-mode:plus-lighter\"";
      out.append("<g mask=\"url(#" + mask + ")\"" + blend + "><g filter=\"url(#" + filter);
      out.append(")\"><g style=\"transform:" + ground + " " + flat + " " + back + "\">");
      out.append(contents).append("</g></g></g>\n");
    }
    return out.append("</g>\n").toString();
  }

  private boolean moving(Effect.Parameter p) {
    return item.movable(Channel.effect(effect.id(), p)).moves();
  }

  private CastShadow at(double time) {
    return Appearance.cast(item, effect, time);
  }

  private static String per(String length, String function, String direction) {
    return "calc(" + length + "*-0.01*" + function + "(" + direction + "*1deg))";
  }

  private String own(
      String word,
      Effect.Parameter p,
      double tolerance,
      AppearanceSvg.Values values,
      List<String> animations) {
    return values.own(
        name + "-" + word, item.movable(Channel.effect(effect.id(), p)), tolerance, animations);
  }

  /** How much of a band is seen, by height. */
  private String gradient(String id, int band, int bands) {
    StringBuilder stops = new StringBuilder();
    for (int i = 0; i < CastShadow.stops(); i++) {
      int stop = i;
      SmilAttribute attributes =
          new SmilAttribute(clock)
              .fixed("offset", Decimal.text(CastShadow.stop(i), 5))
              .fixed("stop-color", "#fff")
              .number("stop-opacity", SHARE, t -> CastShadow.seen(bands, band, stop, at(t).fade()));
      stops.append(attributes.element("stop", ""));
    }
    return new SmilAttribute(clock)
        .fixed("id", id)
        .fixed("gradientUnits", "userSpaceOnUse")
        .fixed("x1", "0")
        .fixed("y1", "0")
        .fixed("x2", "0")
        .number("y2", LENGTH, t -> -at(t).farEnd())
        .element("linearGradient", stops.toString());
  }
}
