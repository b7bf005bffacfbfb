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
public record Drawing(
    ItemProperties properties, List<Part> parts, Map<Channel, Movable> values, Extras extras)
    implements Placed {

  /** SVG path data in the drawing's pixels, filled with 0xRRGGBB. */
  public record Part(String data, int fill, Extras extras) {}

  @Override
  public Point centre() {
    return Point.ORIGIN;
  }

  @Override
  public Drawing with(Channel c, Movable m) {
    return new Drawing(properties, parts, Values.with(values, c, m), extras);
  }

  @Override
  public Drawing with(ItemProperties p) {
    return new Drawing(p, parts, values, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.drawing(this);
  }
}
