package rovingglyph.frame;

import java.util.HashMap;
import java.util.Map;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.Footage;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Scene;

/**
 * A guide path with its contour, measured once if it is still, else anew for every time. A path
 * that is pinned to footage stands where that brings it.
 */
public final class PreparedPath {
  private final GuidePath path;
  private final PinMap pin;
  private final boolean moves;
  private double time;
  private Contour contour;

  private PreparedPath(GuidePath path, PinMap pin) {
    this.path = path;
    this.pin = pin;
    this.moves = pin != null || GuideContour.moves(path);
    this.contour = pin == null ? GuideContour.of(path, 0) : null;
  }

  /**
   * A path of a scene.
   *
   * @param known that are prepared already; it is added to them, and what else it needs
   */
  static PreparedPath of(Scene scene, String id, Map<String, PreparedPath> known) {
    PreparedPath out = known.get(id);
    if (out == null) {
      GuidePath path = scene.path(id);
      out = new PreparedPath(path, PinMap.of(scene, path.label().pin(), known));
      known.put(id, out);
    }
    return out;
  }

  /** A path of a scene as it lies on footage at a time, in pixels of that. */
  public static Contour inFootage(Scene scene, String id, Footage footage, double time) {
    Map<String, PreparedPath> known = new HashMap<>();
    Contour there = of(scene, id, known).at(time);
    GroupTransform round = GroupTransform.of(scene, footage.id(), known);
    return there.mapped(PinMap.pixels(footage, round, time).inverse());
  }

  /** The path as the document has it. */
  public GuidePath path() {
    return path;
  }

  /** Whether any of its numbers or its shape moves. */
  public boolean moves() {
    return moves;
  }

  /** In the path's own direction. */
  public Contour at(double seconds) {
    if (contour == null || moves && seconds != time) {
      Contour own = GuideContour.of(path, seconds);
      contour = pin == null ? own : own.mapped(pin.map(seconds));
      time = seconds;
    }
    return contour;
  }

  /** What the pin of the path does to it, in the pixels of the frame. */
  public Projection pinned(double seconds) {
    return pin == null ? Projection.IDENTITY : pin.map(seconds);
  }

  /** The contour as an item sees it that it is a part of, whose own motion comes to it too. */
  Contour within(String item, double seconds) {
    return pin == null || !pin.holdsTo(item)
        ? at(seconds)
        : GuideContour.of(path, seconds).mapped(pin.within(seconds));
  }

  /** What letterings on it turn about. */
  public Point centre(double seconds) {
    if (pin == null) {
      return GuideContour.centre(path, at(seconds), seconds);
    }
    Contour own = GuideContour.of(path, seconds);
    return pin.map(seconds).apply(GuideContour.centre(path, own, seconds));
  }
}
