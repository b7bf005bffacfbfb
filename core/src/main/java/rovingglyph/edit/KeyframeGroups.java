package rovingglyph.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Easing;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Landing;

/**
 * Edits of several keyframes of one value at once. Where two would stand on one frame the edit is
 * refused with an {@link IllegalArgumentException}.
 */
final class KeyframeGroups {
  private final KeyframeEdits edits;

  KeyframeGroups(KeyframeEdits edits) {
    this.edits = edits;
  }

  private interface Rule {
    Keyframe apply(Keyframe k);
  }

  private AnimatedValue mapped(AnimatedValue m, Set<Integer> chosen, Rule rule) {
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    for (int i : chosen) {
      keys.set(i, rule.apply(keys.get(i)));
    }
    return distinct(KeyframeEdits.sorted(m, keys));
  }

  private AnimatedValue distinct(AnimatedValue m) {
    for (int i = 1; i < m.keyframes().size(); i++) {
      if (edits.indexAt(m, m.keyframes().get(i).time()) != i) {
        throw new IllegalArgumentException(
            "Two keyframes would stand on one frame; there is no room for them there");
      }
    }
    return m;
  }

  private Keyframe at(Keyframe k, double time) {
    return k.at(edits.onFrame(time), null);
  }

  /** Moved by seconds and by a value, which ends landings where it is not 0. */
  AnimatedValue move(AnimatedValue m, Set<Integer> chosen, double seconds, double value) {
    return mapped(
        m,
        chosen,
        k -> {
          Keyframe moved = seconds == 0 ? k : at(k, k.time() + seconds);
          return value == 0
              ? moved
              : moved.withValue(edits.clamp(k.value() + value)).with((Landing) null);
        });
  }

  /** Times stretched about one of them. */
  AnimatedValue stretch(AnimatedValue m, Set<Integer> chosen, double about, double factor) {
    if (!(factor > 0)) {
      throw new IllegalArgumentException("Times are stretched by more than 0");
    }
    return mapped(m, chosen, k -> at(k, about + (k.time() - about) * factor));
  }

  /** Played backwards within their own span. */
  AnimatedValue mirror(AnimatedValue m, Set<Integer> chosen) {
    List<Integer> order = new ArrayList<>(chosen);
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    double first = keys.get(order.get(0)).time();
    double last = keys.get(order.get(order.size() - 1)).time();
    for (int i = 0; i < order.size(); i++) {
      Keyframe from = m.keyframes().get(order.get(i));
      // The easing belongs to the way on from a keyframe: that was the way to it.
      Easing way =
          i > 0
              ? reversed(m.keyframes().get(order.get(i - 1)).easing())
              : m.keyframes().get(order.get(order.size() - 1)).easing();
      keys.set(order.get(i), at(from, first + last - from.time()).with(way));
    }
    return distinct(KeyframeEdits.sorted(m, keys));
  }

  private static Easing reversed(Easing e) {
    return switch (e.kind()) {
      case EASE_IN -> Easing.EASE_OUT;
      case EASE_OUT -> Easing.EASE_IN;
      case OVERSHOOT, OWN -> Easing.own(1 - e.x2(), 1 - e.y2(), 1 - e.x1(), 1 - e.y1());
      default -> e;
    };
  }

  AnimatedValue swap(AnimatedValue m, Set<Integer> chosen) {
    if (chosen.size() != 2) {
      throw new IllegalArgumentException("Choose two keyframes to swap");
    }
    List<Integer> two = new ArrayList<>(chosen);
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    Keyframe a = keys.get(two.get(0));
    Keyframe b = keys.get(two.get(1));
    keys.set(two.get(0), a.withValue(b.value()).with(b.landing()));
    keys.set(two.get(1), b.withValue(a.value()).with(a.landing()));
    return m.with(keys);
  }

  AnimatedValue remove(AnimatedValue m, Set<Integer> chosen) {
    AnimatedValue out = m;
    for (int i : new TreeSet<>(chosen).descendingSet()) {
      out = edits.remove(out, i);
    }
    return out;
  }

  /**
   * A keyframe held for some seconds: it is set again, and what comes later comes so much later.
   */
  AnimatedValue hold(AnimatedValue m, int index, double seconds) {
    if (!(seconds > 0)) {
      throw new IllegalArgumentException("A hold takes more than 0 seconds");
    }
    List<Keyframe> keys = new ArrayList<>();
    for (int i = 0; i < m.keyframes().size(); i++) {
      Keyframe k = m.keyframes().get(i);
      keys.add(i <= index ? k : at(k, k.time() + seconds));
      if (i == index) {
        keys.set(i, k.with(Easing.HOLD));
        keys.add(at(k, k.time() + seconds));
      }
    }
    return distinct(KeyframeEdits.sorted(m, keys));
  }

  /**
   * Copied keyframes set from a time on; those on the same frames give way.
   *
   * @param onward whether the first continues from the value at that time, and the others go on
   *     from there
   */
  AnimatedValue paste(AnimatedValue m, List<Keyframe> copied, double time, boolean onward) {
    if (copied.isEmpty()) {
      throw new IllegalArgumentException("Nothing has been copied yet");
    }
    double first = copied.get(0).time();
    double by = onward ? Timeline.keyed(m, time) - copied.get(0).value() : 0;
    AnimatedValue out = m;
    for (Keyframe k : copied) {
      Keyframe put = at(k, time + k.time() - first);
      // What goes on from elsewhere is no landing any more.
      put = onward ? put.withValue(edits.clamp(k.value() + by)).with((Landing) null) : put;
      int there = edits.indexAt(out, put.time());
      List<Keyframe> keys = new ArrayList<>(out.keyframes());
      if (there >= 0) {
        keys.set(there, put);
      } else {
        keys.add(put);
      }
      out = KeyframeEdits.sorted(out, keys);
    }
    return out;
  }
}
