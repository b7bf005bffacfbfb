package rovingglyph.server;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * Runs a program that reads what comes from outside, as a process of its own with limits on its
 * time, its memory and what it writes: whatever goes wrong in it stays there.
 *
 * @param seconds of computing; by the clock it may take {@link #PATIENCE} times as long
 * @param memory bytes of addresses
 * @param file bytes of the largest file that it may write
 * @param debianPackage that brings the program
 */
public record LimitedProcess(int seconds, long memory, long file, String debianPackage) {
  /** A busy machine gives a process only a part of the time. */
  private static final int PATIENCE = 3;

  private static final int NOT_FOUND = 127;
  private static final int KILLED = 128 + 9;
  private static final int OUT_OF_TIME = 128 + 24;

  /** It took longer than it may. */
  public static final class TooLong extends Exception {
    TooLong(int seconds) {
      super("more than " + seconds + " seconds");
    }
  }

  /**
   * What came of it.
   *
   * @param exit 0 where it went well
   * @param said what it wrote on its output
   * @param failed what it wrote on its errors
   */
  public record Result(int exit, List<String> said, String failed) {}

  /**
   * Runs it to its end.
   *
   * @param folder that it works in; it leaves "said" and "failed" there
   * @throws TooLong if it took longer than it may
   * @throws IOException if the program is not there, or the wait was interrupted
   */
  public Result run(Path folder, List<String> command) throws IOException, TooLong {
    Path said = folder.resolve("said");
    Path failed = folder.resolve("failed");
    List<String> limited =
        new ArrayList<>(
            List.of("prlimit", "--as=" + memory, "--cpu=" + seconds, "--fsize=" + file));
    limited.add("--core=0");
    limited.addAll(command);
    ProcessBuilder builder =
        new ProcessBuilder(limited)
            .redirectOutput(said.toFile())
            .redirectError(failed.toFile())
            .directory(folder.toFile());
    // Each of glibc's arenas counts as 64 MB of addresses.
    builder.environment().put("MALLOC_ARENA_MAX", "2");
    Process p = builder.start();
    try {
      if (!p.waitFor((long) PATIENCE * seconds, TimeUnit.SECONDS)) {
        throw new TooLong(seconds);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("Interrupted while " + command.get(0) + " was at work", e);
    } finally {
      p.destroyForcibly();
    }
    String errors = new String(Files.readAllBytes(failed), StandardCharsets.UTF_8);
    if (p.exitValue() == NOT_FOUND || errors.startsWith("prlimit: failed to execute")) {
      throw new IOException(
          "The program " + command.get(0) + " is missing: install Debian's " + debianPackage);
    }
    if (p.exitValue() == OUT_OF_TIME || p.exitValue() == KILLED) {
      throw new TooLong(seconds);
    }
    return new Result(p.exitValue(), Files.readAllLines(said, StandardCharsets.ISO_8859_1), errors);
  }
}
