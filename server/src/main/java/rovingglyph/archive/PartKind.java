package rovingglyph.archive;

import java.util.Locale;
import rovingglyph.document.SceneCodec;
import rovingglyph.footage.FootageFile;
import rovingglyph.pictures.PictureFile;
import rovingglyph.shaping.FontFile;

/** The kinds of parts that a project file holds, each in a folder and a list of that name. */
public enum PartKind {
  /** A part is a scene document. */
  SCENE("scenes", 500, 4L * SceneCodec.LONGEST),
  PICTURE("pictures", 500, PictureFile.LARGEST),
  FOOTAGE("footage", 200, FootageFile.LARGEST),
  TYPEFACE("typefaces", 100, FontFile.LARGEST),
  /** Pictures that are traced over, which no output shows. */
  TEMPLATE("templates", 2000, 12_000_000),
  CURVE("curves", 500, 4_000_000),
  EASING("easings", 100, 80_000),
  FINISH("finishes", 100, 80_000),
  FILE_SET("file-sets", 100, 80_000),
  /** The table of a scene, whose id it tells. */
  SERIES("series", 500, 24_000_000);

  private final String list;
  private final int most;
  private final long largest;

  PartKind(String list, int most, long largest) {
    this.list = list;
    this.most = most;
    this.largest = largest;
  }

  /** The kind of parts that a table of kept parts has. */
  static PartKind of(String table) {
    return valueOf(table.toUpperCase(Locale.ROOT));
  }

  /** Its list in project.json, and its folder. */
  public String list() {
    return list;
  }

  /** Whether others name such parts by an id. */
  boolean isNamed() {
    return compareTo(CURVE) < 0;
  }

  /** Parts of the kind that one file holds at most. */
  int most() {
    return most;
  }

  /** Bytes of one part at most. */
  long largest() {
    return largest;
  }
}
