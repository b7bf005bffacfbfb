package rovingglyph.strand;

import java.util.ArrayList;
import java.util.List;

/** One thing through the time in which it is painted, sample by sample. */
public final class Strand {
  /** Things above each other, the lowest first, all that there ever are. */
  public static final class Stack {
    public final List<Strand> all = new ArrayList<>();
    private List<Strand> present = new ArrayList<>();
    private List<Node> nodes = List.of();

    /** Goes on with what is painted at the next sample. */
    public void add(int sample, List<Node> next) {
      int[] same = Matching.match(Matching.of(nodes), Matching.of(next));
      List<Strand> now = new ArrayList<>();
      int at = 0;
      for (int i = 0; i < next.size(); i++) {
        Strand strand = same[i] < 0 ? null : present.get(same[i]);
        if (strand == null) {
          strand = new Strand(sample, next.get(i));
          all.add(at, strand);
        } else {
          strand.add(sample, next.get(i));
        }
        // New ones stand right above what is below them now.
        at = all.indexOf(strand) + 1;
        now.add(strand);
      }
      present = now;
      nodes = next;
    }
  }

  /** A shape of an area through the samples of its strand; null where it is not there. */
  public static final class ShapeStrand {
    public final int outline;
    public final List<Node.Shape> shapes = new ArrayList<>();

    ShapeStrand(int outline, int absent) {
      this.outline = outline;
      for (int i = 0; i < absent; i++) {
        shapes.add(null);
      }
    }
  }

  /** The first sample. */
  public final int from;

  public final List<Node> nodes = new ArrayList<>();

  /** Of an area or a line. */
  public final List<ShapeStrand> shapes = new ArrayList<>();

  /** Of a layer. */
  public final Stack content = new Stack();

  /** Of what measures a layer. */
  public final Stack measure = new Stack();

  private List<ShapeStrand> present = new ArrayList<>();

  private Strand(int from, Node first) {
    this.from = from;
    add(from, first);
  }

  /** The sample after the last. */
  public int to() {
    return from + nodes.size();
  }

  private void add(int sample, Node node) {
    if (node instanceof Node.Layered l) {
      content.add(sample, l.content());
      if (l.measure() != null) {
        measure.add(sample, l.measure().content());
      }
    } else if (node instanceof Node.Drawn d) {
      add(d.shapes());
    }
    nodes.add(node);
  }

  private void add(List<Node.Shape> next) {
    List<Node.Shape> before =
        nodes.isEmpty() ? List.of() : ((Node.Drawn) nodes.get(nodes.size() - 1)).shapes();
    int[] same = Matching.match(Matching.ofShapes(before), Matching.ofShapes(next));
    List<ShapeStrand> now = new ArrayList<>();
    for (int i = 0; i < next.size(); i++) {
      ShapeStrand strand = same[i] < 0 ? null : present.get(same[i]);
      if (strand == null) {
        strand = new ShapeStrand(next.get(i).outline(), nodes.size());
        shapes.add(strand);
      }
      strand.shapes.add(next.get(i));
      now.add(strand);
    }
    for (ShapeStrand s : shapes) {
      if (s.shapes.size() <= nodes.size()) {
        s.shapes.add(null);
      }
    }
    present = now;
  }
}
