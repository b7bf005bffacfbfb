package rovingglyph.edit;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import rovingglyph.document.PinCheck;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;

/**
 * Edits of a scene as small JSON objects, for callers on the other side of a bridge: {@code op}
 * names one of the {@link Commands}, the other fields are its arguments.
 */
public final class SceneEdits {
  private SceneEdits() {}

  /** {@link #apply(Scene, PreparedScene, String)} of a scene whose words are not there. */
  public static Scene apply(Scene scene, String edit) {
    return apply(scene, null, edit);
  }

  /**
   * The edited scene.
   *
   * @param prepared the same scene as it stands; null while its words are on their way
   * @throws RefusedEdit with every argument that cannot be used
   * @throws IllegalArgumentException in plain words, where there is no such edit, or what it names
   *     is not there
   */
  public static Scene apply(Scene scene, PreparedScene prepared, String edit) {
    JsonObject e = Json.parse(edit).asObject();
    Scene out =
        StartCircles.tidied(scene, command(e).apply(new Command.Target(scene, prepared), e));
    if (PinCheck.isCircular(out)) {
      throw new IllegalArgumentException("Footage cannot be held by what holds to it");
    }
    return out;
  }

  /** What an edit is called once it is done, such as "Moved a keyframe". */
  public static String done(String edit) {
    JsonObject e = Json.parse(edit).asObject();
    return command(e).done(e);
  }

  private static Command command(JsonObject edit) {
    String op = edit.getString(Command.OP, "");
    Command command = Commands.of(op);
    if (command == null) {
      throw new IllegalArgumentException("There is no edit \"" + op + "\"");
    }
    return command;
  }
}
