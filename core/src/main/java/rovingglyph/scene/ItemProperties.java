package rovingglyph.scene;

/**
 * What every item has, whatever its kind.
 *
 * @param name as lists show it; empty where the item is called by what it holds
 * @param shownFrom seconds; the item is there at this time and after it. Minus infinity where it is
 *     there from the start
 * @param shownTo seconds, greater than {@code shownFrom}; the item is there before this time. Plus
 *     infinity where it stays to the end
 */
public record ItemProperties(
    String id, String name, double shownFrom, double shownTo, boolean hidden, boolean locked) {

  /** Seconds. A document's time is a decimal and a frame's a fraction: these mean the same one. */
  private static final double SAME_TIME = 1e-6;

  /** Always there, neither hidden nor locked. */
  public ItemProperties(String id, String name) {
    this(id, name, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, false, false);
  }

  /** The same with other times; from must be less than to. */
  public ItemProperties shown(double from, double to) {
    return new ItemProperties(id, name, from, to, hidden, locked);
  }

  /** Whether the item is there at a time in seconds. */
  public boolean shownAt(double time) {
    return time >= shownFrom - SAME_TIME && time < shownTo - SAME_TIME;
  }

  /** Whether it is there at all times. */
  public boolean alwaysShown() {
    return shownFrom == Double.NEGATIVE_INFINITY && shownTo == Double.POSITIVE_INFINITY;
  }
}
