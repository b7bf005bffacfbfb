package rovingglyph.motion;

import rovingglyph.geometry.Affine;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Transformed;

/** Where a picture or a group stands at a time. */
public final class Place {
  private Place() {}

  /** The map of the pixels of what it holds to those round it. */
  public static Affine map(Transformed p, double time) {
    return Affine.translate(value(p, Channel.X, time), value(p, Channel.Y, time))
        .times(Affine.rotate(Math.toRadians(value(p, Channel.ROTATION, time))))
        .times(Affine.scale(value(p, Channel.SCALE, time)))
        .times(Affine.translate(-p.centre().x(), -p.centre().y()));
  }

  /** 0 to 1. */
  public static double alpha(Transformed p, double time) {
    return value(p, Channel.OPACITY, time) / 100;
  }

  private static double value(Transformed p, Channel c, double time) {
    return c.clamp(Timeline.value(p.movable(c), time));
  }
}
