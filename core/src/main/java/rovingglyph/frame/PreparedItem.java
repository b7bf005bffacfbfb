package rovingglyph.frame;

/** An item that holds no others, ready to be evaluated at any time in seconds. */
interface PreparedItem {
  /** Adds what is seen of it to a frame, in the pixels round it. */
  void paint(Frame frame, double time);

  /**
   * Whether its ink reaches into a part of the frame.
   *
   * @param spot the part, with the map of the groups round the item
   */
  boolean touches(double time, Window spot);
}
