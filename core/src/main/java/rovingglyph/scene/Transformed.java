package rovingglyph.scene;

import java.util.List;
import rovingglyph.geometry.Point;

/** An item that is put somewhere as a whole: its centre at (x, y), scaled and turned about that. */
public sealed interface Transformed extends Item
    permits Drawing, Group, ColourField, Bitmapped, Inset {
  List<Channel> CHANNELS =
      List.of(Channel.X, Channel.Y, Channel.SCALE, Channel.ROTATION, Channel.OPACITY);

  /** In the pixels of what it holds. */
  Point centre();

  /** The item with another centre; nothing else of it changes. */
  Transformed about(Point newCentre);

  /** The value of a channel that a document leaves out, for a centre. */
  static double start(Channel c, Point centre) {
    if (c == Channel.X || c == Channel.Y) {
      return c == Channel.X ? centre.x() : centre.y();
    }
    return c == Channel.SCALE ? 1 : c == Channel.OPACITY ? 100 : 0;
  }
}
