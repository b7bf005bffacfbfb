package rovingglyph.journey;

import java.util.TreeSet;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.seat.RowLayout;

/** A moving value charted over time: value across, time down. */
public final class JourneyChart {
  /** Numbers per sample: time, line, tail, head. */
  public static final int STRIDE = 4;

  private JourneyChart() {}

  /**
   * Samples in order of time. For a path offset the line is the distance of the text's anchor and
   * tail and head are the text's ends along the path in reading direction; for another channel all
   * three are the value. Keyframes are samples of their own, those after a hold twice.
   */
  public static double[] samples(PreparedScene scene, Animatable item, Channel channel, int count) {
    AnimatedValue m = item.movable(channel);
    TreeSet<Double> times = new TreeSet<>();
    for (int i = 0; i <= count; i++) {
      times.add(scene.scene().length() * i / count);
    }
    for (Keyframe k : m.keyframes()) {
      times.add(k.time());
      times.add(Math.max(0, k.time() - 1e-6));
    }
    PreparedLettering l = scene.letterings().get(item.id());
    // On a path that stands still the rows differ by their values alone.
    RowLayout still = l == null || l.seats().path().moves() ? null : l.seating(l.values(0));
    double[] out = new double[times.size() * STRIDE];
    int at = 0;
    for (double t : times) {
      out[at] = t;
      if (channel == Channel.PATH_OFFSET && l != null) {
        RowLayout s = still == null ? l.seating(l.values(t)) : still.with(l.values(t));
        out[at + 1] = s.travelled();
        out[at + 2] = s.tail();
        out[at + 3] = s.head();
      } else {
        double value = Timeline.value(m, t);
        out[at + 1] = value;
        out[at + 2] = value;
        out[at + 3] = value;
      }
      at += STRIDE;
    }
    return out;
  }

  /** The charted line at a time. */
  public static double line(PreparedScene scene, Animatable item, Channel channel, double time) {
    PreparedLettering l = scene.letterings().get(item.id());
    if (channel == Channel.PATH_OFFSET && l != null) {
      return l.seating(l.values(time)).travelled();
    }
    return Timeline.value(item.movable(channel), time);
  }

  /** Change of the charted line per second at a time, measured over one frame round it. */
  public static double speed(PreparedScene scene, Animatable item, Channel channel, double time) {
    double half = 0.5 / scene.scene().rate().perSecond();
    return (line(scene, item, channel, time + half) - line(scene, item, channel, time - half))
        / (2 * half);
  }

  /**
   * The stretches of the chart at which the whole lettering is outside the frame, told by its real
   * outlines, as pairs from and to of the anchor's distance: over one lap where the path comes
   * round, else between two distances.
   */
  public static double[] outside(PreparedScene scene, String id, double from, double to) {
    PreparedLettering l = scene.letterings().get(id);
    RowLayout first = l.seating(l.values(0));
    double rest = first.rest();
    boolean round = first.track().round();
    double low = round ? 0 : from;
    double high = round ? first.track().length() : to;
    double[] out = l.outOfFrame(scene.area(), 0, low - rest, high - rest, 200);
    for (int i = 0; i < out.length; i++) {
      out[i] += rest;
    }
    return out;
  }
}
