package rovingglyph.frame;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.LandingSolver;

/**
 * Tells where all is within the frame, so far from its edges: where nothing touches what is beyond.
 */
final class InsideProbe implements LandingSolver.Probe {
  /** Farther than anything reaches, px. */
  private static final double FAR = 1e7;

  private final List<LandingSolver.Probe> beyond;

  /**
   * @param distance from the edges of the frame, px
   * @param touching tells where something touches an area
   */
  InsideProbe(Rect frame, double distance, Function<Rect, LandingSolver.Probe> touching) {
    Rect in = frame.grown(-distance);
    this.beyond =
        Stream.of(
                new Rect(-FAR, -FAR, in.left(), FAR),
                new Rect(in.right(), -FAR, FAR, FAR),
                new Rect(-FAR, -FAR, FAR, in.top()),
                new Rect(-FAR, in.bottom(), FAR, FAR))
            .map(touching)
            .toList();
  }

  @Override
  public LandingSolver.Reading read(double pathOffset) {
    double sureFor = Double.POSITIVE_INFINITY;
    double outFor = -1;
    for (LandingSolver.Probe p : beyond) {
      LandingSolver.Reading r = p.read(pathOffset);
      if (r.in()) {
        outFor = Math.max(outFor, r.sureFor());
      } else {
        sureFor = Math.min(sureFor, r.sureFor());
      }
    }
    boolean inside = outFor < 0;
    return new LandingSolver.Reading(inside, inside ? sureFor : outFor);
  }
}
