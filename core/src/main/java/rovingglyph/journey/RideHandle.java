package rovingglyph.journey;

import rovingglyph.frame.Carriage;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.seat.Track;

/** Where an item is taken hold of on the path that carries it, and what dragging it means. */
public final class RideHandle {
  private final Carriage carriage;
  private final double time;
  private final Contour contour;
  private final Track track;

  /** At a time in seconds. */
  public RideHandle(Carriage carriage, double time) {
    this.carriage = carriage;
    this.time = time;
    this.track = carriage.track(time);
    this.contour = track.contour();
  }

  /** x, y and the angle of the first copy, degrees, in the pixels round the item. */
  public double[] mark() {
    Carriage.Stop stop = carriage.stops(time).get(0);
    double angle = track.at(value(Channel.RIDE_OFFSET)).tangent().angle();
    return new double[] {stop.at().x(), stop.at().y(), Math.toDegrees(angle)};
  }

  /**
   * The path offset and the shift off the path, px, that bring the first copy to a point; on a path
   * that comes round, by the lap that is nearest to where it is.
   */
  public double[] to(Point p) {
    double d = Handles.distanceAt(contour, p);
    double lap = contour.length();
    if (track.round() && lap > 0) {
      d += lap * Math.rint((value(Channel.RIDE_OFFSET) - d) / lap);
    }
    Track.Spot on = track.at(d);
    return new double[] {d, on.tangent().cross(p.minus(on.point()))};
  }

  private double value(Channel c) {
    return Timeline.value(carriage.item().movable(c), time);
  }
}
