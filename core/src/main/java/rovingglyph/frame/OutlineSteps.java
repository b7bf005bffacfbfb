package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.SubPath;
import rovingglyph.type.Outline;

/** Outlines as the steps that painters take, so that all of them have the very same numbers. */
public final class OutlineSteps {
  private OutlineSteps() {}

  /** The steps of an outline in its own units; every part is closed. */
  public static double[] of(Outline outline) {
    Frame steps = new Frame(List.of());
    for (SubPath p : outline.subPaths()) {
      steps.subPath(p);
    }
    return steps.numbers();
  }
}
