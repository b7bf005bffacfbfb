package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.CutArea;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;

/** The area of a foreground cut in the pixels of its path. */
final class CutSvg {
  private static final double TOLERANCE = 0.05;

  private final CutArea area;
  private final SvgClock clock;

  CutSvg(CutArea area, SvgClock clock) {
    this.area = area;
    this.clock = clock;
  }

  /** Begins the group of the path's pixels within those of the item that is cut. */
  String inSource() {
    Affine m = area.cut().inSource();
    String numbers = "";
    for (double n : new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()}) {
      numbers += (numbers.isEmpty() ? "" : ",") + Decimal.text(n, 8);
    }
    return "<g transform=\"matrix(" + numbers + ")\">\n";
  }

  /** The shape of it, as a mask has it: white where it is seen. */
  String mask(String name, AppearanceSvg.Values values, AppearanceSvg.Animate animate) {
    List<String> animations = new ArrayList<>();
    AnimatedValue soft = area.cut().movable(Channel.CUT_EDGE);
    String style = "";
    if (soft.moves() || soft.base() > 0) {
      String width = values.own(name + "-soft", soft, 4 * AppearanceSvg.TOLERANCE, animations);
      style = " style=\"filter:" + AppearanceSvg.blur(width, 0.25) + "\"";
      animate.animate(name + "-soft", animations);
    }
    StringBuilder out = new StringBuilder();
    out.append("<g class=\"" + name + "-soft\"" + style + ">");
    out.append(
        new SmilAttribute(clock)
            .fixed("fill", "#fff")
            .contour(area.path().moves(), area::edge, ""));
    AnimatedValue grow = area.cut().movable(Channel.GROW);
    if (grow.moves() || grow.base() > 0) {
      out.append(line("#fff", 1));
    }
    if (grow.moves() || grow.base() < 0) {
      out.append(line("#000", -1));
    }
    return out.append("</g>\n").toString();
  }

  /** A line along the edge, which adds to the area or takes away from it. */
  private String line(String colour, int sign) {
    return new SmilAttribute(clock)
        .fixed("fill", "none")
        .fixed("stroke", colour)
        .fixed("stroke-linejoin", "round")
        .number("stroke-width", TOLERANCE, t -> Math.max(0, 2 * sign * area.grow(t)))
        .contour(area.path().moves(), area::edge, "");
  }
}
