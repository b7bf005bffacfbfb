package rovingglyph.render;

import java.util.function.IntPredicate;

/**
 * How far the making of a file has come, and the way to end it from another thread. A child process
 * that was named to it ends with it, even one that hangs.
 */
public final class Progress {
  /** What ends the making of a file that nobody wants any more. */
  public static final class Cancelled extends RuntimeException {}

  private final IntPredicate progress;
  private volatile long movedAt = System.nanoTime();
  private volatile int frames;
  private volatile int before;
  private volatile boolean cancelled;
  private Process child;

  /**
   * @param progress told the frames done so far, on the thread that makes them; false cancels
   */
  public Progress(IntPredicate progress) {
    this.progress = progress;
  }

  public Progress() {
    this(frames -> true);
  }

  /**
   * Says that so many frames are done.
   *
   * @throws Cancelled if nobody wants them any more
   */
  public void done(int count) {
    frames = before + count;
    movedAt = System.nanoTime();
    if (!progress.test(frames)) {
      cancelled = true;
    }
    check();
  }

  /** Begins with the next of several files: its frames are counted on from those of the last. */
  public void next() {
    before = frames;
    movedAt = System.nanoTime();
    check();
  }

  /**
   * To be called now and then in long work.
   *
   * @throws Cancelled if nobody wants it any more
   */
  static void checkThread() {
    if (Thread.currentThread().isInterrupted()) {
      throw new Cancelled();
    }
  }

  private void check() {
    if (cancelled) {
      throw new Cancelled();
    }
    checkThread();
  }

  /** Names the process that the work waits for. */
  synchronized void child(Process p) {
    child = p;
    if (cancelled) {
      p.destroyForcibly();
    }
  }

  /** Ends the work: whatever it waits for fails. May be called from any thread, and again. */
  public synchronized void cancel() {
    cancelled = true;
    if (child != null) {
      child.destroyForcibly();
    }
  }

  public boolean isCancelled() {
    return cancelled;
  }

  /** Frames done so far. */
  public int frames() {
    return frames;
  }

  /** Seconds since the last frame was done. */
  public double quietSeconds() {
    return (System.nanoTime() - movedAt) / 1e9;
  }
}
