package rovingglyph.scene;

import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * A value over time: constant at its base, or through keyframes sorted by time, one per frame, or
 * following another lettering's; cruise and sway are added on top.
 *
 * @param base the value while there are no keyframes
 * @param cruise null for none
 * @param sway null for none
 * @param stagger delay from letter to letter; null for none
 * @param follow what stands in for the keyframes; null for none
 */
public record AnimatedValue(
    double base,
    List<Keyframe> keyframes,
    Cruise cruise,
    Sway sway,
    Stagger stagger,
    Follow follow,
    UnknownFields extras) {
  /** A value that does not move. */
  public AnimatedValue(double base) {
    this(base, List.of(), null, null, null, null, UnknownFields.NONE);
  }

  /** A value that goes through keyframes, at least one. */
  public static AnimatedValue through(List<Keyframe> keyframes) {
    return new AnimatedValue(keyframes.get(0).value()).with(keyframes);
  }

  /** The value with another base. */
  public AnimatedValue with(double newBase) {
    return new AnimatedValue(newBase, keyframes, cruise, sway, stagger, follow, extras);
  }

  /** The value with other keyframes, sorted by time. */
  public AnimatedValue with(List<Keyframe> keys) {
    return new AnimatedValue(base, List.copyOf(keys), cruise, sway, stagger, follow, extras);
  }

  /** The value with another cruise, or without one for null. */
  public AnimatedValue with(Cruise c) {
    return new AnimatedValue(base, keyframes, c, sway, stagger, follow, extras);
  }

  /** The value with another sway, or without one for null. */
  public AnimatedValue with(Sway s) {
    return new AnimatedValue(base, keyframes, cruise, s, stagger, follow, extras);
  }

  /** The value with another lag from letter to letter, or without one for null. */
  public AnimatedValue with(Stagger s) {
    return new AnimatedValue(base, keyframes, cruise, sway, s, follow, extras);
  }

  /** The value that follows another, or none for null. */
  public AnimatedValue with(Follow f) {
    return new AnimatedValue(base, keyframes, cruise, sway, stagger, f, extras);
  }

  /** Every value changed by one rule; landings stay landings. */
  public AnimatedValue mapped(DoubleUnaryOperator rule) {
    return with(rule.applyAsDouble(base))
        .with(keyframes.stream().map(k -> k.withValue(rule.applyAsDouble(k.value()))).toList());
  }

  /** Whether it goes through keyframes. */
  public boolean keyed() {
    return !keyframes.isEmpty();
  }

  /** Whether it changes over time in any way. */
  public boolean moves() {
    return keyed() || cruise != null || sway != null || follow != null;
  }

  /** Whether all of its motion is in its keyframes. */
  public boolean onlyKeyed() {
    return cruise == null && sway == null && follow == null && stagger == null;
  }
}
