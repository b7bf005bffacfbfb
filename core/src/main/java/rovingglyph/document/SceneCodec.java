package rovingglyph.document;

import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Blur;
import rovingglyph.scene.Clip;
import rovingglyph.scene.Cue;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;

/** Scenes from and to JSON; docs/scene-format.md describes the document. */
public final class SceneCodec {
  public static final String FORMAT = "roving-glyph-scene";
  public static final int VERSION = 2;

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
    int version = f.integer("version", 0, Integer.MAX_VALUE, 0);
    if (version < 1 || version > VERSION) {
      f.problem("version", "version " + version + " is not known here", "1 to " + VERSION);
      return null;
    }
    List<GuidePath> paths = f.list("paths", 1000, PathCodec::read);
    List<ItemList.Entry> entries = ItemList.read(f, version);
    Map<String, Item> items = ItemList.byId(entries);
    Map<String, String> places = ItemList.places(entries);
    FrameRate rate = rate(f);
    Scene scene =
        new Scene(
            f.text("name", 200, "Untitled"),
            f.integer("width", 16, 8192, 1920),
            f.integer("height", 16, 8192, 1080),
            rate,
            f.number("length", 1.0 / 120, 3600, 6),
            f.colour("background", null),
            paths,
            items,
            f.list("templates", 20, TransformedCodec::readTemplate),
            cues(f),
            f.get("blur") == null ? Blur.NONE : blur(f.object("blur")),
            GroupCheck.stack(f, items, places),
            f.rest());
    checkReferences(scene, entries, f);
    KeyframeCheck.check(scene, places, problems);
    FollowCheck.check(scene, places, problems);
    return scene.spanned();
  }

  private static List<Cue> cues(Fields f) {
    List<Cue> out =
        new ArrayList<>(
            f.list(
                "cues",
                1000,
                c ->
                    new Cue(
                        c.id("id"),
                        c.text("name", 200, "Cue"),
                        c.number("time", 0, AnimatedValueCodec.LATEST, 0),
                        c.rest())));
    out.sort(Comparator.comparingDouble(Cue::time));
    return List.copyOf(out);
  }

  private static Blur blur(Fields f) {
    return new Blur(f.number("angle", 0, 720, 0), f.integer("samples", 2, 64, 8), f.rest());
  }

  private static String write(Cue c) {
    return Writer.object()
        .add("id", c.id())
        .add("name", c.name())
        .add("time", c.time())
        .rest(c.extras())
        .text();
  }

  private static String write(Blur b) {
    return Writer.object()
        .add("angle", b.angle())
        .add("samples", b.samples())
        .rest(b.extras())
        .text();
  }

  private static FrameRate rate(Fields f) {
    FrameRate rate = FrameRate.parse(f.text("rate", 20, "25"));
    if (rate != null) {
      return rate;
    }
    f.problem("rate", "is not a frame rate", "1 to 120 as text, such as 25 or 30000/1001");
    return new FrameRate(25, 1);
  }

  private static void checkReferences(Scene scene, List<ItemList.Entry> entries, Fields f) {
    Set<String> ids = new LinkedHashSet<>();
    for (int i = 0; i < scene.paths().size(); i++) {
      unique(ids, scene.paths().get(i).id(), "paths[" + i + "].id", f);
    }
    for (ItemList.Entry e : entries) {
      unique(ids, e.item().id(), e.place() + ".id", f);
      if (e.item() instanceof Lettering l && scene.path(l.path()) == null) {
        f.problem(e.place() + ".path", "no path has the id \"" + l.path() + "\"", "");
      }
      Clip clip = e.item().properties().clip();
      if (clip != null && scene.path(clip.path()) == null) {
        f.problem(e.place() + ".clip.path", "no path has the id \"" + clip.path() + "\"", "");
      }
    }
    for (int i = 0; i < scene.templates().size(); i++) {
      unique(ids, scene.templates().get(i).id(), "templates[" + i + "].id", f);
    }
    for (int i = 0; i < scene.cues().size(); i++) {
      unique(ids, scene.cues().get(i).id(), "cues[" + i + "].id", f);
    }
  }

  private static void unique(Set<String> ids, String id, String field, Fields f) {
    if (!ids.add(id)) {
      f.problem(field, "\"" + id + "\" is used twice", "an id of its own");
    }
  }

  /** The document of a scene, unknown fields included. */
  public static String write(Scene scene) {
    return Writer.object()
        .add("format", FORMAT)
        .add("version", VERSION)
        .add("name", scene.name())
        .add("width", scene.width())
        .add("height", scene.height())
        .add("rate", scene.rate().text())
        .add("length", scene.length())
        .colour("background", scene.background())
        .list("paths", scene.paths(), PathCodec::write)
        .list("items", List.copyOf(scene.items().values()), ItemList::write)
        .list("templates", scene.templates(), TransformedCodec::write)
        .list("cues", scene.cues(), SceneCodec::write)
        .json("blur", write(scene.blur()))
        .texts("stack", scene.stack())
        .rest(scene.extras())
        .text();
  }

  static String seconds(double t) {
    return Decimal.text(t, 3) + " s";
  }
}
