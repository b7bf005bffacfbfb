package rovingglyph.frame;

import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.scene.BlendMode;

/** Takes a display list entry by entry. Lengths are in scene pixels. */
public interface FrameSink extends StepSink {
  /**
   * Adds one of the scene's outlines to the area.
   *
   * @param n at {@code at} and the five after it the map, as in SVG's {@code matrix()}
   */
  void outline(int index, double[] n, int at);

  /** A step of an outline of this frame alone, or of a line. */
  @Override
  void step(PathStep step, double[] n, int at);

  /** Fills the area of the outlines and steps since the last entry, by the non-zero rule. */
  void fill(FramePaint paint);

  /**
   * Draws along the outlines and steps since the last entry.
   *
   * @param map done to the line, which is in the units of the steps; the identity for px
   */
  void stroke(FramePaint paint, LineStyle line, Affine map);

  /** Clips what follows to the area of the outlines and steps since the last entry. */
  void clip();

  /** Ends the last clip. */
  void unclip();

  /** Begins a layer. */
  void push(Layer layer);

  /** See {@link Op#MATTE}. */
  void matte(boolean inverted, boolean luminance);

  /** The end of what the last push began. */
  void pop();

  /**
   * A picture of its own, which goes over what is below it as a whole.
   *
   * @param left of the box round what it holds, before its effects; greater than {@code right}
   *     where it holds nothing
   * @param reach how far its effects paint beyond that, px
   * @param effects each its number in {@link LayerEffects.Kind} and its own numbers
   */
  record Layer(
      double alpha,
      BlendMode blend,
      double left,
      double top,
      double right,
      double bottom,
      double reach,
      List<double[]> effects) {}
}
