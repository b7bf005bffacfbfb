package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.motion.Place;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ColourField;
import rovingglyph.scene.Gradient;
import rovingglyph.scene.Typesetting;

/**
 * A colour field ready to be evaluated.
 *
 * @param frame the frame of the scene
 */
public record PreparedColourField(ColourField field, Rect frame) implements PreparedItem {

  @Override
  public double opacity(double time) {
    return Place.alpha(field, time);
  }

  @Override
  public boolean overlaps(double time) {
    return false;
  }

  @Override
  public List<ItemShape> shapes(double time) {
    return new PlacedRect(box(time), map(time)).shapes();
  }

  @Override
  public boolean solid() {
    return field.fill().kind() == Gradient.Kind.PLAIN
        || field.fill().stops().stream().allMatch(s -> s.opacity() == 100);
  }

  @Override
  public void paint(Frame list, double time, double alpha, Outlines outlines) {
    Rect box = box(time);
    if (alpha <= 0 || box.isEmpty()) {
      return;
    }
    outlines.beneath(list, () -> shapes(time), solid());
    new PlacedRect(box, map(time)).fill(list, paint(alpha, time));
    outlines.over(list, () -> shapes(time));
  }

  /** What it covers, in its own pixels. */
  public Rect box(double time) {
    if (field.area() == ColourField.Area.FRAME) {
      return frame;
    }
    double x = value(Channel.WIDTH, time) / 2;
    double y = value(Channel.HEIGHT, time) / 2;
    return new Rect(-x, -y, x, y);
  }

  /** The map of its own pixels to those round it. */
  public Affine map(double time) {
    return field.area() == ColourField.Area.FRAME ? Affine.IDENTITY : Place.map(field, time);
  }

  /** Its colour at a time, 0xRRGGBB, where it is plain. */
  public int colour(double time) {
    return Timeline.colour(field.movable(Channel.FILL), time, Typesetting.PLAIN.mix());
  }

  /** Its gradient at a time, the map being to the pixels round it. */
  FramePaint paint(double alpha, double time) {
    List<Gradient.Stop> stops = field.fill().stops();
    if (field.fill().kind() == Gradient.Kind.PLAIN) {
      return FramePaint.plain(colour(time), alpha);
    }
    Point from = ends(Channel.FROM_X, Channel.FROM_Y, time);
    Point to = ends(Channel.TO_X, Channel.TO_Y, time);
    boolean linear = field.fill().kind() == Gradient.Kind.LINEAR;
    return FramePaint.graded(linear, stops, from, to, map(time), alpha);
  }

  /** Where a gradient begins or ends, in the field's own pixels. */
  public Point ends(Channel across, Channel down, double time) {
    Rect box = box(time);
    return new Point(
        box.left() + box.width() * value(across, time) / 100,
        box.top() + box.height() * value(down, time) / 100);
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(field.movable(c), time));
  }

  /** A field over the whole frame is a ground like the background: a click goes through it. */
  @Override
  public boolean touches(double time, Window spot) {
    if (field.area() == ColourField.Area.FRAME) {
      return false;
    }
    return new PlacedRect(box(time), map(time)).touches(spot);
  }
}
