package rovingglyph.scene;

import java.util.List;
import java.util.Map;

/**
 * A path of the scene as a shape: filled, drawn with a line, or both. It stands where its path
 * does, and moves with it.
 *
 * @param path its id
 * @param filled whether it is filled, by the non-zero rule; an open path as if it were closed
 * @param cap how the line of an open path ends
 * @param values one for each of {@link #VALUES}; a line of no width is not drawn
 */
public record FilledPath(
    ItemProperties properties,
    String path,
    boolean filled,
    Trail.Cap cap,
    Map<Channel, AnimatedValue> values,
    UnknownFields extras)
    implements Item {

  /** The values of a filled path, in the order of a sheet. */
  public static final List<Channel> VALUES =
      List.of(Channel.OPACITY, Channel.FILL, Channel.STROKE_WIDTH, Channel.STROKE);

  /** The value of a channel that a document leaves out: it has no line. */
  public static double start(Channel c) {
    if (c == Channel.OPACITY) {
      return 100;
    }
    return c == Channel.FILL ? 0xDCE6EE : c == Channel.STROKE ? 0x1F2B37 : 0;
  }

  @Override
  public FilledPath with(Channel c, AnimatedValue m) {
    return new FilledPath(properties, path, filled, cap, Values.with(values, c, m), extras);
  }

  @Override
  public FilledPath with(ItemProperties p, Map<Channel, AnimatedValue> newValues) {
    return new FilledPath(p, path, filled, cap, newValues, extras);
  }

  /** The same shape of another path. */
  public FilledPath on(String newPath) {
    return new FilledPath(properties, newPath, filled, cap, values, extras);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.filledPath(this);
  }
}
