package rovingglyph.motion;

import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;

/**
 * How fast a value leaves a keyframe and arrives at the next one, in its units per second: the
 * slope of the easing curve at its ends, which is that of its first and last handle (CSS Easing
 * Functions Level 1), times the mean speed.
 */
public final class SegmentSpeed {
  /** A shorter handle says no slope: the direction to the other one stands in. */
  private static final double SHORT = 1e-3;

  /** How long a handle is made that was too short, as a share of the time. */
  private static final double HANDLE = 1.0 / 3;

  /** How far a handle may lead away, in shares of the way. */
  private static final double FARTHEST = 10;

  private final Keyframe a;
  private final Keyframe b;

  /** The way from one keyframe to the next. */
  public SegmentSpeed(Keyframe a, Keyframe b) {
    this.a = a;
    this.b = b;
  }

  /** Whether there is a speed to set: another value after some time, and a curve to it. */
  public boolean settable() {
    return a.easing().isCurve() && a.value() != b.value() && b.time() > a.time();
  }

  private double mean() {
    return (b.value() - a.value()) / (b.time() - a.time());
  }

  /** How fast the value leaves the first keyframe, in its unit a second. */
  public double leaving() {
    return mean() * startSlope();
  }

  /** How fast the value arrives at the second keyframe, in its unit a second. */
  public double arriving() {
    return mean() * endSlope();
  }

  private double startSlope() {
    Easing e = a.easing();
    return e.x1() < SHORT ? e.y2() / Math.max(e.x2(), SHORT) : e.y1() / e.x1();
  }

  private double endSlope() {
    Easing e = a.easing();
    return e.x2() > 1 - SHORT
        ? (1 - e.y1()) / Math.max(1 - e.x1(), SHORT)
        : (1 - e.y2()) / (1 - e.x2());
  }

  /**
   * The easing with which the value leaves at a speed; how it arrives stays as it is. Speeds beyond
   * what an easing can hold come to its limit.
   */
  public Easing leavingAt(double perSecond) {
    return with(perSecond / mean(), endSlope());
  }

  /** The easing with which the value arrives at a speed; how it leaves stays as it is. */
  public Easing arrivingAt(double perSecond) {
    return with(startSlope(), perSecond / mean());
  }

  private Easing with(double startSlope, double endSlope) {
    Easing e = a.easing();
    double x1 = e.x1() < SHORT ? HANDLE : e.x1();
    double x2 = e.x2() > 1 - SHORT ? 1 - HANDLE : e.x2();
    return Easing.own(x1, within(startSlope * x1), x2, within(1 - endSlope * (1 - x2)));
  }

  private static double within(double y) {
    return Math.min(Math.max(y, -FARTHEST), FARTHEST);
  }
}
