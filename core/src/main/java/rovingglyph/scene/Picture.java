package rovingglyph.scene;

import java.util.List;
import java.util.Map;

/**
 * A drawing of filled shapes, placed with its own origin at (x, y), scaled and turned about it.
 *
 * @param parts back to front
 * @param values one for each of {@link #CHANNELS}
 */
public record Picture(
    String id,
    String name,
    List<Part> parts,
    Map<Channel, Movable> values,
    boolean hidden,
    boolean locked,
    Extras extras)
    implements Item {

  public static final List<Channel> CHANNELS =
      List.of(Channel.X, Channel.Y, Channel.SCALE, Channel.ROTATION, Channel.OPACITY);

  /** SVG path data in the drawing's pixels, filled with 0xRRGGBB. */
  public record Part(String data, int fill, Extras extras) {}

  /** The value of a channel that a document leaves out. */
  public static double start(Channel c) {
    return c == Channel.SCALE ? 1 : c == Channel.OPACITY ? 100 : 0;
  }

  @Override
  public Picture with(Channel c, Movable m) {
    return new Picture(id, name, parts, Values.with(values, c, m), hidden, locked, extras);
  }
}
