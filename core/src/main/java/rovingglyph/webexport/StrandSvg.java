package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ToDoubleFunction;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.LineStyle;
import rovingglyph.frame.OutlineSteps;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.strand.FrameTree;
import rovingglyph.strand.Node;
import rovingglyph.strand.Strand;

/**
 * Part of a scene as its display lists have it, each thing followed through time: for what no words
 * of SVG move, such as letters that stand in space. Where something comes before something else
 * that it was behind, it is a thing of its own from then on.
 */
final class StrandSvg {
  /** Of points, px. */
  private static final double NEAR = 0.1;

  /** Units of path data in a px: it is written in whole ones, and scaled. */
  private static final double FINE = 20;

  /** Of opacities, and of colours in shares of 1. */
  private static final double LOOK = 0.004;

  private static final String[] CAPS = {"butt", "round", "square"};
  private static final String[] JOINS = {"round", "miter", "bevel"};

  private final SvgClock clock;
  private final SharedMotions motions;
  private final String name;
  private final List<double[]> outlines = new ArrayList<>();
  private final double[] times;
  private int names;

  StrandSvg(PreparedScene scene, SvgClock clock, SharedMotions motions, String name) {
    this.clock = clock;
    this.motions = motions;
    this.name = name;
    scene.outlines().forEach(o -> outlines.add(OutlineSteps.of(o)));
    times = SampledTrack.times(clock);
  }

  /**
   * The elements.
   *
   * @param frames the display list at a time of the scene
   */
  String write(DoubleFunction<double[]> frames) {
    Strand.Stack stack = new Strand.Stack();
    for (int i = 0; i < times.length; i++) {
      stack.add(i, FrameTree.read(frames.apply(clock.local(times[i]))));
    }
    StringBuilder out = new StringBuilder();
    write(stack, out);
    return out.toString();
  }

  private void write(Strand.Stack stack, StringBuilder out) {
    for (Strand s : stack.all) {
      if (s.nodes.get(0) instanceof Node.Drawn) {
        drawn(s, out);
      } else {
        layer(s, out);
      }
    }
  }

  private void layer(Strand s, StringBuilder out) {
    Node.Layered first = (Node.Layered) s.nodes.get(0);
    List<String> animations = new ArrayList<>();
    String opacity =
        number(s, "opacity", n -> ((Node.Layered) n).layer().alpha(), LOOK, animations);
    String mask = first.measure() == null ? "" : " mask=\"url(#" + mask(s, first, out) + ")\"";
    out.append("<g" + mask + style(s, opacity, animations) + ">\n");
    write(s.content, out);
    out.append("</g>\n");
  }

  /** Writes what measures a layer. */
  private String mask(Strand s, Node.Layered first, StringBuilder out) {
    String id = name + "-k" + names++;
    StringBuilder measure = new StringBuilder();
    write(s.measure, measure);
    String type = first.measure().luminance() ? "luminance" : "alpha";
    String filter = "";
    if (first.measure().inverted()) {
      filter = " filter=\"url(#" + id + "-i)\"";
      out.append("<filter id=\"" + id + "-i\" filterUnits=\"userSpaceOnUse\" ");
      out.append(AppearanceSvg.EVERYWHERE + " color-interpolation-filters=\"sRGB\">");
      out.append("<feColorMatrix values=\"0 0 0 0 1 0 0 0 0 1 0 0 0 0 1 0 0 0 -1 1\"/></filter>\n");
    }
    out.append("<mask id=\"" + id + "\" maskUnits=\"userSpaceOnUse\" ");
    out.append(AppearanceSvg.EVERYWHERE + " style=\"mask-type:" + type + "\"><g" + filter + ">\n");
    out.append(measure).append("</g></mask>\n");
    return id;
  }

  private void drawn(Strand s, StringBuilder out) {
    Node.Drawn first = (Node.Drawn) s.nodes.get(0);
    boolean area = first.line() == null;
    List<String> animations = new ArrayList<>();
    double units = FINE * largest(s);
    StringBuilder declared = new StringBuilder(path(s, area, units, animations));
    String what = area ? "fill" : "stroke";
    boolean plain = first.paint().kind() == FramePaint.Kind.PLAIN;
    String paint =
        plain ? colour(s, what, animations) : what + ":url(#" + gradient(s, units, out) + ")";
    declared.append(';').append(paint);
    String alpha = number(s, what + "-opacity", n -> paint(n).alpha(), LOOK, animations);
    declared.append(alpha.isEmpty() ? "" : ";" + alpha);
    if (!area) {
      declared.append(";fill:none").append(line(s, first.line(), units, animations));
    }
    out.append("<path" + style(s, declared.toString(), animations) + "/>\n");
  }

  private static FramePaint paint(Node n) {
    return ((Node.Drawn) n).paint();
  }

  private String line(Strand s, LineStyle line, double units, List<String> animations) {
    String width =
        number(s, "stroke-width", n -> ((Node.Drawn) n).line().width() * units, 0.4, animations);
    StringBuilder out = new StringBuilder(width.isEmpty() ? "" : ";" + width);
    out.append(";stroke-linecap:" + CAPS[line.cap()] + ";stroke-linejoin:" + JOINS[line.join()]);
    out.append(";stroke-miterlimit:" + (int) LineStyle.MITER_LIMIT);
    if (line.dash().length > 0) {
      Track dashes = track(s, n -> scaled(((Node.Drawn) n).line().dash(), units), StrandSvg::most);
      String dash =
          animated(
              "dash " + line.dash().length,
              dashes,
              0.4,
              d -> "stroke-dasharray:" + list(d),
              animations);
      out.append(dash.isEmpty() ? "" : ";" + dash);
    }
    return out.toString();
  }

  private static double[] scaled(double[] n, double units) {
    return Arrays.stream(n).map(d -> d * units).toArray();
  }

  private static String list(double[] n) {
    StringBuilder out = new StringBuilder();
    for (double d : n) {
      out.append(out.length() > 0 ? "," : "").append(Decimal.text(d, 2));
    }
    return out.toString();
  }

  /** The data of a path and its map: a line is drawn in its own units. */
  private String path(Strand s, boolean area, double units, List<String> animations) {
    Track data = track(s, n -> numbers((Node.Drawn) n, area), LetterShapes::distance);
    Function<double[], String> words =
        d ->
            "d:path(\""
                + (area ? LetterShapes.data(d, units) : LetterShapes.openData(d, units))
                + "\")";
    String family = (area ? "area " : "line ") + units;
    String written = animated(family, data, NEAR * FINE / units, words, animations);
    Track maps = track(s, n -> matrix(((Node.Drawn) n).map()), StrandSvg::mapsApart);
    String map = animated("map " + units, maps, NEAR / 2, m -> transform(m, units), animations);
    return written + (written.isEmpty() || map.isEmpty() ? "" : ";") + map;
  }

  /** Px of the largest unit that its lines are ever drawn in. */
  private static double largest(Strand s) {
    double most = 1;
    for (Node n : s.nodes) {
      Affine m = ((Node.Drawn) n).map();
      most = Math.max(most, Math.max(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d())));
    }
    return Math.ceil(most);
  }

  private static double[] matrix(Affine m) {
    return new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()};
  }

  /** How far a point some way off the origin of a line's units is moved, px. */
  private static double mapsApart(double[] a, double[] b) {
    double most = Math.max(Math.abs(a[4] - b[4]), Math.abs(a[5] - b[5]));
    for (int i = 0; i < 4; i++) {
      most = Math.max(most, Math.abs(a[i] - b[i]) * 2);
    }
    return most;
  }

  private static String transform(double[] m, double units) {
    StringBuilder out = new StringBuilder("transform:matrix(");
    for (int i = 0; i < 6; i++) {
      out.append(i > 0 ? "," : "").append(Decimal.text(i < 4 ? m[i] / units : m[i], i < 4 ? 9 : 3));
    }
    return out.append(')').toString();
  }

  /** The steps of all that is painted as one. */
  private double[] numbers(Node.Drawn d, boolean area) {
    List<double[]> parts = new ArrayList<>();
    int size = 0;
    for (Node.Shape shape : d.shapes()) {
      double[] steps = shape.steps() == null ? outlines.get(shape.outline()) : shape.steps();
      double[] part = LetterShapes.steps(steps, shape.map(), !area);
      parts.add(part);
      size += part.length;
    }
    double[] out = new double[size];
    int at = 0;
    for (double[] p : parts) {
      System.arraycopy(p, 0, out, at, p.length);
      at += p.length;
    }
    return out;
  }

  private String colour(Strand s, String what, List<String> animations) {
    Track colours =
        track(
            s,
            n -> {
              int rgb = paint(n).rgb();
              return new double[] {rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255};
            },
            StrandSvg::most);
    Function<double[], String> words =
        c ->
            what
                + ":"
                + AnimatedSvg.colour(
                    (int) Math.round(c[0]) << 16
                        | (int) Math.round(c[1]) << 8
                        | (int) Math.round(c[2]));
    return animated(what, colours, 1.5, words, animations);
  }

  /** Writes a gradient whose ends go with the time. */
  private String gradient(Strand s, double units, StringBuilder out) {
    String id = name + "-g" + names++;
    FramePaint first = paint(s.nodes.get(0));
    boolean linear = first.kind() == FramePaint.Kind.LINEAR;
    SmilAttribute ends = new SmilAttribute(clock).fixed("id", id);
    ends.fixed("gradientUnits", "userSpaceOnUse");
    String[] names =
        linear ? new String[] {"x1", "y1", "x2", "y2"} : new String[] {"cx", "cy", "r"};
    for (int i = 0; i < names.length; i++) {
      int k = i;
      Track t =
          track(s, n -> new double[] {units * ends((Node.Drawn) n, linear)[k]}, StrandSvg::most);
      ends.track(names[i], t, NEAR * units, v -> Decimal.text(v[0], 1));
    }
    StringBuilder stops = new StringBuilder();
    for (int i = 0; i < first.offsets().length; i++) {
      int k = i;
      SmilAttribute stop = new SmilAttribute(clock);
      stop.track(
          "offset",
          track(s, n -> new double[] {paint(n).offsets()[k]}, StrandSvg::most),
          0.002,
          v -> Decimal.text(v[0], 4));
      stop.track(
          "stop-color",
          track(s, n -> new double[] {paint(n).colours()[k]}, (a, b) -> a[0] == b[0] ? 0 : 1),
          0.5,
          v -> AnimatedSvg.colour((int) v[0]));
      stop.track(
          "stop-opacity",
          track(s, n -> new double[] {paint(n).opacities()[k]}, StrandSvg::most),
          LOOK,
          v -> Decimal.text(v[0], 4));
      stops.append(stop.element("stop", ""));
    }
    out.append(ends.element(linear ? "linearGradient" : "radialGradient", stops.toString()));
    return id;
  }

  /**
   * Where a gradient begins and ends. A linear one goes at right angles to where it is of one
   * colour; a radial one is taken for round.
   */
  private static double[] ends(Node.Drawn d, boolean linear) {
    Projection p = d.paint().map();
    Affine there = p.isFlat() ? p.flat() : p.near(new Point(linear ? 0.5 : 0, 0));
    Affine m = d.map().inverse().times(there);
    if (!linear) {
      return new double[] {m.e(), m.f(), Math.sqrt(Math.abs(m.a() * m.d() - m.b() * m.c()))};
    }
    double square = m.c() * m.c() + m.d() * m.d();
    double across = square > 0 ? (m.a() * -m.d() + m.b() * m.c()) / square : 0;
    return new double[] {m.e(), m.f(), m.e() + across * -m.d(), m.f() + across * m.c()};
  }

  private String number(
      Strand s,
      String property,
      ToDoubleFunction<Node> value,
      double tolerance,
      List<String> animations) {
    Track t = track(s, n -> new double[] {value.applyAsDouble(n)}, StrandSvg::most);
    if (t.states()[0][0] == 1 && t.still(tolerance / 10)) {
      return "";
    }
    return animated(
        property, t, tolerance, v -> property + ":" + Decimal.text(v[0], 4), animations);
  }

  private static double most(double[] a, double[] b) {
    double most = 0;
    for (int i = 0; i < a.length; i++) {
      most = Math.max(most, Math.abs(a[i] - b[i]));
    }
    return most;
  }

  /** A declaration; of what moves it is empty, and its animation is added. */
  private String animated(
      String family,
      Track track,
      double tolerance,
      Function<double[], String> words,
      List<String> animations) {
    if (track.still(tolerance / 10)) {
      return words.apply(track.states()[0]);
    }
    animations.add(motions.animation("strand " + family, track, tolerance, words));
    return "";
  }

  private String style(Strand s, String declared, List<String> animations) {
    List<String> all = new ArrayList<>(animations);
    if (s.from > 0 || s.to() < times.length) {
      double[] shown = new double[times.length];
      Arrays.fill(shown, s.from, s.to(), 1);
      Track t = jumping(i -> new double[] {shown[i]}, StrandSvg::most);
      all.add(
          motions.animation(
              "seen", t, 0.5, v -> "visibility:" + (v[0] > 0.5 ? "visible" : "hidden")));
    }
    String moving = all.isEmpty() ? "" : "animation:" + String.join(",", all);
    String both = declared + (declared.isEmpty() || moving.isEmpty() ? "" : ";") + moving;
    return both.isEmpty() ? "" : " style='" + both + "'";
  }

  /** A value of a strand over all of the time; before it is there and after as when it is. */
  private Track track(Strand s, Function<Node, double[]> value, Track.Gap gap) {
    double[][] states = new double[s.nodes.size()][];
    for (int i = 0; i < states.length; i++) {
      states[i] = value.apply(s.nodes.get(i));
    }
    return jumping(i -> states[Math.min(Math.max(i - s.from, 0), states.length - 1)], gap);
  }

  private Track jumping(IntFunction<double[]> states, Track.Gap gap) {
    return SampledTrack.of(times, states, gap, clock.length());
  }
}
