package rovingglyph.lottie;

import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.LineStyle;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.strand.Node;

/** Paints of areas and lines through time. */
final class Paints {
  /** Gradients go from 0 to here in units of their own. */
  static final double LONG = 100;

  /** Colours are off by less than half of one of 255 steps. */
  private static final double COLOUR = 0.4 / 255;

  private static final double OPACITY = 0.2;
  private static final double OFFSET = 0.002;
  private static final double WIDTH = 0.02;

  /** How near corners are to be taken for the same, px. */
  private static final double CORNER = 0.02;

  private static final int[] JOINS = {2, 1, 3};

  private final double perFrame;
  private final int from;
  private final List<Node.Drawn> nodes;

  Paints(double perFrame, int from, List<Node.Drawn> nodes) {
    this.perFrame = perFrame;
    this.from = from;
    this.nodes = nodes;
  }

  /** A map, or what is nearest to it at a point where it is in perspective. */
  static Affine flat(Projection map, Point at) {
    return map.isFlat() ? map.flat() : map.near(at);
  }

  /** Of a gradient, in its units. */
  static Affine graded(FramePaint paint) {
    boolean linear = paint.kind() == FramePaint.Kind.LINEAR;
    return flat(paint.map(), new Point(linear ? 0.5 : 0, 0)).times(Affine.scale(1 / LONG));
  }

  /** Whether an area is all of the picture that it is painted with. */
  static boolean isUnitSquare(Node.Drawn d, Affine map) {
    if (d.shapes().size() != 1 || d.shapes().get(0).steps() == null) {
      return false;
    }
    List<Contours.Contour> all = Contours.of(d.shapes().get(0).steps(), Affine.IDENTITY);
    if (all.size() != 1 || all.get(0).corners() != 4) {
      return false;
    }
    double[] n = all.get(0).numbers();
    int met = 0;
    for (int corner = 0; corner < 4; corner++) {
      Point p = map.apply(new Point(corner % 2, corner / 2));
      for (int i = 0; i < n.length; i += Contours.CORNER) {
        boolean straight = n[i + 2] == 0 && n[i + 3] == 0 && n[i + 4] == 0 && n[i + 5] == 0;
        if (straight && Math.hypot(n[i] - p.x(), n[i + 1] - p.y()) < CORNER) {
          met |= 1 << corner;
        }
      }
    }
    return met == 15;
  }

  /** One that measures: what is opaque counts. */
  static String measuring() {
    return "{\"ty\":\"fl\",\"c\":"
        + Property.still("[1,1,1]")
        + ",\"o\":"
        + Property.still("100")
        + ",\"r\":1}";
  }

  /** In the words of Lottie. */
  String json() {
    Node.Drawn first = nodes.get(0);
    boolean plain = first.paint().kind() == FramePaint.Kind.PLAIN;
    LineStyle line = first.line();
    String type = line == null ? (plain ? "fl" : "gf") : plain ? "st" : "gs";
    return "{\"ty\":\""
        + type
        + "\",\"o\":"
        + track(d -> new double[] {100 * d.paint().alpha()}, OPACITY).number()
        + (plain ? ",\"c\":" + colour() : gradient(first))
        + (line == null ? ",\"r\":1" : line(line))
        + "}";
  }

  /** What a paint has at each sample. */
  private interface Values {
    double[] of(Node.Drawn d);
  }

  private Property track(Values values, double... tolerances) {
    double[][] all = new double[nodes.size()][];
    for (int k = 0; k < all.length; k++) {
      all[k] = values.of(nodes.get(k));
    }
    return new Property(perFrame, from, all, tolerances);
  }

  /** Players may take the whole part of 255 times it: it is never less than it should be. */
  private static double part(int rgb, int shift) {
    return Math.ceil((rgb >> shift & 255) / 255.0 * 1e4) / 1e4;
  }

  private String colour() {
    return track(
            d -> {
              int rgb = d.paint().rgb();
              return new double[] {part(rgb, 16), part(rgb, 8), part(rgb, 0)};
            },
            COLOUR,
            COLOUR,
            COLOUR)
        .json();
  }

  private String gradient(Node.Drawn first) {
    int count = first.paint().offsets().length;
    double[] tolerances = new double[6 * count];
    for (int i = 0; i < 6 * count; i++) {
      boolean offset = i < 4 * count ? i % 4 == 0 : i % 2 == 0;
      tolerances[i] = offset ? OFFSET : COLOUR;
    }
    String stops = track(d -> stops(d.paint()), tolerances).json();
    boolean linear = first.paint().kind() == FramePaint.Kind.LINEAR;
    return ",\"t\":"
        + (linear ? 1 : 2 + ",\"h\":" + Property.still("0") + ",\"a\":" + Property.still("0"))
        + ends(first)
        + ",\"g\":{\"p\":"
        + count
        + ",\"k\":"
        + stops
        + "}";
  }

  private static double[] stops(FramePaint paint) {
    int count = paint.offsets().length;
    double[] out = new double[6 * count];
    for (int i = 0; i < count; i++) {
      int rgb = paint.colours()[i];
      out[4 * i] = paint.offsets()[i];
      out[4 * i + 1] = part(rgb, 16);
      out[4 * i + 2] = part(rgb, 8);
      out[4 * i + 3] = part(rgb, 0);
      out[4 * count + 2 * i] = paint.offsets()[i];
      out[4 * count + 2 * i + 1] = paint.opacities()[i];
    }
    return out;
  }

  /** Areas lie in the units of their gradient; a line has its own. */
  private String ends(Node.Drawn first) {
    if (first.line() == null) {
      return ",\"s\":"
          + Property.still("[0,0]")
          + ",\"e\":"
          + Property.still("[" + (int) LONG + ",0]");
    }
    return ",\"s\":"
        + track(d -> end(d, 0), WIDTH, WIDTH).json()
        + ",\"e\":"
        + track(d -> end(d, 1), WIDTH, WIDTH).json();
  }

  /**
   * An end of the gradient of a line, in the line's units. Linear ones go at right angles to where
   * they are of one colour, as they do under any map.
   */
  private static double[] end(Node.Drawn d, int which) {
    Affine m = d.map().inverse().times(graded(d.paint()));
    Point start = new Point(m.e(), m.f());
    if (which == 0) {
      return new double[] {start.x(), start.y()};
    }
    double dx = LONG * m.a();
    double dy = LONG * m.b();
    double along = Math.hypot(m.c(), m.d());
    if (d.paint().kind() == FramePaint.Kind.LINEAR && along > 0) {
      double across = (dx * -m.d() + dy * m.c()) / (along * along);
      dx = across * -m.d();
      dy = across * m.c();
    }
    return new double[] {start.x() + dx, start.y() + dy};
  }

  private String line(LineStyle line) {
    StringBuilder out = new StringBuilder(",\"w\":");
    out.append(track(d -> new double[] {d.line().width()}, WIDTH).number());
    out.append(",\"lc\":").append(line.cap() + 1).append(",\"lj\":").append(JOINS[line.join()]);
    out.append(",\"ml\":").append((int) LineStyle.MITER_LIMIT);
    if (line.dash().length > 0) {
      out.append(",\"d\":[");
      for (int i = 0; i < line.dash().length; i++) {
        int at = i;
        Property length = track(d -> new double[] {d.line().dash()[at]}, WIDTH);
        out.append(dash(i % 2 == 0 ? "d" : "g", i, length.number())).append(',');
      }
      out.append(dash("o", line.dash().length, Property.still("0"))).append(']');
    }
    return out.toString();
  }

  /** Players want a name for each. */
  private static String dash(String what, int index, String length) {
    return "{\"n\":\"" + what + "\",\"nm\":\"" + what + index + "\",\"v\":" + length + "}";
  }
}
