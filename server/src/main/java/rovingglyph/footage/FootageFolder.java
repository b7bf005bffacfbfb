package rovingglyph.footage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.FootageSource;

/**
 * The footage in a folder, beside pictures from elsewhere: the files that a server keeps under the
 * id which documents name, and those that are called so, whatever their extension.
 */
public final class FootageFolder implements Bitmaps {
  private final Path folder;
  private final Bitmaps pictures;
  private final Map<String, FootageSource> read = new HashMap<>();

  /**
   * The footage in a folder; each file is read when it is first asked for.
   *
   * @throws IOException if it is no folder
   */
  public FootageFolder(Path folder, Bitmaps pictures) throws IOException {
    if (!Files.isDirectory(folder)) {
      throw new IOException(folder + " is no folder: give one with the footage of the scene");
    }
    // Programs read the files from other folders.
    this.folder = folder.toAbsolutePath();
    this.pictures = pictures;
  }

  @Override
  public List<Level> levels(String image) {
    return pictures.levels(image);
  }

  @Override
  public synchronized FootageSource footage(String image) throws IOException {
    FootageSource known = read.get(image);
    if (known != null) {
      return known;
    }
    try (Stream<Path> all = Files.list(folder)) {
      for (Path f : all.filter(Files::isRegularFile).sorted().toList()) {
        if (isCalled(f, image) || FootageFile.id(f).equals(image)) {
          FootageSource source = read(f);
          read.put(image, source);
          return source;
        }
      }
    }
    return null;
  }

  private static boolean isCalled(Path file, String image) {
    String name = file.getFileName().toString();
    int dot = name.lastIndexOf('.');
    return (dot < 0 ? name : name.substring(0, dot)).equals(image);
  }

  private static FootageSource read(Path file) throws IOException {
    try {
      FootageFile.Facts f = FootageFile.read(file);
      double[] times = new FootageReading(file, f, p -> {}).times();
      return new FootageSource(
          file, times, f.width(), f.height(), f.opaque(), f.channels(), f.matrix());
    } catch (FootageFile.Unusable e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }
}
