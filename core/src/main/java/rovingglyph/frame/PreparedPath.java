package rovingglyph.frame;

import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.GuidePath;

/** A guide path with its contour, measured once if it is still, else anew for every time. */
public final class PreparedPath {
  private final GuidePath path;
  private final boolean moves;
  private double time;
  private Contour contour;

  PreparedPath(GuidePath path) {
    this.path = path;
    this.moves = GuideContour.moves(path);
    this.contour = GuideContour.of(path, 0);
  }

  /** The path as the document has it. */
  public GuidePath path() {
    return path;
  }

  /** Whether any of its numbers or its shape moves. */
  public boolean moves() {
    return moves;
  }

  /** In the path's own direction. */
  public Contour at(double seconds) {
    if (moves && seconds != time) {
      contour = GuideContour.of(path, seconds);
      time = seconds;
    }
    return contour;
  }

  /** What letterings on it turn about. */
  public Point centre(double seconds) {
    return GuideContour.centre(path, at(seconds), seconds);
  }
}
