package rovingglyph.server;

import jakarta.servlet.http.HttpServletRequest;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * What the bodies of all requests under way may need together, so that many large ones at once wait
 * for each other instead of taking all memory. Counted in KiB of half the heap.
 */
@Component
class BodyBudget {
  /** JSON as objects takes up to this many times its length. */
  private static final int JSON = 40;

  /** A file is held as it came, and once more as it was checked. */
  private static final int FILE = 3;

  private static final int WAIT_SECONDS = 4;

  private final int all = (int) (Runtime.getRuntime().maxMemory() / 2 / 1024);
  private final Semaphore free = new Semaphore(all, true);

  /** The most that a body of this length needs. */
  int cost(HttpServletRequest request, long length) {
    String type = request.getContentType();
    int times = type != null && type.contains("json") ? JSON : FILE;
    return (int) Math.min(all, 1 + length * times / 1024);
  }

  /** Waits a little for its turn; false if it did not come. */
  boolean take(int cost) {
    try {
      return free.tryAcquire(cost, WAIT_SECONDS, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  void giveBack(int cost) {
    free.release(cost);
  }
}
