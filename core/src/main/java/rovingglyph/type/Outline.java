package rovingglyph.type;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Rim;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;

/**
 * A filled shape, non-zero winding. Glyph outlines are in em units with the baseline at y = 0, y
 * down; those of pictures are in the picture's own pixels.
 */
public final class Outline {
  private final String data;
  private final List<SubPath> subPaths;
  private final Rect bounds;
  private List<double[]> polygons;
  private List<List<Point>> coarse;
  // Replaced as a whole, so that several threads can read it.
  private volatile Map<Integer, List<double[]>> bySize = Map.of();
  private volatile Map<Integer, List<Rim>> rims = Map.of();
  private volatile Map<Integer, List<Rim>> bendingRims = Map.of();

  private Outline(String data, List<SubPath> subPaths) {
    this.data = data;
    this.subPaths = subPaths;
    Rect box = Rect.EMPTY;
    for (SubPath p : subPaths) {
      for (Segment s : p.segments()) {
        box = box.union(s.bounds());
      }
    }
    this.bounds = box;
  }

  /** From SVG path data; data with an error gives the part before it. */
  public static Outline of(String data) {
    return new Outline(data, SvgPath.parse(data).subPaths());
  }

  /** From subpaths; those without segments are left out. */
  public static Outline of(List<SubPath> subPaths) {
    return new Outline(null, subPaths.stream().filter(p -> !p.segments().isEmpty()).toList());
  }

  /** As SVG path data. */
  public String data() {
    return data != null ? data : SvgPath.write(contours(), 3);
  }

  private List<Contour> contours() {
    return subPaths.stream().map(p -> new Contour(p.segments(), p.closed())).toList();
  }

  /** The lines of the outline, in em. */
  public List<SubPath> subPaths() {
    return subPaths;
  }

  /** The smallest box round the outline, em. */
  public Rect bounds() {
    return bounds;
  }

  /**
   * The outline as closed polygons of x and y by turns, at most 1e-5 units from it; made on first
   * use.
   */
  public List<double[]> polygons() {
    if (polygons == null) {
      polygons = flattened(1e-5).stream().map(Outline::flat).toList();
    }
    return polygons;
  }

  /** The same with few points, at most 0.004 units from it. */
  public List<List<Point>> coarse() {
    if (coarse == null) {
      coarse = flattened(4e-3);
    }
    return coarse;
  }

  private List<List<Point>> flattened(double tolerance) {
    List<List<Point>> all = new ArrayList<>();
    for (SubPath p : subPaths) {
      List<Point> polygon = new ArrayList<>();
      polygon.add(p.segments().get(0).start());
      for (Segment s : p.segments()) {
        flatten(s, polygon, tolerance * Math.max(1, Math.max(bounds.width(), bounds.height())));
      }
      all.add(polygon);
    }
    return all;
  }

  /**
   * The outline as closed polygons of x and y by turns, to be bent at a size in px: at most 0.05 px
   * from it, and with edges so short along the baseline that a track of radius 0.7 px or more bends
   * them to within the same; at most 60 edges a segment. Kept for sizes half an octave apart, the
   * upper one is given.
   */
  public List<double[]> polygons(double px) {
    int half = half(px);
    List<double[]> made = bySize.get(half);
    if (made == null) {
      made = forBending(size(half));
      Map<Integer, List<double[]>> more = new HashMap<>(bySize);
      more.put(half, made);
      bySize = more;
    }
    return made;
  }

  private static int half(double px) {
    return (int) Math.ceil(2 * Math.log(Math.max(px, 1)) / Math.log(2));
  }

  private static double size(int half) {
    return Math.pow(2, half / 2.0);
  }

  /**
   * Its contours with the ways out of it, for a size in px; see {@link Rim#of}. Kept as the
   * polygons are.
   *
   * @param bending whether they will be bent along the baseline
   */
  public List<Rim> rims(double px, boolean bending) {
    int half = half(px);
    Map<Integer, List<Rim>> kept = bending ? bendingRims : rims;
    List<Rim> made = kept.get(half);
    if (made == null) {
      made = Rim.of(subPaths, size(half), bending);
      Map<Integer, List<Rim>> more = new HashMap<>(kept);
      more.put(half, made);
      if (bending) {
        bendingRims = more;
      } else {
        rims = more;
      }
    }
    return made;
  }

  private List<double[]> forBending(double px) {
    List<double[]> all = new ArrayList<>();
    for (SubPath p : subPaths) {
      List<Point> points = new ArrayList<>();
      points.add(p.segments().get(0).start());
      for (Segment s : p.segments()) {
        int parts = Rim.parts(s, px, true);
        for (int i = 1; i <= parts; i++) {
          points.add(s.point((double) i / parts));
        }
      }
      all.add(flat(points));
    }
    return all;
  }

  private static double[] flat(List<Point> points) {
    double[] flat = new double[2 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      flat[2 * i] = points.get(i).x();
      flat[2 * i + 1] = points.get(i).y();
    }
    return flat;
  }

  private static void flatten(Segment s, List<Point> out, double tolerance) {
    if (s instanceof Line) {
      out.add(s.end());
      return;
    }
    // A chord over du is off by at most |second derivative| du^2 / 8.
    double bend = 0;
    for (int i = 0; i <= 4; i++) {
      bend = Math.max(bend, s.secondDerivative(i / 4.0).length());
    }
    int parts = Math.max(1, Math.min(200, (int) Math.ceil(Math.sqrt(bend / 8 / tolerance))));
    for (int i = 1; i <= parts; i++) {
      out.add(s.point((double) i / parts));
    }
  }
}
