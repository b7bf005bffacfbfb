package rovingglyph.motion;

import java.util.List;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Movable;

/** The value of a movable at a time. */
public final class Timeline {
  private Timeline() {}

  /** Before the first and after the last keyframe the value holds. */
  public static double value(Movable m, double time) {
    List<Keyframe> keys = m.keyframes();
    if (keys.isEmpty()) {
      return m.still();
    }
    if (time <= keys.get(0).time()) {
      return keys.get(0).value();
    }
    int i = segmentAt(keys, time);
    if (i == keys.size() - 1) {
      return keys.get(i).value();
    }
    Keyframe a = keys.get(i);
    Keyframe b = keys.get(i + 1);
    double x = (time - a.time()) / (b.time() - a.time());
    return a.value() + (b.value() - a.value()) * progress(a.easing(), x);
  }

  /** Output progress of an easing for input progress x in [0, 1]. */
  public static double progress(Easing e, double x) {
    return switch (e.kind()) {
      case STEADY -> Math.min(Math.max(x, 0), 1);
      case HOLD -> x < 1 ? 0 : 1;
      default -> CubicBezier.ease(e, x);
    };
  }

  /** Index of the last keyframe at or before the time; 0 before the first. */
  public static int segmentAt(List<Keyframe> keys, double time) {
    int low = 0;
    int high = keys.size() - 1;
    while (low < high) {
      int mid = (low + high + 1) >>> 1;
      if (keys.get(mid).time() <= time) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    return low;
  }
}
