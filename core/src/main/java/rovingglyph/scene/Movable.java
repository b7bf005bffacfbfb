package rovingglyph.scene;

import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * A value over time: still, or through keyframes sorted by time, one per frame, or following
 * another lettering's; cruise and sway are added on top.
 *
 * @param still the value while there are no keyframes
 * @param cruise null for none
 * @param sway null for none
 * @param stagger delay from letter to letter; null for none
 * @param follow what stands in for the keyframes; null for none
 */
public record Movable(
    double still,
    List<Keyframe> keyframes,
    Cruise cruise,
    Sway sway,
    Stagger stagger,
    Follow follow,
    Extras extras) {
  public Movable(double still) {
    this(still, List.of(), null, null, null, null, Extras.NONE);
  }

  public static Movable through(List<Keyframe> keyframes) {
    return new Movable(keyframes.get(0).value()).with(keyframes);
  }

  public Movable with(double newStill) {
    return new Movable(newStill, keyframes, cruise, sway, stagger, follow, extras);
  }

  public Movable with(List<Keyframe> keys) {
    return new Movable(still, List.copyOf(keys), cruise, sway, stagger, follow, extras);
  }

  public Movable with(Cruise c) {
    return new Movable(still, keyframes, c, sway, stagger, follow, extras);
  }

  public Movable with(Sway s) {
    return new Movable(still, keyframes, cruise, s, stagger, follow, extras);
  }

  public Movable with(Stagger s) {
    return new Movable(still, keyframes, cruise, sway, s, follow, extras);
  }

  public Movable with(Follow f) {
    return new Movable(still, keyframes, cruise, sway, stagger, f, extras);
  }

  /** Every value changed by one rule; landings stay landings. */
  public Movable mapped(DoubleUnaryOperator rule) {
    return with(rule.applyAsDouble(still))
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
