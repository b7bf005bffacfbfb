package rovingglyph.scene;

/**
 * What every guide path has.
 *
 * @param hidden not shown on the stage
 * @param locked not to be edited by handles
 */
public record PathLabel(
    String id, String name, boolean hidden, boolean locked, UnknownFields extras) {
  /** A path neither hidden nor locked. */
  public PathLabel(String id, String name) {
    this(id, name, false, false, UnknownFields.NONE);
  }

  /** The same under another id and name. */
  public PathLabel named(String newId, String newName) {
    return new PathLabel(newId, newName, hidden, locked, extras);
  }

  /** The same hidden or not, locked or not. */
  public PathLabel shown(boolean nowHidden, boolean nowLocked) {
    return new PathLabel(id, name, nowHidden, nowLocked, extras);
  }
}
