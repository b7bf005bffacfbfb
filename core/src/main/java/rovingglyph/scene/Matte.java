package rovingglyph.scene;

/**
 * Of an item only so much is seen as another one covers, hidden or not. That one is measured as it
 * stands in the frame, with its effects, clip and opacity.
 *
 * @param item id of the other one
 * @param inverted whether what it leaves is seen instead
 */
public record Matte(String item, By by, boolean inverted, UnknownFields extras) {
  /** What of the other one is measured. */
  public enum By {
    /** How opaque it is. */
    ALPHA,
    /** How light it is, as SVG's masks have it; nothing is dark. */
    LUMINANCE
  }
}
