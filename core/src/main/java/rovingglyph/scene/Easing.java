package rovingglyph.scene;

import java.util.List;

/**
 * The way from a keyframe to the next.
 *
 * @param x1 with y1, x2 and y2 the CSS cubic-bezier of the kinds that are one; both x in [0, 1]
 * @param numbers of the kinds that are none: of {@code SPRING} stiffness, damping and mass, of
 *     {@code BOUNCE} how often it bounces, of {@code STEPS} how many steps, of {@code LIST} output
 *     values at equal distances of the input
 */
public record Easing(Kind kind, double x1, double y1, double x2, double y2, List<Double> numbers) {
  /** The named curves are those of CSS Easing Functions Level 1: linear, ease-in, -out, -in-out. */
  public enum Kind {
    LINEAR("steady"),
    EASE_IN("gentle start"),
    EASE_OUT("gentle stop"),
    EASE_IN_OUT("gentle both"),
    OVERSHOOT("overshoot"),
    SPRING("spring"),
    BOUNCE("bounce"),
    HOLD("hold"),
    STEPS("steps"),
    LIST("list"),
    OWN("own curve");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    /** What it is called in the interface. */
    public String word() {
      return word;
    }
  }

  public static final Easing LINEAR = curve(Kind.LINEAR, 0, 0, 1, 1);
  public static final Easing EASE_IN = curve(Kind.EASE_IN, 0.42, 0, 1, 1);
  public static final Easing EASE_OUT = curve(Kind.EASE_OUT, 0, 0, 0.58, 1);
  public static final Easing EASE_IN_OUT = curve(Kind.EASE_IN_OUT, 0.42, 0, 0.58, 1);
  public static final Easing OVERSHOOT = curve(Kind.OVERSHOOT, 0.3, 0.9, 0.4, 1.35);
  public static final Easing HOLD = curve(Kind.HOLD, 0, 0, 1, 1);

  private static Easing curve(Kind kind, double x1, double y1, double x2, double y2) {
    return new Easing(kind, x1, y1, x2, y2, List.of());
  }

  /** An easing by its own curve, both x within 0 to 1. */
  public static Easing own(double x1, double y1, double x2, double y2) {
    return curve(Kind.OWN, x1, y1, x2, y2);
  }

  /** One of the kinds that are given by other numbers than a curve's. */
  public static Easing by(Kind kind, List<Double> numbers) {
    return new Easing(kind, 0, 0, 1, 1, List.copyOf(numbers));
  }

  /** Whether a CSS cubic-bezier says it, whole. */
  public boolean isCurve() {
    return numbers.isEmpty() && kind != Kind.HOLD;
  }

  /** The easing of a kind; {@code OWN} begins as the curve of gentle both. */
  public static Easing of(Kind kind) {
    return switch (kind) {
      case LINEAR -> LINEAR;
      case EASE_IN -> EASE_IN;
      case EASE_OUT -> EASE_OUT;
      case EASE_IN_OUT -> EASE_IN_OUT;
      case OVERSHOOT -> OVERSHOOT;
      case HOLD -> HOLD;
      case SPRING -> by(kind, List.of(120.0, 10.0, 1.0));
      case BOUNCE -> by(kind, List.of(3.0));
      case STEPS -> by(kind, List.of(5.0));
      case LIST -> by(kind, List.of(0.0, 1.0));
      case OWN -> own(EASE_IN_OUT.x1, EASE_IN_OUT.y1, EASE_IN_OUT.x2, EASE_IN_OUT.y2);
    };
  }
}
