package rovingglyph.strand;

import java.util.BitSet;
import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.FrameSink;
import rovingglyph.frame.LineStyle;
import rovingglyph.geometry.Affine;

/** What is painted at one time: an area or a line, or a layer with what is in it. */
public sealed interface Node {
  /** What two nodes have in common that may be the same thing at two times. */
  String key();

  /** Where it is, about, px. */
  double x();

  /** Where it is, about, px. */
  double y();

  /**
   * An outline under a map, or one of this time alone.
   *
   * @param outline index of one of the scene's; -1 for one of this time
   * @param map of the former; of the latter the identity
   * @param steps of the latter as they lie in a display list; null for the former
   */
  record Shape(int outline, Affine map, double[] steps) {
    double x() {
      return steps == null ? map.e() : steps.length > 2 ? steps[1] : 0;
    }

    double y() {
      return steps == null ? map.f() : steps.length > 2 ? steps[2] : 0;
    }
  }

  /**
   * Shapes that are filled as one area, or one that is drawn along.
   *
   * @param line null for an area
   * @param map done to a line after it is drawn; else the identity
   */
  record Drawn(FramePaint paint, LineStyle line, Affine map, List<Shape> shapes) implements Node {
    @Override
    public String key() {
      String way =
          line == null ? "area" : "line " + line.cap() + line.join() + " " + line.dash().length;
      return way
          + paint.kind()
          + paint.image()
          + (paint.moment() < 0 ? "" : "at" + paint.moment())
          + "/"
          + paint.offsets().length;
    }

    /** The indexes of its outlines, one higher each. */
    BitSet outlines() {
      BitSet out = new BitSet();
      shapes.forEach(s -> out.set(s.outline + 1));
      return out;
    }

    @Override
    public double x() {
      return shapes.isEmpty() ? 0 : shapes.get(0).x();
    }

    @Override
    public double y() {
      return shapes.isEmpty() ? 0 : shapes.get(0).y();
    }
  }

  /**
   * A picture of its own.
   *
   * @param measure how much of it is kept; null for all
   */
  record Layered(FrameSink.Layer layer, List<Node> content, Measure measure) implements Node {
    @Override
    public String key() {
      String measured =
          measure == null ? "" : "measured" + measure.inverted() + measure.luminance();
      return "layer" + layer.blend() + layer.effects().size() + measured;
    }

    @Override
    public double x() {
      return (layer.left() + layer.right()) / 2;
    }

    @Override
    public double y() {
      return (layer.top() + layer.bottom()) / 2;
    }
  }

  /** What tells how much of a layer is kept: by how opaque it is, or how light. */
  record Measure(List<Node> content, boolean inverted, boolean luminance) {}
}
