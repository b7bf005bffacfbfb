package rovingglyph.webexport;

import rovingglyph.frame.GroupTransform;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;

/** A picture in its own pixels: a window of its own onto the bitmap, which crops it. */
final class PictureSvg {
  /** Of lengths, px. */
  private static final double TOLERANCE = 0.05;

  private final PreparedPicture prepared;
  private final Picture picture;
  private final Scene scene;

  PictureSvg(Picture picture, Scene scene) {
    this.prepared = new PreparedPicture(picture, 0);
    this.picture = picture;
    this.scene = scene;
  }

  /**
   * The widest that all of the picture is shown in any frame, in px of the scene: so many pixels
   * are enough.
   */
  double widest() {
    GroupTransform groups = new GroupTransform(scene.groupsRound(picture.id()));
    double most = 1;
    for (int i = 0; i < scene.frameCount(); i++) {
      double t = scene.rate().timeOf(i);
      Affine m = groups.map(t).times(Place.map(picture, t));
      Rect whole = prepared.whole(t);
      double across = whole.width() * Math.hypot(m.a(), m.b());
      double down = whole.height() * Math.hypot(m.c(), m.d());
      most = Math.max(most, Math.max(across, down * picture.pixelWidth() / picture.pixelHeight()));
    }
    return most;
  }

  /**
   * @param bitmap id of an element of the natural size of the picture
   */
  String write(String bitmap) {
    SmilAttribute window =
        new SmilAttribute(scene)
            .number("x", TOLERANCE, t -> seen(t).left())
            .number("y", TOLERANCE, t -> seen(t).top())
            .number("width", TOLERANCE, t -> seen(t).width())
            .number("height", TOLERANCE, t -> seen(t).height())
            .numbers("viewBox", TOLERANCE, this::cropped);
    return window
        .fixed("preserveAspectRatio", "none")
        .element("svg", "<use href=\"#" + bitmap + "\"/>");
  }

  /** What is left of it; of no size where nothing is. */
  private Rect seen(double time) {
    Rect seen = prepared.seen(time);
    return seen.isEmpty() ? new Rect(0, 0, 0, 0) : seen;
  }

  private double[] cropped(double time) {
    Rect whole = prepared.whole(time);
    Rect seen = seen(time);
    double x = picture.pixelWidth() / whole.width();
    double y = picture.pixelHeight() / whole.height();
    return new double[] {
      (seen.left() - whole.left()) * x,
      (seen.top() - whole.top()) * y,
      seen.width() * x,
      seen.height() * y
    };
  }
}
