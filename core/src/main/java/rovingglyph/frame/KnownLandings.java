package rovingglyph.frame;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleSupplier;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Stagger;

/**
 * Tells whether a lettering is in the frame, and remembers the landings found: an edit of one
 * keyframe leaves most of them as they were.
 */
final class KnownLandings implements LandingSolver.InFrame {
  private static final int MOST = 500;

  private final Lettering without;
  private final PreparedLettering together;
  private final Rect area;
  private final boolean steady;
  private final Map<List<Object>, Double> found;
  private final Map<List<Double>, LandingSolver.Probe> probes = new HashMap<>();

  /**
   * @param raw before its landings are solved
   * @param before what was known of an earlier state of the lettering, or null
   */
  KnownLandings(PreparedLettering raw, Rect area, KnownLandings before) {
    Lettering l = raw.lettering();
    AnimatedValue offset = l.movable(Channel.PATH_OFFSET);
    this.without = l.with(Channel.PATH_OFFSET, offset.with(List.of()));
    // Letters that lag land when the first of them does.
    this.together = raw.solved(l.with(Channel.PATH_OFFSET, offset.with((Stagger) null)), List.of());
    this.area = area;
    // Then all times are alike.
    this.steady =
        offset.cruise() == null
            && offset.sway() == null
            && !raw.seats().path().moves()
            && raw.groupTransform().constant()
            && without.values().values().stream().noneMatch(AnimatedValue::moves);
    boolean same =
        before != null
            && before.area.equals(area)
            && before.together.groupTransform().equals(raw.groupTransform())
            && before.together.seats().path() == raw.seats().path()
            && before.together.text() == raw.text()
            && before.without.equals(without);
    this.found = same ? before.found : new HashMap<>();
  }

  @Override
  public LandingSolver.Probe at(double time, Landing landing) {
    double when = steady ? 0 : time;
    LandingSolver.Probe probe =
        probes.computeIfAbsent(
            List.of(when, landing.isInside() ? landing.distance() : -1.0),
            k ->
                landing.isInside()
                    ? new InsideProbe(area, landing.distance(), r -> probe(when, r))
                    : probe(when, area));
    // Cruise and sway stay on top: what lands is the whole.
    AnimatedValue offset = together.lettering().movable(Channel.PATH_OFFSET);
    double more = Timeline.value(offset, time) - Timeline.keyed(offset, time);
    return o -> probe.read(o + more);
  }

  private LandingSolver.Probe probe(double time, Rect part) {
    return new FrameProbe(together, together.values(time), part);
  }

  @Override
  public double landing(double time, Landing landing, double reference, DoubleSupplier search) {
    List<Object> key = List.of(steady ? 0.0 : time, landing, reference);
    Double known = found.get(key);
    if (known == null) {
      if (found.size() > MOST) {
        found.clear();
      }
      known = search.getAsDouble();
      found.put(key, known);
    }
    return known;
  }
}
