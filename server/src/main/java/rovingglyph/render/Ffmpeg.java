package rovingglyph.render;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.ClosedByInterruptException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** ffmpeg as a child process, with words for what can go wrong with it. */
final class Ffmpeg {
  /** With less room than this on the disk, in bytes, it counts as full. */
  private static final long LEAST_FREE = 1 << 20;

  /** How every command begins: it says nothing but what is wrong, and never asks. */
  static final List<String> QUIET =
      List.of("ffmpeg", "-hide_banner", "-loglevel", "error", "-nostdin", "-y");

  /** What goes over its pipe. */
  interface Feed {
    void write(FileChannel pipe) throws IOException, InterruptedException;
  }

  private Ffmpeg() {}

  /**
   * Runs it to its end.
   *
   * @param out that it writes; gone if that failed
   * @throws Progress.Cancelled if nobody wants it any more
   * @throws IOException with what happened and what to do
   */
  static void run(List<String> command, Feed feed, Path out, Progress progress) throws IOException {
    Path log = Files.createTempFile("roving-ffmpeg", ".log");
    Process ffmpeg = null;
    boolean done = false;
    try {
      ffmpeg =
          new ProcessBuilder(command)
              .redirectError(log.toFile())
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      progress.child(ffmpeg);
      // Written to by its name: the pixels go over as they lie, without a copy on the heap.
      Path stdin = Path.of("/proc", Long.toString(ffmpeg.pid()), "fd", "0");
      try (OutputStream open = ffmpeg.getOutputStream();
          FileChannel pipe = FileChannel.open(stdin, StandardOpenOption.WRITE)) {
        feed.write(pipe);
      } catch (ClosedByInterruptException e) {
        throw new Progress.Cancelled();
      } catch (IOException e) {
        throw failed(progress, ffmpeg, log, out, e);
      }
      if (!ffmpeg.waitFor(10, TimeUnit.MINUTES) || ffmpeg.exitValue() != 0) {
        throw failed(progress, ffmpeg, log, out, null);
      }
      done = true;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Progress.Cancelled();
    } finally {
      if (ffmpeg != null) {
        ffmpeg.destroyForcibly();
      }
      Files.deleteIfExists(log);
      if (!done) {
        Files.deleteIfExists(out);
      }
    }
  }

  /** What to tell of it; one that was cancelled throws that by itself. */
  private static IOException failed(
      Progress progress, Process ffmpeg, Path log, Path out, IOException cause) throws IOException {
    if (progress.isCancelled()) {
      throw new Progress.Cancelled();
    }
    try {
      ffmpeg.waitFor(2, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    String said = Files.readString(log).strip();
    return new IOException(reason(ffmpeg, said, out), cause);
  }

  private static String reason(Process ffmpeg, String said, Path out) throws IOException {
    if (said.contains("No space left") || freeBytes(out) < LEAST_FREE) {
      return "The disk is full: there is no room left for the file in "
          + out.toAbsolutePath().getParent()
          + ". Make room and export again.";
    }
    if (!said.isEmpty()) {
      return "ffmpeg failed: " + said.substring(0, Math.min(said.length(), 2000));
    }
    if (ffmpeg.isAlive()) {
      return "ffmpeg did not finish the file in time. Export again.";
    }
    int exit = ffmpeg.exitValue();
    return exit > 128
        ? "ffmpeg was ended from outside (signal "
            + (exit - 128)
            + (exit == 137 ? "), perhaps since the machine had no memory left" : ")")
            + ". Export again."
        : "ffmpeg ended with code " + exit + " and gave no reason. Export again.";
  }

  private static long freeBytes(Path out) throws IOException {
    Path folder = out.toAbsolutePath().getParent();
    return Files.isDirectory(folder) ? Files.getFileStore(folder).getUsableSpace() : Long.MAX_VALUE;
  }
}
