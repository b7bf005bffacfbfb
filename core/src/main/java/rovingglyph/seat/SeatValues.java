package rovingglyph.seat;

import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;

/** The moving values of a lettering at one time; px, percent and degrees. */
public record SeatValues(
    double time,
    double pathOffset,
    double startMargin,
    double endMargin,
    double baselineShift,
    double size,
    double opacity,
    double rotation) {

  /** Values that an easing carries beyond a channel's range are brought back to its ends. */
  public static SeatValues at(Lettering l, double time) {
    return new SeatValues(
        time,
        value(l, Channel.PATH_OFFSET, time),
        value(l, Channel.START_MARGIN, time),
        value(l, Channel.END_MARGIN, time),
        value(l, Channel.BASELINE_SHIFT, time),
        value(l, Channel.SIZE, time),
        value(l, Channel.OPACITY, time),
        value(l, Channel.ROTATION, time));
  }

  private static double value(Lettering l, Channel c, double time) {
    return c.clamp(Timeline.value(l.movable(c), time));
  }

  public SeatValues withPathOffset(double offset) {
    return new SeatValues(
        time, offset, startMargin, endMargin, baselineShift, size, opacity, rotation);
  }
}
