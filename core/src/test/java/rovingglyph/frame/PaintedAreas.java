package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.type.Outline;

/** A display list by points. */
final class PaintedAreas implements FrameSink {
  private record Area(FramePaint paint, List<List<Point>> polygons, Rect box) {}

  private final List<Outline> outlines;
  private final List<Area> areas = new ArrayList<>();
  private List<List<Point>> polygons = new ArrayList<>();
  private final List<double[]> steps = new ArrayList<>();

  PaintedAreas(List<Outline> outlines, Frame... frames) {
    this.outlines = outlines;
    for (Frame f : frames) {
      FrameReader.read(f.numbers(), this);
    }
  }

  @Override
  public void outline(int index, double[] n, int at) {
    Affine map = new Affine(n[at], n[at + 1], n[at + 2], n[at + 3], n[at + 4], n[at + 5]);
    polygons.addAll(flattened(outlines.get(index).subPaths(), Projection.of(map)));
  }

  @Override
  public void step(PathStep step, double[] n, int at) {
    double[] all = new double[1 + step.numbers()];
    all[0] = step.ordinal();
    System.arraycopy(n, at, all, 1, step.numbers());
    steps.add(all);
  }

  @Override
  public void fill(FramePaint paint) {
    double[] all = steps.stream().flatMapToDouble(Arrays::stream).toArray();
    polygons.addAll(flattened(StepPaths.of(all), Projection.IDENTITY));
    Rect box = Rect.EMPTY;
    for (List<Point> polygon : polygons) {
      for (Point p : polygon) {
        box = box.include(p);
      }
    }
    areas.add(new Area(paint, polygons, box));
    polygons = new ArrayList<>();
    steps.clear();
  }

  @Override
  public void stroke(FramePaint paint, LineStyle line, Affine map) {}

  @Override
  public void clip() {}

  @Override
  public void unclip() {}

  @Override
  public void push(Layer layer) {}

  @Override
  public void matte(boolean inverted, boolean luminance) {}

  @Override
  public void pop() {}

  int colour(Point p) {
    for (int i = areas.size() - 1; i >= 0; i--) {
      Area a = areas.get(i);
      if (a.box.contains(p) && winding(a.polygons, p) != 0) {
        return colour(a.paint, p);
      }
    }
    return -1;
  }

  /** The colour of a paint at a point; of a linear gradient to the nearest. */
  private static int colour(FramePaint paint, Point p) {
    if (paint.kind() == FramePaint.Kind.PLAIN) {
      return paint.rgb();
    }
    double at = paint.map().inverse().apply(p).x();
    double[] offsets = paint.offsets();
    int k = 0;
    while (k < offsets.length - 2 && at > offsets[k + 1]) {
      k++;
    }
    double share = Math.min(Math.max((at - offsets[k]) / (offsets[k + 1] - offsets[k]), 0), 1);
    int out = 0;
    for (int shift = 0; shift <= 16; shift += 8) {
      int from = paint.colours()[k] >> shift & 255;
      int to = paint.colours()[k + 1] >> shift & 255;
      out |= (int) Math.round(from + (to - from) * share) << shift;
    }
    return out;
  }

  static List<List<Point>> flattened(List<SubPath> area, Projection map) {
    List<List<Point>> out = new ArrayList<>();
    for (SubPath s : area) {
      List<Point> polygon = new ArrayList<>();
      for (Segment e : s.segments()) {
        for (int i = 0; i < 16; i++) {
          polygon.add(map.apply(e.point(i / 16.0)));
        }
      }
      // Where the outline does not end where it begins, a line closes it.
      polygon.add(map.apply(s.segments().get(s.segments().size() - 1).end()));
      out.add(polygon);
    }
    return out;
  }

  static int winding(List<List<Point>> polygons, Point p) {
    int winding = 0;
    for (List<Point> polygon : polygons) {
      for (int i = 0; i < polygon.size(); i++) {
        Point a = polygon.get(i);
        Point b = polygon.get((i + 1) % polygon.size());
        if (a.y() <= p.y() != b.y() <= p.y()) {
          double at = a.x() + (p.y() - a.y()) / (b.y() - a.y()) * (b.x() - a.x());
          winding += at > p.x() ? (b.y() > a.y() ? 1 : -1) : 0;
        }
      }
    }
    return winding;
  }
}
