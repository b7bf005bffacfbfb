package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Picture;

/**
 * A picture ready to be evaluated.
 *
 * @param outlineBase index of the outline of its first part among the scene's
 */
public record PreparedPicture(Picture picture, int outlineBase) {
  /** The map of its pixels to the scene's at a time. */
  public Affine place(double time) {
    double turn = Math.toRadians(value(Channel.ROTATION, time));
    return Affine.translate(value(Channel.X, time), value(Channel.Y, time))
        .times(Affine.rotate(turn))
        .times(Affine.scale(value(Channel.SCALE, time)));
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(picture.movable(c), time));
  }

  void paint(Frame frame, double time) {
    double alpha = value(Channel.OPACITY, time) / 100;
    Affine m = place(time);
    for (int i = 0; i < picture.parts().size() && alpha > 0; i++) {
      frame.shape(picture.parts().get(i).fill(), alpha);
      frame.outline(outlineBase + i, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
    }
  }
}
