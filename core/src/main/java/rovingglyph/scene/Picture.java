package rovingglyph.scene;

import java.util.List;

/**
 * A drawing of filled shapes, placed with its own origin at (x, y).
 *
 * @param parts back to front
 * @param scale of the drawing's pixels
 * @param opacity in percent
 * @param rotation about the origin, in degrees
 */
public record Picture(
    String id,
    String name,
    List<Part> parts,
    double x,
    double y,
    double scale,
    Movable opacity,
    Movable rotation,
    boolean hidden,
    boolean locked,
    Extras extras)
    implements Item {

  /** SVG path data in the drawing's pixels, filled with 0xRRGGBB. */
  public record Part(String data, int fill, Extras extras) {}

  @Override
  public Movable movable(Channel c) {
    return switch (c) {
      case OPACITY -> opacity;
      case ROTATION -> rotation;
      default -> null;
    };
  }

  @Override
  public Picture with(Channel c, Movable m) {
    Movable newOpacity = c == Channel.OPACITY ? m : opacity;
    Movable newRotation = c == Channel.ROTATION ? m : rotation;
    return new Picture(
        id, name, parts, x, y, scale, newOpacity, newRotation, hidden, locked, extras);
  }
}
