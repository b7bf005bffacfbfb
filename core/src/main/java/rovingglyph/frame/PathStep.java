package rovingglyph.frame;

/**
 * A step of a path in a display list: its number here, then its points, x and y by turns, in px.
 */
public enum PathStep {
  MOVE(2),
  LINE(2),
  QUADRATIC(4),
  CUBIC(6),
  CLOSE(0);

  private final int numbers;

  PathStep(int numbers) {
    this.numbers = numbers;
  }

  /** How many numbers follow the step's own. */
  public int numbers() {
    return numbers;
  }
}
