package rovingglyph.lottie;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.strand.Node;
import rovingglyph.strand.Strand;

/**
 * The shapes of an area or a line with their paint: a group in the units of the paint, and within
 * it one for each shape, which moves by itself.
 */
final class ShapeGroup {
  /** How far points of an outline that changes may be off, px. */
  private static final double NEAR = 0.06;

  private final Strand strand;
  private final double perFrame;
  private final List<double[]> outlines;
  private final List<Node.Drawn> nodes = new ArrayList<>();
  private final boolean measures;

  /** At each sample, what the group does. */
  private final Affine[] outer;

  /** By how much that makes things larger, at most. */
  private double large = 1e-9;

  ShapeGroup(Strand strand, double perFrame, List<double[]> outlines) {
    this(strand, perFrame, outlines, false);
  }

  private ShapeGroup(Strand strand, double perFrame, List<double[]> outlines, boolean measures) {
    this.strand = strand;
    this.perFrame = perFrame;
    this.outlines = outlines;
    this.measures = measures;
    strand.nodes.forEach(n -> nodes.add((Node.Drawn) n));
    outer = new Affine[nodes.size()];
    for (int k = 0; k < outer.length; k++) {
      Node.Drawn d = nodes.get(k);
      outer[k] = isGraded(d) ? Paints.graded(d.paint()) : d.map();
      large = Math.max(large, size(outer[k]));
    }
  }

  /** Only the area of one, which measures. */
  static ShapeGroup areaOf(Strand strand, double perFrame, List<double[]> outlines) {
    return new ShapeGroup(strand, perFrame, outlines, true);
  }

  private boolean isGraded(Node.Drawn d) {
    boolean graded =
        d.paint().kind() == FramePaint.Kind.LINEAR || d.paint().kind() == FramePaint.Kind.RADIAL;
    return graded && d.line() == null && !measures;
  }

  private static double size(Affine m) {
    return Math.max(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d()));
  }

  String json() {
    StringBuilder out = new StringBuilder("{\"ty\":\"gr\",\"it\":[");
    for (Strand.ShapeStrand s : strand.shapes) {
      out.append(s.outline < 0 ? changing(s) : moving(s)).append(',');
    }
    out.append(measures ? Paints.measuring() : new Paints(perFrame, strand.from, nodes).json());
    // A gradient may be very long or flat: what its units do is told to a thousandth of a pixel.
    return out.append(',')
        .append(transform(outer, new Point(0, 0), 4096 / large, 1))
        .append("]}")
        .toString();
  }

  private String transform(Affine[] maps, Point anchor, double reach, double unit) {
    Transforms all = new Transforms(perFrame, strand.from, maps, unit);
    return "{\"ty\":\"tr\"," + all.json(anchor, reach) + ",\"o\":" + Property.still("100") + "}";
  }

  /** What brings pixels into the units of the group. */
  private Affine inward(int k) {
    return isGraded(nodes.get(k)) ? outer[k].inverse() : Affine.IDENTITY;
  }

  private static String group(String shapes, String transform) {
    return "{\"ty\":\"gr\",\"it\":[" + shapes + transform + "]}";
  }

  /** An outline that stays as it is, under a map. */
  private String moving(Strand.ShapeStrand s) {
    Affine[] maps = new Affine[s.shapes.size()];
    double scale = 1e-9;
    for (int k = 0; k < maps.length; k++) {
      Node.Shape shape = s.shapes.get(k);
      maps[k] = shape == null ? null : inward(k).times(shape.map());
      scale = maps[k] == null ? scale : Math.max(scale, size(maps[k]));
    }
    // The outline as large as it ever is, so that its numbers have a sense in pixels.
    Affine own = Affine.scale(scale);
    Affine back = Affine.scale(1 / scale);
    for (int k = 0; k < maps.length; k++) {
      maps[k] = maps[k] == null ? null : maps[k].times(back);
    }
    StringBuilder shapes = new StringBuilder();
    Rect box = Rect.EMPTY;
    for (Contours.Contour c : Contours.of(outlines.get(s.outline), own)) {
      shapes.append(shape(Property.still(c.json(places())))).append(',');
      for (int i = 0; i < c.numbers().length; i += Contours.CORNER) {
        box = box.include(new Point(c.numbers()[i], c.numbers()[i + 1]));
      }
    }
    if (box.isEmpty()) {
      return group("", transform(maps, new Point(0, 0), 1, 1 / large));
    }
    Point middle = new Point((box.left() + box.right()) / 2, (box.top() + box.bottom()) / 2);
    double reach = Math.hypot(box.right() - middle.x(), box.bottom() - middle.y());
    return group(shapes.toString(), transform(maps, middle, reach, 1 / large));
  }

  /** Decimals of points in the units of the group. */
  private int places() {
    return (int) Math.max(2, Math.min(6, 2 + Math.ceil(Math.log10(large))));
  }

  private static String shape(String value) {
    return "{\"ty\":\"sh\",\"ks\":" + value + "}";
  }

  /** An outline that is another one at every time. */
  private String changing(Strand.ShapeStrand s) {
    int n = s.shapes.size();
    List<List<Contours.Contour>> samples = new ArrayList<>();
    Affine[] seen = new Affine[n];
    int count = 0;
    for (int k = 0; k < n; k++) {
      Node.Shape shape = s.shapes.get(k);
      seen[k] = shape == null ? null : Affine.IDENTITY;
      samples.add(shape == null ? List.of() : Contours.of(shape.steps(), inward(k)));
      count = Math.max(count, samples.get(k).size());
    }
    StringBuilder out = new StringBuilder();
    for (int c = 0; c < count; c++) {
      out.append(shape(contour(samples, c))).append(',');
    }
    return group(out.toString(), transform(seen, new Point(0, 0), 1, 1 / large));
  }

  private String contour(List<List<Contours.Contour>> samples, int c) {
    int corners = 1;
    Contours.Contour last = null;
    boolean closed = true;
    for (List<Contours.Contour> s : samples) {
      if (c < s.size()) {
        last = last == null ? s.get(c) : last;
        closed &= s.get(c).closed();
        corners = Math.max(corners, s.get(c).corners() + 1);
      }
    }
    double[][] values = new double[samples.size()][];
    for (int k = 0; k < values.length; k++) {
      boolean there = c < samples.get(k).size();
      last = there ? samples.get(k).get(c) : last;
      // One that is not there has no area: all of it is in one corner.
      Contours.Contour is = there ? last : last.corner();
      values[k] = (closed ? is : is.opened()).padded(corners).numbers();
    }
    double[] tolerances = new double[corners * Contours.CORNER];
    Arrays.fill(tolerances, NEAR / large);
    boolean shut = closed;
    int places = places();
    return new Property(perFrame, strand.from, values, tolerances)
        .json(v -> Contours.Contour.json(v, shut, places));
  }
}
