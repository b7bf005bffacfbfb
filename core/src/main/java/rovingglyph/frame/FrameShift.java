package rovingglyph.frame;

import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.type.Outline;

/**
 * How far the things of one frame are from where they are in another, px: where they stand in each
 * is gathered, and the two are compared.
 */
final class FrameShift implements FrameSink {
  /**
   * This less the count of a step's numbers stands before them; before a map its outline's index.
   */
  private static final int STEP_MARK = -1;

  private final List<Outline> outlines;
  private double[] marks = new double[256];
  private int size;

  /** Where the marks of the present entry begin. */
  private int begun;

  private FrameShift(List<Outline> outlines) {
    this.outlines = outlines;
  }

  /**
   * The most that any point moves; infinite where the two do not show the same things.
   *
   * @param outlines that the frames name by index
   */
  static double most(double[] a, double[] b, List<Outline> outlines) {
    if (a.length != b.length) {
      return Double.POSITIVE_INFINITY;
    }
    FrameShift one = new FrameShift(outlines);
    FrameShift other = new FrameShift(outlines);
    FrameReader.read(a, one);
    FrameReader.read(b, other);
    return one.from(other);
  }

  private double from(FrameShift other) {
    if (size != other.size) {
      return Double.POSITIVE_INFINITY;
    }
    double most = 0;
    for (int i = 0; i < size; ) {
      if (marks[i] != other.marks[i]) {
        return Double.POSITIVE_INFINITY;
      }
      if (marks[i] < 0) {
        int points = STEP_MARK - (int) marks[i];
        for (int k = i + 1; k <= i + points; k++) {
          most = Math.max(most, Math.abs(marks[k] - other.marks[k]) * Math.sqrt(2));
        }
        i += 1 + points;
      } else {
        most = Math.max(most, outline(other, i));
        i += Frame.STRIDE;
      }
    }
    return most;
  }

  private double outline(FrameShift o, int i) {
    double turned =
        Math.hypot(marks[i + 1] - o.marks[i + 1], marks[i + 2] - o.marks[i + 2])
            + Math.hypot(marks[i + 3] - o.marks[i + 3], marks[i + 4] - o.marks[i + 4]);
    double moved = Math.hypot(marks[i + 5] - o.marks[i + 5], marks[i + 6] - o.marks[i + 6]);
    return moved + reach(outlines.get((int) marks[i])) * turned;
  }

  private static double reach(Outline o) {
    Rect r = o.bounds();
    double across = Math.max(Math.abs(r.left()), Math.abs(r.right()));
    return r.isEmpty() ? 0 : Math.max(across, Math.max(Math.abs(r.top()), Math.abs(r.bottom())));
  }

  private void mark(double kind, double[] n, int at, int count) {
    if (size + 1 + count > marks.length) {
      marks = Arrays.copyOf(marks, Math.max(size + 1 + count, marks.length * 2));
    }
    marks[size++] = kind;
    System.arraycopy(n, at, marks, size, count);
    size += count;
  }

  @Override
  public void outline(int index, double[] n, int at) {
    mark(index, n, at, Frame.STRIDE - 1);
  }

  @Override
  public void step(PathStep step, double[] n, int at) {
    mark(STEP_MARK - step.numbers(), n, at, step.numbers());
  }

  @Override
  public void fill(FramePaint paint) {
    // Colours do not move.
    begun = size;
  }

  @Override
  public void stroke(FramePaint paint, LineStyle line, Affine map) {
    // Lines do not change in width or dashes while the shutter is open, but for what they follow.
    for (int i = begun; i < size && !map.equals(Affine.IDENTITY); ) {
      // Steps alone have a map of their own.
      int points = STEP_MARK - (int) marks[i];
      for (int k = i + 1; k <= i + points; k += 2) {
        Point p = map.apply(new Point(marks[k], marks[k + 1]));
        marks[k] = p.x();
        marks[k + 1] = p.y();
      }
      i += 1 + points;
    }
    begun = size;
  }

  @Override
  public void clip() {
    begun = size;
  }

  @Override
  public void unclip() {
    // What was clipped stands before it.
  }

  @Override
  public void push(Layer layer) {
    // What is in it follows.
  }

  @Override
  public void matte(boolean inverted, boolean luminance) {
    // The same.
  }

  @Override
  public void pop() {
    // Nothing stands in a pop.
  }
}
