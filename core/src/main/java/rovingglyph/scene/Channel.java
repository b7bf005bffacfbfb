package rovingglyph.scene;

/** The values that can move, with the name in the document, the unit and the allowed range. */
public enum Channel {
  PATH_OFFSET("pathOffset", "Path offset", "px", -1e6, 1e6),
  START_MARGIN("startMargin", "Start margin", "px", -1e6, 1e6),
  END_MARGIN("endMargin", "End margin", "px", -1e6, 1e6),
  BASELINE_SHIFT("baselineShift", "Baseline shift", "px", -1e4, 1e4),
  SIZE("size", "Size", "px", 1, 4000),
  OPACITY("opacity", "Opacity", "%", 0, 100),
  ROTATION("rotation", "Rotation", "\u00b0", -1e6, 1e6);

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
