package rovingglyph.render;

import java.math.BigInteger;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Scene;

/**
 * The frames of a scene that a file is made of: from the first to the last, or every n-th of them.
 *
 * @param rate of the scene
 * @param first counted from 0
 * @param last not before the first
 * @param every 1 for all of them
 */
public record FrameRange(FrameRate rate, int first, int last, int every) {
  public static FrameRange all(Scene scene) {
    return new FrameRange(scene.rate(), 0, scene.frameCount() - 1, 1);
  }

  public int count() {
    return (last - first) / every + 1;
  }

  /** Some of them that follow each other, the first counted from that of these. */
  public FrameRange part(int from, int count) {
    int begin = first + from * every;
    return new FrameRange(rate, begin, begin + (count - 1) * every, every);
  }

  /** When the i-th of them is shown in the scene, s. */
  public double time(int i) {
    return rate.timeOf(first + (long) i * every);
  }

  /** The rate of the file: what is left out is bridged by the frame before it. */
  public FrameRate shown() {
    return new FrameRate(rate.numerator(), rate.denominator() * every);
  }

  /**
   * The fewest frames that last a whole number of milliseconds, in which some containers count: 3
   * at 24 a second, 30 at 29.97.
   */
  public int wholeMillis() {
    BigInteger frames = BigInteger.valueOf(shown().numerator());
    BigInteger millis = BigInteger.valueOf(1000L * shown().denominator());
    return frames.divide(frames.gcd(millis)).intValueExact();
  }

  /** When the file begins in the scene, s. */
  public double start() {
    return rate.timeOf(first);
  }

  /** How long the file is, s. */
  public double seconds() {
    return rate.timeOf((long) count() * every);
  }
}
