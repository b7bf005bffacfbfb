package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.SubPath;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.FilledPath;
import rovingglyph.scene.Typesetting;
import rovingglyph.type.Outline;

/** A filled path ready to be evaluated. */
public record PreparedFilledPath(FilledPath item, PreparedPath path) implements PreparedItem {
  private static final double[] NO_DASH = {};

  @Override
  public double opacity(double time) {
    return value(Channel.OPACITY, time) / 100;
  }

  /** The line lies over half of itself of the filling. */
  @Override
  public boolean overlaps(double time) {
    return item.filled() && width(time) > 0;
  }

  @Override
  public List<ItemShape> shapes(double time) {
    Contour c = path.at(time);
    return c.segments().isEmpty()
        ? List.of()
        : List.of(
            new ItemShape(
                List.of(Piece.own(List.of(new SubPath(c.segments(), c.closed())), Affine.IDENTITY)),
                1));
  }

  @Override
  public boolean solid() {
    return item.filled();
  }

  @Override
  public void paint(Frame frame, double time, double alpha, Outlines outlines) {
    Contour c = path.at(time);
    if (alpha <= 0 || c.segments().isEmpty()) {
      return;
    }
    outlines.beneath(frame, () -> shapes(time), solid());
    if (item.filled()) {
      frame.fill(colour(Channel.FILL, time), alpha);
      frame.beginInline();
      frame.subPath(new SubPath(c.segments(), true));
      frame.endInline();
    }
    if (width(time) > 0) {
      LineStyle line = new LineStyle(width(time), item.cap().ordinal(), 0, NO_DASH);
      frame.stroke(colour(Channel.STROKE, time), alpha, line, List.of(c));
    }
    outlines.over(frame, () -> shapes(time));
  }

  /** Of the line, px. */
  public double width(double time) {
    return value(Channel.STROKE_WIDTH, time);
  }

  /** A colour of it at a time, 0xRRGGBB. */
  public int colour(Channel c, double time) {
    return Timeline.colour(item.movable(c), time, Typesetting.PLAIN.mix());
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(item.movable(c), time));
  }

  /** Within the shape, or on its line. */
  @Override
  public boolean touches(double time, Window spot) {
    Contour c = path.at(time);
    if (c.segments().isEmpty()) {
      return false;
    }
    if (item.filled()) {
      Outline area = Outline.of(List.of(new SubPath(c.segments(), true)));
      if (spot.touched(area, Affine.IDENTITY)) {
        return true;
      }
    }
    double half = width(time) / 2;
    return half > 0 && spot.distance(c) <= half;
  }
}
