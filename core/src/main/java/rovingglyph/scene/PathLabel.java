package rovingglyph.scene;

/**
 * What every guide path has.
 *
 * @param hidden not shown on the stage
 * @param locked not to be edited by handles
 * @param pin null where it is not pinned to footage
 */
public record PathLabel(
    String id, String name, boolean hidden, boolean locked, Pin pin, UnknownFields extras) {
  /** A path neither hidden nor locked. */
  public PathLabel(String id, String name) {
    this(id, name, false, false, null, UnknownFields.NONE);
  }

  /** The same under another id and name. */
  public PathLabel named(String newId, String newName) {
    return new PathLabel(newId, newName, hidden, locked, pin, extras);
  }

  /** The same hidden or not, locked or not. */
  public PathLabel shown(boolean nowHidden, boolean nowLocked) {
    return new PathLabel(id, name, nowHidden, nowLocked, pin, extras);
  }

  /** The same pinned to footage, or with null not. */
  public PathLabel pinned(Pin newPin) {
    return new PathLabel(id, name, hidden, locked, newPin, extras);
  }
}
