package rovingglyph.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * A bitmap, placed as a whole. Its own origin is the middle of all of it, cropped or not.
 *
 * @param image id of the kept picture
 * @param pixelWidth of the picture as it was kept, its natural size
 * @param pixelHeight of the picture as it was kept
 * @param centre in its own pixels: the point that x and y put somewhere
 * @param values one for each of {@link #VALUES}; width and height are those of all of it
 */
public record Picture(
    ItemProperties properties,
    String image,
    int pixelWidth,
    int pixelHeight,
    Point centre,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Transformed {

  /** The longest side of a kept picture, px. */
  public static final int LONGEST_SIDE = 16_384;

  /** The values of a picture, in the order of a sheet. */
  public static final List<Channel> VALUES = allValues();

  private static List<Channel> allValues() {
    List<Channel> out = new ArrayList<>(Transformed.CHANNELS);
    out.addAll(
        List.of(
            Channel.WIDTH,
            Channel.HEIGHT,
            Channel.CROP_LEFT,
            Channel.CROP_TOP,
            Channel.CROP_RIGHT,
            Channel.CROP_BOTTOM));
    return List.copyOf(out);
  }

  /** The value of a channel that a document leaves out: nothing is cropped. */
  public static double start(Channel c) {
    return c == Channel.WIDTH || c == Channel.HEIGHT ? 400 : Transformed.start(c, Point.ORIGIN);
  }

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
  public <R> R accept(Visitor<R> visitor) {
    return visitor.picture(this);
  }
}
