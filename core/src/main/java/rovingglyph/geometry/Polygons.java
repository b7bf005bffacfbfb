package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Closed polygons.
 *
 * @param all each as the list of its corners
 * @param box round all of them; empty where there are none
 */
public record Polygons(List<List<Point>> all, Rect box) {
  public static final Polygons NONE = of(List.of());

  /** Polygons with the box round them. */
  public static Polygons of(List<List<Point>> all) {
    Rect box = Rect.EMPTY;
    for (List<Point> polygon : all) {
      for (Point p : polygon) {
        box = box.include(p);
      }
    }
    return new Polygons(all, box);
  }

  /**
   * The least distance between the edges of these and of others, in their own unit: 0 where edges
   * cross; infinite where there are none. Of one that lies wholly within another it is the distance
   * to the other's edge.
   *
   * @param reach distances beyond it need not be told: infinity stands for all of them. Of letters
   *     side by side only a few edges come so near.
   */
  public double gap(Polygons other, double reach) {
    if (box.isEmpty() || other.box.isEmpty() || !box.grown(reach).meets(other.box)) {
      return Double.POSITIVE_INFINITY;
    }
    List<Point> mine = edges(other.box.grown(reach));
    List<Point> theirs = other.edges(box.grown(reach));
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < mine.size(); i += 2) {
      Point a0 = mine.get(i);
      Point a1 = mine.get(i + 1);
      for (int k = 0; k < theirs.size(); k += 2) {
        Point b0 = theirs.get(k);
        Point b1 = theirs.get(k + 1);
        if (Line.cross(a0, a1, b0, b1)) {
          return 0;
        }
        least = Math.min(least, Math.min(distance(a1, b0, b1), distance(b1, a0, a1)));
      }
    }
    return least <= reach ? least : Double.POSITIVE_INFINITY;
  }

  /** Both ends of every edge that may reach into a box. */
  private List<Point> edges(Rect area) {
    List<Point> out = new ArrayList<>();
    for (List<Point> polygon : all) {
      Point a = polygon.get(polygon.size() - 1);
      for (Point b : polygon) {
        boolean beside =
            Math.max(a.x(), b.x()) < area.left()
                || Math.min(a.x(), b.x()) > area.right()
                || Math.max(a.y(), b.y()) < area.top()
                || Math.min(a.y(), b.y()) > area.bottom();
        if (!beside) {
          out.add(a);
          out.add(b);
        }
        a = b;
      }
    }
    return out;
  }

  private static double distance(Point p, Point a, Point b) {
    Point ab = b.minus(a);
    double length = ab.dot(ab);
    double u = length > 0 ? Math.min(Math.max(p.minus(a).dot(ab) / length, 0), 1) : 0;
    return p.distance(a.plus(ab.times(u)));
  }
}
