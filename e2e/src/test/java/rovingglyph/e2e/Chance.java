package rovingglyph.e2e;

import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;

/** How much of chance is tried: on a slow machine less of it, so that all tests end in time. */
final class Chance {
  private Chance() {}

  /**
   * Numbers from the first one on, as many as are tried within the time; where {@code
   * roving.scenes} is set, that many.
   *
   * @param least how many there are on any machine
   * @param most how many there are at most
   */
  static IntStream seeds(int first, int least, int most, int seconds) {
    int asked = Integer.getInteger("roving.scenes", 0);
    if (asked > 0) {
      return IntStream.range(first, first + asked);
    }
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    return IntStream.range(first, first + most)
        .takeWhile(seed -> seed < first + least || System.nanoTime() < end);
  }
}
