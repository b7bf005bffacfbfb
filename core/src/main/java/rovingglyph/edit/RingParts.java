package rovingglyph.edit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Band;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Core;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;

/** What the core of a ring and the band behind its letters begin with. */
final class RingParts {
  /** Of what is free within the path a core takes this share. */
  private static final double CORE_SHARE = 0.85;

  /** In shares of the size of letters: how high drums and bands are, and where their middle is. */
  private static final double HIGH = 1.5;

  private static final double LIFT = 0.35;

  /** How far a band is behind the backs of letters, px. */
  private static final double GAP = 2;

  private RingParts() {}

  /**
   * Words with values for what their plane has now and had not before.
   *
   * @param path the box round it
   */
  static Lettering begun(Lettering l, Plane before, Rect path, double time) {
    Plane plane = l.properties().plane();
    Map<Channel, AnimatedValue> values = new LinkedHashMap<>(l.values());
    double size = Timeline.value(l.movable(Channel.SIZE), time);
    double lift = plane.stance() == Plane.Stance.STANDING ? LIFT * size : 0;
    if (plane.core() != null && before.core() == null) {
      start(Core.CHANNELS, Core::start, values);
      double radius = CORE_SHARE * Math.min(path.width(), path.height()) / 2;
      put(values, Channel.CORE_RADIUS, radius);
      put(values, Channel.CORE_HEIGHT, HIGH * size);
      put(values, Channel.CORE_LIFT, lift);
    }
    if (plane.band() != null && before.band() == null) {
      start(Band.CHANNELS, Band::start, values);
      double thick = plane.body() == null ? 0 : Timeline.value(l.movable(Channel.THICKNESS), time);
      put(values, Channel.BAND_HEIGHT, HIGH * size);
      put(values, Channel.BAND_LIFT, LIFT * size);
      put(values, Channel.BAND_GAP, thick + GAP);
    }
    return (Lettering) l.with(l.properties(), values);
  }

  /** Tells what a value begins with. */
  private interface Starts {
    double of(Channel c);
  }

  private static void start(
      List<Channel> channels, Starts starts, Map<Channel, AnimatedValue> values) {
    channels.forEach(c -> values.put(c, new AnimatedValue(starts.of(c))));
  }

  private static void put(Map<Channel, AnimatedValue> values, Channel c, double value) {
    values.put(c, new AnimatedValue(Math.rint(c.clamp(value))));
  }
}
