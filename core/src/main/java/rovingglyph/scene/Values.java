package rovingglyph.scene;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** The values of a mover by channel; copies share what they can and are never changed. */
public final class Values {
  private Values() {}

  public static Map<Channel, Movable> with(Map<Channel, Movable> values, Channel c, Movable m) {
    Map<Channel, Movable> out = new LinkedHashMap<>(values);
    out.put(c, m);
    return Collections.unmodifiableMap(out);
  }
}
