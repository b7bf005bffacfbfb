package rovingglyph.scene;

/**
 * A value held at a time.
 *
 * @param time in seconds from the start of the scene
 * @param value in the channel's unit; of a landing, the value it last had
 * @param landing the goal that gives the value, or null
 * @param easing of the way to the next keyframe
 */
public record Keyframe(double time, double value, Landing landing, Easing easing, Extras extras) {
  public Keyframe(double time, double value, Landing landing, Easing easing) {
    this(time, value, landing, easing, Extras.NONE);
  }

  public Keyframe withValue(double v) {
    return new Keyframe(time, v, landing, easing, extras);
  }
}
