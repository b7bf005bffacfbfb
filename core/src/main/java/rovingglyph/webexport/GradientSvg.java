package rovingglyph.webexport;

import java.util.List;
import java.util.function.DoubleFunction;
import rovingglyph.geometry.Point;

/** A gradient whose ends, in the pixels of what it fills, go with the time. */
final class GradientSvg {
  /** Of the ends, px. */
  private static final double TOLERANCE = 0.05;

  private final String kind;
  private final SmilAttribute ends;

  private GradientSvg(String kind, SmilAttribute ends) {
    this.kind = kind;
    this.ends = ends;
  }

  /**
   * @param ends where it begins and ends; a radial one its middle, and a point of its rim
   */
  static GradientSvg of(SvgClock clock, boolean linear, DoubleFunction<List<Point>> ends) {
    SmilAttribute out =
        new SmilAttribute(clock)
            .number(linear ? "x1" : "cx", TOLERANCE, t -> ends.apply(t).get(0).x())
            .number(linear ? "y1" : "cy", TOLERANCE, t -> ends.apply(t).get(0).y());
    if (linear) {
      out.number("x2", TOLERANCE, t -> ends.apply(t).get(1).x())
          .number("y2", TOLERANCE, t -> ends.apply(t).get(1).y());
    } else {
      out.number("r", TOLERANCE, t -> ends.apply(t).get(1).distance(ends.apply(t).get(0)));
    }
    return new GradientSvg(linear ? "linearGradient" : "radialGradient", out);
  }

  /**
   * The element.
   *
   * @param id by which it is named
   * @param stops its contents
   */
  String write(String id, String stops) {
    return ends.element(kind, stops)
        .replaceFirst(kind, kind + " id=\"" + id + "\" gradientUnits=\"userSpaceOnUse\"");
  }
}
