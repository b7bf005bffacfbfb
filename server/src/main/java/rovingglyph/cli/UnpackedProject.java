package rovingglyph.cli;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.ParseException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import rovingglyph.archive.Contents;
import rovingglyph.archive.Names;
import rovingglyph.archive.PartKind;
import rovingglyph.archive.ProjectFile;
import rovingglyph.archive.UnusableFileException;
import rovingglyph.document.SceneBundle;
import rovingglyph.scene.Scene;

/**
 * A scene of a project file with those that it shows, and what they need in folders that go with
 * the process. Files in these are called by the ids that they are looked for by.
 *
 * @param pictures the ids of the project's by their names
 */
record UnpackedProject(Scene scene, Path folder, Map<String, String> pictures) {
  /** Whether a file is a ZIP by how it begins. */
  static boolean isOne(Path file) throws IOException {
    if (!Files.isRegularFile(file)) {
      return false;
    }
    try (InputStream in = Files.newInputStream(file)) {
      byte[] head = in.readNBytes(2);
      return head.length == 2 && head[0] == 'P' && head[1] == 'K';
    }
  }

  /**
   * Takes a scene out of a project file.
   *
   * @param named its name or id; null where the file has one alone
   * @param all whether typefaces and pictures are unpacked that the scene does not name
   * @throws Refused if the file cannot be used, or has no such scene
   */
  static UnpackedProject of(Path file, String named, boolean all) throws IOException {
    try (ProjectFile zip = ProjectFile.open(file)) {
      Contents.Part part = part(zip.contents().of(PartKind.SCENE), named);
      Map<String, String> documents = reached(zip, part);
      Set<String> used = new HashSet<>();
      documents.values().forEach(d -> Names.collect(Json.parse(d), used));
      Scene scene = SceneBundle.filled(documents.get(part.id()), documents);
      Map<String, String> pictures = new HashMap<>();
      zip.contents().of(PartKind.PICTURE).forEach(p -> pictures.put(p.name(), p.id()));
      if (all) {
        zip.contents().of(PartKind.PICTURE).forEach(p -> used.add(p.id()));
        zip.contents().of(PartKind.TYPEFACE).forEach(p -> used.add(p.id()));
      }
      Path folder = Files.createTempDirectory("roving-project");
      for (PartKind kind : List.of(PartKind.PICTURE, PartKind.FOOTAGE, PartKind.TYPEFACE)) {
        unpack(zip, kind, used, Files.createDirectory(folder.resolve(kind.list())));
      }
      return new UnpackedProject(scene, folder, pictures);
    } catch (UnusableFileException | ProjectFile.BadPartException | ParseException e) {
      throw new Refused(file + ": " + e.getMessage());
    }
  }

  private static Contents.Part part(List<Contents.Part> scenes, String named) {
    List<Contents.Part> found =
        scenes.stream()
            .filter(p -> named == null || p.id().equals(named) || p.name().equals(named))
            .toList();
    if (found.size() == 1) {
      return found.get(0);
    }
    String all = scenes.stream().map(p -> "\n  " + p.name()).collect(Collectors.joining());
    String what =
        named == null
            ? "The file has several scenes; choose one with --scene"
            : (found.isEmpty() ? "There is no scene " : "Several scenes are called ")
                + "\""
                + named
                + "\"";
    throw new Refused(what + ":" + all);
  }

  /** The documents of a scene and of all that it shows, by their ids. */
  private static Map<String, String> reached(ProjectFile zip, Contents.Part first)
      throws IOException, UnusableFileException {
    Map<String, Contents.Part> all = new LinkedHashMap<>();
    zip.contents().of(PartKind.SCENE).forEach(p -> all.put(p.id(), p));
    Map<String, String> out = new LinkedHashMap<>();
    Set<String> next = new LinkedHashSet<>(Set.of(first.id()));
    while (!next.isEmpty()) {
      Set<String> named = new LinkedHashSet<>();
      for (String id : next) {
        out.put(id, zip.text(PartKind.SCENE, all.get(id)));
        Names.collect(Json.parse(out.get(id)), named);
      }
      named.retainAll(all.keySet());
      named.removeAll(out.keySet());
      next = named;
    }
    return out;
  }

  private static void unpack(ProjectFile zip, PartKind kind, Set<String> used, Path into)
      throws IOException, UnusableFileException {
    for (Contents.Part p : zip.contents().of(kind)) {
      if (used.contains(p.id())) {
        String end = p.file().replaceAll(".*\\.([a-z0-9]{1,5})$", ".$1");
        // The id has letters, digits and hyphens only, whatever the file in the ZIP is called.
        Path to = into.resolve(p.id() + (end.matches("\\.[a-z0-9]{1,5}") ? end : ""));
        try (InputStream in = zip.stream(kind, p)) {
          Files.copy(in, to);
        }
      }
    }
  }

  /** The folder with what there is of a kind. */
  Path folder(PartKind kind) {
    return folder.resolve(kind.list());
  }
}
