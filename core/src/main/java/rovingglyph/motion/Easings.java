package rovingglyph.motion;

import java.util.List;
import rovingglyph.scene.Easing;

/** Output progress of easings for input progress. */
public final class Easings {
  /** A spring is shown until its swing is down to this share. */
  private static final double SETTLED = 1e-3;

  private Easings() {}

  /** For input progress x; outside [0, 1] it is that of the nearer end. Always finite. */
  public static double progress(Easing e, double x) {
    if (x <= 0 && e.kind() != Easing.Kind.LIST) {
      return 0;
    }
    if (x >= 1 && e.kind() != Easing.Kind.LIST) {
      return 1;
    }
    return switch (e.kind()) {
      case LINEAR -> x;
      case HOLD -> 0;
      case STEPS -> Math.floor(x * e.numbers().get(0)) / e.numbers().get(0);
      case LIST -> list(e.numbers(), Math.min(Math.max(x, 0), 1));
      case SPRING -> spring(e.numbers(), x);
      case BOUNCE -> bounce(e.numbers().get(0).intValue(), x);
      default -> CubicBezier.ease(e, x);
    };
  }

  /** CSS Easing Functions Level 2, linear() with values at equal distances of the input. */
  private static double list(List<Double> values, double x) {
    double at = x * (values.size() - 1);
    int i = Math.min((int) at, values.size() - 2);
    return values.get(i) + (values.get(i + 1) - values.get(i)) * (at - i);
  }

  /**
   * A damped spring let go at 0 and drawn to 1, shown from the start to where it has settled; what
   * is left of its swing there is taken out evenly, so that it ends on 1. The closed form of the
   * damped harmonic oscillator.
   */
  private static double spring(List<Double> numbers, double x) {
    double stiffness = numbers.get(0);
    double mass = numbers.get(2);
    double frequency = Math.sqrt(stiffness / mass);
    double damping = numbers.get(1) / (2 * Math.sqrt(stiffness * mass));
    double slow = damping < 1 ? damping : damping - Math.sqrt(damping * damping - 1);
    double settled = -Math.log(SETTLED) / Math.max(slow, 1e-4);
    double end = released(damping, settled);
    double now = released(damping, settled * x);
    double p = 1 - now + end * x;
    // Extreme numbers leave nothing but the two ends.
    return Double.isNaN(p) || frequency <= 0 ? x : p;
  }

  /** What is left of a unit swing after {@code t} radians of the undamped spring. */
  private static double released(double damping, double t) {
    if (damping < 1) {
      double w = Math.sqrt(1 - damping * damping);
      return Math.exp(-damping * t) * (Math.cos(w * t) + damping / w * Math.sin(w * t));
    }
    if (damping < 1 + 1e-6) {
      return Math.exp(-t) * (1 + t);
    }
    double w = Math.sqrt(damping * damping - 1);
    double a = damping - w;
    double b = damping + w;
    return (b * Math.exp(-a * t) - a * Math.exp(-b * t)) / (b - a);
  }

  /** A ball that falls from 0 to 1 and bounces: every bounce is half as long, a quarter as high. */
  private static double bounce(int times, double x) {
    double whole = 1;
    for (int i = 1; i <= times; i++) {
      whole += 2 * Math.pow(0.5, i);
    }
    double t = x * whole;
    if (t <= 1) {
      return t * t;
    }
    t -= 1;
    for (int i = 1; i <= times; i++) {
      double half = Math.pow(0.5, i);
      if (t <= 2 * half) {
        double u = t - half;
        return 1 - (half * half - u * u);
      }
      t -= 2 * half;
    }
    return 1;
  }
}
