package rovingglyph.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;

/** Some of a row of points brought in line, or spread evenly. */
final class Arrange {
  /** What the points are lined up on: an edge or a middle of the box round them. */
  enum Edge {
    LEFT,
    CENTRE,
    RIGHT,
    TOP,
    MIDDLE,
    BOTTOM
  }

  private Arrange() {}

  static List<Point> align(List<Point> points, Set<Integer> chosen, Edge edge) {
    Rect box = Rect.EMPTY;
    for (int i : chosen) {
      box = box.include(points.get(i));
    }
    List<Point> out = new ArrayList<>(points);
    for (int i : chosen) {
      Point p = points.get(i);
      out.set(
          i,
          switch (edge) {
            case LEFT -> new Point(box.left(), p.y());
            case CENTRE -> new Point(box.centre().x(), p.y());
            case RIGHT -> new Point(box.right(), p.y());
            case TOP -> new Point(p.x(), box.top());
            case MIDDLE -> new Point(p.x(), box.centre().y());
            case BOTTOM -> new Point(p.x(), box.bottom());
          });
    }
    return out;
  }

  /** Even steps between the outermost two, across or down. */
  static List<Point> distribute(List<Point> points, Set<Integer> chosen, boolean across) {
    List<Integer> order = new ArrayList<>(chosen);
    order.sort(Comparator.comparingDouble(i -> across ? points.get(i).x() : points.get(i).y()));
    List<Point> out = new ArrayList<>(points);
    int n = order.size() - 1;
    for (int k = 1; k < n; k++) {
      Point p = points.get(order.get(k));
      Point even = points.get(order.get(0)).lerp(points.get(order.get(n)), (double) k / n);
      out.set(order.get(k), across ? new Point(even.x(), p.y()) : new Point(p.x(), even.y()));
    }
    return out;
  }
}
