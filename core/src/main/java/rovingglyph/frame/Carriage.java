package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;
import rovingglyph.scene.Ride;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Track;

/**
 * An item with the path that carries it.
 *
 * @param item one that has a ride
 */
public record Carriage(Item item, PreparedPath path) {

  private Ride ride() {
    return item.properties().ride();
  }

  /** The path at a time in seconds, with what is past its ends. */
  public Track track(double time) {
    return new Track(path.at(time), ride().ends());
  }

  /** Whether what is past an end of the path is not seen. */
  public boolean cuts() {
    return ride().ends() == Seat.EndRule.CUT;
  }

  /**
   * Where a copy of the item is.
   *
   * @param at where what rides of the item is
   * @param turn radians
   */
  public record Stop(Point at, double turn, boolean seen) {}

  /** Where the copies are, seen or not. */
  public List<Stop> stops(double time) {
    Track track = track(time);
    List<Stop> out = new ArrayList<>();
    for (int i = 0; i < ride().copies(); i++) {
      out.add(stop(track, i, time));
    }
    return out;
  }

  private Stop stop(Track track, int copy, double time) {
    Track.Spot spot = track.at(offset(track, copy, time));
    Point t = spot.tangent();
    Point aside = new Point(-t.y(), t.x()).times(value(Channel.RIDE_SHIFT, time));
    return new Stop(spot.point().plus(aside), ride().turns() ? t.angle() : 0, spot.on() || !cuts());
  }

  /** What the ride does to each copy that is seen, in the pixels round the item. */
  List<Affine> maps(double time) {
    return stops(time).stream().filter(Stop::seen).map(this::map).toList();
  }

  /** What it does to the first copy, seen or not. */
  public Affine first(double time) {
    return map(stop(track(time), 0, time));
  }

  /** Where along the path a copy is, px; not brought round. */
  private double offset(Track track, int copy, double time) {
    double apart = value(Channel.RIDE_GAP, time);
    if (ride().spacing() == Ride.Spacing.EVEN) {
      int shares = track.round() ? ride().copies() : ride().copies() - 1;
      apart = shares == 0 ? 0 : track.length() / shares;
    }
    return value(Channel.RIDE_OFFSET, time) + copy * apart;
  }

  private Affine map(Stop stop) {
    Point from = ride().point();
    return Affine.translate(stop.at.x(), stop.at.y())
        .times(Affine.rotate(stop.turn))
        .times(Affine.translate(-from.x(), -from.y()));
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(item.movable(c), time));
  }
}
