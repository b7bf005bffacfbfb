package rovingglyph.scene;

/**
 * Letters appearing along the text: those between the values {@code revealFrom} and {@code
 * revealTo}, in percent of the run, are there.
 *
 * @param soft width of the edge in percent of the run; 0 is hard
 * @param fade whether letters in the edge are faint
 * @param rise how far below its place a letter that is not there yet stands, px
 * @param turn by how much it is turned, degrees
 * @param scale its size in percent
 */
public record Reveal(
    By by,
    double soft,
    boolean fade,
    double rise,
    double turn,
    double scale,
    UnknownFields extras) {

  /** The same of letters that are so many times as large. */
  public Reveal scaled(double k) {
    return new Reveal(by, soft, fade, rise * k, turn, scale, extras);
  }

  /** What is counted. */
  public enum By {
    LETTERS,
    WORDS,
    DISTANCE
  }

  /**
   * How much of something at a place is there, 0 to 1.
   *
   * @param place 0 to 1
   * @param from 0 to 1
   * @param to 0 to 1
   * @param soft width of the edge, 0 to 1
   */
  public static double amount(double place, double from, double to, double soft) {
    double edge = Math.max(soft, 1e-9);
    double in = (to * (1 + edge) - place) / edge;
    double out = (from * (1 + edge) - place) / edge;
    return clamp(in) * (1 - clamp(out));
  }

  private static double clamp(double v) {
    return Math.min(Math.max(v, 0), 1);
  }
}
