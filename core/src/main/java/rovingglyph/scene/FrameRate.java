package rovingglyph.scene;

/** Frames per second as an exact fraction. */
public record FrameRate(int numerator, int denominator) {
  public double perSecond() {
    return (double) numerator / denominator;
  }

  /** The frame that is shown at a time, the nearest for times that mean a frame. */
  public long frameAt(double seconds) {
    return Math.round(seconds * perSecond());
  }

  /** The time of a frame in seconds. */
  public double timeOf(long frame) {
    return (double) frame * denominator / numerator;
  }

  public String text() {
    return denominator == 1 ? Integer.toString(numerator) : numerator + "/" + denominator;
  }
}
