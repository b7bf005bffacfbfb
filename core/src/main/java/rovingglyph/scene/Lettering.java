package rovingglyph.scene;

import java.util.Map;

/**
 * A piece of text on a path.
 *
 * @param axes of a variable face by OpenType tag
 * @param tracking extra advance after every cluster, in em
 * @param fill 0xRRGGBB
 * @param path id of its path
 * @param size em in px
 * @param opacity in percent
 * @param rotation of the whole lettering about the centre of its path, in degrees
 */
public record Lettering(
    String id,
    String text,
    String face,
    Map<String, Double> axes,
    double tracking,
    int fill,
    String path,
    Seat seat,
    Movable size,
    Movable opacity,
    Movable rotation,
    boolean hidden,
    boolean locked,
    Extras extras)
    implements Item {

  @Override
  public Movable movable(Channel c) {
    return switch (c) {
      case PATH_OFFSET -> seat.pathOffset();
      case START_MARGIN -> seat.startMargin();
      case END_MARGIN -> seat.endMargin();
      case BASELINE_SHIFT -> seat.baselineShift();
      case SIZE -> size;
      case OPACITY -> opacity;
      case ROTATION -> rotation;
      default -> null;
    };
  }

  @Override
  public Lettering with(Channel c, Movable m) {
    return new Lettering(
        id,
        text,
        face,
        axes,
        tracking,
        fill,
        path,
        seat.with(c, m),
        c == Channel.SIZE ? m : size,
        c == Channel.OPACITY ? m : opacity,
        c == Channel.ROTATION ? m : rotation,
        hidden,
        locked,
        extras);
  }

  public Lettering with(Seat newSeat) {
    return on(path, newSeat);
  }

  /** The lettering on another path. */
  public Lettering on(String newPath, Seat newSeat) {
    return new Lettering(
        id, text, face, axes, tracking, fill, newPath, newSeat, size, opacity, rotation, hidden,
        locked, extras);
  }
}
