package rovingglyph.scene;

/**
 * A value held at a time.
 *
 * @param time in seconds from the start of the scene
 * @param value in the channel's unit; of a landing, the value it last had
 * @param landing the goal that gives the value, or null
 * @param cue id of the cue that gives the time; null for none
 * @param easing of the way to the next keyframe
 */
public record Keyframe(
    double time, double value, Landing landing, String cue, Easing easing, UnknownFields extras) {
  /** A keyframe that follows no cue. */
  public Keyframe(double time, double value, Landing landing, Easing easing) {
    this(time, value, landing, null, easing, UnknownFields.NONE);
  }

  /** The keyframe with another value; a landing stays one. */
  public Keyframe withValue(double v) {
    return new Keyframe(time, v, landing, cue, easing, extras);
  }

  /** At another time, of its own unless a cue is named. */
  public Keyframe at(double newTime, String newCue) {
    return new Keyframe(newTime, value, landing, newCue, easing, extras);
  }

  /** The keyframe with another easing. */
  public Keyframe with(Easing e) {
    return new Keyframe(time, value, landing, cue, e, extras);
  }

  /** The keyframe with another goal; null for none. */
  public Keyframe with(Landing l) {
    return new Keyframe(time, value, l, cue, easing, extras);
  }
}
