package rovingglyph.scene;

/**
 * The values that can move, with the name in the document, the unit and the allowed range: first
 * those of letterings and pictures, then those of paths.
 */
public enum Channel {
  PATH_OFFSET("pathOffset", "Path offset", "px", -1e6, 1e6),
  START_MARGIN("startMargin", "Start margin", "px", -1e6, 1e6),
  END_MARGIN("endMargin", "End margin", "px", -1e6, 1e6),
  BASELINE_SHIFT("baselineShift", "Baseline shift", "px", -1e4, 1e4),
  SIZE("size", "Size", "px", 1, 4000),
  OPACITY("opacity", "Opacity", "%", 0, 100),
  ROTATION("rotation", "Rotation", "\u00b0", -1e6, 1e6),

  X("x", "Centre x", "px", -1e6, 1e6),
  Y("y", "Centre y", "px", -1e6, 1e6),
  TURN("turn", "Turn", "\u00b0", -36000, 36000),
  RADIUS("radius", "Radius", "px", 1, 1e5),
  INNER_RADIUS("innerRadius", "Inner radius", "px", 0, 1e5),
  START_ANGLE("startAngle", "Start angle", "\u00b0", -36000, 36000),
  SWEEP("sweep", "Sweep", "\u00b0", 0.1, 360),
  WIDTH("width", "Width", "px", 1, 1e5),
  HEIGHT("height", "Height", "px", 1, 1e5),
  TOP_LEFT("topLeft", "Top left", "px", 0, 1e5),
  TOP_RIGHT("topRight", "Top right", "px", 0, 1e5),
  BOTTOM_RIGHT("bottomRight", "Bottom right", "px", 0, 1e5),
  BOTTOM_LEFT("bottomLeft", "Bottom left", "px", 0, 1e5),
  COUNT("count", "Corners", "", 3, 200),
  ROUNDING("rounding", "Rounding", "px", 0, 1e5),
  START("start", "Starts at", "%", -36000, 36000),
  LENGTH("length", "Length", "px", 1, 1e5),
  AMPLITUDE("amplitude", "Wave height", "px", -1e4, 1e4),
  CYCLES("cycles", "Waves", "", 0.01, 200),
  PHASE("phase", "Phase", "\u00b0", -1e6, 1e6),
  GRAIN("grain", "Hill length", "px", 4, 1e5),
  FLOW("flow", "Flow", "px", -1e6, 1e6),
  SEED("seed", "Seed", "", 0, 1e6),
  TURNS("turns", "Turns", "", 0.05, 100),
  RUN_IN("runIn", "Run-in", "px", 0, 1e5),
  RUN_OUT("runOut", "Run-out", "px", 0, 1e5);

  private final String field;
  private final String label;
  private final String unit;
  private final double least;
  private final double greatest;

  Channel(String field, String label, String unit, double least, double greatest) {
    this.field = field;
    this.label = label;
    this.unit = unit;
    this.least = least;
    this.greatest = greatest;
  }

  public String field() {
    return field;
  }

  public String label() {
    return label;
  }

  public String unit() {
    return unit;
  }

  public double least() {
    return least;
  }

  public double greatest() {
    return greatest;
  }

  public double clamp(double value) {
    return Math.min(Math.max(value, least), greatest);
  }

  /** The channel with this field name; null if there is none. */
  public static Channel of(String field) {
    for (Channel c : values()) {
      if (c.field.equals(field)) {
        return c;
      }
    }
    return null;
  }
}
