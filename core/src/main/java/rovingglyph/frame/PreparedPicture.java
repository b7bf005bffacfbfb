package rovingglyph.frame;

import rovingglyph.geometry.Affine;
import rovingglyph.motion.Place;
import rovingglyph.scene.Picture;

/**
 * A picture ready to be evaluated.
 *
 * @param outlineBase index of the outline of its first part among the scene's
 */
public record PreparedPicture(Picture picture, int outlineBase) {
  void paint(Frame frame, double time) {
    double alpha = Place.alpha(picture, time);
    Affine m = Place.map(picture, time);
    for (int i = 0; i < picture.parts().size() && alpha > 0; i++) {
      frame.shape(picture.parts().get(i).fill(), alpha);
      frame.outline(outlineBase + i, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
    }
  }
}
