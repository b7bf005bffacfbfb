package rovingglyph.server;

import java.io.IOException;
import java.util.Map;
import java.util.concurrent.Semaphore;
import org.springframework.http.HttpStatus;

/**
 * Lets one piece of heavy work be done at a time, and a few wait for their turn: neither memory nor
 * processors are taken by many at once, nor are the threads that answer others.
 */
public final class Turns {
  /** Work that gives something. */
  public interface Work<T> {
    T get() throws IOException;
  }

  private final Semaphore turn = new Semaphore(1, true);
  private final int waiting;

  /**
   * @param waiting how many may wait
   */
  public Turns(int waiting) {
    this.waiting = waiting;
  }

  /**
   * Does the work when it is its turn.
   *
   * @throws RefusedException where as many as may wait already do: with 503
   */
  public <T> T take(Work<T> work) throws IOException, InterruptedException {
    if (turn.getQueueLength() >= waiting) {
      throw new RefusedException(
          HttpStatus.SERVICE_UNAVAILABLE,
          "Busy",
          "Many pictures are asked for at once; try again in a moment",
          Map.of());
    }
    turn.acquire();
    try {
      return work.get();
    } finally {
      turn.release();
    }
  }
}
