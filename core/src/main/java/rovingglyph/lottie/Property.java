package rovingglyph.lottie;

import java.util.Arrays;
import java.util.function.Function;
import java.util.function.IntPredicate;
import rovingglyph.geometry.Decimal;

/**
 * A value through the samples of a strand, as a property of Lottie: still, or with keyframes
 * between which lines, at an even pace or another, are within a tolerance of every sample.
 */
final class Property {
  /** A step this many times as large as the tolerance may be a jump. */
  private static final double LARGE = 100;

  /** A jump is so many times as large as the steps before and after it. */
  private static final double SUDDEN = 4;

  private static final int TIME_PLACES = 4;

  /** What is not reached within so many samples is not looked for beyond. */
  private static final int PATIENCE = 8;

  private final double perFrame;
  private final int from;
  private final double[][] values;
  private final double[] tolerances;

  /**
   * @param perFrame samples of a frame
   * @param from the sample of the first value
   * @param values all as long as the tolerances
   */
  Property(double perFrame, int from, double[][] values, double... tolerances) {
    this.perFrame = perFrame;
    this.from = from;
    this.values = values;
    this.tolerances = tolerances;
  }

  /**
   * How a keyframe goes on to another.
   *
   * @param to the sample of that
   * @param ways where it goes, in words; empty for straight
   */
  record Bend(int to, String ways, Pace pace) {}

  /** Finds what goes farther from a sample than a straight line does. */
  interface Bends {
    /** Null if nothing does. */
    Bend from(int at, int straightTo);
  }

  /** Decimals that tell less than a tolerance. */
  static int places(double tolerance) {
    return (int) Math.max(0, Math.ceil(1 - Math.log10(tolerance)));
  }

  /** With numbers as they are, in brackets. */
  String json() {
    return json(this::eased);
  }

  /** The same with keyframes that do not go straight. */
  String json(Bends bends) {
    return json(this::list, false, bends);
  }

  /** With one number. */
  String number() {
    return isStill() ? still(Decimal.text(values[0][0], places(tolerances[0]))) : json();
  }

  private String list(double[] v) {
    StringBuilder out = new StringBuilder("[");
    for (int i = 0; i < v.length; i++) {
      out.append(i > 0 ? "," : "").append(Decimal.text(v[i], places(tolerances[i])));
    }
    return out.append(']').toString();
  }

  /** With values in words of their own, each in a list. */
  String json(Function<double[], String> words) {
    return json(words, true, (at, to) -> null);
  }

  private String json(Function<double[], String> words, boolean wrapped, Bends bends) {
    if (isStill()) {
      return still(words.apply(values[0]));
    }
    StringBuilder out = new StringBuilder("{\"a\":1,\"k\":[");
    int at = 0;
    while (at < values.length) {
      int next = reached(at);
      boolean last = at == values.length - 1;
      boolean held = !last && next == at;
      Bend bend = last || held ? null : bends.from(at, next);
      out.append("{\"t\":").append(Decimal.text((from + at) / perFrame, TIME_PLACES));
      out.append(wrapped ? ",\"s\":[" : ",\"s\":").append(words.apply(values[at]));
      out.append(wrapped ? "]" : "").append(bend == null ? "" : bend.ways);
      Pace pace = bend == null ? Pace.EVEN : bend.pace;
      out.append(held ? ",\"h\":1" : last ? "" : pace.words());
      out.append("},");
      at = held || last ? at + 1 : bend == null ? next : bend.to;
    }
    out.setLength(out.length() - 1);
    return out.append("]}").toString();
  }

  /** What goes farther than a straight line at an even pace, in a line at another. */
  private Bend eased(int at, int straightTo) {
    int reached = farthest(straightTo, to -> pace(at, to) != null);
    return reached == straightTo ? null : new Bend(reached, "", pace(at, reached));
  }

  /** The farthest sample that something reaches: first by doubling, then by halving. */
  static int farthest(int from, IntPredicate reaches) {
    int out = from + 1;
    while (out <= from + PATIENCE && !reaches.test(out)) {
      out++;
    }
    if (out > from + PATIENCE) {
      return from;
    }
    int step = 1;
    while (reaches.test(out + step)) {
      out += step;
      step *= 2;
    }
    while (step > 1) {
      step /= 2;
      out += reaches.test(out + step) ? step : 0;
    }
    return out;
  }

  /** Null if there is none. */
  private Pace pace(int from, int to) {
    if (to >= values.length || jumpsWithin(from, to)) {
      return null;
    }
    double[] shares = Pace.shares(values, from, to, tolerances);
    if (shares == null) {
      return null;
    }
    double most = 1;
    for (int c = 0; c < tolerances.length; c++) {
      most = Math.max(most, Math.abs(values[to][c] - values[from][c]) / tolerances[c]);
    }
    Pace pace = Pace.of(shares, 1 / most);
    return pace != null && isNear(from, to, pace) ? pace : null;
  }

  private boolean isNear(int from, int to, Pace pace) {
    for (int k = from + 1; k < to; k++) {
      double share = pace.at((double) (k - from) / (to - from));
      for (int c = 0; c < tolerances.length; c++) {
        double is = values[from][c] + share * (values[to][c] - values[from][c]);
        if (Math.abs(is - values[k][c]) > tolerances[c]) {
          return false;
        }
      }
    }
    return true;
  }

  /** Whether there is a jump after one sample, and not after another. */
  boolean jumpsWithin(int from, int to) {
    for (int k = from + 1; k <= to; k++) {
      if (jumps(k)) {
        return true;
      }
    }
    return false;
  }

  static String still(String value) {
    return "{\"a\":0,\"k\":" + value + "}";
  }

  private boolean isStill() {
    for (double[] v : values) {
      for (int c = 0; c < v.length; c++) {
        if (Math.abs(v[c] - values[0][c]) > tolerances[c] / 2) {
          return false;
        }
      }
    }
    return true;
  }

  /**
   * The farthest sample that a straight line from this one may go to: the slopes that pass all
   * samples between narrow from one to the next. This one itself where a jump comes next.
   */
  private int reached(int at) {
    int out = at;
    double[] low = new double[tolerances.length];
    double[] high = new double[tolerances.length];
    Arrays.fill(low, Double.NEGATIVE_INFINITY);
    Arrays.fill(high, Double.POSITIVE_INFINITY);
    for (int k = at + 1; k < values.length && !jumps(k); k++) {
      boolean inside = true;
      for (int c = 0; c < low.length; c++) {
        double run = k - at;
        double slope = (values[k][c] - values[at][c]) / run;
        inside &= slope >= low[c] && slope <= high[c];
        low[c] = Math.max(low[c], slope - tolerances[c] / run);
        high[c] = Math.min(high[c], slope + tolerances[c] / run);
        if (low[c] > high[c]) {
          return out;
        }
      }
      out = inside ? k : out;
    }
    return out;
  }

  /** Whether what is between a sample and the one before it is no way. */
  private boolean jumps(int k) {
    for (int c = 0; c < tolerances.length; c++) {
      double step = Math.abs(values[k][c] - values[k - 1][c]);
      double around = Math.max(step(k - 1, c), step(k + 1, c));
      if (step > LARGE * tolerances[c] && step > SUDDEN * around) {
        return true;
      }
    }
    return false;
  }

  private double step(int k, int c) {
    return k < 1 || k >= values.length ? 0 : Math.abs(values[k][c] - values[k - 1][c]);
  }
}
