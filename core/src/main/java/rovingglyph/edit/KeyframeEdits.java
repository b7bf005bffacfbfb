package rovingglyph.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rovingglyph.motion.SegmentSpeed;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Easing;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;

/** Edits of one movable value. Times are brought onto frames, values into the channel's range. */
public final class KeyframeEdits {
  /** The latest time of a keyframe, in seconds; later ones are brought back to it. */
  private static final double LATEST = 3600;

  private final Channel channel;
  private final FrameRate rate;

  /**
   * Edits of one value.
   *
   * @param channel whose range values are brought into
   * @param rate whose frames times are brought onto
   */
  public KeyframeEdits(Channel channel, FrameRate rate) {
    this.channel = channel;
    this.rate = rate;
  }

  /**
   * Sets the value at a time: a value that is still stays still, one that moves gets a keyframe
   * there, or a new value for the keyframe that stands there, which then is no landing any more.
   */
  public AnimatedValue set(AnimatedValue m, double time, double value) {
    double v = channel.clamp(value);
    return m.keyed() ? key(m, time, v) : m.with(v);
  }

  /** Adds a keyframe, or gives the one on that frame the value. */
  public AnimatedValue key(AnimatedValue m, double time, double value) {
    double v = channel.clamp(value);
    int at = indexAt(m, time);
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    if (at >= 0) {
      Keyframe k = keys.get(at);
      keys.set(at, new Keyframe(k.time(), v, null, k.cue(), k.easing(), k.extras()));
    } else {
      Easing easing =
          keys.isEmpty() ? Easing.LINEAR : keys.get(Timeline.segmentAt(keys, time)).easing();
      keys.add(new Keyframe(onFrame(time), v, null, easing));
    }
    return sorted(m, keys);
  }

  /** Adds a keyframe with the present value, or takes away the one on that frame. */
  public AnimatedValue toggle(AnimatedValue m, double time) {
    int at = indexAt(m, time);
    return at >= 0 ? remove(m, at) : key(m, time, Timeline.value(m, time));
  }

  /** Without its last keyframe a value is still, at that keyframe's value. */
  public AnimatedValue remove(AnimatedValue m, int index) {
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    Keyframe gone = keys.remove(index);
    double still = keys.isEmpty() ? gone.value() : m.base();
    return m.with(still).with(keys);
  }

  /**
   * Moves a keyframe in time and, if {@code value} is not null, in value, which ends its landing. A
   * frame that another keyframe holds is not taken: the time then stays as it was.
   */
  public AnimatedValue move(AnimatedValue m, int index, double time, Double value) {
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    Keyframe k = keys.get(index);
    int there = indexAt(m, time);
    double t = there >= 0 && there != index ? k.time() : onFrame(time);
    Keyframe moved = k.at(t, t == k.time() ? k.cue() : null);
    boolean torn = value != null;
    keys.set(index, torn ? moved.withValue(channel.clamp(value)).with((Landing) null) : moved);
    return sorted(m, keys);
  }

  /** All values moved by the same amount; landings become the values they had. */
  public AnimatedValue shift(AnimatedValue m, double by) {
    List<Keyframe> keys =
        m.keyframes().stream()
            .map(k -> k.withValue(channel.clamp(k.value() + by)).with((Landing) null))
            .toList();
    return m.with(channel.clamp(m.base() + by)).with(keys);
  }

  /** Gives a keyframe another easing towards the next one. */
  public AnimatedValue ease(AnimatedValue m, int index, Easing easing) {
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    Keyframe k = keys.get(index);
    keys.set(index, k.with(easing));
    return sorted(m, keys);
  }

  /**
   * Sets how fast the value leaves a keyframe, or arrives from it at the next one.
   *
   * @param perSecond in units of the channel
   */
  public AnimatedValue speed(AnimatedValue m, int index, boolean arriving, double perSecond) {
    List<Keyframe> keys = m.keyframes();
    SegmentSpeed s = index + 1 < keys.size() ? segment(m, index) : null;
    if (s == null || !s.settable()) {
      throw new IllegalArgumentException(
          "Only a curve between two values has a speed to set; choose another easing first");
    }
    return ease(m, index, arriving ? s.arrivingAt(perSecond) : s.leavingAt(perSecond));
  }

  private static SegmentSpeed segment(AnimatedValue m, int index) {
    return new SegmentSpeed(m.keyframes().get(index), m.keyframes().get(index + 1));
  }

  /** Makes a keyframe a landing; null makes it an ordinary one with the value it has. */
  public AnimatedValue land(AnimatedValue m, int index, Landing landing) {
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    Keyframe k = keys.get(index);
    keys.set(index, k.with(landing));
    return sorted(m, keys);
  }

  /** Index of the keyframe on the frame of a time; -1 if there is none. */
  public int indexAt(AnimatedValue m, double time) {
    long frame = rate.frameAt(clampTime(time));
    for (int i = 0; i < m.keyframes().size(); i++) {
      if (rate.frameAt(m.keyframes().get(i).time()) == frame) {
        return i;
      }
    }
    return -1;
  }

  double clamp(double value) {
    return channel.clamp(value);
  }

  double onFrame(double time) {
    return rate.timeOf(rate.frameAt(clampTime(time)));
  }

  private static double clampTime(double time) {
    return Math.min(Math.max(time, 0), LATEST - 1);
  }

  static AnimatedValue sorted(AnimatedValue m, List<Keyframe> keys) {
    keys.sort(Comparator.comparingDouble(Keyframe::time));
    return m.with(keys);
  }
}
