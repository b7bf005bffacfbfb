package rovingglyph.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Point;

/**
 * A plain or graded area, with its own origin in its middle.
 *
 * @param area what it covers
 * @param fill its kind of filling; the colour of a plain one is {@link Channel#FILL}
 * @param centre in its own pixels
 * @param values one for each of {@link #VALUES}
 */
public record ColourField(
    ItemProperties properties,
    Area area,
    Gradient fill,
    Point centre,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Transformed {

  /** What a field covers. */
  public enum Area {
    /** All of the frame, whatever its size; place, size, scale and rotation count for nothing. */
    FRAME,
    RECTANGLE
  }

  /** The values of a field, in the order of a sheet. */
  public static final List<Channel> VALUES = allValues();

  private static List<Channel> allValues() {
    List<Channel> out = new ArrayList<>(Transformed.CHANNELS);
    out.addAll(
        List.of(
            Channel.WIDTH,
            Channel.HEIGHT,
            Channel.FILL,
            Channel.FROM_X,
            Channel.FROM_Y,
            Channel.TO_X,
            Channel.TO_Y));
    return List.copyOf(out);
  }

  /** The value of a channel that a document leaves out: a gradient goes from top to bottom. */
  public static double start(Channel c) {
    if (c == Channel.WIDTH || c == Channel.HEIGHT) {
      return 400;
    }
    if (c == Channel.FILL) {
      return 0xDCE6EE;
    }
    if (c == Channel.FROM_X || c == Channel.TO_X) {
      return 50;
    }
    return c == Channel.TO_Y ? 100 : Transformed.start(c, Point.ORIGIN);
  }

  @Override
  public ColourField with(Channel c, AnimatedValue m) {
    return new ColourField(properties, area, fill, centre, Values.with(values, c, m), extras);
  }

  @Override
  public ColourField with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new ColourField(p, area, fill, centre, newValues, extras);
  }

  /** The field with another area and filling. */
  public ColourField with(Area newArea, Gradient newFill) {
    return new ColourField(properties, newArea, newFill, centre, values, extras);
  }

  @Override
  public ColourField about(Point newCentre) {
    return new ColourField(properties, area, fill, newCentre, values, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.colourField(this);
  }
}
