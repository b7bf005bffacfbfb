package rovingglyph.scene;

/**
 * A line across the whole stage that things catch on when they are dragged; never in the output.
 *
 * @param upright or level
 * @param at px from the left edge of the frame, of a level one from the top
 */
public record Guide(String id, boolean upright, double at, UnknownFields extras) {
  /** The same somewhere else. */
  public Guide movedTo(double px) {
    return new Guide(id, upright, px, extras);
  }
}
