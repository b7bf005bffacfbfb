package rovingglyph.scene;

import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * A drawing of filled shapes.
 *
 * @param parts back to front
 * @param centre in its own pixels
 * @param values one for each of {@link Transformed#CHANNELS}
 */
public record Drawing(
    ItemProperties properties,
    List<Part> parts,
    Point centre,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Transformed {

  /** SVG path data in the drawing's pixels, filled with 0xRRGGBB. */
  public record Part(String data, int fill, UnknownFields extras) {}

  @Override
  public Drawing with(Channel c, AnimatedValue m) {
    return new Drawing(properties, parts, centre, Values.with(values, c, m), extras);
  }

  @Override
  public Drawing with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new Drawing(p, parts, centre, newValues, extras);
  }

  @Override
  public Drawing about(Point newCentre) {
    return new Drawing(properties, parts, newCentre, values, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.drawing(this);
  }
}
