package rovingglyph.webexport;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Gradient;
import rovingglyph.seat.RowLayout;

/**
 * The gradients that letters are filled with: one for each glyph, in its own units, whose ends go
 * with the time. Equal ones are written once.
 */
final class LetterFills {
  /** Of the ends, px. */
  private static final double TOLERANCE = 0.1;

  /** Times whose rows are kept for further letters. */
  private static final int MOST_KNOWN = 2000;

  private final PreparedLettering prepared;
  private final Filling filling;
  private final SvgClock clock;
  private final String name;
  private final boolean turned;
  private final Map<String, String> written = new HashMap<>();
  private final StringBuilder elements = new StringBuilder();
  private final Map<Double, List<RowLayout>> rows =
      new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Double, List<RowLayout>> eldest) {
          return size() > MOST_KNOWN;
        }
      };

  /**
   * @param name of its own
   * @param turned whether the rotation is part of every letter's place
   */
  LetterFills(PreparedLettering prepared, SvgClock clock, String name, boolean turned) {
    this.prepared = prepared;
    this.filling = prepared.lettering().filling();
    this.clock = clock;
    this.name = name;
    this.turned = turned;
    if (filling.isGraded()) {
      elements.append("<linearGradient id=\"" + name + "\">");
      filling.stops().forEach(s -> elements.append(stop(s)));
      elements.append("</linearGradient>\n");
    }
  }

  static String stop(Gradient.Stop s) {
    return "<stop offset=\""
        + Decimal.text(s.offset() / 100, 5)
        + "\" stop-color=\""
        + AnimatedSvg.colour(s.colour())
        + "\" stop-opacity=\""
        + Decimal.text(s.opacity() / 100, 5)
        + "\"/>";
  }

  /** The gradients of the letters that were asked for. */
  String elements() {
    return elements.toString();
  }

  /** What a place of a letter in its own space is in the units of a glyph at a time. */
  interface Units {
    Point of(Point place, RowLayout row, int letter);
  }

  /**
   * The fill of a glyph as an attribute after a space; empty where it is that of the lettering.
   *
   * @param scale px of one of its units, about
   */
  String fill(int row, int letter, double scale, Units units) {
    if (filling.kind() == Filling.Kind.PLAIN) {
      return "";
    }
    if (filling.kind() == Filling.Kind.NONE) {
      return " fill=\"none\"";
    }
    boolean linear = filling.kind() == Filling.Kind.LINEAR;
    double tolerance = TOLERANCE / scale;
    int places = (int) Math.min(6, Math.max(0, Math.ceil(Math.log10(scale)) + 2));
    SmilAttribute a = new SmilAttribute(clock).places(places);
    a.number(linear ? "x1" : "cx", tolerance, t -> end(row, letter, t, 0, units).x());
    a.number(linear ? "y1" : "cy", tolerance, t -> end(row, letter, t, 0, units).y());
    if (linear) {
      a.number("x2", tolerance, t -> end(row, letter, t, 1, units).x());
      a.number("y2", tolerance, t -> end(row, letter, t, 1, units).y());
    } else {
      a.number(
          "r",
          tolerance,
          t -> end(row, letter, t, 0, units).distance(end(row, letter, t, 1, units)));
    }
    a.fixed("gradientUnits", "userSpaceOnUse").fixed("href", "#" + name);
    String kind = linear ? "linearGradient" : "radialGradient";
    String element = a.element(kind, "");
    String id = written.get(element);
    if (id == null) {
      id = name + "-" + written.size();
      written.put(element, id);
      elements.append(element.replaceFirst(kind, kind + " id=\"" + id + "\""));
    }
    return " fill=\"url(#" + id + ")\"";
  }

  private Point end(int row, int letter, double time, int which, Units units) {
    List<RowLayout> now = rows.computeIfAbsent(time, t -> prepared.rows(prepared.values(t)));
    boolean there = row < now.size() && letter < now.get(row).letters().size();
    if (!there) {
      return Point.ORIGIN;
    }
    Point place = prepared.gradient(now.get(row), letter, turned).get(which);
    return units.of(place, now.get(row), letter);
  }
}
