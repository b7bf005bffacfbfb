package rovingglyph.frame;

/** Takes the steps of a path one by one. */
public interface StepSink {
  /**
   * @param n at {@code at} and after it the step's points, x and y by turns
   */
  void step(PathStep step, double[] n, int at);
}
