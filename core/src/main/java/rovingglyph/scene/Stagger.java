package rovingglyph.scene;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Delay from letter to letter: letter number n in the order lags the first by n times the delay.
 *
 * @param delay in seconds
 * @param seed of the random order
 */
public record Stagger(double delay, Order order, int seed, UnknownFields extras) {
  /** Which letter is first. */
  public enum Order {
    FORWARD("from the first letter"),
    BACKWARD("from the last letter"),
    MIDDLE("from the middle"),
    RANDOM("at random");

    private final String word;

    Order(String word) {
      this.word = word;
    }

    /** What it is called in the interface. */
    public String word() {
      return word;
    }
  }

  /** The lag in seconds of every letter of a run of n. */
  public double[] lags(int n) {
    double[] out = new double[n];
    List<Integer> shuffled = order == Order.RANDOM ? shuffled(n) : List.of();
    for (int i = 0; i < n; i++) {
      double rank =
          switch (order) {
            case FORWARD -> i;
            case BACKWARD -> n - 1 - i;
            case MIDDLE -> Math.abs(i - (n - 1) / 2.0) - (n % 2 == 0 ? 0.5 : 0);
            case RANDOM -> shuffled.get(i);
          };
      out[i] = rank * delay;
    }
    return out;
  }

  private List<Integer> shuffled(int n) {
    List<Integer> indexes = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      indexes.add(i);
    }
    indexes.sort(Comparator.comparingDouble(i -> Chance.value(seed, i)));
    Integer[] rank = new Integer[n];
    for (int i = 0; i < n; i++) {
      rank[indexes.get(i)] = i;
    }
    return List.of(rank);
  }
}
