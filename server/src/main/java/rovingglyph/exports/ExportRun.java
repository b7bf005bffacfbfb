package rovingglyph.exports;

import java.io.IOException;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;

/**
 * One try of an export or of a part of one: the work on a thread of its own, and a watch over it
 * that ends it when it is cancelled or comes no further, so that the node is free again whatever
 * happens.
 */
final class ExportRun {
  /** An export that ended without its file; the message is for the user. */
  static final class Failed extends Exception {
    Failed(String message, Throwable cause) {
      super(message, cause);
    }
  }

  /** What is done. */
  interface Work {
    void to(Progress progress) throws IOException;
  }

  /** Who is told how far it has come. */
  interface Told {
    /** False if nobody wants it any more. */
    boolean progress(int frames);
  }

  private static final Logger LOG = LoggerFactory.getLogger(ExportRun.class);
  private static final long LOOK_MILLIS = 250;

  /** The longest that one frame, or a whole file without frames, may take. */
  private static final double QUIET_SECONDS = 180;

  /** What is left of the two seconds in which a cancelled export frees its node. */
  private static final long END_MILLIS = 1200;

  private final String name;
  private final Work work;
  private final BooleanSupplier wanted;
  private final Told told;
  private final Progress progress = new Progress();
  private volatile Throwable failure;

  /**
   * @param name for the log
   * @param wanted asked often
   * @param told when it has come further
   */
  ExportRun(String name, Work work, BooleanSupplier wanted, Told told) {
    this.name = name;
    this.work = work;
    this.wanted = wanted;
    this.told = told;
  }

  /**
   * Does the work and watches over it.
   *
   * @throws InterruptedException if the server is stopping
   * @throws Bitmaps.NotReady if it has to be begun again when something is ready
   */
  void watch() throws Failed, InterruptedException, Bitmaps.NotReady {
    Thread worker = new Thread(this::work, name);
    worker.setDaemon(true);
    worker.start();
    try {
      int before = -1;
      while (join(worker, LOOK_MILLIS)) {
        int frames = progress.frames();
        boolean goesOn = frames == before ? wanted.getAsBoolean() : told.progress(frames);
        before = frames;
        if (!goesOn) {
          return;
        }
        if (progress.quietSeconds() > QUIET_SECONDS) {
          throw new Failed(
              "No frame was finished within "
                  + (int) QUIET_SECONDS
                  + " seconds; it was given up after "
                  + frames
                  + " frames. Try a smaller frame or fewer letters.",
              null);
        }
      }
    } finally {
      end(worker);
    }
    if (failure instanceof Bitmaps.NotReady notReady) {
      throw notReady;
    }
    if (failure != null && !(failure instanceof Progress.Cancelled)) {
      throw new Failed(reason(failure), failure);
    }
  }

  /** True while the thread lives. */
  private static boolean join(Thread worker, long millis) throws InterruptedException {
    worker.join(millis);
    return worker.isAlive();
  }

  private void end(Thread worker) {
    boolean stopping = Thread.interrupted();
    progress.cancel();
    worker.interrupt();
    try {
      if (join(worker, END_MILLIS)) {
        LOG.warn("{} is left to end by itself", name);
      }
    } catch (InterruptedException e) {
      stopping = true;
    }
    if (stopping) {
      Thread.currentThread().interrupt();
    }
  }

  private void work() {
    try {
      work.to(progress);
    } catch (Throwable e) {
      // Of whatever kind, memory that has run out included: the watch tells it.
      failure = e;
    }
  }

  private static String reason(Throwable e) {
    if (e instanceof OutOfMemoryError) {
      return "The server ran out of memory on it. Make the frame smaller, or start the server with"
          + " more memory (ROVING_MEMORY).";
    }
    String said = e.getMessage() == null ? e.toString() : e.getMessage();
    return said.contains("No space left on device")
        ? "The disk of the server is full. Make room and export again."
        : said;
  }
}
