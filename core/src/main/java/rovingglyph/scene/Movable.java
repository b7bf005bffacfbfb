package rovingglyph.scene;

import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** A number that is still, or goes through keyframes sorted by time, one per frame. */
public record Movable(double still, List<Keyframe> keyframes, Extras extras) {
  public Movable(double still) {
    this(still, List.of(), Extras.NONE);
  }

  public static Movable through(List<Keyframe> keyframes) {
    return new Movable(keyframes.get(0).value(), List.copyOf(keyframes), Extras.NONE);
  }

  /** Every value changed by one rule; landings stay landings. */
  public Movable mapped(DoubleUnaryOperator rule) {
    List<Keyframe> keys =
        keyframes.stream().map(k -> k.withValue(rule.applyAsDouble(k.value()))).toList();
    return new Movable(rule.applyAsDouble(still), keys, extras);
  }

  public boolean moves() {
    return !keyframes.isEmpty();
  }
}
