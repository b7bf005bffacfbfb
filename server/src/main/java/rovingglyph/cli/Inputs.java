package rovingglyph.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.archive.PartKind;
import rovingglyph.document.SceneBundle;
import rovingglyph.document.SceneCodec;
import rovingglyph.footage.FootageFolder;
import rovingglyph.pictures.PictureFolder;
import rovingglyph.render.Bitmaps;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.values.SceneValues;

/** What a command reads: a document or a project file, and folders with what the scene needs. */
final class Inputs {
  private Path fonts;
  private Path pictures;
  private Path footage;
  private Path scenes;
  private String named;
  private Map<String, String> pictureNames = Map.of();
  private FaceCatalogue faces;

  /** Takes an option, if it is one about these. */
  boolean take(String option, String value) {
    switch (option) {
      case "--fonts" -> fonts = Path.of(value);
      case "--pictures" -> pictures = Path.of(value);
      case "--footage" -> footage = Path.of(value);
      case "--scenes" -> scenes = folder(value);
      case "--scene" -> named = value;
      default -> {
        return false;
      }
    }
    return true;
  }

  private static Path folder(String value) {
    Path out = Path.of(value);
    if (!Files.isDirectory(out)) {
      throw new Refused(out + " is no folder: give one with the scenes that are shown");
    }
    return out.toAbsolutePath();
  }

  /**
   * The scene of a document or a project file, with values.
   *
   * @param all whether typefaces and pictures may be asked for that the scene does not name
   */
  Scene scene(Path document, List<SceneValues.Value> values, boolean all) throws IOException {
    Scene scene = scene(document, all);
    return values.isEmpty() ? scene : SceneValues.applied(scene, values, assets());
  }

  /**
   * With the scenes that its insets show, those named by ids and those in them. What a project file
   * has beside them is used where nothing else is given.
   */
  private Scene scene(Path document, boolean all) throws IOException {
    if (UnpackedProject.isOne(document)) {
      UnpackedProject project = UnpackedProject.of(document, named, all);
      pictureNames = project.pictures();
      fonts = fonts == null ? project.folder(PartKind.TYPEFACE) : fonts;
      pictures = pictures == null ? project.folder(PartKind.PICTURE) : pictures;
      footage = footage == null ? project.folder(PartKind.FOOTAGE) : footage;
      return project.scene();
    }
    if (named != null) {
      throw new Refused("--scene chooses one of a project file; " + document + " is none");
    }
    Scene scene = SceneBundle.read(text(document));
    if (scenes == null) {
      return scene;
    }
    SceneShelf shelf = new SceneShelf();
    Set<String> tried = new HashSet<>();
    Set<String> next = shelf.missing(scene);
    while (tried.addAll(next)) {
      for (String id : next) {
        Path file = scenes.resolve(id + ".json").normalize();
        if (file.getParent().equals(scenes.normalize()) && Files.isRegularFile(file)) {
          shelf.put(id, SceneCodec.read(text(file)));
        }
      }
      next = shelf.missing(scene);
    }
    return shelf.filled(scene);
  }

  private static String text(Path file) throws IOException {
    if (Files.isRegularFile(file) && Files.size(file) > 4L * SceneCodec.LONGEST) {
      throw new Refused(file + " is larger than a scene document can be");
    }
    return new String(Files.readAllBytes(file), StandardCharsets.UTF_8);
  }

  /** The pictures and footage of the folders. */
  Bitmaps bitmaps() throws IOException {
    Bitmaps still = pictures == null ? Bitmaps.NONE : new PictureFolder(pictures);
    return footage == null ? still : new FootageFolder(footage, still);
  }

  /** What values may name. */
  FolderAssets assets() throws IOException {
    return new FolderAssets(
        faces(), pictures == null ? null : new PictureFolder(pictures), pictureNames);
  }

  /** The shipped typefaces, and those of the folder. */
  FaceCatalogue faces() throws IOException {
    if (faces == null) {
      faces = fonts == null ? FaceCatalogue.shipped() : FaceCatalogue.shipped().with(fonts);
    }
    return faces;
  }
}
