package rovingglyph.webexport;

import java.util.List;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import rovingglyph.geometry.Decimal;
import rovingglyph.motion.CubicBezier;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;

/** Movables as CSS keyframes over one run of the scene. */
final class CssMotion {
  private final SvgClock clock;

  CssMotion(SvgClock clock) {
    this.clock = clock;
  }

  /**
   * The {@code @keyframes} rule.
   *
   * @param tolerance of straight lines where CSS has no word for the motion, in the value's unit
   * @param declare gives the declaration for a value
   */
  String keyframes(String name, AnimatedValue m, double tolerance, DoubleFunction<String> declare) {
    StringBuilder out = new StringBuilder("@keyframes ").append(name).append('{');
    double end = clock.length();
    if (!clock.isPlain() || !inCss(m)) {
      sampled(out, m, 0, tolerance, declare);
      stop(out, 1, declare.apply(Timeline.value(m, clock.local(end))), null);
      return out.append("}\n").toString();
    }
    List<Keyframe> keys = m.keyframes();
    if (keys.get(0).time() > 0) {
      stop(out, 0, declare.apply(keys.get(0).value()), null);
    }
    for (int i = 0; i < keys.size() && keys.get(i).time() < end; i++) {
      Keyframe a = keys.get(i);
      Keyframe b = i + 1 < keys.size() ? keys.get(i + 1) : null;
      Easing easing = a.easing();
      if (b != null && b.time() > end && easing.kind() != Easing.Kind.HOLD) {
        double part = (end - a.time()) / (b.time() - a.time());
        easing = easing.isCurve() ? CubicBezier.upTo(easing, part) : null;
      }
      if (easing == null) {
        sampled(out, m, a.time(), tolerance, declare);
      } else {
        stop(out, a.time() / end, declare.apply(a.value()), b == null ? null : easing);
      }
    }
    stop(out, 1, declare.apply(Timeline.value(m, end)), null);
    return out.append("}\n").toString();
  }

  /** Whether its motion is all in keyframes whose easings CSS knows. */
  private static boolean inCss(AnimatedValue m) {
    return m.keyed()
        && m.onlyKeyed()
        && m.keyframes().stream()
            .map(Keyframe::easing)
            .allMatch(
                e ->
                    e.numbers().isEmpty()
                        || e.kind() == Easing.Kind.STEPS
                        || e.kind() == Easing.Kind.LIST);
  }

  /** Straight lines to the end of the scene, for a part that has no easing function of its own. */
  private void sampled(
      StringBuilder out,
      AnimatedValue m,
      double from,
      double tolerance,
      DoubleFunction<String> declare) {
    double length = clock.length() - from;
    Track track =
        Samples.of(
            t -> new double[] {Timeline.value(m, clock.local(from + t))},
            (a, b) -> Math.abs(a[0] - b[0]),
            tolerance,
            length,
            clock.step());
    for (int i : track.stops(tolerance * 0.6)) {
      double share = (from + track.times()[i]) / clock.length();
      if (share < 1) {
        stop(out, share, declare.apply(track.states()[i][0]), Easing.LINEAR);
      }
    }
  }

  private static void stop(StringBuilder out, double share, String declaration, Easing easing) {
    out.append(Decimal.text(share * 100, 5)).append("%{").append(declaration);
    if (easing != null && easing.kind() != Easing.Kind.LINEAR) {
      out.append(";animation-timing-function:").append(timing(easing));
    }
    out.append('}');
  }

  private static String timing(Easing e) {
    if (e.kind() == Easing.Kind.HOLD) {
      return "step-end";
    }
    if (e.kind() == Easing.Kind.STEPS) {
      return "steps(" + e.numbers().get(0).intValue() + ")";
    }
    if (e.kind() == Easing.Kind.LIST) {
      return "linear("
          + e.numbers().stream().map(v -> Decimal.text(v, 6)).collect(Collectors.joining(","))
          + ")";
    }
    return "cubic-bezier("
        + Decimal.text(e.x1(), 6)
        + ","
        + Decimal.text(e.y1(), 6)
        + ","
        + Decimal.text(e.x2(), 6)
        + ","
        + Decimal.text(e.y2(), 6)
        + ")";
  }
}
