package rovingglyph.shaping;

/** Where typefaces come from. */
public interface FaceSource {
  /** Null if there is none with this id. */
  Face find(String id);

  /** Characters that a face lacks are drawn in this one; it is always there. */
  Face fallback();
}
