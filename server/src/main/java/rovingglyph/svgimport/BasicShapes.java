package rovingglyph.svgimport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;

/** SVG's basic shapes as subpaths (SVG 2, chapter 10). A shape that is not drawn gives none. */
final class BasicShapes {
  private final SvgElement e;
  private final double width;
  private final double height;

  /** {@code width} and {@code height} of the viewport are what 100 % is. */
  BasicShapes(SvgElement e, double width, double height) {
    this.e = e;
    this.width = width;
    this.height = height;
  }

  /** Null for an element that is no basic shape. */
  List<SubPath> subPaths() {
    return switch (e.name) {
      case "rect" -> rect();
      case "circle" -> ellipse(across("cx"), down("cy"), diagonal("r"), diagonal("r"));
      case "ellipse" -> {
        double rx = SvgValues.length(e.get("rx"), width, Double.NaN);
        double ry = SvgValues.length(e.get("ry"), height, Double.NaN);
        // One radius left out is as long as the other.
        yield ellipse(
            across("cx"), down("cy"), Double.isNaN(rx) ? ry : rx, Double.isNaN(ry) ? rx : ry);
      }
      case "line" ->
          List.of(
              new SubPath(
                  List.of(
                      new Line(
                          new Point(across("x1"), down("y1")),
                          new Point(across("x2"), down("y2")))),
                  false));
      case "polyline" -> poly(false);
      case "polygon" -> poly(true);
      default -> null;
    };
  }

  private double across(String name) {
    return SvgValues.length(e.get(name), width, 0);
  }

  private double down(String name) {
    return SvgValues.length(e.get(name), height, 0);
  }

  private double diagonal(String name) {
    return SvgValues.length(e.get(name), Math.hypot(width, height) / Math.sqrt(2), 0);
  }

  private static List<SubPath> ellipse(double cx, double cy, double rx, double ry) {
    if (!(rx > 0) || !(ry > 0)) {
      return List.of();
    }
    Arc arc = new Arc(new Point(cx, cy), rx, ry, 0, 0, 2 * Math.PI);
    return List.of(new SubPath(List.of(arc), true));
  }

  private List<SubPath> rect() {
    double x = across("x");
    double y = down("y");
    double w = across("width");
    double h = down("height");
    if (!(w > 0) || !(h > 0)) {
      return List.of();
    }
    double rx = SvgValues.length(e.get("rx"), width, Double.NaN);
    double ry = SvgValues.length(e.get("ry"), height, Double.NaN);
    rx = Double.isNaN(rx) ? (Double.isNaN(ry) ? 0 : ry) : rx;
    ry = Double.isNaN(ry) ? rx : ry;
    rx = Math.min(Math.max(rx, 0), w / 2);
    ry = Math.min(Math.max(ry, 0), h / 2);
    List<Segment> out = new ArrayList<>();
    Point[] corners = {
      new Point(x + w, y), new Point(x + w, y + h), new Point(x, y + h), new Point(x, y)
    };
    Point[] inward = {new Point(-1, 1), new Point(-1, -1), new Point(1, -1), new Point(1, 1)};
    Point pen = new Point(x + rx, y);
    for (int i = 0; i < 4; i++) {
      Point c = new Point(corners[i].x() + inward[i].x() * rx, corners[i].y() + inward[i].y() * ry);
      Arc arc = new Arc(c, rx, ry, 0, Math.PI / 2 * (i - 1), Math.PI / 2);
      Point to = rx > 0 && ry > 0 ? arc.start() : corners[i];
      out.add(new Line(pen, to));
      if (rx > 0 && ry > 0) {
        out.add(arc);
      }
      pen = out.get(out.size() - 1).end();
    }
    return List.of(new SubPath(out, true));
  }

  private List<SubPath> poly(boolean closed) {
    double[] n = SvgValues.numbers(e.get("points"));
    List<Segment> out = new ArrayList<>();
    for (int i = 0; i + 3 < n.length; i += 2) {
      out.add(new Line(new Point(n[i], n[i + 1]), new Point(n[i + 2], n[i + 3])));
    }
    if (closed && !out.isEmpty()) {
      out.add(new Line(out.get(out.size() - 1).end(), out.get(0).start()));
    }
    return out.isEmpty() ? List.of() : List.of(new SubPath(out, closed));
  }
}
