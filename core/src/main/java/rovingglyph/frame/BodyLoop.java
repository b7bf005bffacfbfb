package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rim;

/** A contour of a letter that has thickness, at each of its levels. */
final class BodyLoop {
  /** A strip turns by at most this, radians: its colours go along it in one direction. */
  private static final double MOST_TURN = Math.toRadians(140);

  /** A face that is seen smaller than this, square px, is seen from its edge. */
  private static final double LEAST_AREA = 1e-7;

  /**
   * So far, px, a strip reaches on below what is painted over it, so that nothing shows between.
   */
  static final double UNDER = 1;

  /** So many times as far as a bevel may go in a stroke what is below its front may go. */
  private static final double DEEP = 1.6;

  private final Rim rim;
  private final List<Rim> all;
  private final double[] insets;
  private final Affine near;
  private final double[][] em;
  private final double[][] seen;
  private final boolean clipped;

  /** Of each ring, which of its faces are turned to the eye. */
  private boolean[][] faces;

  /**
   * @param all the contours of its glyph
   * @param insets of its levels, em
   * @param near the map of its letter to the picture as it is in the middle
   * @param em its corners at each level in its letter, x and y by turns
   * @param seen where these are on the picture
   * @param clipped whether a part of it is cut off, or too near to be seen
   */
  BodyLoop(
      Rim rim,
      List<Rim> all,
      double[] insets,
      Affine near,
      double[][] em,
      double[][] seen,
      boolean clipped) {
    this.rim = rim;
    this.all = all;
    this.insets = insets;
    this.near = near;
    this.em = em;
    this.seen = seen;
    this.clipped = clipped;
  }

  Rim rim() {
    return rim;
  }

  double[] em(int level) {
    return em[level];
  }

  double[] seen(int level) {
    return seen[level];
  }

  boolean clipped() {
    return clipped;
  }

  /**
   * Finds out which faces are turned to the eye.
   *
   * @param turns see {@link BodyShade#turns}
   */
  void look(int rings, double turns) {
    int n = rim.count();
    double side = turns * rim.side();
    faces = new boolean[rings][n];
    for (int k = 0; k < rings; k++) {
      double[] a = seen[k];
      double[] b = seen[k + 1];
      for (int i = 0; i < n; i++) {
        int p = 2 * i;
        int q = 2 * ((i + 1) % n);
        // Twice the area of the face, by its diagonals.
        double area = (b[q] - a[p]) * (b[p + 1] - a[q + 1]) - (b[q + 1] - a[p + 1]) * (b[p] - a[q]);
        faces[k][i] = area * side < -LEAST_AREA;
      }
    }
  }

  /** Whether a face is turned to the eye; edges are counted round and round. */
  boolean isSeen(int ring, int edge) {
    return ring >= 0 && ring < faces.length && faces[ring][Math.floorMod(edge, rim.count())];
  }

  /** What is seen of a ring: faces side by side without a sharp corner between them. */
  List<BodyStrip> strips(int ring) {
    List<BodyStrip> out = new ArrayList<>();
    int n = rim.count();
    int begin = 0;
    while (begin < n && !isBegin(ring, begin)) {
      begin++;
    }
    // Where there is no beginning all of it is seen, or nothing.
    begin = begin % n;
    int from = -1;
    double turn = 0;
    for (int k = 0; k <= n; k++) {
      int i = begin + k;
      boolean is = k < n && isSeen(ring, i);
      boolean ends = from >= 0 && (!is || rim.isSharp(i % n) || turn > MOST_TURN);
      if (ends) {
        out.add(new BodyStrip(this, ring, from % n, i - from));
        from = -1;
      }
      if (is) {
        turn = from < 0 ? 0 : turn;
        from = from < 0 ? i : from;
        turn += turn(i % n);
      }
    }
    return out;
  }

  /**
   * The place beside a corner of a level that is a little within what is painted over it: the next
   * ring towards the eye, beyond that the next one, and in the end the front or the back.
   *
   * @param by the step to the next level towards the eye, 1 or -1
   */
  Point below(int level, int corner, int by) {
    int i = 2 * corner;
    Point at = new Point(seen[level][i], seen[level][i + 1]);
    int next = level + by;
    if (next < 0 || next >= seen.length) {
      return within(level, corner);
    }
    Point there = new Point(seen[next][i], seen[next][i + 1]);
    double far = at.distance(there);
    return far > UNDER ? at.lerp(there, UNDER / far) : below(next, corner, by);
  }

  /** The place at a corner of a level that is a little within its outline. */
  private Point within(int level, int corner) {
    Point in = rim.inward(corner, all);
    Point way =
        new Point(near.a() * in.x() + near.c() * in.y(), near.b() * in.x() + near.d() * in.y());
    double room = Math.max(DEEP * rim.room(corner, all) - insets[level], 0);
    // What counts is how far it is from both edges.
    double far = Math.min(off(way, level, corner), off(way, level, corner + rim.count() - 1));
    double by = far * room > UNDER ? UNDER / far : room;
    return new Point(
        seen[level][2 * corner] + way.x() * by, seen[level][2 * corner + 1] + way.y() * by);
  }

  /** How far a way leads off an edge as it is seen. */
  private double off(Point way, int level, int edge) {
    int i = 2 * (edge % rim.count());
    int k = 2 * ((edge + 1) % rim.count());
    Point along =
        new Point(seen[level][k] - seen[level][i], seen[level][k + 1] - seen[level][i + 1]);
    return Math.abs(along.unit().cross(way));
  }

  private boolean isBegin(int ring, int i) {
    return isSeen(ring, i) && (!isSeen(ring, i - 1) || rim.isSharp(i));
  }

  /** By how much an edge stands for a turn, radians. */
  private double turn(int edge) {
    double cos = rim.beginX(edge) * rim.endX(edge) + rim.beginY(edge) * rim.endY(edge);
    return Math.acos(Math.min(Math.max(cos, -1), 1));
  }
}
