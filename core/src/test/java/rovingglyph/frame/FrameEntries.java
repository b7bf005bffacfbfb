package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;

/** A display list as the entries that its reader gives, for tests to look at. */
public final class FrameEntries implements FrameSink {
  /**
   * An entry.
   *
   * @param maps of the outlines that it names; of a line that names none its own
   * @param points of the steps that it has of its own
   * @param line width, cap and dashes of a line; otherwise empty
   */
  public record Entry(
      Op op,
      FramePaint paint,
      List<Affine> maps,
      List<PathStep> steps,
      List<Point> points,
      List<Double> line,
      Layer layer) {}

  private final List<Entry> entries = new ArrayList<>();
  private List<Affine> maps = new ArrayList<>();
  private List<PathStep> steps = new ArrayList<>();
  private List<Point> points = new ArrayList<>();

  private FrameEntries() {}

  public static List<Entry> of(Frame frame) {
    FrameEntries all = new FrameEntries();
    FrameReader.read(frame.numbers(), all);
    return all.entries;
  }

  private void add(Op op, FramePaint paint, List<Double> line, Layer layer) {
    entries.add(new Entry(op, paint, maps, steps, points, line, layer));
    maps = new ArrayList<>();
    steps = new ArrayList<>();
    points = new ArrayList<>();
  }

  @Override
  public void outline(int index, double[] n, int at) {
    maps.add(new Affine(n[at], n[at + 1], n[at + 2], n[at + 3], n[at + 4], n[at + 5]));
  }

  @Override
  public void step(PathStep step, double[] n, int at) {
    steps.add(step);
    for (int i = 0; i < step.numbers(); i += 2) {
      points.add(new Point(n[at + i], n[at + i + 1]));
    }
  }

  @Override
  public void fill(FramePaint paint) {
    add(Op.FILL, paint, List.of(), null);
  }

  @Override
  public void stroke(FramePaint paint, LineStyle style, Affine map) {
    List<Double> line = new ArrayList<>(List.of(style.width(), (double) style.cap()));
    Arrays.stream(style.dash()).forEach(line::add);
    if (maps.isEmpty()) {
      maps.add(map);
    }
    add(Op.STROKE, paint, line, null);
  }

  @Override
  public void clip() {
    add(Op.CLIP, null, List.of(), null);
  }

  @Override
  public void unclip() {
    add(Op.UNCLIP, null, List.of(), null);
  }

  @Override
  public void push(Layer layer) {
    add(Op.PUSH, null, List.of(), layer);
  }

  @Override
  public void matte(boolean inverted, boolean luminance) {
    add(Op.MATTE, null, List.of(inverted ? 1.0 : 0.0, luminance ? 1.0 : 0.0), null);
  }

  @Override
  public void pop() {
    add(Op.POP, null, List.of(), null);
  }
}
