package rovingglyph.scene;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A value that can move, with its name in the document, its unit and its allowed range. Channels of
 * one name are equal. Beside the named ones, of which there is one instance each, there is one per
 * axis of a variable font and per number of an effect, see {@link #axis} and {@link #effect}.
 */
public final class Channel {
  /** What the numbers of a channel mean. */
  public enum Kind {
    NUMBER,
    /** 0xRRGGBB. */
    COLOUR,
    /** The design units of a font's axis. */
    AXIS,
    /** A number of an effect. */
    EFFECT
  }

  private static final Map<String, Channel> ALL = new LinkedHashMap<>();
  private static final String AXIS = "axis-";
  private static final String EFFECT = "effect-";

  /** The axes that OpenType registers. */
  private static final Map<String, String> REGISTERED =
      Map.of(
          "wght",
          "Weight",
          "wdth",
          "Width",
          "opsz",
          "Optical size",
          "slnt",
          "Slant",
          "ital",
          "Italic");

  public static final Channel PATH_OFFSET = px("pathOffset", "Path offset", -1e6, 1e6);
  public static final Channel START_MARGIN = px("startMargin", "Start margin", -1e6, 1e6);
  public static final Channel END_MARGIN = px("endMargin", "End margin", -1e6, 1e6);
  public static final Channel BASELINE_SHIFT = px("baselineShift", "Baseline shift", -1e4, 1e4);
  public static final Channel LETTER_TURN = turn("letterTurn", "Added turn");
  public static final Channel FIXED_ANGLE = turn("fixedAngle", "Fixed angle");
  public static final Channel SIZE = px("size", "Size", 1, 4000);
  public static final Channel TRACKING = number("tracking", "Tracking", "em", -1, 10);
  public static final Channel WORD_SPACING = number("wordSpacing", "Word spacing", "em", -2, 20);
  public static final Channel OPACITY = number("opacity", "Opacity", "%", 0, 100);
  public static final Channel ROTATION = number("rotation", "Rotation", "\u00b0", -1e6, 1e6);
  public static final Channel FILL = add("fill", "Colour", "", 0, 0xFFFFFF, Kind.COLOUR);

  public static final Channel STROKE = add("stroke", "Line colour", "", 0, 0xFFFFFF, Kind.COLOUR);
  public static final Channel STROKE_WIDTH = px("strokeWidth", "Line width", 0, 1000);

  public static final Channel REVEAL_FROM = percent("revealFrom", "Reveal from", 0, 100);
  public static final Channel REVEAL_TO = percent("revealTo", "Reveal to", 0, 100);
  public static final Channel SWEEP_FROM = number("sweepFrom", "Sweep from", "\u00b0", 0, 360);
  public static final Channel SWEEP_TO = number("sweepTo", "Sweep to", "\u00b0", 0, 360);
  public static final Channel TRAIL_FROM = percent("trailFrom", "Trail from", -1000, 1000);
  public static final Channel TRAIL_TO = percent("trailTo", "Trail to", -1000, 1000);

  public static final Channel X = px("x", "Centre x", -1e6, 1e6);
  public static final Channel Y = px("y", "Centre y", -1e6, 1e6);
  public static final Channel SCALE = number("scale", "Scale", "", 0.001, 1000);
  public static final Channel FROM_X = percent("fromX", "Begins across", -1000, 1000);
  public static final Channel FROM_Y = percent("fromY", "Begins down", -1000, 1000);
  public static final Channel TO_X = percent("toX", "Ends across", -1000, 1000);
  public static final Channel TO_Y = percent("toY", "Ends down", -1000, 1000);
  public static final Channel SOFT_EDGE = px("softEdge", "Soft edge", 0, 1000);

  public static final Channel RIDE_OFFSET = px("rideOffset", "Path offset of the ride", -1e6, 1e6);
  public static final Channel RIDE_SHIFT = px("rideShift", "Off the ridden path", -1e5, 1e5);
  public static final Channel RIDE_GAP = px("rideGap", "Between copies", -1e5, 1e5);

  /** Of an item that is carried along a path. */
  public static final List<Channel> RIDE = List.of(RIDE_OFFSET, RIDE_SHIFT, RIDE_GAP);

  public static final Channel TILT = turn("tilt", "Tilt");
  public static final Channel SWING = turn("swing", "Swing");
  public static final Channel VIEWING_DISTANCE = px("viewingDistance", "Viewing distance", 10, 1e6);
  public static final Channel PLANE_X = px("planeX", "Centre of the plane x", -1e6, 1e6);
  public static final Channel PLANE_Y = px("planeY", "Centre of the plane y", -1e6, 1e6);
  public static final Channel LEAN = number("lean", "Lean", "\u00b0", -180, 180);
  public static final Channel BACK_COLOUR =
      add("backColour", "Colour of backs", "", 0, 0xFFFFFF, Kind.COLOUR);

  public static final Channel THICKNESS = px("thickness", "Thickness", 0, 4000);
  public static final Channel BEVEL = px("bevel", "Bevel", 0, 1000);
  public static final Channel SIDE_COLOUR =
      add("sideColour", "Colour of sides", "", 0, 0xFFFFFF, Kind.COLOUR);
  public static final Channel LIGHT_FROM = turn("lightFrom", "Light from");
  public static final Channel LIGHT_HEIGHT =
      number("lightHeight", "Light height", "\u00b0", -90, 90);
  public static final Channel AMBIENT = percent("ambient", "Ambient light", 0, 100);
  public static final Channel WARMTH = percent("warmth", "Light warmth", -100, 100);
  public static final Channel EDGE_LIGHT = percent("edgeLight", "Edge light", 0, 100);

  public static final Channel CORE_RADIUS = px("coreRadius", "Radius of the core", 0, 1e5);
  public static final Channel CORE_HEIGHT = px("coreHeight", "Height of the core", 0, 1e5);
  public static final Channel CORE_LIFT = px("coreLift", "Lift of the core", -1e5, 1e5);
  public static final Channel CORE_COLOUR =
      add("coreColour", "Colour of the core", "", 0, 0xFFFFFF, Kind.COLOUR);

  public static final Channel BAND_HEIGHT = px("bandHeight", "Height of the band", 0, 1e5);
  public static final Channel BAND_LIFT = px("bandLift", "Lift of the band", -1e5, 1e5);
  public static final Channel BAND_GAP = px("bandGap", "Band behind fronts", -1e4, 1e4);
  public static final Channel BAND_COLOUR =
      add("bandColour", "Colour of the band", "", 0, 0xFFFFFF, Kind.COLOUR);

  public static final Channel CUT_EDGE = px("cutEdge", "Soft edge of the cut", 0, 1000);
  public static final Channel GROW = px("grow", "Grow", -1000, 1000);

  public static final Channel TURN = turn("turn", "Turn");
  public static final Channel RADIUS = px("radius", "Radius", 1, 1e5);
  public static final Channel INNER_RADIUS = px("innerRadius", "Inner radius", 0, 1e5);
  public static final Channel START_ANGLE = turn("startAngle", "Start angle");
  public static final Channel SWEEP = number("sweep", "Sweep", "\u00b0", 0.1, 360);
  public static final Channel WIDTH = px("width", "Width", 1, 1e5);
  public static final Channel HEIGHT = px("height", "Height", 1, 1e5);
  public static final Channel CROP_LEFT = percent("cropLeft", "Crop left", 0, 100);
  public static final Channel CROP_TOP = percent("cropTop", "Crop top", 0, 100);
  public static final Channel CROP_RIGHT = percent("cropRight", "Crop right", 0, 100);
  public static final Channel CROP_BOTTOM = percent("cropBottom", "Crop bottom", 0, 100);
  public static final Channel TOP_LEFT = px("topLeft", "Top left", 0, 1e5);
  public static final Channel TOP_RIGHT = px("topRight", "Top right", 0, 1e5);
  public static final Channel BOTTOM_RIGHT = px("bottomRight", "Bottom right", 0, 1e5);
  public static final Channel BOTTOM_LEFT = px("bottomLeft", "Bottom left", 0, 1e5);
  public static final Channel COUNT = number("count", "Corners", "", 3, 200);
  public static final Channel ROUNDING = px("rounding", "Rounding", 0, 1e5);
  public static final Channel START = number("start", "Starts at", "%", -36000, 36000);
  public static final Channel LENGTH = px("length", "Length", 1, 1e5);
  public static final Channel AMPLITUDE = px("amplitude", "Wave height", -1e4, 1e4);
  public static final Channel CYCLES = number("cycles", "Waves", "", 0.01, 200);
  public static final Channel PHASE = number("phase", "Phase", "\u00b0", -1e6, 1e6);
  public static final Channel GRAIN = px("grain", "Hill length", 4, 1e5);
  public static final Channel FLOW = px("flow", "Flow", -1e6, 1e6);
  public static final Channel SEED = number("seed", "Seed", "", 0, 1e6);
  public static final Channel TURNS = number("turns", "Turns", "", 0.05, 100);
  public static final Channel RUN_IN = px("runIn", "Run-in", 0, 1e5);
  public static final Channel RUN_OUT = px("runOut", "Run-out", 0, 1e5);

  private final String field;
  private final String label;
  private final String unit;
  private final double min;
  private final double max;
  private final Kind kind;
  private final int index;

  private Channel(
      String field, String label, String unit, double min, double max, Kind kind, int index) {
    this.index = index;
    this.field = field;
    this.label = label;
    this.unit = unit;
    this.min = min;
    this.max = max;
    this.kind = kind;
  }

  private static Channel add(
      String field, String label, String unit, double min, double max, Kind kind) {
    Channel c = new Channel(field, label, unit, min, max, kind, ALL.size());
    ALL.put(field, c);
    return c;
  }

  private static Channel number(String field, String label, String unit, double min, double max) {
    return add(field, label, unit, min, max, Kind.NUMBER);
  }

  private static Channel px(String field, String label, double min, double max) {
    return number(field, label, "px", min, max);
  }

  private static Channel percent(String field, String label, double min, double max) {
    return number(field, label, "%", min, max);
  }

  private static Channel turn(String field, String label) {
    return number(field, label, "\u00b0", -36000, 36000);
  }

  /** The channel of a variable font's axis, by its OpenType tag of four characters. */
  public static Channel axis(String tag) {
    String label = REGISTERED.getOrDefault(tag, tag);
    return new Channel(AXIS + tag, label, "", -32768, 32767, Kind.AXIS, -1);
  }

  /** The channel of a number or colour of an item's effect. */
  public static Channel effect(String id, Effect.Parameter p) {
    return new Channel(
        EFFECT + id + "-" + p.name(), p.label(), p.unit(), p.min(), p.max(), p.kind(), -1);
  }

  /** The channel of that field name; null if no effect has such a number. */
  private static Channel effect(String field) {
    int at = field.lastIndexOf('-');
    Effect.Parameter p = Effect.parameter(field.substring(at + 1));
    return p == null || at <= EFFECT.length()
        ? null
        : effect(field.substring(EFFECT.length(), at), p);
  }

  /** The tag of an axis channel. */
  public String tag() {
    return field.substring(AXIS.length());
  }

  /** Its name in documents and edits. */
  public String field() {
    return field;
  }

  /** What it is called in the interface. */
  public String label() {
    return label;
  }

  /** The unit of its numbers; empty where they have none. */
  public String unit() {
    return unit;
  }

  /** The least value that is allowed, in its unit. */
  public double min() {
    return min;
  }

  /** The greatest value that is allowed, in its unit. */
  public double max() {
    return max;
  }

  /** What its numbers mean. */
  public Kind kind() {
    return kind;
  }

  /** Whether it is of what items of any kind may have: an effect, the clip, the ride, the plane. */
  public boolean isOfAppearance() {
    return field.startsWith(EFFECT)
        || this == SOFT_EDGE
        || RIDE.contains(this)
        || Plane.CHANNELS.contains(this)
        || Body.CHANNELS.contains(this)
        || Core.CHANNELS.contains(this)
        || Band.CHANNELS.contains(this);
  }

  /** Whether it tells how far along a path something is: it may land, and count laps. */
  public boolean isAlongPath() {
    return this == PATH_OFFSET || this == RIDE_OFFSET;
  }

  /** Whether the letters of a lettering may have it one after the other. */
  public boolean mayLag() {
    return !isOfAppearance() || field.endsWith("-" + Effect.DRAWN.name());
  }

  /** The value brought into the allowed range. */
  public double clamp(double value) {
    return Math.min(Math.max(value, min), max);
  }

  /** Its place among the named ones, for tables of values; -1 for an axis or an effect. */
  public int index() {
    return index;
  }

  /** How many are known by name. */
  public static int count() {
    return ALL.size();
  }

  /** The channel with this field name; null if there is none. */
  public static Channel of(String field) {
    boolean axis = field.length() == AXIS.length() + 4 && field.startsWith(AXIS);
    if (axis) {
      return axis(field.substring(AXIS.length()));
    }
    return field.startsWith(EFFECT) ? effect(field) : ALL.get(field);
  }

  @Override
  public boolean equals(Object other) {
    return other == this || (other instanceof Channel c && c.field.equals(field));
  }

  @Override
  public int hashCode() {
    return field.hashCode();
  }

  @Override
  public String toString() {
    return field;
  }
}
