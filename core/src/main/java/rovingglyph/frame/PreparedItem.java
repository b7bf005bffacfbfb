package rovingglyph.frame;

/** An item that holds no others, ready to be evaluated at any time in seconds. */
public interface PreparedItem {
  /**
   * Its opacity as a whole, 0 to 1, where parts of it lie over each other: they do not show through
   * then. What it paints is to be faded by this.
   */
  double wholeAlpha(double time);

  /** Adds what is seen of it to a frame, in the pixels round it; without {@link #wholeAlpha}. */
  void paint(Frame frame, double time);

  /**
   * Whether its ink reaches into a part of the frame.
   *
   * @param spot the part, with the map of the groups round the item
   */
  boolean touches(double time, Window spot);
}
