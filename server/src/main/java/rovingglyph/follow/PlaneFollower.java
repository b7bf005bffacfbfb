package rovingglyph.follow;

import java.util.List;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;

/**
 * Follows something flat, marked by four corners, as it is seen in perspective. All of it is laid
 * onto every frame, so that it is as exact where a corner itself has nothing to hold on to.
 */
final class PlaneFollower implements Tracker {
  /** As sure as this, 0 to 1, it has to be to count as seen. */
  private static final double LEAST_SURE = 0.6;

  /** Of how sure it was lately, too. */
  private static final double AS_SURE = 0.85;

  /** Surer than this it is not looked for elsewhere. */
  private static final double NO_DOUBT = 0.9;

  /** The share by which every frame tells how sure it was lately. */
  private static final double LATELY = 0.15;

  /** Of the height of a frame: how far it is looked for. */
  private static final double SEARCH = 0.06;

  /** By so much the search widens with every frame in which it is not known. */
  private static final double WIDER = 0.5;

  private static final double WIDEST = 4;

  /** By so much of its size corners may go against each other from one frame to the next. */
  private static final double BENT = 0.2;

  /** So much larger or smaller, by area, what it looks like is taken anew. */
  private static final double GROWN = 1.8;

  private final List<Point> area;
  private PlanePatch patch;
  private PlanePatch.Fit lies;
  private List<Point> corners;
  private Point speed = Point.ORIGIN;
  private double usual = 1;

  /** The area when its look was taken. */
  private double sizeThen;

  private int lost;

  /**
   * @param marks its corners in order round it, px
   * @param area the part of it that is followed, in shares across and down between its corners;
   *     empty for all of it
   */
  PlaneFollower(GrayImage frame, List<Point> marks, List<Point> area) {
    this.area = area;
    mark(frame, marks);
  }

  private void mark(GrayImage frame, List<Point> marks) {
    patch = new PlanePatch(frame, marks, area);
    lies = PlanePatch.Fit.at(marks);
    corners = marks;
    sizeThen = size(marks);
  }

  @Override
  public boolean isFlat() {
    return patch.isFlat();
  }

  @Override
  public Seen next(GrayImage frame) {
    PlanePatch.Fit expected = lies.moved(speed);
    PlanePatch.Fit fit = sound(patch.fit(frame, expected));
    if (fit == null || fit.sure() < NO_DOUBT) {
      double round = frame.height() * SEARCH * Math.min(1 + WIDER * lost, WIDEST);
      PlanePatch.Fit alike = sound(patch.fit(frame, patch.search(frame, expected, round)));
      fit = fit == null || alike != null && alike.sure() > fit.sure() ? alike : fit;
    }
    double sure = fit == null ? 0 : fit.sure();
    if (fit == null || sure < Math.max(LEAST_SURE, usual * AS_SURE)) {
      lost++;
      // Nothing tells that it goes on as it went.
      speed = speed.times(0.5);
      lies = expected;
      return new Seen(lies.corners(), sure, Known.NOT);
    }
    lost = 0;
    usual += LATELY * (sure - usual);
    speed = middle(fit.corners()).minus(middle(corners));
    lies = fit;
    corners = fit.corners();
    double grown = size(corners) / sizeThen;
    if (sure >= 0.85 && (grown > GROWN || grown < 1 / GROWN)) {
      // Detail that comes with nearness, or goes with distance, is not in what was marked.
      mark(frame, corners);
    }
    return new Seen(corners, sure, Known.SEEN);
  }

  /** A fit, if it has not changed more than it can have since it was seen; else null. */
  private PlanePatch.Fit sound(PlanePatch.Fit fit) {
    if (fit == null || !Projection.isConvex(fit.corners())) {
      return null;
    }
    Point by = middle(fit.corners()).minus(middle(corners));
    double most = BENT * Math.sqrt(size(corners)) * Math.min(1 + lost / 4.0, 2);
    for (int i = 0; i < 4; i++) {
      if (fit.corners().get(i).minus(corners.get(i)).distance(by) > most) {
        return null;
      }
    }
    return fit;
  }

  private static Point middle(List<Point> p) {
    return p.get(0).plus(p.get(1)).plus(p.get(2)).plus(p.get(3)).times(0.25);
  }

  private static double size(List<Point> p) {
    return Math.abs(p.get(2).minus(p.get(0)).cross(p.get(3).minus(p.get(1)))) / 2;
  }
}
