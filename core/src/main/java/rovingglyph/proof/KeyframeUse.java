package rovingglyph.proof;

import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Typesetting;

/** Keyframes that come too late to be seen, and those without which all would be as it is. */
final class KeyframeUse {
  /** Places between two keyframes at which the values with and without one are compared. */
  private static final int PLACES = 16;

  /** Of the greatest of the values compared: so much less is no difference. */
  private static final double SAME = 1e-9;

  private final Scene scene;
  private final Animatable thing;
  private final List<Finding> out = new ArrayList<>();

  private KeyframeUse(Scene scene, Animatable thing) {
    this.scene = scene;
    this.thing = thing;
  }

  static List<Finding> of(Scene scene, Animatable thing) {
    KeyframeUse use = new KeyframeUse(scene, thing);
    thing
        .values()
        .forEach(
            (c, m) -> {
              use.late(c, m.keyframes());
              use.idle(c, m);
            });
    return use.out;
  }

  private String named(int count, Channel c) {
    String many = count == 1 ? "A keyframe" : count + " keyframes";
    return many + " of " + c.label().toLowerCase() + " in " + Names.of(thing);
  }

  private void late(Channel c, List<Keyframe> keys) {
    List<Keyframe> late =
        keys.stream().filter(k -> scene.rate().frameAt(k.time()) > scene.frameCount()).toList();
    if (late.isEmpty()) {
      return;
    }
    String stand = late.size() == 1 ? " stands" : " stand";
    double last = late.get(late.size() - 1).time();
    out.add(
        Finding.of(named(late.size(), c) + stand + " after the end of the scene", thing.id(), -1)
            .mendedBy("Make the scene so long", Mend.scene(new JsonObject().add("length", last))));
  }

  private void idle(Channel c, AnimatedValue m) {
    List<Keyframe> keys = m.keyframes();
    List<Integer> idle = new ArrayList<>();
    AnimatedValue left = m;
    // One after another: of two that are alike only one can go, and the first one stays.
    for (int i = keys.size() - 1; i > 0; i--) {
      AnimatedValue without = without(left, i);
      if (keys.get(i).cue() == null && alike(c, left, without, i)) {
        idle.add(0, i);
        left = without;
      }
    }
    if (idle.isEmpty() || isJustBegun(m)) {
      return;
    }
    String change = idle.size() == 1 ? " changes nothing" : " change nothing";
    out.add(
        Finding.of(named(idle.size(), c) + change, thing.id(), keys.get(idle.get(0)).time())
            .mendedBy(
                idle.size() == 1 ? "Take it out" : "Take them out",
                Mend.keys("removeKeys", thing.id(), c, idle)));
  }

  /** Whether there are but two keyframes, of which the other value may be still to come. */
  private static boolean isJustBegun(AnimatedValue m) {
    return m.keyframes().size() < 3;
  }

  private static AnimatedValue without(AnimatedValue m, int index) {
    List<Keyframe> keys = new ArrayList<>(m.keyframes());
    keys.remove(index);
    return m.with(keys);
  }

  /** Whether the value is the same without a keyframe: it can differ only up to its neighbours. */
  private boolean alike(Channel c, AnimatedValue m, AnimatedValue without, int index) {
    List<Keyframe> keys = m.keyframes();
    Keyframe k = keys.get(index);
    if (k.landing() != null && !neighbourLandsAlike(keys, index)) {
      return false;
    }
    double from = keys.get(index - 1).time();
    boolean last = index + 1 == keys.size();
    double to = last ? k.time() + 1 : keys.get(index + 1).time();
    return IntStream.rangeClosed(0, PLACES)
        .allMatch(
            i ->
                same(c, m, without, from + (k.time() - from) * i / PLACES)
                    && same(c, m, without, k.time() + (to - k.time()) * i / PLACES));
  }

  /** A goal moves with what it aims at: it is idle only between others with the same goal. */
  private static boolean neighbourLandsAlike(List<Keyframe> keys, int index) {
    Keyframe k = keys.get(index);
    boolean after = index + 1 == keys.size() || k.landing().equals(keys.get(index + 1).landing());
    return after && k.landing().equals(keys.get(index - 1).landing());
  }

  private static boolean same(Channel c, AnimatedValue one, AnimatedValue other, double time) {
    if (c.kind() == Channel.Kind.COLOUR) {
      return Timeline.colour(one, time, Typesetting.ColourMix.OKLCH)
          == Timeline.colour(other, time, Typesetting.ColourMix.OKLCH);
    }
    double a = Timeline.keyed(one, time);
    double b = Timeline.keyed(other, time);
    return Math.abs(a - b) <= SAME * Math.max(1, Math.max(Math.abs(a), Math.abs(b)));
  }
}
