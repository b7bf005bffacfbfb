package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * A closed contour of an area in straight edges, with the ways out of the area: what is needed to
 * give it thickness and to break its edges. Edge i goes from corner i to the next, the last one to
 * the first. Units are those of the contour.
 */
public final class Rim {
  /** Where edges turn by more than this, radians, light falls on them as on two faces. */
  private static final double SHARP = Math.toRadians(18);

  /** A corner of an inset contour is at most so many times as far from its own as the edges are. */
  private static final double MITRE = 3;

  /** Of the way to the other side of a stroke an inset takes at most this share. */
  private static final double SHARE = 0.45;

  private final double[] x;
  private final double[] y;

  /** The way out at the beginning and at the end of each edge, of unit length: x and y by turns. */
  private final double[] begin;

  private final double[] end;
  private final boolean[] sharp;
  private final double side;

  /** Made on first use; several threads may each make the same. */
  private Ways ways;

  /**
   * The ways of its corners into the area.
   *
   * @param inward what a corner moves when both its edges move by 1: x and y by turns
   * @param room how far the edges of each corner may move
   */
  private record Ways(double[] inward, double[] room) {}

  private Rim(List<Point> points, List<Point> tangents, double side) {
    this.side = side;
    int n = points.size();
    x = new double[n];
    y = new double[n];
    begin = new double[2 * n];
    end = new double[2 * n];
    sharp = new boolean[n];
    for (int i = 0; i < n; i++) {
      x[i] = points.get(i).x();
      y[i] = points.get(i).y();
      Point from = tangents.get(2 * i);
      Point to = tangents.get(2 * i + 1);
      begin[2 * i] = from.y() * side;
      begin[2 * i + 1] = -from.x() * side;
      end[2 * i] = to.y() * side;
      end[2 * i + 1] = -to.x() * side;
    }
    for (int i = 0; i < n; i++) {
      int before = 2 * ((i + n - 1) % n);
      double cos = end[before] * begin[2 * i] + end[before + 1] * begin[2 * i + 1];
      sharp[i] = cos < Math.cos(SHARP);
    }
  }

  /**
   * The contours of an area that is filled by the non-zero rule, whose outer ones go one way round
   * and its holes the other.
   *
   * @param area of it
   * @param px how large a unit is seen: no edge is farther than 0.05 px from its curve, but a
   *     segment has at most 60 edges
   * @param bending whether it will be bent along the x axis, so that lines along it need edges too
   */
  public static List<Rim> of(List<SubPath> area, double px, boolean bending) {
    List<List<Point>> points = new ArrayList<>();
    List<List<Point>> tangents = new ArrayList<>();
    double sum = 0;
    for (SubPath p : area) {
      List<Point> at = new ArrayList<>();
      List<Point> along = new ArrayList<>();
      for (Segment s : p.segments()) {
        flatten(s, parts(s, px, bending), at, along);
      }
      if (!p.segments().isEmpty()) {
        Point last = p.segments().get(p.segments().size() - 1).end();
        flatten(new Line(last, p.segments().get(0).start()), 1, at, along);
      }
      if (at.size() > 2) {
        points.add(at);
        tangents.add(along);
        for (int i = 0; i < at.size(); i++) {
          sum += at.get(i).cross(at.get((i + 1) % at.size()));
        }
      }
    }
    List<Rim> out = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      out.add(new Rim(points.get(i), tangents.get(i), sum < 0 ? -1 : 1));
    }
    return out;
  }

  /** How many edges follow a segment as near as need be. */
  public static int parts(Segment s, double px, boolean bending) {
    // A chord over du is off by |second| du^2 / 8, a level line of length l by l^2 / 8r.
    double flat = s instanceof Line ? 0 : s.secondDerivative(0.5).length() * px;
    double along = bending ? (s.end().x() - s.start().x()) * px : 0;
    double off = (flat + along * along / Math.max(px * 0.7, 1)) / 8;
    return Math.min(Math.max((int) Math.ceil(Math.sqrt(off / 0.05)), 1), 60);
  }

  /** Adds the beginnings of the edges of a segment, and the tangents at both ends of each. */
  private static void flatten(Segment s, int parts, List<Point> at, List<Point> along) {
    for (int i = 0; i < parts; i++) {
      double from = (double) i / parts;
      double to = (i + 1.0) / parts;
      Point p = s.point(from);
      if (p.distance(s.point(to)) > 1e-7) {
        at.add(p);
        along.add(s.tangent(from));
        along.add(s.tangent(to));
      }
    }
  }

  /** How many corners it has, and as many edges. */
  public int count() {
    return x.length;
  }

  /** 1 where the outer contours of the area go round clockwise on the picture, else -1. */
  public double side() {
    return side;
  }

  /** The x of a corner. */
  public double x(int i) {
    return x[i];
  }

  /** The y of a corner. */
  public double y(int i) {
    return y[i];
  }

  /** Whether light falls on the edges before and after a corner as on two faces. */
  public boolean isSharp(int i) {
    return sharp[i];
  }

  /** The x of the way out of the area at the beginning of an edge. */
  public double beginX(int edge) {
    return begin[2 * edge];
  }

  /** The y of the same. */
  public double beginY(int edge) {
    return begin[2 * edge + 1];
  }

  /** The x of the way out of the area at the end of an edge. */
  public double endX(int edge) {
    return end[2 * edge];
  }

  /** The y of the same. */
  public double endY(int edge) {
    return end[2 * edge + 1];
  }

  /**
   * Where corners go when all edges move into the area: x and y by turns. Where it is narrow they
   * go less far, so that the edges of both sides do not meet.
   *
   * @param by how far, 0 or more
   * @param all the contours of the area, with this one
   */
  public double[] inset(double by, List<Rim> all) {
    Ways w = ways(all);
    double[] out = new double[2 * x.length];
    for (int i = 0; i < x.length; i++) {
      double far = Math.min(by, w.room[i]);
      out[2 * i] = x[i] + w.inward[2 * i] * far;
      out[2 * i + 1] = y[i] + w.inward[2 * i + 1] * far;
    }
    return out;
  }

  /**
   * The way that a corner goes into the area when both its edges go by 1.
   *
   * @param all the contours of the area, with this one
   */
  public Point inward(int corner, List<Rim> all) {
    Ways w = ways(all);
    return new Point(w.inward[2 * corner], w.inward[2 * corner + 1]);
  }

  /** How far the edges of a corner go into the area at most. */
  public double room(int corner, List<Rim> all) {
    return ways(all).room[corner];
  }

  private Ways ways(List<Rim> all) {
    Ways w = ways;
    if (w == null) {
      w = measured(all);
      ways = w;
    }
    return w;
  }

  private Ways measured(List<Rim> all) {
    int n = x.length;
    double[] inward = new double[2 * n];
    double[] room = new double[n];
    for (int i = 0; i < n; i++) {
      int before = 2 * ((i + n - 1) % n);
      double nx = end[before] + begin[2 * i];
      double ny = end[before + 1] + begin[2 * i + 1];
      // Both ways out have unit length: their sum has the length 2 cos of half of the turn.
      double square = Math.max(nx * nx + ny * ny, 4 / (MITRE * MITRE));
      inward[2 * i] = -2 * nx / square;
      inward[2 * i + 1] = -2 * ny / square;
      room[i] = SHARE * free(i, inward[2 * i], inward[2 * i + 1], all);
    }
    return new Ways(inward, room);
  }

  /** How many times a way can be gone from a corner until an edge is met. */
  private double free(int corner, double wayX, double wayY, List<Rim> all) {
    double least = Double.POSITIVE_INFINITY;
    for (Rim r : all) {
      int n = r.x.length;
      for (int k = 0; k < n; k++) {
        int next = (k + 1) % n;
        if (r == this && (k == corner || next == corner)) {
          continue;
        }
        double ax = r.x[k] - x[corner];
        double ay = r.y[k] - y[corner];
        double ex = r.x[next] - r.x[k];
        double ey = r.y[next] - r.y[k];
        double det = ex * wayY - ey * wayX;
        double at = (ex * ay - ey * ax) / det;
        double share = (wayX * ay - wayY * ax) / det;
        if (at > 1e-9 && share >= 0 && share <= 1) {
          least = Math.min(least, at);
        }
      }
    }
    return least;
  }
}
