package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.List;

/** A contour drawn again with fewer cubics, or beside itself. */
public final class Refit {
  /** Samples per segment that decide the fit. */
  private static final int SAMPLES = 24;

  private Refit() {}

  /**
   * The same line within {@code tolerance} px; straight pieces stay single lines. A corner stays,
   * unless the line without it is still within the tolerance and has fewer points.
   */
  public static CurveFit.Fitted simplified(Contour c, double tolerance) {
    List<Contour> pieces = smoothPieces(c);
    List<Cubic> out = new ArrayList<>();
    double error = 0;
    for (int i = 0; i < pieces.size(); ) {
      CurveFit.Fitted best = fit(pieces.subList(i, i + 1), tolerance);
      int next = i + 1;
      while (next < pieces.size()) {
        CurveFit.Fitted alone = fit(pieces.subList(next, next + 1), tolerance);
        CurveFit.Fitted over = fit(pieces.subList(i, next + 1), tolerance);
        boolean fewer = over.cubics().size() < best.cubics().size() + alone.cubics().size();
        if (!fewer || over.error() > tolerance) {
          break;
        }
        best = over;
        next++;
      }
      out.addAll(best.cubics());
      error = Math.max(error, best.error());
      i = next;
    }
    return new CurveFit.Fitted(out, error);
  }

  private static CurveFit.Fitted fit(List<Contour> pieces, double tolerance) {
    List<Point> row = new ArrayList<>();
    pieces.forEach(p -> row.addAll(samples(p, pieces.size() == 1 ? 2 : SAMPLES)));
    Contour last = pieces.get(pieces.size() - 1);
    return CurveFit.fit(row, tangent(pieces.get(0), 0), tangent(last, 1), tolerance);
  }

  private static Point tangent(Contour piece, int end) {
    return end == 0 ? piece.at(0).tangent() : piece.at(piece.length()).tangent();
  }

  /** The contour cut at its corners; a closed one without corners is cut at its start only. */
  public static List<Contour> smoothPieces(Contour c) {
    List<Double> cuts = new ArrayList<>();
    cuts.add(0.0);
    for (Contour.Corner corner : c.corners()) {
      if (corner.distance() > 0) {
        cuts.add(corner.distance());
      }
    }
    cuts.add(c.length());
    List<Contour> out = new ArrayList<>();
    for (int i = 0; i + 1 < cuts.size(); i++) {
      out.add(c.between(cuts.get(i), cuts.get(i + 1)));
    }
    return out;
  }

  private static List<Point> samples(Contour c, int perLine) {
    List<Point> out = new ArrayList<>();
    for (Segment s : c.segments()) {
      int n = s instanceof Line ? perLine : SAMPLES;
      for (int k = out.isEmpty() ? 0 : 1; k <= n; k++) {
        out.add(s.point((double) k / n));
      }
    }
    return out.isEmpty() ? List.of(c.first()) : out;
  }

  /**
   * The line at a distance beside a contour, positive to the left of the direction of travel, to
   * about 0.1 px. Round outer corners are turned round in an arc; where the bend is tighter than
   * the distance, what would lie nearer to the contour than the distance is left out.
   *
   * @return an empty list where nothing is left
   */
  public static List<Cubic> beside(Contour c, double distance) {
    List<Point> row = new ArrayList<>();
    for (Contour piece : smoothPieces(c)) {
      addBeside(row, piece, distance);
    }
    List<Point> kept = new ArrayList<>();
    double least = Math.abs(distance) - Math.max(0.02, Math.abs(distance) * 1e-4);
    for (Point p : row) {
      if (Math.abs(c.nearest(p).point().distance(p)) >= least) {
        kept.add(p);
      }
    }
    if (kept.size() < 2) {
      return List.of();
    }
    if (c.closed() && kept.get(0).distance(kept.get(kept.size() - 1)) > 1e-9) {
      kept.add(kept.get(0));
    }
    return pieces(kept);
  }

  private static void addBeside(List<Point> row, Contour piece, double distance) {
    int n = Math.max(8, Math.min(400, (int) Math.ceil(piece.length() / 6)));
    Contour.Station start = piece.at(0);
    if (!row.isEmpty()) {
      turn(row, start.point(), start.point().plus(start.normal().times(distance)), distance);
    }
    for (int i = 0; i <= n; i++) {
      Contour.Station s = piece.at(piece.length() * i / n);
      row.add(s.point().plus(s.normal().times(distance)));
    }
  }

  /** Round a corner from the last point of the row to the next, about the corner. */
  private static void turn(List<Point> row, Point corner, Point to, double distance) {
    Point from = row.get(row.size() - 1);
    double a = from.minus(corner).angle();
    double by = Turns.rest(to.minus(corner).angle() - a, 2 * Math.PI);
    int steps = (int) Math.ceil(Math.abs(by) / 0.1);
    for (int i = 1; i < steps; i++) {
      double t = a + by * i / steps;
      row.add(corner.plus(new Point(Math.cos(t), Math.sin(t)).times(Math.abs(distance))));
    }
  }

  /** Fits the row in stretches between its own sharp turns. */
  private static List<Cubic> pieces(List<Point> row) {
    List<Cubic> out = new ArrayList<>();
    int from = 0;
    for (int i = 1; i < row.size(); i++) {
      if (i == row.size() - 1 || sharp(row.get(i - 1), row.get(i), row.get(i + 1))) {
        out.addAll(CurveFit.fit(row.subList(from, i + 1), null, null, 0.1).cubics());
        from = i;
      }
    }
    return out;
  }

  private static boolean sharp(Point a, Point b, Point c) {
    Point in = b.minus(a);
    Point out = c.minus(b);
    return Math.abs(Math.atan2(in.cross(out), in.dot(out))) > Math.toRadians(35);
  }
}
