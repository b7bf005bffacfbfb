package rovingglyph.edit;

import java.util.Map;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;

/** Sets values of an item at a time as the fields of a sheet do. */
record AtTime(Scene scene, Item item, double time) {
  /** The item with other numbers, each brought into its range. */
  Item set(Map<Channel, Double> numbers) {
    Item out = item;
    for (Map.Entry<Channel, Double> e : numbers.entrySet()) {
      Channel c = e.getKey();
      AnimatedValue m =
          new KeyframeEdits(c, scene.rate()).set(out.movable(c), time, c.clamp(e.getValue()));
      out = out.with(c, m);
    }
    return out;
  }
}
