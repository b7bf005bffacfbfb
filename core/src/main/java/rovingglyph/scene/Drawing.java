package rovingglyph.scene;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * A drawing of filled shapes, whose own origin is its centre.
 *
 * @param parts back to front
 * @param values one for each of {@link Transformed#CHANNELS}
 */
public record Drawing(
    ItemProperties properties,
    List<Part> parts,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Transformed {

  /** SVG path data in the drawing's pixels, filled with 0xRRGGBB. */
  public record Part(String data, int fill, UnknownFields extras) {}

  @Override
  public Point centre() {
    return Point.ORIGIN;
  }

  @Override
  public Drawing with(Channel c, AnimatedValue m) {
    return new Drawing(properties, parts, Values.with(values, c, m), extras);
  }

  @Override
  public Drawing with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new Drawing(p, parts, newValues, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.drawing(this);
  }
}
