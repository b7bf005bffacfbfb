package rovingglyph.frame;

import java.util.List;
import java.util.function.ToDoubleFunction;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;

/**
 * What of an item is outlined as one: a letter, or all of an item of another kind.
 *
 * @param unit px round the item of one unit of the pieces, by which lines are scaled: lines on a
 *     letter that is stretched are stretched with it
 * @param alpha what it is painted with, 0 to 1
 * @param own the value of an appearance's channel for it alone; null where all of the item has one
 */
record ItemShape(List<Piece> pieces, double unit, double alpha, ToDoubleFunction<Channel> own) {
  ItemShape(List<Piece> pieces, double unit) {
    this(pieces, unit, 1, null);
  }

  /** The shape as a member of a group. */
  ItemShape within(Projection map, double opacity) {
    Rect box = Rect.EMPTY;
    for (Piece p : map.isFlat() ? List.<Piece>of() : pieces) {
      box = box.union(p.bounds());
    }
    Affine near = map.near(box.isEmpty() ? Point.ORIGIN : box.centre());
    double scale = Math.hypot(near.a(), near.b());
    return new ItemShape(
        pieces.stream().map(p -> p.mapped(map)).toList(), unit * scale, alpha * opacity, null);
  }
}
