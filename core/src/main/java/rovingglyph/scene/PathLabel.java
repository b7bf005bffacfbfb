package rovingglyph.scene;

/**
 * What every guide path has.
 *
 * @param hidden not shown on the stage
 * @param locked not to be edited by handles
 */
public record PathLabel(
    String id, String name, boolean hidden, boolean locked, UnknownFields extras) {
  public PathLabel(String id, String name) {
    this(id, name, false, false, UnknownFields.NONE);
  }

  public PathLabel named(String newId, String newName) {
    return new PathLabel(newId, newName, hidden, locked, extras);
  }

  public PathLabel shown(boolean nowHidden, boolean nowLocked) {
    return new PathLabel(id, name, nowHidden, nowLocked, extras);
  }
}
