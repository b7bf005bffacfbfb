package rovingglyph.motion;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Sway;
import rovingglyph.scene.UnknownFields;

/**
 * Sums and multiples of values that move, as values that move just so. Of values of items: those of
 * letters, which lag or follow, have none.
 */
public final class MovingSums {
  private static final double SAME_TIME = 1e-9;

  private MovingSums() {}

  /** So many times a value, and so much more. */
  public static AnimatedValue linear(AnimatedValue m, double times, double more) {
    AnimatedValue out = m.mapped(v -> v * times + more);
    Cruise c = m.cruise();
    Sway s = m.sway();
    if (c != null) {
      out = out.with(new Cruise(c.pace(), c.amount() * times, c.perSecond() * times, c.extras()));
    }
    return s == null ? out : out.with(s.times(times));
  }

  /**
   * The sum of two values; null where they move in ways that no one value does, as by keyframes at
   * other times.
   */
  public static AnimatedValue sum(AnimatedValue a, AnimatedValue b) {
    if (!b.moves()) {
      return linear(a, 1, b.base());
    }
    if (!a.moves()) {
      return linear(b, 1, a.base());
    }
    List<Keyframe> keys = keys(a, b);
    if (keys == null || (a.sway() != null && b.sway() != null)) {
      return null;
    }
    return new AnimatedValue(a.base() + b.base())
        .with(keys)
        .with(cruise(a.cruise(), b.cruise()))
        .with(a.sway() == null ? b.sway() : a.sway());
  }

  /** The product; null where both move. */
  public static AnimatedValue product(AnimatedValue a, AnimatedValue b) {
    if (!b.moves()) {
      return linear(a, b.base(), 0);
    }
    return a.moves() ? null : linear(b, a.base(), 0);
  }

  private static List<Keyframe> keys(AnimatedValue a, AnimatedValue b) {
    if (!a.keyed() || !b.keyed()) {
      AnimatedValue keyed = a.keyed() ? a : b;
      double more = a.keyed() ? b.base() : a.base();
      return keyed.keyframes().stream().map(k -> k.withValue(k.value() + more)).toList();
    }
    if (a.keyframes().size() != b.keyframes().size()) {
      return null;
    }
    List<Keyframe> out = new ArrayList<>();
    for (int i = 0; i < a.keyframes().size(); i++) {
      Keyframe k = a.keyframes().get(i);
      Keyframe other = b.keyframes().get(i);
      boolean last = i == a.keyframes().size() - 1;
      boolean alike =
          Math.abs(k.time() - other.time()) <= SAME_TIME
              && (last || k.easing().equals(other.easing()));
      if (!alike) {
        return null;
      }
      out.add(k.withValue(k.value() + other.value()));
    }
    return out;
  }

  private static Cruise cruise(Cruise a, Cruise b) {
    if (a == null || b == null) {
      return a == null ? b : a;
    }
    return Cruise.of(Cruise.Pace.PER_SECOND, a.amount() + b.amount(), UnknownFields.NONE);
  }
}
