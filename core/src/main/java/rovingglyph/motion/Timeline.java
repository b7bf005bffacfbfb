package rovingglyph.motion;

import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Follow;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Typesetting;

/** The value of a movable at a time. */
public final class Timeline {
  private Timeline() {}

  /** Keyframes, or what is followed; cruise and sway on top. Any finite time is good. */
  public static double value(AnimatedValue m, double time) {
    double v = base(m, time);
    if (m.cruise() != null) {
      v += m.cruise().perSecond() * time;
    }
    return m.sway() == null ? v : v + m.sway().at(time);
  }

  private static double base(AnimatedValue m, double time) {
    Follow f = m.follow();
    return f != null && f.source() != null
        ? f.factor() * value(f.source(), time - f.delay()) + f.offset()
        : keyed(m, time);
  }

  /** Before the first and after the last keyframe the value holds. */
  public static double keyed(AnimatedValue m, double time) {
    List<Keyframe> keys = m.keyframes();
    if (keys.isEmpty()) {
      return m.base();
    }
    int i = segmentAt(keys, time);
    if (time <= keys.get(0).time() || i == keys.size() - 1) {
      return keys.get(i).value();
    }
    Keyframe a = keys.get(i);
    Keyframe b = keys.get(i + 1);
    return a.value() + (b.value() - a.value()) * Easings.progress(a.easing(), share(a, b, time));
  }

  private static double share(Keyframe a, Keyframe b, double time) {
    return (time - a.time()) / (b.time() - a.time());
  }

  /** A colour at a time, 0xRRGGBB, mixed between keyframes. */
  public static int colour(AnimatedValue m, double time, Typesetting.ColourMix mix) {
    AnimatedValue source =
        m.follow() != null && m.follow().source() != null ? m.follow().source() : m;
    double t = source == m ? time : time - m.follow().delay();
    List<Keyframe> keys = source.keyframes();
    if (keys.isEmpty()) {
      return (int) source.base();
    }
    int i = segmentAt(keys, t);
    if (t <= keys.get(0).time() || i == keys.size() - 1) {
      return (int) keys.get(i).value();
    }
    Keyframe a = keys.get(i);
    Keyframe b = keys.get(i + 1);
    double share = Easings.progress(a.easing(), share(a, b, t));
    return Colours.mix((int) a.value(), (int) b.value(), share, mix);
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
