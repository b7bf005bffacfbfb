package rovingglyph.journey;

import rovingglyph.frame.PreparedPath;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Item;

/** What the stage and the Journey show of an item that is turned in space. */
public final class PlaneMarks {
  /** Numbers of a point of a path. */
  public static final int STRIDE = 3;

  private PlaneMarks() {}

  /**
   * The map of the pixels of an item to those of the frame, as it lies in its plane: the nine
   * numbers of a {@link Projection}.
   *
   * @param inner what is done to these pixels before
   */
  public static double[] map(PreparedScene scene, String item, Affine inner, double time) {
    Projection m = scene.groupTransform(item).map(time).times(inner);
    return new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), m.g(), m.h(), m.i()};
  }

  /**
   * Points along a path in equal steps from its start to its end: x and y in the frame, and how
   * near they are, from 0 for the farthest to 1 for the nearest. A closed path ends where it
   * begins.
   *
   * @param inner what is done to the pixels of the path before the item's plane is turned
   */
  public static double[] path(
      PreparedScene scene, String item, PreparedPath path, Affine inner, int count, double time) {
    Space space = scene.groupTransform(item).space(time);
    Contour c = path.at(time);
    double[] out = new double[(count + 1) * STRIDE];
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i <= count; i++) {
      boolean end = i == count && c.closed();
      double d = end ? 0 : Math.min(c.length() * i / count, c.length());
      Point p = inner.apply(c.at(d).point());
      Point3 there = space.before(Point3.of(p));
      Point seen = space.looked(there);
      out[i * STRIDE] = seen.x();
      out[i * STRIDE + 1] = seen.y();
      out[i * STRIDE + 2] = there.z();
      least = Math.min(least, there.z());
      most = Math.max(most, there.z());
    }
    for (int i = 2; i < out.length; i += STRIDE) {
      out[i] = most > least ? (most - out[i]) / (most - least) : 0.5;
    }
    return out;
  }

  /**
   * Where the ball stands by which a plane is turned, and the way that its front points to: x and y
   * of its centre in the frame, and x, y and z of a way as long as 1, z toward the viewer. Empty
   * for an item without a plane.
   */
  public static double[] ball(PreparedScene scene, String id, double time) {
    Item item = scene.scene().item(id);
    if (item == null || item.properties().plane() == null) {
      return new double[0];
    }
    Space space = scene.groupTransform(id).space(time);
    Point3 centre =
        new Point3(value(item, Channel.PLANE_X, time), value(item, Channel.PLANE_Y, time), 0);
    Point at = space.apply(centre);
    Point3 there = space.before(centre);
    Point3 front = space.before(centre.plus(new Point3(0, 0, -1))).minus(there);
    double length = front.length();
    return new double[] {
      at.x(), at.y(), front.x() / length, front.y() / length, -front.z() / length
    };
  }

  private static double value(Item item, Channel c, double time) {
    return c.clamp(Timeline.value(item.movable(c), time));
  }
}
