package rovingglyph.document;

import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.schema.JsonText;
import rovingglyph.schema.Problem;
import rovingglyph.schema.Schema;

/** Scenes from and to JSON; docs/scene-format.md describes the document. */
public final class SceneCodec {
  public static final String FORMAT = "roving-glyph-scene";
  public static final int VERSION = 2;

  static final String VERSION_FIELD = "version";

  /** The longest document that is read, in characters. */
  public static final int LONGEST = 4_000_000;

  private SceneCodec() {}

  /**
   * Reads a document.
   *
   * @throws DocumentException with every problem found; nothing of the document is used then
   */
  public static Scene read(String json) {
    List<Problem> problems = new ArrayList<>();
    JsonValue value = JsonText.read(json, LONGEST, problems);
    List<Problem> found = new ArrayList<>();
    Scene scene = value == null ? null : read(value, found);
    // What is no number or text at all is not told again as one out of range.
    Set<String> told = new HashSet<>();
    problems.forEach(p -> told.add(p.path()));
    found.stream().filter(p -> !told.contains(p.path())).forEach(problems::add);
    if (!problems.isEmpty()) {
      throw new DocumentException(problems);
    }
    return scene;
  }

  /**
   * A document that an earlier version kept, without what that version left behind by mistake: path
   * keyframes on one frame, or at cues that are gone. One that has nothing of it comes back as it
   * is.
   */
  public static String healed(String json) {
    List<Problem> problems = new ArrayList<>();
    JsonValue value = JsonText.read(json, Integer.MAX_VALUE, problems);
    Scene scene = value == null ? null : read(value, new ArrayList<>());
    if (scene == null || !problems.isEmpty()) {
      return json;
    }
    Scene healed = KeyframeCheck.healed(scene);
    return healed == scene ? json : write(healed);
  }

  private static Scene read(JsonValue json, List<Problem> problems) {
    Fields f = new Fields(json, "$", problems);
    String format = f.text("format", 80, "");
    if (!FORMAT.equals(format)) {
      f.problem("format", "this is not a scene document", FORMAT);
      return null;
    }
    int version = f.integer(VERSION_FIELD, 0, Integer.MAX_VALUE, 0);
    if (version < 1 || version > VERSION) {
      f.problem(VERSION_FIELD, "version " + version + " is not known here", "1 to " + VERSION);
      return null;
    }
    return SceneSchema.SCENE.read(f).spanned();
  }

  /** The document of a scene, unknown fields included. */
  public static String write(Scene scene) {
    return SceneSchema.SCENE.text(scene);
  }

  /** The table of the whole document, for all that describes it. */
  public static Schema<Scene> schema() {
    return SceneSchema.SCENE;
  }

  static String seconds(double t) {
    return Decimal.text(t, 3) + " s";
  }
}
