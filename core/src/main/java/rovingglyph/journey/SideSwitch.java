package rovingglyph.journey;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
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
  private static final int STEPS = 180;

  /** What turning has to bring: text all round a circle is no better anywhere. */
  private static final double LEAST_GAIN = 0.1;

  private static final double SAME = 1e-6;

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
    return movedOn(other, by);
  }

  /** The lettering farther along its path by so many px, its landings where they are. */
  public static Lettering movedOn(Lettering l, double by) {
    Channel c = Channel.PATH_OFFSET;
    AnimatedValue offset = l.movable(c);
    AnimatedValue moved =
        offset
            .with(c.clamp(offset.base() + by))
            .with(
                offset.keyframes().stream()
                    .map(k -> k.landing() != null ? k : k.withValue(c.clamp(k.value() + by)))
                    .toList());
    return l.with(c, moved);
  }

  /**
   * So that most of its letters stand upright at a time: as it is, else brought round to where they
   * do, else on the other side.
   */
  public static Lettering readable(PreparedLettering l, double time) {
    RowLayout row = l.seating(l.values(time));
    if (upright(l.inFrame(row)) >= -1e-9) {
      return l.lettering();
    }
    Lettering round = round(l, row, time);
    if (round != null) {
      return round;
    }
    Seat.Side now = l.lettering().seat().side();
    return to(l, now == Seat.Side.LEFT ? Seat.Side.RIGHT : Seat.Side.LEFT, time);
  }

  /** With its resting point, and so all of its journey, further round the path; or null. */
  private static Lettering round(PreparedLettering l, RowLayout row, double time) {
    double length = row.track().length();
    if (!row.track().round() || length <= 0) {
      return null;
    }
    double rest = l.lettering().seat().side() == Seat.Side.RIGHT ? length - row.rest() : row.rest();
    DoubleUnaryOperator gain = by -> upright(l.inFrame(l.as(brought(l, rest + by, length), time)));
    double step = length / STEPS;
    double[] gains = new double[STEPS];
    double most = 0;
    for (int i = 0; i < STEPS; i++) {
      gains[i] = gain.applyAsDouble(i * step);
      most = Math.max(most, gains[i]);
    }
    if (most < LEAST_GAIN) {
      return null;
    }
    // Along a straight part all places are as good: the middle of the nearest one is taken.
    int first = 0;
    while (gains[first] < most - SAME) {
      first++;
    }
    int last = first;
    while (last + 1 < STEPS && gains[last + 1] >= most - SAME) {
      last++;
    }
    double by =
        first == last
            ? peak(gain, (first - 1) * step, (first + 1) * step)
            : (first + last) / 2.0 * step;
    return brought(l, rest + by, length);
  }

  private static Lettering brought(PreparedLettering l, double rest, double length) {
    double pin = rest - length * Math.floor(rest / length);
    return l.lettering().with(l.lettering().seat().pinned(pin));
  }

  /** Where a function that rises and falls once between two places is greatest. */
  private static double peak(DoubleUnaryOperator f, double from, double to) {
    double a = from;
    double b = to;
    for (int i = 0; i < 40; i++) {
      double third = (b - a) / 3;
      if (f.applyAsDouble(a + third) < f.applyAsDouble(b - third)) {
        a += third;
      } else {
        b -= third;
      }
    }
    return (a + b) / 2;
  }

  /** How far letters stand upright: 1 where all do, -1 where all stand on their heads. */
  private static double upright(List<Placement> places) {
    double up = 0;
    double all = 0;
    for (Placement p : places) {
      up += Math.cos(p.angle()) * Math.abs(p.advance());
      all += Math.abs(p.advance());
    }
    return all == 0 ? 0 : up / all;
  }
}
