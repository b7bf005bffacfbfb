package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Space;

/** An item that holds no others, ready to be evaluated at any time in seconds. */
public interface PreparedItem {
  /** Its opacity, 0 to 1; 1 where its parts are faded one by one. */
  double opacity(double time);

  /**
   * Whether parts of it lie over each other, so that it has to be faded as a whole: else they would
   * show through.
   */
  boolean overlaps(double time);

  /**
   * Adds what is seen of it to a frame, in the pixels round it.
   *
   * @param opacity what it is painted with: {@link #opacity}, or 1 where it is faded as a whole
   * @param outlines that it has
   */
  void paint(Frame frame, double time, double opacity, Outlines outlines);

  /** What of it is outlined, in the pixels round it. */
  List<ItemShape> shapes(double time);

  /** Whether it is more than a flat picture: parts of it stand in planes of their own. */
  default boolean isDeep() {
    return false;
  }

  /**
   * What of it is outlined: of one that {@link #isDeep} as it is seen, else as {@link
   * #shapes(double)} tells it.
   *
   * @param space how things in it are seen
   */
  default List<ItemShape> shapes(double time, Space space) {
    return shapes(time);
  }

  /** Whether nothing beneath its shapes is seen through them at any time, but for its opacity. */
  boolean solid();

  /**
   * Whether its ink reaches into a part of the frame.
   *
   * @param spot the part, with the map of the groups round the item
   */
  boolean touches(double time, Window spot);
}
