package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;

/** The paths that steps make. */
final class StepPaths implements StepSink {
  private final List<SubPath> done = new ArrayList<>();
  private List<Segment> segments = new ArrayList<>();
  private Point at = Point.ORIGIN;

  private StepPaths() {}

  /** Those of a list of steps as display lists have them; each is an area. */
  static List<SubPath> of(double[] steps) {
    StepPaths out = new StepPaths();
    FrameReader.steps(steps, out);
    out.end();
    return out.done;
  }

  private void end() {
    if (!segments.isEmpty()) {
      done.add(new SubPath(segments, true));
      segments = new ArrayList<>();
    }
  }

  @Override
  public void step(PathStep step, double[] n, int from) {
    Point[] p = new Point[step.numbers() / 2];
    for (int i = 0; i < p.length; i++) {
      p[i] = new Point(n[from + 2 * i], n[from + 2 * i + 1]);
    }
    switch (step) {
      case MOVE -> end();
      case LINE -> segments.add(new Line(at, p[0]));
      case QUADRATIC -> segments.add(new Quadratic(at, p[0], p[1]));
      case CUBIC -> segments.add(new Cubic(at, p[0], p[1], p[2]));
      case CLOSE -> end();
    }
    if (p.length > 0) {
      at = p[p.length - 1];
    }
  }
}
