package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.GroupTransform;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Picture;
import rovingglyph.scene.Scene;

/** A picture in its own pixels: the bitmap, brought to its size and cropped. */
final class PictureSvg {
  /** Of lengths, px. */
  private static final double TOLERANCE = 0.05;

  private static final List<Channel> CROP =
      List.of(Channel.CROP_LEFT, Channel.CROP_TOP, Channel.CROP_RIGHT, Channel.CROP_BOTTOM);

  private final PreparedPicture prepared;
  private final Picture picture;
  private final SvgClock clock;

  PictureSvg(Picture picture, SvgClock clock) {
    this.prepared = new PreparedPicture(picture, 0);
    this.picture = picture;
    this.clock = clock;
  }

  /**
   * The widest that all of the picture is shown in any frame, in px of the scene: so many pixels
   * are enough.
   */
  static double widest(Picture picture, Scene scene) {
    PreparedPicture prepared = new PreparedPicture(picture, 0);
    GroupTransform groups = GroupTransform.of(scene, picture.id());
    double most = 1;
    for (int i = 0; i < scene.frameCount(); i++) {
      double t = scene.rate().timeOf(i);
      Rect whole = prepared.whole(t);
      Affine m = groups.map(t).times(Place.map(picture, t)).near(whole.centre());
      double across = whole.width() * Math.hypot(m.a(), m.b());
      double down = whole.height() * Math.hypot(m.c(), m.d());
      most = Math.max(most, Math.max(across, down * picture.pixelWidth() / picture.pixelHeight()));
    }
    return most;
  }

  /**
   * Writes it. There is no {@code <svg>} within it, which styles of a page that it is set into
   * would reach.
   *
   * @param bitmap id of an element of the natural size of the picture
   * @param name of its own, for what it drives
   */
  String write(
      String bitmap, String name, AppearanceSvg.Values values, AppearanceSvg.Animate animate) {
    int w = picture.pixelWidth();
    int h = picture.pixelHeight();
    List<String> animations = new ArrayList<>();
    String across = values.own(name + "-w", picture.movable(Channel.WIDTH), TOLERANCE, animations);
    String down = values.own(name + "-h", picture.movable(Channel.HEIGHT), TOLERANCE, animations);
    animate.animate(name, animations);
    String scale = "scale(calc(" + across + "/" + w + "),calc(" + down + "/" + h + "))";
    String middle = Decimal.text(-w / 2.0, 1) + "px," + Decimal.text(-h / 2.0, 1) + "px";
    String place = "transform:" + scale + " translate(" + middle + ")";
    String use = "<use href=\"#" + bitmap + "\"/>";
    String shown =
        isCropped()
            ? crop(name + "-crop") + "<g clip-path=\"url(#" + name + "-crop)\">" + use + "</g>"
            : use;
    return "<g class=\"" + name + "\" style=\"" + place + "\">" + shown + "</g>\n";
  }

  private boolean isCropped() {
    return CROP.stream()
        .map(picture::movable)
        .anyMatch(m -> m.moves() || m.keyed() || m.base() > 0);
  }

  /** What is left of it, in pixels of the bitmap. */
  private String crop(String id) {
    SmilAttribute left =
        new SmilAttribute(clock)
            .number("x", TOLERANCE, t -> cropped(t)[0])
            .number("y", TOLERANCE, t -> cropped(t)[1])
            .number("width", TOLERANCE, t -> cropped(t)[2])
            .number("height", TOLERANCE, t -> cropped(t)[3]);
    return "<clipPath id=\"" + id + "\">" + left.element("rect", "").strip() + "</clipPath>";
  }

  /** Left, top, width and height; of no size where nothing is left. */
  private double[] cropped(double time) {
    Rect whole = prepared.whole(time);
    Rect seen = prepared.seen(time);
    if (seen.isEmpty()) {
      return new double[4];
    }
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
