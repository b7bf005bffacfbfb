package rovingglyph.server;

import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A program of this server's own that is run as a process, for {@link LimitedProcess}. */
public final class JavaProgram {
  private JavaProgram() {}

  /**
   * The command that runs it, small and quickly there.
   *
   * @param heap as of java's -Xmx
   */
  public static List<String> command(Class<?> main, String heap, String... arguments) {
    List<String> out = new ArrayList<>();
    out.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    out.add("-Xmx" + heap);
    out.addAll(
        List.of(
            "-XX:+UseSerialGC",
            "-XX:TieredStopAtLevel=1",
            "-XX:CompressedClassSpaceSize=32m",
            "-XX:ReservedCodeCacheSize=32m",
            "-Xshare:auto",
            "-cp",
            classPath(),
            main.getName()));
    out.addAll(List.of(arguments));
    return out;
  }

  /** This program's own; the other works in another folder. */
  private static String classPath() {
    return Stream.of(System.getProperty("java.class.path").split(File.pathSeparator))
        .map(p -> Path.of(p).toAbsolutePath().toString())
        .collect(Collectors.joining(File.pathSeparator));
  }
}
