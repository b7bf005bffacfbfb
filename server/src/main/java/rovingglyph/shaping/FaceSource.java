package rovingglyph.shaping;

/** Where typefaces come from. */
public interface FaceSource {
  /** Null if there is none with this id. */
  Face find(String id);

  /** Characters that a face lacks are drawn in this one; it is always there. */
  Face fallback();

  /** The face for characters of a script that the {@link #fallback()} lacks too; null for none. */
  Face fallback(Character.UnicodeScript script);
}
