package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.ProjectedPath;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;

/** The bare outlines of an item, for marks on the stage of where it is at some time. */
public final class Silhouette {
  /** Px: finer than a hairline shows. */
  private static final double TOLERANCE = 0.1;

  private Silhouette() {}

  /**
   * As SVG path data in the pixels of the frame, beyond its edges too. Letters that are not
   * revealed yet or faded away have theirs all the same; an item that is hidden, or not there at
   * the time, has none.
   *
   * @param time in seconds
   */
  public static String of(PreparedScene prepared, String id, double time) {
    Item item = prepared.scene().item(id);
    if (item.hidden() || !item.properties().shownAt(time) || !prepared.isPainted(item)) {
      return "";
    }
    Space round = prepared.round(id, time, 0);
    List<Contour> out = new ArrayList<>();
    for (Space ride : prepared.rides(item, time)) {
      for (Piece p : pieces(prepared, item, round.times(ride), time)) {
        add(out, p, p.map());
      }
    }
    return SvgPath.write(out, 1);
  }

  private static List<Piece> pieces(PreparedScene prepared, Item item, Space map, double at) {
    PreparedLettering lettering = prepared.letterings().get(item.id());
    if (lettering != null) {
      return lettering.pieces(at, map);
    }
    ScenePainting painting = new ScenePainting(prepared, new Frame(prepared.outlines()), at, 0);
    return painting.shapesOf(item, map, map, 1, at).stream()
        .flatMap(s -> s.pieces().stream())
        .toList();
  }

  private static void add(List<Contour> out, Piece piece, Projection map) {
    for (SubPath p : piece.subPaths()) {
      SubPath seen = ProjectedPath.area(p, map, TOLERANCE);
      if (!seen.segments().isEmpty()) {
        out.add(new Contour(seen.segments(), seen.closed()));
      }
    }
  }

  /**
   * The times of the keyframes of an item and of the groups round it, each on a frame of the scene,
   * in order.
   */
  public static double[] keyTimes(PreparedScene prepared, String id) {
    FrameRate rate = prepared.scene().rate();
    TreeSet<Long> frames = new TreeSet<>();
    add(frames, prepared.scene().item(id), rate);
    for (Group g : prepared.scene().groupsRound(id)) {
      add(frames, g, rate);
    }
    long count = prepared.scene().frameCount();
    return frames.stream().filter(f -> f < count).mapToDouble(rate::timeOf).toArray();
  }

  private static void add(TreeSet<Long> frames, Animatable item, FrameRate rate) {
    item.values()
        .values()
        .forEach(v -> v.keyframes().forEach(k -> frames.add(rate.frameAt(k.time()))));
  }
}
