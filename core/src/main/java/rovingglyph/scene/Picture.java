package rovingglyph.scene;

import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * A bitmap, placed as a whole. Its own origin is the middle of all of it, cropped or not.
 *
 * @param image id of the kept picture
 * @param pixelWidth of the picture as it was kept, its natural size
 * @param pixelHeight of the picture as it was kept
 * @param centre in its own pixels: the point that x and y put somewhere
 * @param values one for each of {@link Bitmapped#VALUES}
 */
public record Picture(
    ItemProperties properties,
    String image,
    int pixelWidth,
    int pixelHeight,
    Point centre,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Bitmapped {

  @Override
  public Picture with(Channel c, AnimatedValue m) {
    return new Picture(
        properties, image, pixelWidth, pixelHeight, centre, Values.with(values, c, m), extras);
  }

  @Override
  public Picture with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new Picture(p, image, pixelWidth, pixelHeight, centre, newValues, extras);
  }

  /** The picture with another kept one in its place; all else stays. */
  public Picture showing(String newImage, int width, int height) {
    return new Picture(properties, newImage, width, height, centre, values, extras);
  }

  @Override
  public Picture about(Point newCentre) {
    return new Picture(properties, image, pixelWidth, pixelHeight, newCentre, values, extras);
  }

  @Override
  public double moment(double time) {
    return STILL;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.picture(this);
  }
}
