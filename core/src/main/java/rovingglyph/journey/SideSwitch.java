package rovingglyph.journey;

import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;

/** The other side of a path, the text staying at the same place along it. */
public final class SideSwitch {
  private SideSwitch() {}

  /**
   * The lettering on a side. Read backwards, the margins change ends; the path offset is such that
   * the middle of the text stays where it is at a time, and motion keeps its size.
   */
  public static Lettering to(PreparedLettering l, Seat.Side side, double time) {
    Lettering now = l.lettering();
    if (now.seat().side() == side) {
      return now;
    }
    SeatValues v = l.values(time);
    RowLayout before = l.seating(v);
    double length = before.track().length();
    double middle = (before.tail() + before.head()) / 2;
    Lettering other =
        now.with(now.seat().on(side))
            .with(Channel.START_MARGIN, now.movable(Channel.END_MARGIN))
            .with(Channel.END_MARGIN, now.movable(Channel.START_MARGIN));
    RowLayout after = l.as(other, time);
    double there = (after.tail() + after.head()) / 2;
    double by = after.travel(there, length - middle);
    if (after.track().round() && length > 0) {
      by -= length * Math.rint(by / length);
    }
    Channel c = Channel.PATH_OFFSET;
    double step = by;
    AnimatedValue offset = other.movable(c);
    AnimatedValue moved =
        offset
            .with(c.clamp(offset.base() + step))
            .with(
                offset.keyframes().stream()
                    .map(k -> k.landing() != null ? k : k.withValue(c.clamp(k.value() + step)))
                    .toList());
    return other.with(c, moved);
  }

  /** On the side on which most of its letters stand upright at a time. */
  public static Lettering readable(PreparedLettering l, double time) {
    Seat.Side now = l.lettering().seat().side();
    Seat.Side other = now == Seat.Side.LEFT ? Seat.Side.RIGHT : Seat.Side.LEFT;
    return upright(l.inFrame(l.seating(l.values(time)))) ? l.lettering() : to(l, other, time);
  }

  private static boolean upright(List<Placement> places) {
    double up = 0;
    for (Placement p : places) {
      up += Math.cos(p.angle()) * Math.abs(p.advance());
    }
    return up >= -1e-9;
  }
}
