package rovingglyph.webexport;

import rovingglyph.frame.PreparedColourField;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Gradient;

/** A colour field as a rectangle in its own pixels, with its gradient. */
final class ColourFieldSvg {
  /** Of lengths, px. */
  private static final double TOLERANCE = 0.05;

  private final PreparedColourField prepared;
  private final ColourField field;
  private final SvgClock clock;

  ColourFieldSvg(PreparedColourField prepared, SvgClock clock) {
    this.prepared = prepared;
    this.field = prepared.field();
    this.clock = clock;
  }

  /**
   * @param name of the gradient, if there is one
   */
  String write(String name) {
    SmilAttribute box = SmilAttribute.rectangle(clock, TOLERANCE, prepared::box);
    if (field.fill().kind() == Gradient.Kind.PLAIN) {
      return box.colour("fill", prepared::colour).element("rect", "");
    }
    String fill = "<g fill=\"url(#" + name + ")\">";
    return gradient(name) + fill + box.element("rect", "") + "</g>\n";
  }

  private String gradient(String name) {
    boolean linear = field.fill().kind() == Gradient.Kind.LINEAR;
    SmilAttribute ends =
        new SmilAttribute(clock)
            .number(linear ? "x1" : "cx", TOLERANCE, t -> from(t).x())
            .number(linear ? "y1" : "cy", TOLERANCE, t -> from(t).y());
    if (linear) {
      ends.number("x2", TOLERANCE, t -> to(t).x()).number("y2", TOLERANCE, t -> to(t).y());
    } else {
      ends.number("r", TOLERANCE, t -> to(t).minus(from(t)).length());
    }
    StringBuilder stops = new StringBuilder();
    field.fill().stops().forEach(s -> stops.append(LetterFills.stop(s)));
    String kind = linear ? "linearGradient" : "radialGradient";
    return ends.element(kind, stops.toString())
        .replaceFirst(kind, kind + " id=\"" + name + "\" gradientUnits=\"userSpaceOnUse\"");
  }

  private Point from(double time) {
    return prepared.ends(Channel.FROM_X, Channel.FROM_Y, time);
  }

  private Point to(double time) {
    return prepared.ends(Channel.TO_X, Channel.TO_Y, time);
  }
}
