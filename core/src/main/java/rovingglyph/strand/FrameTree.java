package rovingglyph.strand;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.FrameReader;
import rovingglyph.frame.FrameSink;
import rovingglyph.frame.LineStyle;
import rovingglyph.frame.PathStep;
import rovingglyph.geometry.Affine;
import rovingglyph.scene.BlendMode;

/** Reads a display list into a tree. A clip is a layer that its area measures. */
public final class FrameTree implements FrameSink {
  /** What is open at present: a layer or what measures it. */
  private static final class Level {
    final List<Node> nodes = new ArrayList<>();
    Layer layer;
    boolean inverted;
    boolean luminance;

    /** Of a clip: its area. */
    Node.Drawn clip;
  }

  private final List<Level> levels = new ArrayList<>();
  private List<Node.Shape> shapes = new ArrayList<>();
  private double[] steps = new double[64];
  private int size;

  private FrameTree() {
    levels.add(new Level());
  }

  /** All of a frame, back to front. */
  public static List<Node> read(double[] numbers) {
    FrameTree tree = new FrameTree();
    FrameReader.read(numbers, tree);
    return tree.levels.get(0).nodes;
  }

  private Level top() {
    return levels.get(levels.size() - 1);
  }

  @Override
  public void outline(int index, double[] n, int at) {
    endSteps();
    Affine map = new Affine(n[at], n[at + 1], n[at + 2], n[at + 3], n[at + 4], n[at + 5]);
    shapes.add(new Node.Shape(index, map, null));
  }

  @Override
  public void step(PathStep step, double[] n, int at) {
    int count = step.numbers();
    if (size + count + 1 > steps.length) {
      steps = Arrays.copyOf(steps, 2 * steps.length + count);
    }
    steps[size++] = step.ordinal();
    System.arraycopy(n, at, steps, size, count);
    size += count;
  }

  private void endSteps() {
    if (size > 0) {
      shapes.add(new Node.Shape(-1, Affine.IDENTITY, Arrays.copyOf(steps, size)));
      size = 0;
    }
  }

  private List<Node.Shape> area() {
    endSteps();
    List<Node.Shape> out = shapes;
    shapes = new ArrayList<>();
    return out;
  }

  @Override
  public void fill(FramePaint paint) {
    top().nodes.add(new Node.Drawn(paint, null, Affine.IDENTITY, area()));
  }

  @Override
  public void stroke(FramePaint paint, LineStyle line, Affine map) {
    top().nodes.add(new Node.Drawn(paint, line, map, area()));
  }

  @Override
  public void clip() {
    Level clip = new Level();
    clip.clip = new Node.Drawn(FramePaint.plain(0, 1), null, Affine.IDENTITY, area());
    levels.add(clip);
  }

  @Override
  public void unclip() {
    Level done = levels.remove(levels.size() - 1);
    Layer plain = new Layer(1, BlendMode.NORMAL, 0, 0, 0, 0, 0, List.of());
    Node.Measure area = new Node.Measure(List.of(done.clip), false, false);
    top().nodes.add(new Node.Layered(plain, done.nodes, area));
  }

  @Override
  public void push(Layer layer) {
    Level level = new Level();
    level.layer = layer;
    levels.add(level);
  }

  @Override
  public void matte(boolean inverted, boolean luminance) {
    Level level = new Level();
    level.inverted = inverted;
    level.luminance = luminance;
    levels.add(level);
  }

  @Override
  public void pop() {
    Level done = levels.remove(levels.size() - 1);
    Node.Measure measure = null;
    if (done.layer == null) {
      // A layer ends with what measures it.
      measure = new Node.Measure(done.nodes, done.inverted, done.luminance);
      done = levels.remove(levels.size() - 1);
    }
    top().nodes.add(new Node.Layered(done.layer, done.nodes, measure));
  }
}
