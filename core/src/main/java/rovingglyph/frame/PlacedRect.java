package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.type.Outline;

/**
 * A rectangle that is placed as a whole.
 *
 * @param map of its own pixels to those round it
 */
public record PlacedRect(Rect box, Affine map) {
  /** Its corners in the pixels round it, clockwise from the upper left. */
  private List<Point> corners() {
    return List.of(
        map.apply(new Point(box.left(), box.top())),
        map.apply(new Point(box.right(), box.top())),
        map.apply(new Point(box.right(), box.bottom())),
        map.apply(new Point(box.left(), box.bottom())));
  }

  /** The corners as x and y by turns. */
  public double[] coordinates() {
    double[] out = new double[8];
    List<Point> p = corners();
    for (int i = 0; i < p.size(); i++) {
      out[2 * i] = p.get(i).x();
      out[2 * i + 1] = p.get(i).y();
    }
    return out;
  }

  /** Adds an area of it to a frame. */
  void fill(Frame frame, FramePaint paint) {
    frame.fill(paint);
    add(frame);
  }

  /** Adds it to the area that is begun. */
  void add(Frame frame) {
    frame.beginInline();
    frame.polygon(coordinates());
    frame.endInline();
  }

  /** As a shape to be outlined, in its own pixels. */
  List<ItemShape> shapes() {
    if (box.isEmpty()) {
      return List.of();
    }
    Piece piece = Piece.own(List.of(new PlacedRect(box, Affine.IDENTITY).edge()), map);
    return List.of(new ItemShape(List.of(piece), Math.hypot(map.a(), map.b())));
  }

  private SubPath edge() {
    List<Point> p = corners();
    List<Segment> sides = new ArrayList<>();
    for (int i = 0; i < p.size(); i++) {
      sides.add(new Line(p.get(i), p.get((i + 1) % p.size())));
    }
    return new SubPath(sides, true);
  }

  /** Whether it reaches into a part of the frame. */
  boolean touches(Window spot) {
    return spot.touched(Outline.of(List.of(edge())), Affine.IDENTITY);
  }
}
