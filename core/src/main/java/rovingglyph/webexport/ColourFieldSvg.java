package rovingglyph.webexport;

import java.util.List;
import rovingglyph.frame.PreparedColourField;
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
    StringBuilder stops = new StringBuilder();
    field.fill().stops().forEach(s -> stops.append(LetterFills.stop(s)));
    boolean linear = field.fill().kind() == Gradient.Kind.LINEAR;
    return GradientSvg.of(
            clock,
            linear,
            t ->
                List.of(
                    prepared.ends(Channel.FROM_X, Channel.FROM_Y, t),
                    prepared.ends(Channel.TO_X, Channel.TO_Y, t)))
        .write(name, stops.toString());
  }
}
