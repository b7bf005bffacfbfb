package rovingglyph.scene;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The values of a mover by channel. The maps are never changed once they are made; they are not
 * wrapped, for where this runs in a browser a wrapper looks each value up among all.
 */
public final class Values {
  private Values() {}

  /** A copy of values with one of them replaced or added. */
  public static Map<Channel, AnimatedValue> with(
      Map<Channel, AnimatedValue> values, Channel c, AnimatedValue m) {
    Map<Channel, AnimatedValue> out = new LinkedHashMap<>(values);
    out.put(c, m);
    return out;
  }
}
