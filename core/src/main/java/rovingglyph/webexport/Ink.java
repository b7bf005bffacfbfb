package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import rovingglyph.frame.Appearance;
import rovingglyph.frame.Outlines;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.Item;
import rovingglyph.schema.Spelling;

/**
 * What shapes are written in: as they are, as the line of an outline along their edges, or as an
 * area that a mask leaves out.
 */
final class Ink {
  /** Shapes as they are. */
  static final Ink PLAIN = new Ink(null, null, "", null, null);

  /** Of lengths, px. */
  private static final double TOLERANCE = 0.05;

  /** So many times closer are the lengths of dashes, as many of which are in a row. */
  private static final double DASHES = 100;

  /** Of the share of a line that is drawn. */
  private static final double SHARE = 0.0005;

  /** In shares of the longest contour: no contour goes on behind such a gap. */
  private static final String REST = " 9";

  private final Item item;
  private final Effect effect;
  private final String name;
  private final SvgClock clock;
  private final SharedMotions motions;
  private int written;

  /** Makes the element of a shape. */
  interface Shape {
    /**
     * @param attributes more of them, each after a space
     * @param style more of it
     */
    String element(String attributes, String style);
  }

  /**
   * The line of an outline.
   *
   * @param name of its own, for what it names
   */
  Ink(Item item, Effect effect, String name, SvgClock clock, SharedMotions motions) {
    this.item = item;
    this.effect = effect;
    this.name = name;
    this.clock = clock;
    this.motions = motions;
  }

  /** The areas of shapes. */
  static Ink area() {
    return new Ink(null, null, "", null, null);
  }

  /** A name of its own. */
  String name() {
    return name;
  }

  /** Whether shapes are written as they are. */
  boolean isPlain() {
    return this == PLAIN;
  }

  /** Whether shapes are written as lines. */
  boolean isLine() {
    return effect != null;
  }

  /** Whether the line is of two colours, of which there is one in a shape alone. */
  boolean isGraded() {
    return isLine() && effect.isGradedLine();
  }

  /**
   * What is written in this ink, in its colours: lines of two colours are where a mask lets them be
   * seen.
   *
   * @param lines as they stand in the pixels round the item
   * @param which tells one of several of them
   */
  String coloured(String lines, String which) {
    if (!isGraded()) {
      return lines;
    }
    String mask = name + "-m" + which;
    return "<mask id=\""
        + mask
        + "\" maskUnits=\"userSpaceOnUse\" "
        + AppearanceSvg.EVERYWHERE
        + ">"
        + lines
        + "</mask><rect "
        + AppearanceSvg.EVERYWHERE
        + " fill=\"url(#"
        + name
        + "-g)\" stroke=\"none\" mask=\"url(#"
        + mask
        + ")\"/>\n";
  }

  /**
   * The gradient that its lines have, if they do.
   *
   * @param frame that it goes across
   */
  String gradient(Rect frame) {
    if (!isGraded()) {
      return "";
    }
    boolean linear = effect.choice(Effect.LINE_FILLING) == Gradient.Kind.LINEAR;
    String stops = stop("near", 0, Effect.COLOUR) + stop("far", 1, Effect.FAR_COLOUR);
    return GradientSvg.of(clock, linear, t -> Outlines.ends(item, effect, t, frame))
        .write(name + "-g", stops);
  }

  private String stop(String family, int offset, Effect.Parameter colour) {
    List<String> declared = new ArrayList<>();
    List<String> animations = new ArrayList<>();
    add(
        family,
        t -> rgb(Appearance.colour(item, effect, colour, t)),
        1,
        s -> "stop-color:" + AnimatedSvg.colour(packed(s)),
        declared,
        animations);
    return "<stop offset=\"" + offset + "\"" + style(declared, animations) + "/>";
  }

  /** Whether the line lies outside, beneath the item. */
  boolean isBeneath() {
    return side() == Effect.LineSide.OUTSIDE;
  }

  private Effect.LineSide side() {
    return effect.choice(Effect.LINE_SIDE);
  }

  /** The numbers that lines on shapes of other units go by, to be declared once. */
  static String properties() {
    StringBuilder out = new StringBuilder();
    for (String p : List.of("--line", "--dash", "--gap")) {
      out.append("@property " + p + "{syntax:\"<number>\";inherits:true;initial-value:0}\n");
    }
    return out.toString();
  }

  /** Attributes of a group whose shapes are in this ink; empty where they have colours. */
  String attributes() {
    if (isPlain()) {
      return "";
    }
    if (!isLine()) {
      return " fill=\"#000\" stroke=\"none\"";
    }
    Effect.LineJoin join = effect.choice(Effect.LINE_JOIN);
    String cap = join == Effect.LineJoin.ROUND ? "round" : "butt";
    List<String> declared = new ArrayList<>();
    List<String> animations = new ArrayList<>();
    Channel colour = channel(Effect.COLOUR);
    boolean moves = item.movable(colour).moves() && !isGraded();
    if (moves) {
      add(
          "colour",
          t -> rgb(Appearance.colour(item, effect, t)),
          1,
          s -> "stroke:" + AnimatedSvg.colour(packed(s)),
          declared,
          animations);
    }
    String still = isGraded() ? "#fff" : AnimatedSvg.colour(Appearance.colour(item, effect, 0));
    String stroke = moves ? "" : still;
    add(
        "opacity",
        t -> new double[] {value(Effect.OPACITY, t) / 100},
        0.002,
        s -> "opacity:" + Decimal.text(s[0], 4),
        declared,
        animations);
    return " fill=\"none\""
        + (stroke.isEmpty() ? "" : " stroke=\"" + stroke + "\"")
        + " stroke-linejoin=\""
        + Spelling.of(join)
        + "\" stroke-linecap=\""
        + cap
        + "\""
        + style(declared, animations);
  }

  /**
   * The style of a group whose shapes are of one unit; as an attribute.
   *
   * @param unit px of one of theirs at a time, by which the line is brought down
   */
  String measured(DoubleUnaryOperator unit) {
    if (!isLine()) {
      return "";
    }
    double times = side() == Effect.LineSide.CENTRED ? 1 : 2;
    double largest = 0;
    for (int f = 0; f < clock.frames(); f++) {
      largest = Math.max(largest, unit.applyAsDouble(clock.frame(f)));
    }
    List<String> declared = new ArrayList<>();
    List<String> animations = new ArrayList<>();
    add(
        "measure",
        t -> {
          double k = Math.max(unit.applyAsDouble(t), 1e-6);
          return new double[] {
            value(Effect.LINE_WIDTH, t) * times / k,
            value(Effect.DASH, t) / k * DASHES,
            value(Effect.GAP, t) / k * DASHES
          };
        },
        TOLERANCE / Math.max(largest, 1e-6),
        s ->
            "--line:"
                + text(s[0])
                + (isDashed()
                    ? ";--dash:" + text(s[1] / DASHES) + ";--gap:" + text(s[2] / DASHES)
                    : ""),
        declared,
        animations);
    declared.add("stroke-width:calc(var(--line)*1px)");
    if (isDashed() && !isDrawn()) {
      declared.add(dashes(1));
    }
    if (isDrawn() && !hasLetters()) {
      drawn(this::share, declared, animations);
    }
    return style(declared, animations);
  }

  private static String text(double v) {
    return Decimal.text(v, 7);
  }

  private static String dashes(double units) {
    String k = "*" + Decimal.text(units, 3) + "px)";
    return "stroke-dasharray:calc(var(--dash)" + k + " calc(var(--gap)" + k;
  }

  /** Whether not all of the line is there at all times. */
  boolean isDrawn() {
    return isLine()
        && (item.movable(channel(Effect.DRAWN)).moves()
            || item.movable(channel(Effect.DRAWN)).base() < 100);
  }

  private boolean isDashed() {
    return item.movable(channel(Effect.GAP)).moves()
        || item.movable(channel(Effect.GAP)).base() > 0;
  }

  /** Whether each letter has its own share of the line. */
  boolean hasLetters() {
    return isDrawn() && item.movable(channel(Effect.DRAWN)).stagger() != null;
  }

  /** The number of the item that tells how much of the line is there. */
  Channel drawn() {
    return channel(Effect.DRAWN);
  }

  private double share(double time) {
    return value(Effect.DRAWN, time) / 100;
  }

  /** Adds how much of a line is there, by dashes in shares of the longest contour. */
  void drawn(DoubleUnaryOperator share, List<String> declared, List<String> animations) {
    add(
        "drawn",
        t -> {
          double s = share.applyAsDouble(t);
          return s >= 1 ? new double[0] : s <= 0 ? new double[2] : new double[] {s};
        },
        SHARE,
        s ->
            s.length == 0
                ? "stroke-dasharray:none;stroke-opacity:1"
                : s.length == 2
                    ? "stroke-dasharray:0" + REST + ";stroke-opacity:0"
                    : "stroke-dasharray:" + Decimal.text(s[0], 5) + REST + ";stroke-opacity:1",
        declared,
        animations);
  }

  /**
   * Writes a shape.
   *
   * @param place its own transform as an attribute after a space, or nothing
   * @param units of the shape for one of its group
   * @param ratio of the length of all its contours to that of the longest
   */
  String shape(String place, double units, double ratio, Shape shape) {
    if (!isLine()) {
      return shape.element(place, "");
    }
    StringBuilder out = new StringBuilder();
    boolean other = Math.abs(units - 1) > 1e-9;
    List<String> style = new ArrayList<>();
    if (other) {
      style.add("stroke-width:calc(var(--line)*" + Decimal.text(units, 3) + "px)");
    }
    String attributes = place;
    String length = isDrawn() ? " pathLength=\"" + Decimal.text(ratio, 5) + "\"" : "";
    if (side() == Effect.LineSide.INSIDE) {
      String id = name + "-c" + written++;
      out.append("<clipPath id=\"" + id + "\">" + shape.element("", "").strip() + "</clipPath>");
      attributes += " clip-path=\"url(#" + id + ")\"";
    }
    if (isDrawn() && isDashed()) {
      // What is drawn so far is a mask for the dashes.
      String id = name + "-d" + written++;
      out.append("<mask id=\"" + id + "\" maskUnits=\"userSpaceOnUse\" ");
      out.append(AppearanceSvg.EVERYWHERE + ">");
      String white = String.join(";", style);
      out.append(shape.element(length + " stroke=\"#fff\"", white).strip()).append("</mask>");
      attributes += " mask=\"url(#" + id + ")\"";
      length = "";
      style.add("stroke-opacity:1");
    }
    if (isDashed() && (other || isDrawn())) {
      style.add(dashes(units));
    }
    return out.append(shape.element(attributes + length, String.join(";", style))).toString();
  }

  private interface Source {
    double[] at(double time);
  }

  private interface Declare {
    String of(double[] state);
  }

  private void add(
      String family,
      Source source,
      double tolerance,
      Declare declare,
      List<String> declared,
      List<String> animations) {
    Track track = clock.samples(source::at, Ink::apart, tolerance);
    if (track.still(tolerance / 100)) {
      declared.add(declare.of(track.states()[0]));
    } else {
      animations.add(motions.animation(name + family, track, tolerance, declare::of));
    }
  }

  private static double apart(double[] a, double[] b) {
    double most = a.length == b.length ? 0 : Double.POSITIVE_INFINITY;
    for (int i = 0; i < Math.min(a.length, b.length); i++) {
      most = Math.max(most, Math.abs(a[i] - b[i]));
    }
    return most;
  }

  /** As an attribute after a space; nothing where there is nothing to say. */
  static String style(List<String> declared, List<String> animations) {
    List<String> all = new ArrayList<>(declared);
    if (!animations.isEmpty()) {
      all.add("animation:" + String.join(",", animations));
    }
    return style(String.join(";", all));
  }

  /** The same of what is said already. */
  static String style(String declarations) {
    return declarations.isEmpty() ? "" : " style=\"" + declarations + "\"";
  }

  private static double[] rgb(int c) {
    return new double[] {c >> 16 & 255, c >> 8 & 255, c & 255};
  }

  private static int packed(double[] s) {
    return (int) Math.round(s[0]) << 16 | (int) Math.round(s[1]) << 8 | (int) Math.round(s[2]);
  }

  private Channel channel(Effect.Parameter p) {
    return Channel.effect(effect.id(), p);
  }

  private double value(Effect.Parameter p, double time) {
    return Appearance.value(item, effect, p, time);
  }
}
