package rovingglyph.scene;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Something done to an item before it is put over what is beneath: to its picture, or in case of an
 * outline with it. Its numbers and colours are values of the item, see {@link Channel#effect}.
 *
 * @param id within its item
 * @param kind null for one that is not known here, which is kept and not painted
 * @param word of the kind in the document
 * @param off whether it is left out for now
 * @param choices of its options, one for each that its kind has
 */
public record Effect(
    String id,
    Kind kind,
    String word,
    boolean off,
    Map<Option<?>, Enum<?>> choices,
    UnknownFields extras) {

  /**
   * A number or colour of an effect: its name in the document, label, unit, range and start.
   *
   * @param about what it means, where that is not plain
   */
  public record Parameter(
      String name,
      String label,
      String unit,
      String about,
      double min,
      double max,
      double start,
      Channel.Kind kind) {

    private static Parameter number(
        String name, String label, String unit, String about, double... range) {
      return new Parameter(
          name, label, unit, about, range[0], range[1], range[2], Channel.Kind.EFFECT);
    }

    /** The same beginning with another value. */
    Parameter starting(double newStart) {
      return new Parameter(name, label, unit, about, min, max, newStart, kind);
    }
  }

  /**
   * Something to choose for an effect.
   *
   * @param name in the document
   * @param start what a document that leaves it out means
   */
  public record Option<E extends Enum<E>>(String name, String about, E start) {
    /** All that can be chosen. */
    public E[] values() {
      return start.getDeclaringClass().getEnumConstants();
    }
  }

  /**
   * A cast shadow's bands of different blur; more make the growth of the blur smoother, and cost as
   * much again each.
   */
  public static final int CAST_BANDS = 4;

  /** Where a glow lies. */
  public enum GlowSide {
    OUTER,
    INNER
  }

  /** Where an outline lies by the edge that it follows. */
  public enum LineSide {
    OUTSIDE,
    CENTRED,
    INSIDE
  }

  /** The corners of an outline; the ends of its dashes are round where these are, else butt. */
  public enum LineJoin {
    ROUND,
    MITER,
    BEVEL
  }

  public static final Parameter DEVIATION =
      Parameter.number("stdDeviation", "Blur", "px", "standard deviation", 0, 250, 8);
  public static final Parameter DX =
      Parameter.number("dx", "Across", "px", "to the right", -2000, 2000, 6);
  public static final Parameter DY =
      Parameter.number("dy", "Down", "px", "downwards", -2000, 2000, 10);
  public static final Parameter SPREAD =
      Parameter.number(
          "spread",
          "Spread",
          "px",
          "how far the shape is dilated first, as by SVG's feMorphology",
          0,
          100,
          0);
  public static final Parameter COLOUR =
      new Parameter("colour", "Colour", "", "", 0, 0xFFFFFF, 0, Channel.Kind.COLOUR);
  public static final Parameter OPACITY =
      Parameter.number("opacity", "Opacity", "%", "", 0, 100, 50);
  public static final Parameter STRENGTH =
      Parameter.number(
          "strength",
          "Strength",
          "%",
          "by how much its coverage is multiplied, up to full",
          0,
          1000,
          150);
  public static final Parameter GROUND_X =
      Parameter.number(
          "groundX",
          "Ground x",
          "px",
          "a point of the ground line, about which it slopes",
          -1e5,
          1e5,
          0);
  public static final Parameter GROUND_Y =
      Parameter.number("groundY", "Ground y", "px", "the same point", -1e5, 1e5, 0);
  public static final Parameter GROUND_ANGLE =
      Parameter.number(
          "groundAngle", "Slope", "\u00b0", "of the ground line, clockwise", -36000, 36000, 0);
  public static final Parameter DIRECTION =
      Parameter.number(
          "direction",
          "Direction",
          "\u00b0",
          "of the throw, clockwise from the ground line: at 90 it falls towards the viewer, at -90 away",
          -36000,
          36000,
          60);
  public static final Parameter THROW =
      Parameter.number("throw", "Throw", "%", "how long it is thrown for a height", 0, 1000, 70);
  public static final Parameter FAR_END =
      Parameter.number(
          "farEnd",
          "Far end",
          "px",
          "the height above the ground at which blur and fade are full",
          1,
          1e5,
          200);
  public static final Parameter FADE =
      Parameter.number("fade", "Fade", "%", "how much of it is gone there", 0, 100, 60);

  public static final Parameter LINE_WIDTH =
      Parameter.number("width", "Width", "px", "of what is seen of the line", 0, 500, 6);
  public static final Parameter FAR_COLOUR =
      new Parameter(
          "farColour",
          "To colour",
          "",
          "where its gradient ends",
          0,
          0xFFFFFF,
          0xC4472D,
          Channel.Kind.COLOUR);
  public static final Parameter FROM_X = end("fromX", "From x", "width", 0);
  public static final Parameter FROM_Y = end("fromY", "From y", "height", 50);
  public static final Parameter TO_X = end("toX", "To x", "width", 100);
  public static final Parameter TO_Y = end("toY", "To y", "height", 50);

  private static Parameter end(String name, String label, String of, double start) {
    String about = "an end of its gradient, of the " + of + " of the frame";
    return Parameter.number(name, label, "%", about, -1000, 1000, start);
  }

  public static final Parameter DRAWN =
      Parameter.number(
          "drawn",
          "Drawn",
          "%",
          "how much of the line is there: the longest contour of each glyph or shape takes all of"
              + " the way",
          0,
          100,
          100);
  public static final Parameter DASH =
      Parameter.number("dash", "Dash", "px", "length of a dash", 0, 2000, 12);
  public static final Parameter GAP =
      Parameter.number("gap", "Gap", "px", "between dashes; with 0 there are none", 0, 2000, 0);

  public static final Option<LineSide> LINE_SIDE =
      new Option<>("side", "where it lies by the edge of the shape", LineSide.OUTSIDE);
  public static final Option<LineJoin> LINE_JOIN =
      new Option<>(
          "join", "its corners, as in SVG, and the ends of dashes with them", LineJoin.ROUND);

  public static final Option<Gradient.Kind> LINE_FILLING =
      new Option<>(
          "filling",
          "of its colour, or from that to another: to a point, or round a middle to its rim",
          Gradient.Kind.PLAIN);

  public static final Option<GlowSide> GLOW_SIDE =
      new Option<>("side", "round the item, or from its edge inwards", GlowSide.OUTER);
  public static final Option<BlendMode> GLOW_BLEND =
      new Option<>(
          "blendMode",
          "how its colour meets what is beneath; of an inner glow that is the item itself",
          BlendMode.NORMAL);

  private static final List<Parameter> GRADED_ONLY =
      List.of(FAR_COLOUR, FROM_X, FROM_Y, TO_X, TO_Y);

  /** The kinds of effects; a new one is added at the end. */
  public enum Kind {
    /** The Gaussian blur of CSS Filter Effects. */
    BLUR(List.of(), DEVIATION),
    /** The drop shadow of CSS Filter Effects, with a spread. */
    DROP_SHADOW(List.of(), DX, DY, DEVIATION, SPREAD, COLOUR.starting(0x1F2B37), OPACITY),
    /** Light round the item, or from its edge inwards. */
    GLOW(
        List.of(GLOW_SIDE, GLOW_BLEND),
        DEVIATION.starting(12),
        STRENGTH,
        COLOUR.starting(0xFFD98A),
        OPACITY.starting(90)),
    /** The shape of the item thrown on a ground. */
    CAST_SHADOW(
        List.of(),
        GROUND_X,
        GROUND_Y,
        GROUND_ANGLE,
        DIRECTION,
        THROW,
        FAR_END,
        DEVIATION,
        FADE,
        COLOUR.starting(0x1F2B37),
        OPACITY),
    /** A line along the edges of the item's shapes. */
    OUTLINE(
        List.of(LINE_SIDE, LINE_JOIN, LINE_FILLING),
        LINE_WIDTH,
        COLOUR.starting(0xFFFFFF),
        FAR_COLOUR,
        FROM_X,
        FROM_Y,
        TO_X,
        TO_Y,
        OPACITY.starting(100),
        DRAWN,
        DASH,
        GAP);

    private final List<Option<?>> options;
    private final List<Parameter> parameters;

    Kind(List<Option<?>> options, Parameter... parameters) {
      this.options = options;
      this.parameters = List.of(parameters);
    }

    /** The numbers and colours that it has. */
    public List<Parameter> parameters() {
      return parameters;
    }

    /** What can be chosen for it. */
    public List<Option<?>> options() {
      return options;
    }
  }

  /** An effect as it is when it is added. */
  public static Effect of(String id, Kind kind, String word) {
    Map<Option<?>, Enum<?>> choices = new LinkedHashMap<>();
    kind.options().forEach(o -> choices.put(o, o.start()));
    return new Effect(id, kind, word, false, choices, UnknownFields.NONE);
  }

  /** The parameter of any kind with this name; null if there is none. */
  static Parameter parameter(String name) {
    for (Kind kind : Kind.values()) {
      for (Parameter p : kind.parameters) {
        if (p.name.equals(name)) {
          return p;
        }
      }
    }
    return null;
  }

  /** Whether it is a picture of its own beneath the item, blended with what is below that. */
  public boolean isBlendedGlow() {
    return !off
        && kind == Kind.GLOW
        && choice(GLOW_SIDE) == GlowSide.OUTER
        && choice(GLOW_BLEND) != BlendMode.NORMAL;
  }

  /** Whether it is an outline of two colours. */
  public boolean isGradedLine() {
    return kind == Kind.OUTLINE && choice(LINE_FILLING) != Gradient.Kind.PLAIN;
  }

  /** Whether a number or colour says anything as the effect is chosen to be. */
  public boolean uses(Parameter p) {
    return isGradedLine() || !GRADED_ONLY.contains(p);
  }

  /** How many times more an item is painted for it. */
  public int paintings() {
    boolean once = isBlendedGlow() || (kind == Kind.OUTLINE && !off);
    return kind == Kind.CAST_SHADOW && !off ? CAST_BANDS : once ? 1 : 0;
  }

  /** What is chosen of an option; its start where the effect has no such option. */
  public <E extends Enum<E>> E choice(Option<E> option) {
    Enum<?> chosen = choices.get(option);
    return chosen == null ? option.start() : option.start().getDeclaringClass().cast(chosen);
  }

  /** The effect with something else chosen. */
  public Effect with(Option<?> option, Enum<?> choice) {
    Map<Option<?>, Enum<?>> out = new LinkedHashMap<>(choices);
    out.put(option, choice);
    return new Effect(id, kind, word, off, out, extras);
  }

  /** The effect left out for now, or not. */
  public Effect switchedOff(boolean newOff) {
    return new Effect(id, kind, word, newOff, choices, extras);
  }
}
