package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
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
        case MATTE -> sink.matte(n[from] != 0, n[from + 1] != 0);
        case POP -> sink.pop();
        case CLIP -> {
          outlines(n, from, to, sink);
          sink.clip();
        }
        case UNCLIP -> sink.unclip();
      }
    }
  }

  private static void fill(double[] n, int from, int to, FrameSink sink) {
    outlines(n, from + FramePaint.size(n, from), to, sink);
    sink.fill(FramePaint.read(n, from));
  }

  private static void outlines(double[] n, int from, int to, FrameSink sink) {
    for (int i = from; i < to; ) {
      if (n[i] == Frame.INLINE) {
        int end = i + 2 + (int) n[i + 1];
        steps(n, i + 2, end, sink);
        i = end;
      } else {
        sink.outline((int) n[i], n, i + 1);
        i += Frame.STRIDE;
      }
    }
  }

  private static void stroke(double[] n, int from, int to, FrameSink sink) {
    FramePaint paint = FramePaint.read(n, from);
    int at = from + FramePaint.size(n, from);
    LineStyle line = LineStyle.read(n, at);
    for (int i = at + LineStyle.HEAD + line.dash().length; i < to; ) {
      if (n[i] >= 0) {
        sink.outline((int) n[i], n, i + 1);
        sink.stroke(paint, line, Affine.IDENTITY);
        i += Frame.STRIDE;
        continue;
      }
      Affine map = Affine.IDENTITY;
      if (n[i++] == Frame.MAPPED) {
        map = new Affine(n[i], n[i + 1], n[i + 2], n[i + 3], n[i + 4], n[i + 5]);
        i += 6;
      }
      int end = i + 1 + (int) n[i];
      steps(n, i + 1, end, sink);
      sink.stroke(paint, line, map);
      i = end;
    }
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
