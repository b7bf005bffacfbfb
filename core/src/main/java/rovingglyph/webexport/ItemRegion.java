package rovingglyph.webexport;

import java.util.function.DoubleFunction;
import rovingglyph.frame.Appearance;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Item;

/** The area that an item and its effects are within at all times, in the pixels round it. */
final class ItemRegion {
  /** Px; for what lies between the frames that are looked at. */
  private static final double MORE = 8;

  private static final double FARTHEST = 20000;

  private ItemRegion() {}

  /**
   * @param map what is done to the item before its effects
   */
  static Rect of(PreparedScene prepared, Item item, DoubleFunction<Affine> map) {
    double frame = 1 / prepared.scene().rate().perSecond();
    Rect all = Rect.EMPTY;
    for (double t = 0; t <= prepared.scene().length(); t += frame) {
      Rect box = prepared.box(item.id(), t);
      if (!box.isEmpty()) {
        double more = MORE + Appearance.reach(item, t);
        all = all.union(map.apply(t).apply(box).grown(more));
      }
    }
    return all.isEmpty()
        ? new Rect(0, 0, 1, 1)
        : new Rect(
            Math.max(Math.floor(all.left()), -FARTHEST),
            Math.max(Math.floor(all.top()), -FARTHEST),
            Math.min(Math.ceil(all.right()), FARTHEST),
            Math.min(Math.ceil(all.bottom()), FARTHEST));
  }
}
