package rovingglyph.bridge;

import java.util.List;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Footage;
import rovingglyph.scene.FootagePin;
import rovingglyph.scene.Scene;

/** What the interface wants to know of what is followed in footage. */
final class PinBridge {
  private PinBridge() {}

  /** The marked points in the frame that is seen at a time, in pixels of the scene, by turns. */
  static double[] points(PreparedScene scene, String pin, double time) {
    Footage f = scene.scene().pinned(pin);
    if (f == null || Double.isNaN(f.moment(time))) {
      return new double[0];
    }
    return placed(scene, f, seen(f, pin, time), time);
  }

  private static List<Point> seen(Footage f, String pin, double time) {
    FootagePin p = f.pin(pin);
    return p.frames().get(p.frame(f.moment(time))).points();
  }

  /** The same round the area that is followed; nothing where all between its corners is. */
  static double[] area(PreparedScene scene, String pin, double time) {
    Footage f = scene.scene().pinned(pin);
    if (f == null || Double.isNaN(f.moment(time)) || f.pin(pin).area().isEmpty()) {
      return new double[0];
    }
    List<Point> corners = new Rect(0, 0, 1, 1).corners();
    Projection between = Projection.of(corners, seen(f, pin, time));
    List<Point> round = f.pin(pin).area().stream().map(between::apply).toList();
    return placed(scene, f, round, time);
  }

  private static double[] placed(PreparedScene scene, Footage f, List<Point> points, double time) {
    Projection map = scene.footagePixels(f, time);
    double[] out = new double[2 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      Point at = map.apply(points.get(i));
      out[2 * i] = at.x();
      out[2 * i + 1] = at.y();
    }
    return out;
  }

  /** See {@link FootagePin#known}; the first of a pin that there is not. */
  static int known(Scene scene, String pin, double time) {
    Footage f = scene.pinned(pin);
    return f == null ? 0 : f.pin(pin).known(time);
  }

  /** See {@link Footage#followedUntil}; no farther for a pin that there is not. */
  static double until(Scene scene, String pin, double moment, boolean on) {
    Footage f = scene.pinned(pin);
    return f == null ? moment : f.followedUntil(f.pin(pin), moment, on);
  }

  /** The pixel of footage at a point of the scene. */
  static double[] pixel(PreparedScene scene, String footage, double time, double x, double y) {
    Footage f = (Footage) scene.scene().item(footage);
    Point p = scene.footagePixels(f, time).inverse().apply(new Point(x, y));
    return new double[] {p.x(), p.y()};
  }
}
