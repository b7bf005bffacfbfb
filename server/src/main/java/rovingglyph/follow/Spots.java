package rovingglyph.follow;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Point;

/** Spots that are each followed by themselves. */
final class Spots implements Tracker {
  private final List<SpotFollower> spots;

  /**
   * @param marks in px of the frame in which they are marked
   */
  Spots(GrayImage frame, List<Point> marks) {
    this.spots = marks.stream().map(m -> new SpotFollower(frame, m.x(), m.y())).toList();
  }

  @Override
  public boolean isFlat() {
    return spots.stream().anyMatch(SpotFollower::isFlat);
  }

  /** As sure as the least sure of them, and known as that. */
  @Override
  public Seen next(GrayImage frame) {
    List<Point> points = new ArrayList<>();
    double least = 1;
    Known known = Known.SEEN;
    for (SpotFollower s : spots) {
      SpotFollower.Spot spot = s.next(frame);
      points.add(new Point(spot.x(), spot.y()));
      least = Math.min(least, spot.sure());
      known = known.compareTo(spot.known()) < 0 ? spot.known() : known;
    }
    return new Seen(points, least, known);
  }
}
