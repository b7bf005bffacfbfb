package rovingglyph.lottie;

import java.util.Arrays;
import java.util.List;

/**
 * Which things of one time are those of another: both in order, only like ones, as many as can be
 * and as near to each other as can be.
 */
final class Matching {
  /** Things. */
  interface Things {
    int count();

    String key(int i);

    double x(int i);

    double y(int i);
  }

  /** What has moved less than this, in px, is taken for the same at once. */
  private static final double NEAR = 24;

  /** More pairs than this are not looked at: the places in order decide. */
  private static final long MOST_PAIRS = 4_000_000;

  private Matching() {}

  static Things of(List<Node> nodes) {
    return new Things() {
      @Override
      public int count() {
        return nodes.size();
      }

      @Override
      public String key(int i) {
        return nodes.get(i).key();
      }

      @Override
      public double x(int i) {
        return nodes.get(i).x();
      }

      @Override
      public double y(int i) {
        return nodes.get(i).y();
      }
    };
  }

  static Things ofShapes(List<Node.Shape> shapes) {
    return new Things() {
      @Override
      public int count() {
        return shapes.size();
      }

      @Override
      public String key(int i) {
        return Integer.toString(shapes.get(i).outline());
      }

      @Override
      public double x(int i) {
        return shapes.get(i).x();
      }

      @Override
      public double y(int i) {
        return shapes.get(i).y();
      }
    };
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
      if (!before.key(i).equals(after.key(i)) || !all && distance(before, i, after, i) > NEAR) {
        return false;
      }
    }
    return true;
  }

  private static double distance(Things before, int i, Things after, int j) {
    return Math.hypot(before.x(i) - after.x(j), before.y(i) - after.y(j));
  }

  /** The longest common sequence, where near pairs count for up to twice as much as far ones. */
  private static int[] best(Things before, Things after) {
    int n = before.count();
    int m = after.count();
    int[] out = new int[m];
    Arrays.fill(out, -1);
    if ((long) n * m > MOST_PAIRS) {
      for (int i = 0; i < Math.min(n, m); i++) {
        out[i] = before.key(i).equals(after.key(i)) ? i : -1;
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
    return before.key(i).equals(after.key(j))
        ? 1 + 1 / (1 + distance(before, i, after, j) / NEAR)
        : 0;
  }
}
