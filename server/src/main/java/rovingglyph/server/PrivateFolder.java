package rovingglyph.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Comparator;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A folder of this process alone, open to nobody else, for everything that is written for a while:
 * unpacked native libraries, files being made, logs of child processes. It goes with the process;
 * what a killed one has left is swept by the next.
 */
public final class PrivateFolder {
  private static final String NAME = "roving-glyph-";

  private PrivateFolder() {}

  /**
   * Makes the folder and has all temporary files of this JVM go there. To be called before anything
   * else, since the JVM looks only once where they go.
   */
  public static void use() {
    try {
      Path parent = Path.of(System.getProperty("java.io.tmpdir"));
      sweep(parent);
      String own = NAME + ProcessHandle.current().pid() + "-" + UUID.randomUUID();
      Path folder =
          Files.createDirectory(
              parent.resolve(own),
              PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
      System.setProperty("java.io.tmpdir", folder.toString());
      Runtime.getRuntime().addShutdownHook(new Thread(() -> delete(folder)));
    } catch (IOException e) {
      throw new UncheckedIOException(
          "A folder for temporary files cannot be made; is the disk full? " + e.getMessage(), e);
    }
  }

  private static void sweep(Path parent) throws IOException {
    try (DirectoryStream<Path> left = Files.newDirectoryStream(parent, NAME + "*")) {
      for (Path p : left) {
        String pid = p.getFileName().toString().substring(NAME.length()).split("-", 2)[0];
        boolean gone = pid.matches("\\d{1,9}") && ProcessHandle.of(Long.parseLong(pid)).isEmpty();
        if (gone && Files.isWritable(p) && Files.isDirectory(p) && !Files.isSymbolicLink(p)) {
          delete(p);
        }
      }
    }
  }

  private static void delete(Path folder) {
    try (Stream<Path> all = Files.walk(folder)) {
      all.sorted(Comparator.reverseOrder()).forEach(p -> p.toFile().delete());
    } catch (IOException | UncheckedIOException e) {
      // Another node sweeps the same folder, or it is not ours to take away.
    }
  }
}
