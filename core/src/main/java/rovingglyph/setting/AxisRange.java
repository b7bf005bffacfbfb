package rovingglyph.setting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Profile;

/** The values between which the axes of a lettering go, and where they are sampled. */
public final class AxisRange {
  /** Samples over a range. */
  private static final int SAMPLES = 9;

  private AxisRange() {}

  /** The values to sample by tag of each axis that is not the same for all letters at all times. */
  public static Map<String, double[]> of(Lettering l) {
    Map<String, double[]> out = new LinkedHashMap<>();
    l.axes().forEach((tag, m) -> put(out, tag, range(m)));
    for (Profile p : l.setting().profiles()) {
      if (p.of() == Profile.Of.AXIS) {
        AnimatedValue own = l.movable(Channel.axis(p.axis()));
        double[] range = own == null ? null : range(own);
        for (var point : p.points()) {
          range = including(range, point.y());
        }
        put(out, p.axis(), range);
      }
    }
    return out;
  }

  private static void put(Map<String, double[]> out, String tag, double[] range) {
    if (range == null || range[1] - range[0] < 1e-9) {
      return;
    }
    double[] values = new double[SAMPLES];
    for (int i = 0; i < SAMPLES; i++) {
      values[i] = range[0] + (range[1] - range[0]) * i / (SAMPLES - 1);
    }
    out.put(tag, values);
  }

  private static double[] including(double[] range, double v) {
    return range == null
        ? new double[] {v, v}
        : new double[] {Math.min(range[0], v), Math.max(range[1], v)};
  }

  /** What a value can come to; easings that overshoot are given a third more at either end. */
  private static double[] range(AnimatedValue m) {
    List<Double> seen = new ArrayList<>();
    if (m.keyed()) {
      m.keyframes().stream().map(Keyframe::value).forEach(seen::add);
    } else {
      seen.add(m.base());
    }
    double least = seen.stream().mapToDouble(d -> d).min().orElse(0);
    double greatest = seen.stream().mapToDouble(d -> d).max().orElse(0);
    if (m.keyframes().stream().anyMatch(k -> k.easing().y1() < 0 || k.easing().y2() > 1)) {
      double more = (greatest - least) / 3;
      least -= more;
      greatest += more;
    }
    double sway = m.sway() == null ? 0 : Math.abs(m.sway().amplitude());
    return new double[] {least - sway, greatest + sway};
  }
}
