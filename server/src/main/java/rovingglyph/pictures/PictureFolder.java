package rovingglyph.pictures;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import rovingglyph.render.Bitmaps;

/**
 * The pictures in a folder: those that a server keeps under the id which documents name, and those
 * whose file is called so, whatever its extension.
 */
public final class PictureFolder implements Bitmaps {
  private final Path folder;
  private final Map<String, Optional<PictureFile.Read>> read = new HashMap<>();

  /**
   * The pictures of a folder; each is read when it is first asked for.
   *
   * @throws IOException if it is no folder
   */
  public PictureFolder(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      throw new IOException(folder + " is no folder: give one with the pictures of the scene");
    }
    this.folder = folder;
  }

  @Override
  public synchronized List<Level> levels(String image) {
    return file(image).map(PictureFile.Read::levels).orElse(List.of());
  }

  /** What the file of a picture is; empty where there is none. */
  public synchronized Optional<PictureFile.Read> file(String image) {
    return read.computeIfAbsent(image, this::find);
  }

  private Optional<PictureFile.Read> find(String image) {
    try (Stream<Path> all = Files.list(folder)) {
      for (Path f : all.filter(Files::isRegularFile).sorted().toList()) {
        if (stem(f).equals(image) || hasId(f, image)) {
          return Optional.of(read(f));
        }
      }
      return Optional.empty();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean hasId(Path file, String id) throws IOException {
    return Files.size(file) <= PictureFile.LARGEST
        && PictureFile.id(Files.readAllBytes(file)).equals(id);
  }

  private static String stem(Path file) {
    String name = file.getFileName().toString();
    int dot = name.lastIndexOf('.');
    return dot < 0 ? name : name.substring(0, dot);
  }

  private static PictureFile.Read read(Path file) throws IOException {
    try {
      if (Files.size(file) > PictureFile.LARGEST) {
        throw new IOException(file + " has more than 40 MB; make it smaller");
      }
      return PictureFile.read(Files.readAllBytes(file));
    } catch (PictureFile.Unusable e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }
}
