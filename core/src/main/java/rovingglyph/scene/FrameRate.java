package rovingglyph.scene;

/** Frames per second as an exact fraction. */
public record FrameRate(int numerator, int denominator) {
  /** The greatest rate, frames per second. */
  private static final int GREATEST = 120;

  /**
   * A rate as documents write it, such as "25" or "30000/1001"; null for a text that is none from 1
   * to 120 frames per second.
   */
  public static FrameRate parse(String text) {
    String[] parts = text.split("/", -1);
    try {
      int numerator = Integer.parseInt(parts[0].trim());
      int denominator = parts.length > 1 ? Integer.parseInt(parts[1].trim()) : 1;
      boolean inRange =
          denominator > 0 && numerator >= denominator && numerator <= (long) GREATEST * denominator;
      return parts.length <= 2 && inRange ? new FrameRate(numerator, denominator) : null;
    } catch (NumberFormatException e) {
      return null;
    }
  }

  /** Frames in a second. */
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

  /** As documents have it: {@code "25"} or {@code "30000/1001"}. */
  public String text() {
    return denominator == 1 ? Integer.toString(numerator) : numerator + "/" + denominator;
  }
}
