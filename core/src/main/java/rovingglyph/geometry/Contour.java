package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Connected segments, open or closed, measured by arc length in px. Segments of no length are left
 * out; a contour of no length at all is a single point whose tangent is (1, 0). Nothing here is
 * ever NaN for finite input.
 */
public final class Contour {
  /** Joins that turn by less than this many radians (half a degree) count as smooth. */
  private static final double SMOOTH = Math.toRadians(0.5);

  /** What stands at a distance: the point, the unit tangent and the signed curvature in 1/px. */
  public record Station(Point point, Point tangent, double curvature) {
    /** The unit normal to the left of the direction of travel: up, for text that runs right. */
    public Point normal() {
      return new Point(tangent.y(), -tangent.x());
    }
  }

  /** A join with a sudden turn, in radians, clockwise positive. */
  public record Corner(double distance, double turn) {}

  /**
   * The place of a contour nearest to a point; {@code across} is the point's distance from it along
   * the normal, positive to the left of the direction of travel.
   */
  public record Nearest(double distance, Point point, double across, int segment, double u) {}

  private final List<Segment> segments;
  private final boolean closed;
  private final Point first;
  // Made when first asked for: many contours are only drawn. Threads that ask at once make them
  // twice.
  private ArcLengthTable table;
  private ArcLengthTable tableBefore;
  private List<Corner> corners;
  private Rect bounds;

  /**
   * Segments one after another, each from where the one before ends. Those of no length are left
   * out.
   */
  public Contour(List<? extends Segment> all, boolean closed) {
    this(all, closed, null);
  }

  /**
   * The same, made in less time where many segments are those of another contour.
   *
   * @param before that other contour, or null
   */
  public Contour(List<? extends Segment> all, boolean closed, Contour before) {
    if (all.isEmpty()) {
      throw new IllegalArgumentException("a contour needs at least one segment");
    }
    List<Segment> kept = new ArrayList<>();
    for (Segment s : all) {
      // Most have their ends apart; only of the others the box has to be looked at.
      if (s.start().distance(s.end()) > 1e-9 || s.bounds().width() + s.bounds().height() > 1e-9) {
        kept.add(s);
      }
    }
    this.segments = Collections.unmodifiableList(kept);
    this.closed = closed;
    this.first = all.get(0).start();
    this.tableBefore = before == null ? null : before.table;
  }

  private ArcLengthTable table() {
    ArcLengthTable made = table;
    if (made == null) {
      made = new ArcLengthTable(segments, tableBefore);
      table = made;
      tableBefore = null;
    }
    return made;
  }

  private List<Corner> findCorners() {
    List<Corner> found = new ArrayList<>();
    int n = segments.size();
    for (int i = closed ? 0 : 1; i < n; i++) {
      Point before = segments.get((i + n - 1) % n).tangent(1);
      Point after = segments.get(i).tangent(0);
      double turn = Math.atan2(before.cross(after), before.dot(after));
      if (Math.abs(turn) > SMOOTH) {
        found.add(new Corner(table().startOf(i), turn));
      }
    }
    return Collections.unmodifiableList(found);
  }

  /** The segments in order. */
  public List<Segment> segments() {
    return segments;
  }

  /** Whether it comes round to its start. */
  public boolean closed() {
    return closed;
  }

  /** The length of all segments together, px. */
  public double length() {
    return segments.isEmpty() ? 0 : table().total();
  }

  /** In order of distance; of a closed contour the join at the start counts, at distance 0. */
  public List<Corner> corners() {
    List<Corner> found = corners;
    if (found == null) {
      found = findCorners();
      corners = found;
    }
    return found;
  }

  /** Distances outside [0, length] are taken modulo the length if closed, clamped if open. */
  public Station at(double distance) {
    if (segments.isEmpty()) {
      return new Station(first, new Point(1, 0), 0);
    }
    double d = closed ? wrap(distance) : Math.min(Math.max(distance, 0), length());
    ArcLengthTable lengths = table();
    int leaf = lengths.leafAt(d);
    Segment s = segments.get(lengths.segmentOf(leaf));
    double u = lengths.parameterAt(leaf, d);
    return new Station(s.point(u), s.tangent(u), s.curvature(u));
  }

  /** The point and the unit tangent of {@link #at}, written as x, y, x, y. */
  public void place(double distance, double[] out) {
    if (segments.isEmpty()) {
      out[0] = first.x();
      out[1] = first.y();
      out[2] = 1;
      out[3] = 0;
      return;
    }
    double d = closed ? wrap(distance) : Math.min(Math.max(distance, 0), length());
    ArcLengthTable lengths = table();
    int leaf = lengths.leafAt(d);
    segments.get(lengths.segmentOf(leaf)).place(lengths.parameterAt(leaf, d), out);
  }

  /** The distance modulo the length, in [0, length). */
  public double wrap(double distance) {
    double l = length();
    if (l <= 0) {
      return 0;
    }
    double d = distance % l;
    return d < 0 ? d + l : d;
  }

  /** Where the segment with this index among {@link #segments()} begins. */
  public double startOf(int segment) {
    return segments.isEmpty() ? 0 : table().startOf(segment);
  }

  /**
   * The place nearest to a point, at most 1e-6 px farther than the least distance for coordinates
   * within a million px; of several equally near places the first is given. See {@link NearestOn}.
   */
  public Nearest nearest(Point p) {
    if (segments.isEmpty()) {
      return new Nearest(0, first, first.y() - p.y(), 0, 0);
    }
    int best = 0;
    double u = 0;
    // A first bound, so that of many segments most need hardly a look; it leaves the first one its
    // turn.
    double least = segments.get(segments.size() - 1).end().distance(p);
    for (Segment s : segments) {
      least = Math.min(least, s.start().distance(p));
    }
    least += 1e-9;
    for (int i = 0; i < segments.size(); i++) {
      double[] found = NearestOn.on(segments.get(i), p, least);
      if (found != null) {
        best = i;
        u = found[0];
        least = found[1];
      }
    }
    Segment s = segments.get(best);
    Point on = s.point(u);
    Point t = s.tangent(u);
    double across = p.minus(on).dot(new Point(t.y(), -t.x()));
    return new Nearest(table().distanceAt(best, u), on, across, best, u);
  }

  /** The contour read the other way. */
  public Contour reversed() {
    List<Segment> back = new ArrayList<>();
    for (int i = segments.size() - 1; i >= 0; i--) {
      back.add(segments.get(i).reversed());
    }
    if (back.isEmpty()) {
      back.add(new Line(first, first));
    }
    return new Contour(back, closed);
  }

  /** The contour under an affine map. */
  public Contour mapped(Affine map) {
    List<Segment> out = new ArrayList<>();
    segments.forEach(s -> out.add(s.mapped(map)));
    if (out.isEmpty()) {
      out.add(new Line(map.apply(first), map.apply(first)));
    }
    return new Contour(out, closed);
  }

  /** The contour in perspective, see {@link ProjectedPath}. */
  public Contour mapped(Projection map) {
    return map.isFlat() ? mapped(map.flat()) : ProjectedPath.contour(this, map);
  }

  /** A closed contour that begins at a distance of this one; an open one is given back as it is. */
  public Contour startingAt(double distance) {
    double d = wrap(distance);
    if (!closed || d <= 0) {
      return this;
    }
    List<Segment> out = new ArrayList<>(between(d, length()).segments());
    out.addAll(between(0, d).segments());
    return new Contour(out, true);
  }

  /**
   * The piece between two distances, open; both are brought into [0, length]. Where {@code from} is
   * not below {@code to} it is a single point.
   */
  public Contour between(double from, double to) {
    double a = Math.min(Math.max(from, 0), length());
    double b = Math.min(Math.max(to, 0), length());
    List<Segment> out = new ArrayList<>();
    ArcLengthTable lengths = segments.isEmpty() ? null : table();
    for (int i = a < b ? lengths.segmentOf(lengths.leafAt(a)) : segments.size();
        i < segments.size() && lengths.startOf(i) < b;
        i++) {
      double start = lengths.startOf(i);
      double end = lengths.startOf(i + 1);
      if (end <= a) {
        continue;
      }
      Segment s = segments.get(i);
      double u0 = start >= a ? 0 : lengths.parameterAt(lengths.leafAt(a), a);
      double u1 = end <= b ? 1 : lengths.parameterAt(lengths.leafAt(b), b);
      Segment head = u1 < 1 ? s.split(u1)[0] : s;
      out.add(u0 > 0 ? head.split(Math.min(1, u0 / u1))[1] : head);
    }
    if (out.isEmpty()) {
      Point p = at(a).point();
      out.add(new Line(p, p));
    }
    return new Contour(out, false);
  }

  /** The smallest box round the contour. */
  public Rect bounds() {
    Rect box = bounds;
    if (box == null) {
      box = Rect.EMPTY.include(first);
      for (Segment s : segments) {
        box = box.union(s.bounds());
      }
      bounds = box;
    }
    return box;
  }

  /** Where it begins. */
  public Point first() {
    return first;
  }
}
