package rovingglyph.strand;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/**
 * Which things of one time are those of another: both in order, only like ones, as many as can be
 * and as near to each other as can be.
 */
final class Matching {
  /** Things in order. */
  interface Things {
    int count();

    /** Whether one of these may be one of the later things. */
    boolean alike(int i, Things later, int j);

    /** How far that would have moved, px. */
    double distance(int i, Things later, int j);
  }

  /** What has moved less than this, in px, is taken for the same at once. */
  private static final double NEAR = 24;

  /** What has moved farther than this, in px, is taken for something else. */
  private static final double FAR = 160;

  /** More pairs than this are not looked at: the places in order decide. */
  private static final long MOST_PAIRS = 4_000_000;

  private Matching() {}

  /**
   * Nodes with what is asked of each of them for many pairs.
   *
   * @param outlines of areas and lines; null for layers
   */
  private record Nodes(List<Node> all, List<String> keys, List<BitSet> outlines) implements Things {
    @Override
    public int count() {
      return all.size();
    }

    @Override
    public boolean alike(int i, Things later, int j) {
      Nodes others = (Nodes) later;
      if (!keys.get(i).equals(others.keys.get(j))) {
        return false;
      }
      BitSet a = outlines.get(i);
      BitSet b = others.outlines.get(j);
      return a == null || a.isEmpty() && b.isEmpty() || a.intersects(b);
    }

    @Override
    public double distance(int i, Things later, int j) {
      Node a = all.get(i);
      Node b = ((Nodes) later).all.get(j);
      double d = Math.hypot(a.x() - b.x(), a.y() - b.y());
      // The box of a layer changes with what is in it; of an area its first shape may be another.
      return a instanceof Node.Drawn c && c.shapes().size() == 1 ? d : Math.min(d, FAR);
    }
  }

  private record Shapes(List<Node.Shape> all) implements Things {
    @Override
    public int count() {
      return all.size();
    }

    @Override
    public boolean alike(int i, Things later, int j) {
      return all.get(i).outline() == ((Shapes) later).all.get(j).outline();
    }

    @Override
    public double distance(int i, Things later, int j) {
      Node.Shape a = all.get(i);
      Node.Shape b = ((Shapes) later).all.get(j);
      return Math.hypot(a.x() - b.x(), a.y() - b.y());
    }
  }

  static Things of(List<Node> nodes) {
    List<BitSet> outlines = new ArrayList<>();
    for (Node n : nodes) {
      outlines.add(n instanceof Node.Drawn d ? d.outlines() : null);
    }
    return new Nodes(nodes, nodes.stream().map(Node::key).toList(), outlines);
  }

  static Things ofShapes(List<Node.Shape> shapes) {
    return new Shapes(shapes);
  }

  /** For each of the later things the index of the earlier one that it is, or -1. */
  static int[] match(Things before, Things after) {
    if (isInPlace(before, after)) {
      int[] same = new int[after.count()];
      Arrays.setAll(same, i -> i);
      return same;
    }
    return best(before, after);
  }

  private static boolean isInPlace(Things before, Things after) {
    if (before.count() != after.count()) {
      return false;
    }
    boolean all = (long) before.count() * after.count() > MOST_PAIRS;
    for (int i = 0; i < after.count(); i++) {
      if (!before.alike(i, after, i) || !all && before.distance(i, after, i) > NEAR) {
        return false;
      }
    }
    return true;
  }

  /** The longest common sequence, where near pairs count for up to twice as much as far ones. */
  private static int[] best(Things before, Things after) {
    int n = before.count();
    int m = after.count();
    int[] out = new int[m];
    Arrays.fill(out, -1);
    if ((long) n * m > MOST_PAIRS) {
      for (int i = 0; i < Math.min(n, m); i++) {
        out[i] = before.alike(i, after, i) ? i : -1;
      }
      return out;
    }
    double[][] score = new double[n + 1][m + 1];
    for (int i = n - 1; i >= 0; i--) {
      for (int j = m - 1; j >= 0; j--) {
        double skip = Math.max(score[i + 1][j], score[i][j + 1]);
        score[i][j] = Math.max(skip, pair(before, i, after, j) + score[i + 1][j + 1]);
      }
    }
    for (int i = 0, j = 0; i < n && j < m; ) {
      double pair = pair(before, i, after, j);
      if (pair > 0 && score[i][j] == pair + score[i + 1][j + 1]) {
        out[j++] = i++;
      } else if (score[i][j] == score[i + 1][j]) {
        i++;
      } else {
        j++;
      }
    }
    return out;
  }

  private static double pair(Things before, int i, Things after, int j) {
    if (!before.alike(i, after, j)) {
      return 0;
    }
    double distance = before.distance(i, after, j);
    return distance > FAR ? 0 : 1 + 1 / (1 + distance / NEAR);
  }
}
