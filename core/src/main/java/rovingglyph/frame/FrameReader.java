package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.scene.BlendMode;

/** Reads display lists: the one place in Java that knows how the numbers of a {@link Frame} lie. */
public final class FrameReader {
  private static final Op[] OPS = Op.values();
  private static final PathStep[] STEPS = PathStep.values();
  private static final BlendMode[] BLENDS = BlendMode.values();

  private FrameReader() {}

  /**
   * Gives every entry to a sink. One of an unknown op is passed over; with assertions on it fails.
   */
  public static void read(double[] n, FrameSink sink) {
    for (int i = 0; i < n.length; ) {
      int op = (int) n[i];
      int from = i + Frame.HEAD;
      int to = from + (int) n[i + 1];
      i = to;
      if (op < 0 || op >= OPS.length) {
        assert false : "There is no op " + op;
        continue;
      }
      switch (OPS[op]) {
        case FILL -> fill(n, from, to, sink);
        case STROKE -> stroke(n, from, to, sink);
        case PUSH -> sink.push(layer(n, from));
        case MATTE -> sink.matte(n[from] != 0);
        case POP -> sink.pop();
      }
    }
  }

  private static void fill(double[] n, int from, int to, FrameSink sink) {
    for (int i = from + FramePaint.size(n, from); i < to; ) {
      if (n[i] == Frame.INLINE) {
        int end = i + 2 + (int) n[i + 1];
        steps(n, i + 2, end, sink);
        i = end;
      } else {
        sink.outline((int) n[i], n, i + 1);
        i += Frame.STRIDE;
      }
    }
    sink.fill(FramePaint.read(n, from));
  }

  private static void stroke(double[] n, int from, int to, FrameSink sink) {
    int at = from + FramePaint.size(n, from);
    int dash = at + 3;
    int steps = dash + (int) n[at + 2];
    steps(n, steps, to, sink);
    sink.stroke(
        FramePaint.read(n, from), n[at], (int) n[at + 1], Arrays.copyOfRange(n, dash, steps));
  }

  /** Gives every step of a path to a sink. */
  public static void steps(double[] n, StepSink sink) {
    steps(n, 0, n.length, sink);
  }

  private static void steps(double[] n, int from, int to, StepSink sink) {
    for (int i = from; i < to; ) {
      PathStep step = STEPS[(int) n[i]];
      sink.step(step, n, i + 1);
      i += 1 + step.numbers();
    }
  }

  private static FrameSink.Layer layer(double[] n, int at) {
    List<double[]> effects = new ArrayList<>();
    int i = at + 8;
    for (int k = 0; k < n[at + 7]; k++) {
      double[] effect = Arrays.copyOfRange(n, i + 1, i + 2 + (int) n[i + 1]);
      effect[0] = n[i];
      effects.add(effect);
      i += 2 + (int) n[i + 1];
    }
    BlendMode blend = BLENDS[(int) n[at + 1]];
    return new FrameSink.Layer(
        n[at], blend, n[at + 2], n[at + 3], n[at + 4], n[at + 5], n[at + 6], effects);
  }
}
