package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Bitmapped;
import rovingglyph.scene.Channel;

/**
 * A picture or footage ready to be evaluated.
 *
 * @param image index of its bitmap among the scene's
 */
public record PreparedPicture(Bitmapped picture, int image) implements PreparedItem {

  @Override
  public double opacity(double time) {
    return Place.alpha(picture, time);
  }

  @Override
  public boolean overlaps(double time) {
    return false;
  }

  @Override
  public List<ItemShape> shapes(double time) {
    return placed(time).shapes();
  }

  /** What lies in it may be seen through. */
  @Override
  public boolean solid() {
    return false;
  }

  @Override
  public void paint(Frame list, double time, double alpha, Outlines outlines) {
    Rect seen = seen(time);
    if (alpha <= 0 || seen.isEmpty()) {
      return;
    }
    FramePaint paint =
        FramePaint.image(image, picture.moment(time), Projection.of(square(time)), alpha);
    outlines.beneath(list, () -> shapes(time), solid());
    placed(time).fill(list, paint);
    outlines.over(list, () -> shapes(time));
  }

  /** The map of a square of one pixel to all of it, cropped or not, in the pixels round it. */
  public Affine square(double time) {
    Rect whole = whole(time);
    Affine square = new Affine(whole.width(), 0, 0, whole.height(), whole.left(), whole.top());
    return Place.map(picture, time).times(square);
  }

  /** All of it in its own pixels, cropped or not. */
  public Rect whole(double time) {
    double x = value(Channel.WIDTH, time) / 2;
    double y = value(Channel.HEIGHT, time) / 2;
    return new Rect(-x, -y, x, y);
  }

  /** What is seen of it, in its own pixels; empty where nothing is, or where it is over. */
  public Rect seen(double time) {
    return Double.isNaN(picture.moment(time)) ? Rect.EMPTY : cropped(time);
  }

  /** What is left of it when it is cropped, in its own pixels; empty where nothing is. */
  public Rect cropped(double time) {
    Rect w = whole(time);
    double left = w.left() + w.width() * value(Channel.CROP_LEFT, time) / 100;
    double top = w.top() + w.height() * value(Channel.CROP_TOP, time) / 100;
    double right = w.right() - w.width() * value(Channel.CROP_RIGHT, time) / 100;
    double bottom = w.bottom() - w.height() * value(Channel.CROP_BOTTOM, time) / 100;
    return left < right && top < bottom ? new Rect(left, top, right, bottom) : Rect.EMPTY;
  }

  /** What is seen of it, where it stands. */
  public PlacedRect placed(double time) {
    return new PlacedRect(seen(time), Place.map(picture, time));
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(picture.movable(c), time));
  }

  @Override
  public boolean touches(double time, Window spot) {
    return !seen(time).isEmpty() && placed(time).touches(spot);
  }
}
