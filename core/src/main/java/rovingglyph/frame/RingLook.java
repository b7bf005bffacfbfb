package rovingglyph.frame;

import rovingglyph.geometry.Point;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Core;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;

/**
 * What a ring of letters has beside them at one time, in the px of its plane.
 *
 * @param shape of the core; null where there is none
 * @param centre of the ring
 * @param radius of the core
 * @param height of a drum
 * @param lift of the middle of the core above the plane
 * @param core its colour, 0xRRGGBB
 * @param bandHeight 0 where there is none
 * @param bandLift of the middle of the band above the path
 * @param bandGap how far the band is behind fronts
 * @param band its colour, 0xRRGGBB
 */
record RingLook(
    Core.Shape shape,
    Point centre,
    double radius,
    double height,
    double lift,
    int core,
    double bandHeight,
    double bandLift,
    double bandGap,
    int band,
    Light light) {

  /** That of a lettering; null where there is nothing beside its letters. */
  static RingLook of(Lettering l, Point centre, double time) {
    Plane plane = l.properties().plane();
    if (plane == null || !plane.hasSolids()) {
      return null;
    }
    Core.Shape shape = plane.core() == null ? null : plane.core().shape();
    double radius = value(l, Channel.CORE_RADIUS, time);
    return new RingLook(
        radius > 0 ? shape : null,
        centre,
        radius,
        shape == Core.Shape.DRUM ? value(l, Channel.CORE_HEIGHT, time) : 0,
        value(l, Channel.CORE_LIFT, time),
        colour(l, Channel.CORE_COLOUR, time),
        value(l, Channel.BAND_HEIGHT, time),
        value(l, Channel.BAND_LIFT, time),
        value(l, Channel.BAND_GAP, time),
        colour(l, Channel.BAND_COLOUR, time),
        BodyLook.light(l, time));
  }

  private static boolean has(Lettering l, Channel c) {
    return l.properties().plane().channels().contains(c);
  }

  private static double value(Lettering l, Channel c, double time) {
    return has(l, c) ? c.clamp(Timeline.value(l.movable(c), time)) : 0;
  }

  private static int colour(Lettering l, Channel c, double time) {
    return has(l, c) ? Timeline.colour(l.movable(c), time, l.setting().mix()) : 0;
  }
}
