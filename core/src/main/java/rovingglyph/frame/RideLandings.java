package rovingglyph.frame;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Cruise;
import rovingglyph.scene.Item;
import rovingglyph.scene.Landing;
import rovingglyph.scene.Scene;
import rovingglyph.seat.Track;

/**
 * Path offsets of rides whose cruise counts laps or whose keyframes land. Each is solved with the
 * rides of the groups round it, and the landings of words in it, as the document has them.
 */
final class RideLandings {
  private static final double LEAST_STEP = 2;
  private static final double MOST_STEP = 40;

  private final PreparedScene prepared;
  private final Item item;
  private final Track track;

  private RideLandings(PreparedScene prepared, Item item) {
    this.prepared = prepared;
    this.item = item;
    this.track = prepared.carriage(item).track(0);
  }

  /** With the cruise of every ride in px per second. */
  static Scene paced(Scene scene, Map<String, PreparedPath> paths) {
    Scene out = scene;
    for (Item i : scene.items().values()) {
      Cruise cruise = i.properties().ride() == null ? null : offset(i).cruise();
      if (cruise != null) {
        double lap = new Carriage(i, paths.get(i.properties().ride().path())).track(0).length();
        Cruise solved = cruise.solved(lap, scene.length(), 0);
        out = out.withItem(i.with(Channel.RIDE_OFFSET, offset(i).with(solved)));
      }
    }
    return out;
  }

  /** With every landing of a ride solved. */
  static PreparedScene solved(PreparedScene prepared) {
    PreparedScene out = prepared;
    Map<String, List<Integer>> unsolved = new HashMap<>();
    for (Item i : prepared.scene().items().values()) {
      if (lands(i)) {
        LandingSolver.Solved s = new RideLandings(prepared, i).solver().solve(offset(i));
        out = out.with(i.with(Channel.RIDE_OFFSET, s.movable()));
        unsolved.put(i.id(), s.unsolved());
      }
    }
    return out == prepared ? prepared : out.withUnsolved(unsolved);
  }

  private static boolean lands(Item i) {
    return i.properties().ride() != null
        && offset(i).keyframes().stream().anyMatch(k -> k.landing() != null);
  }

  private static AnimatedValue offset(Item i) {
    return i.movable(Channel.RIDE_OFFSET);
  }

  private LandingSolver solver() {
    Rect area = prepared.area();
    Rect box = prepared.box(item.id(), 0);
    double least = Math.min(box.width(), box.height()) / 4;
    double step = box.isEmpty() ? MOST_STEP : Math.min(Math.max(LEAST_STEP, least), MOST_STEP);
    double more = box.isEmpty() ? 0 : box.width() + box.height();
    double reach = track.length() + more + 2 * (area.width() + area.height());
    return new LandingSolver(track.length(), step, reach, this::probe, this::placed);
  }

  private LandingSolver.Probe probe(double time, Landing landing) {
    return landing.isInside()
        ? new InsideProbe(prepared.area(), landing.distance(), part -> probe(time, part))
        : probe(time, prepared.area());
  }

  private LandingSolver.Probe probe(double time, Rect part) {
    AnimatedValue offset = offset(item);
    // Cruise and sway stay on top: what lands is the whole.
    double more = Timeline.value(offset, time) - Timeline.keyed(offset, time);
    Window window = new Window(part, prepared.round(item.id(), time, 0));
    SceneHits hits = new SceneHits(prepared, time);
    return at -> {
      Item there = item.with(Channel.RIDE_OFFSET, new AnimatedValue(at + more));
      return new LandingSolver.Reading(hits.touches(there, window), 0);
    };
  }

  /** The offset at which the point that rides is where a goal has it. */
  private double placed(double time, Landing.Kind kind, double near) {
    Window window = new Window(prepared.area(), prepared.round(item.id(), time, 0));
    Track now = prepared.carriage(item).track(time);
    double offset = PathPlace.of(kind, now.contour(), Affine.IDENTITY, window);
    return now.round() ? PathPlace.lapped(offset, now.length(), near) : offset;
  }
}
