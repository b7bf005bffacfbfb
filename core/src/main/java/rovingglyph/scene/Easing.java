package rovingglyph.scene;

/**
 * The way from a keyframe to the next, as a CSS cubic-bezier (x1, y1, x2, y2; both x in [0, 1]);
 * {@code HOLD} keeps the first value until the next keyframe.
 */
public record Easing(Kind kind, double x1, double y1, double x2, double y2) {
  /** The named ones are those of CSS Easing Functions Level 1: linear, ease-in, -out, -in-out. */
  public enum Kind {
    STEADY("steady"),
    GENTLE_START("gentle start"),
    GENTLE_STOP("gentle stop"),
    GENTLE_BOTH("gentle both"),
    HOLD("hold"),
    OWN("own curve");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  public static final Easing STEADY = new Easing(Kind.STEADY, 0, 0, 1, 1);
  public static final Easing GENTLE_START = new Easing(Kind.GENTLE_START, 0.42, 0, 1, 1);
  public static final Easing GENTLE_STOP = new Easing(Kind.GENTLE_STOP, 0, 0, 0.58, 1);
  public static final Easing GENTLE_BOTH = new Easing(Kind.GENTLE_BOTH, 0.42, 0, 0.58, 1);
  public static final Easing HOLD = new Easing(Kind.HOLD, 0, 0, 1, 1);

  public static Easing own(double x1, double y1, double x2, double y2) {
    return new Easing(Kind.OWN, x1, y1, x2, y2);
  }

  /** The easing of a kind; {@code OWN} begins as the curve of gentle both. */
  public static Easing of(Kind kind) {
    return switch (kind) {
      case STEADY -> STEADY;
      case GENTLE_START -> GENTLE_START;
      case GENTLE_STOP -> GENTLE_STOP;
      case GENTLE_BOTH -> GENTLE_BOTH;
      case HOLD -> HOLD;
      case OWN -> own(GENTLE_BOTH.x1, GENTLE_BOTH.y1, GENTLE_BOTH.x2, GENTLE_BOTH.y2);
    };
  }
}
