package rovingglyph.frame;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;
import rovingglyph.motion.Place;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Transformed;
import rovingglyph.type.Outline;

/**
 * The area of a foreground cut.
 *
 * @param source the item that is cut
 * @param carried what moves that one besides its own place
 * @param path the path of the cut
 */
public record CutArea(ForegroundCut cut, Item source, Carried carried, PreparedPath path) {
  private static final double[] NO_DASH = {};

  /** That of a cut in a scene. */
  public static CutArea of(Scene scene, ForegroundCut cut) {
    Item source = scene.item(cut.source());
    Map<String, PreparedPath> paths = new HashMap<>();
    Carried carried = Carried.of(scene, source, paths);
    return new CutArea(cut, source, carried, PreparedPath.of(scene, cut.path(), paths));
  }

  /** The map of the path's pixels to those round the item that is cut. */
  public Projection map(double time) {
    Projection map = carried.first(time).plane();
    if (source instanceof Transformed t) {
      map = map.times(Place.map(t, time));
    }
    return map.times(cut.inSource());
  }

  /** How far the area goes beyond its path, px of the path; less than 0 for short of it. */
  public double grow(double time) {
    return value(Channel.GROW, time);
  }

  /** 0 to 1. */
  double opacity(double time) {
    return value(Channel.OPACITY, time) / 100;
  }

  /** The path with the line that closes it; as it is where nothing is of it. */
  public Contour edge(double time) {
    Contour c = path.within(source.id(), time);
    return c.segments().isEmpty() ? c : Piece.contour(new SubPath(c.segments(), true));
  }

  private List<SubPath> area(double time) {
    Contour c = path.within(source.id(), time);
    return c.segments().isEmpty() ? List.of() : List.of(new SubPath(c.segments(), true));
  }

  /** What of it is outlined, in the pixels round the item that is cut. */
  List<ItemShape> shapes(double time) {
    Projection map = map(time);
    List<SubPath> area = area(time);
    if (area.isEmpty()) {
      return List.of();
    }
    Affine near = near(map, time);
    Piece piece = new Piece(-1, area, map);
    return List.of(new ItemShape(List.of(piece), Math.hypot(near.a(), near.b())));
  }

  /** Paints what tells how much is seen. Where the path is nothing, nothing is. */
  void paint(Frame frame, Space round, double time) {
    if (area(time).isEmpty()) {
      return;
    }
    Projection map = round.plane().times(map(time));
    Affine near = near(map, time);
    double scale = Math.hypot(near.a(), near.b());
    double blur = value(Channel.CUT_EDGE, time) * scale / Appearance.SOFT_EDGE_DEVIATIONS;
    frame.mapped(Space.of(map));
    if (blur > 0) {
      frame.push(1, BlendMode.NORMAL, new LayerEffects().blur(blur));
    }
    grown(frame, time);
    if (blur > 0) {
      frame.pop();
    }
  }

  /** A map as it is in the middle of the path. */
  private Affine near(Projection map, double time) {
    return map.isFlat() ? map.flat() : map.near(edge(time).bounds().centre());
  }

  private void grown(Frame frame, double time) {
    double grow = grow(time);
    List<SubPath> area = area(time);
    if (grow < 0) {
      frame.push(1, BlendMode.NORMAL, LayerEffects.NONE);
    }
    frame.fill(0, 1);
    frame.beginInline();
    area.forEach(frame::subPath);
    frame.endInline();
    if (grow < 0) {
      frame.matte(true);
    }
    if (grow != 0) {
      LineStyle line = new LineStyle(2 * Math.abs(grow), 1, 0, NO_DASH);
      frame.stroke(0, 1, line, List.of(edge(time)));
    }
    if (grow < 0) {
      frame.pop();
    }
  }

  /**
   * Whether it reaches into a part of the frame.
   *
   * @param spot as the item that is cut sees it
   */
  boolean touches(double time, Window spot) {
    List<SubPath> area = area(time);
    return !area.isEmpty()
        && spot.within(Space.of(map(time))).touched(Outline.of(area), Affine.IDENTITY);
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(cut.movable(c), time));
  }
}
