package rovingglyph.archive;

import java.io.IOException;
import java.util.List;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.scene.UnknownItem;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;

/** Sees that every scene of a project file can be used, and that none holds itself. */
final class ContainedScenes {
  /** Characters of all scenes together that show others; they are looked at all at once. */
  private static final long MOST_SHOWING = 40_000_000;

  private ContainedScenes() {}

  /**
   * Looks at all of them.
   *
   * @param notes to which what will not be as it was is added
   */
  static void check(ProjectFile file, List<String> notes)
      throws IOException, UnusableFileException {
    List<Contents.Part> parts = file.contents().of(PartKind.SCENE);
    SceneShelf showing = new SceneShelf();
    long length = 0;
    for (Contents.Part p : parts) {
      String document = file.text(PartKind.SCENE, p);
      Scene scene = read(p, document, notes);
      // Only those that show others can be in a circle.
      if (!scene.insets().isEmpty()) {
        length += document.length();
        showing.put(p.id(), scene);
      }
      if (length > MOST_SHOWING) {
        throw new UnusableFileException(
            "The scenes that show others have more than %d million characters together"
                .formatted(MOST_SHOWING / 1_000_000));
      }
    }
    for (Contents.Part p : parts) {
      if (showing.has(p.id())) {
        checkShown(p, showing);
      }
    }
  }

  private static Scene read(Contents.Part part, String document, List<String> notes)
      throws UnusableFileException {
    Scene scene;
    try {
      scene = SceneCodec.read(document);
    } catch (DocumentException e) {
      throw new UnusableFileException(part.file() + ": " + told(e));
    }
    long unknown = scene.items().values().stream().filter(i -> i instanceof UnknownItem).count();
    if (unknown > 0) {
      notes.add(
          "“%s” has %d %s of a kind that this version does not know: kept, but not painted"
              .formatted(scene.name(), unknown, unknown == 1 ? "item" : "items"));
    }
    return scene;
  }

  private static void checkShown(Contents.Part part, SceneShelf showing)
      throws UnusableFileException {
    Scene scene = showing.get(part.id());
    if (!showing.circle(part.id(), scene).isEmpty()) {
      throw new UnusableFileException(part.file() + ": the scene would show itself");
    }
    if (showing.count(scene) > SceneShelf.MOST_INSETS) {
      throw new UnusableFileException(
          part.file() + ": with those in the scenes shown, there are too many insets");
    }
  }

  /** The first of what is wrong, and how much more there is. */
  static String told(DocumentException e) {
    List<Problem> all = e.problems();
    return all.get(0).sentence() + (all.size() > 1 ? " (and " + (all.size() - 1) + " more)" : "");
  }
}
