package rovingglyph.values;

/** What values may name beside a scene: typefaces and pictures, by their names or ids. */
public interface Assets {
  /** A picture with its natural size, px. */
  record KnownPicture(String id, int width, int height) {}

  /** The id of a typeface; null where none is called so. */
  String face(String name);

  /** Null where no picture is called so. */
  KnownPicture picture(String name);
}
