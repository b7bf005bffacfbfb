package rovingglyph.scene;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * A drawing of filled shapes, whose own origin is its centre.
 *
 * @param parts back to front
 * @param values one for each of {@link Placed#CHANNELS}
 */
public record Picture(
    String id,
    String name,
    List<Part> parts,
    Map<Channel, Movable> values,
    boolean hidden,
    boolean locked,
    Extras extras)
    implements Placed {

  /** SVG path data in the drawing's pixels, filled with 0xRRGGBB. */
  public record Part(String data, int fill, Extras extras) {}

  @Override
  public Point centre() {
    return Point.ORIGIN;
  }

  @Override
  public Picture with(Channel c, Movable m) {
    return new Picture(id, name, parts, Values.with(values, c, m), hidden, locked, extras);
  }
}
