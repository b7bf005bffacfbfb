package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;

/**
 * A part of an item's shape, in units of its own.
 *
 * @param index of the outline among the scene's; -1 for one of this frame alone
 * @param subPaths the same as segments
 * @param map of its units to the pixels round the item
 */
record Piece(int index, List<SubPath> subPaths, Projection map) {
  Piece(int index, List<SubPath> subPaths, Affine map) {
    this(index, subPaths, Projection.of(map));
  }

  static Piece own(List<SubPath> subPaths, Affine map) {
    return new Piece(-1, subPaths, map);
  }

  Piece mapped(Projection outer) {
    return new Piece(index, subPaths, outer.times(map));
  }

  /** The box round it in the pixels round the item; with a turn it may be larger than need be. */
  Rect bounds() {
    return map.apply(ownBounds());
  }

  private Rect ownBounds() {
    Rect box = Rect.EMPTY;
    for (SubPath p : subPaths) {
      for (Segment s : p.segments()) {
        box = box.union(s.bounds());
      }
    }
    return box;
  }

  /** The map as it is in its middle. */
  Affine near() {
    Rect box = map.isFlat() ? Rect.EMPTY : ownBounds();
    return map.near(box.isEmpty() ? Point.ORIGIN : box.centre());
  }

  /**
   * The beginnings of its contours: so much of the longest one, and of the others the same length.
   *
   * @param share 0 to 1
   */
  List<Contour> begun(double share) {
    List<Contour> all = subPaths.stream().map(Piece::contour).toList();
    double length = share * longest(subPaths);
    List<Contour> out = new ArrayList<>();
    for (Contour c : all) {
      double to = Math.min(length, c.length());
      if (to > 0) {
        out.add(share < 1 && to < c.length() ? c.between(0, to) : c);
      }
    }
    return out;
  }

  /** The length of the longest contour, in its own units. */
  static double longest(List<SubPath> subPaths) {
    return subPaths.stream().mapToDouble(p -> contour(p).length()).max().orElse(0);
  }

  /** With the line that closes it. */
  static Contour contour(SubPath p) {
    Segment first = p.segments().get(0);
    Segment last = p.segments().get(p.segments().size() - 1);
    if (!p.closed() || first.start().distance(last.end()) < 1e-9) {
      return new Contour(p.segments(), p.closed());
    }
    List<Segment> all = new ArrayList<>(p.segments());
    all.add(new Line(last.end(), first.start()));
    return new Contour(all, true);
  }
}
