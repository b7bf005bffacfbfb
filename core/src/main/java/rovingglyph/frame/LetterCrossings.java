package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;

/**
 * Letters that stand in space and go through each other: where the planes of both meet, both have
 * ink. Of those that have thickness their fronts and backs are looked at. Letters that are bent are
 * left out, and those that lie in one plane, where they may lie over each other.
 */
public final class LetterCrossings {
  /** Letters that share no more of a line than this, px, only touch. */
  private static final double TOUCH = 0.5;

  /** More letters than this are not looked at: it would take too long after every edit. */
  private static final int MOST = 300;

  /** The sine of the angle of planes that are taken for one. */
  private static final double ALIKE = 1e-6;

  /** A bend of an outline is followed in so many steps. */
  private static final int STEPS = 8;

  private LetterCrossings() {}

  /**
   * Two letters that go through each other.
   *
   * @param row of the first
   * @param first its place
   * @param otherRow of the second
   * @param second its place
   */
  public record Pair(RowLayout row, Placement first, RowLayout otherRow, Placement second) {}

  /** Round all of a letter. */
  private record Ball(Point3 centre, double radius) {
    boolean meets(Ball o) {
      return centre.minus(o.centre).length() < radius + o.radius;
    }
  }

  /** A face of a letter in straight edges. */
  private record Face(Point3 origin, Point3 u, Point3 v, List<List<Point>> ink) {

    List<List<Point3>> inSpace() {
      return ink.stream()
          .map(c -> c.stream().map(p -> origin.plus(u.times(p.x())).plus(v.times(p.y()))).toList())
          .toList();
    }

    /** Where a point of its plane is in its units. */
    Point in(Point3 p) {
      Point3 way = p.minus(origin);
      double uu = u.dot(u);
      double uv = u.dot(v);
      double vv = v.dot(v);
      double det = uu * vv - uv * uv;
      double x = way.dot(u);
      double y = way.dot(v);
      return new Point((x * vv - y * uv) / det, (y * uu - x * uv) / det);
    }

    /** The parts of a line in its plane that are in its ink: from and to by turns, px. */
    List<Double> along(Point3 on, Point3 way) {
      Point from = in(on);
      Point step = in(on.plus(way)).minus(from);
      double square = step.dot(step);
      List<double[]> edges = new ArrayList<>();
      for (List<Point> contour : ink) {
        for (int i = 0; i < contour.size(); i++) {
          Point p = contour.get(i).minus(from);
          Point q = contour.get((i + 1) % contour.size()).minus(from);
          double a = step.cross(p);
          double b = step.cross(q);
          if (a < 0 != b < 0) {
            double at = p.lerp(q, a / (a - b)).dot(step) / square;
            edges.add(new double[] {at, a < 0 ? 1 : -1});
          }
        }
      }
      edges.sort(Comparator.comparingDouble(e -> e[0]));
      List<Double> out = new ArrayList<>();
      int winding = 0;
      for (double[] e : edges) {
        int next = winding + (int) e[1];
        if (winding == 0 || next == 0) {
          out.add(e[0]);
        }
        winding = next;
      }
      return out;
    }
  }

  /** Those of some letters, in their order. */
  static List<Pair> of(List<Card> cards) {
    List<Pair> out = new ArrayList<>();
    if (cards.size() > MOST) {
      return out;
    }
    List<List<Face>> faces = cards.stream().map(LetterCrossings::faces).toList();
    List<Ball> balls = cards.stream().map(LetterCrossings::ball).toList();
    for (int i = 0; i < cards.size(); i++) {
      for (int k = i + 1; k < cards.size(); k++) {
        if (balls.get(i).meets(balls.get(k)) && meet(faces.get(i), faces.get(k))) {
          LetterInk first = cards.get(i).ink();
          LetterInk second = cards.get(k).ink();
          out.add(new Pair(first.row(), first.place(), second.row(), second.place()));
        }
      }
    }
    return out;
  }

  private static Ball ball(Card c) {
    List<Point3> corners = c.corners();
    Point3 first = corners.get(0);
    double radius = corners.stream().mapToDouble(p -> p.minus(first).length()).max().orElse(0);
    return new Ball(first, radius);
  }

  /**
   * The outlines of a letter where the eye sees them, in short straight edges; of bent ones none.
   */
  static List<List<Point3>> outlines(Card c) {
    return faces(c).stream().flatMap(f -> f.inSpace().stream()).toList();
  }

  private static List<Face> faces(Card c) {
    if (!c.isFlat()) {
      return List.of();
    }
    List<List<Point>> ink = new ArrayList<>();
    for (Card.Part p : c.pieces()) {
      Affine map = p.piece().map().flat();
      for (SubPath s : p.piece().subPaths()) {
        List<Point> contour = new ArrayList<>();
        for (Segment e : s.segments()) {
          for (int i = 0; i < STEPS; i++) {
            contour.add(map.apply(e.point((double) i / STEPS)));
          }
        }
        ink.add(contour);
      }
    }
    Face front = new Face(c.origin(), c.u(), c.v(), ink);
    return c.isThick()
        ? List.of(front, new Face(c.origin().plus(c.back()), c.u(), c.v(), ink))
        : List.of(front);
  }

  private static boolean meet(List<Face> some, List<Face> others) {
    return some.stream().anyMatch(a -> others.stream().anyMatch(b -> meet(a, b)));
  }

  private static boolean meet(Face a, Face b) {
    Point3 n = a.u.cross(a.v).unit();
    Point3 m = b.u.cross(b.v).unit();
    Point3 way = n.cross(m);
    double sine = way.length();
    if (!(sine > ALIKE)) {
      return false;
    }
    // The point of both planes that is nearest to the origin of the first one.
    double off = m.dot(b.origin.minus(a.origin));
    Point3 on = a.origin.plus(way.cross(n).times(off / (sine * sine)));
    return shared(a.along(on, way.unit()), b.along(on, way.unit())) > TOUCH;
  }

  /** How much of a line is in both of two lists of its parts. */
  private static double shared(List<Double> some, List<Double> others) {
    double out = 0;
    for (int i = 0; i + 1 < some.size(); i += 2) {
      for (int k = 0; k + 1 < others.size(); k += 2) {
        double from = Math.max(some.get(i), others.get(k));
        double to = Math.min(some.get(i + 1), others.get(k + 1));
        out += Math.max(to - from, 0);
      }
    }
    return out;
  }
}
