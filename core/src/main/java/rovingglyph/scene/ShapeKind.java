package rovingglyph.scene;

import static rovingglyph.scene.Channel.*;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The shapes given by numbers, with the values of a new one for a frame whose lesser side is 1000.
 */
public enum ShapeKind {
  CIRCLE("Circle", true, n(RADIUS, 350), n(START_ANGLE, -90)),
  ELLIPSE("Ellipse", true, n(WIDTH, 800), n(HEIGHT, 500), n(START, 0)),
  ARC("Arc", false, n(RADIUS, 400), n(START_ANGLE, -160), n(SWEEP, 140)),
  RECTANGLE(
      "Rounded rectangle",
      true,
      n(WIDTH, 800),
      n(HEIGHT, 560),
      n(TOP_LEFT, 120),
      n(TOP_RIGHT, 120),
      n(BOTTOM_RIGHT, 120),
      n(BOTTOM_LEFT, 120),
      n(START, 0)),
  POLYGON("Polygon", true, n(RADIUS, 360), n(COUNT, 6), n(ROUNDING, 40), n(START, 0)),
  STAR(
      "Star",
      true,
      n(RADIUS, 380),
      n(INNER_RADIUS, 220),
      n(COUNT, 5),
      n(ROUNDING, 30),
      n(START, 0)),
  LINE("Line", false, n(LENGTH, 800)),
  WAVE("Wave", false, n(LENGTH, 900), n(AMPLITUDE, 120), n(CYCLES, 2), n(PHASE, 0)),
  NOISE(
      "Noise line",
      false,
      n(LENGTH, 900),
      n(AMPLITUDE, 110),
      n(GRAIN, 220),
      n(FLOW, 0),
      n(SEED, 1)),
  SPIRAL("Spiral", false, n(INNER_RADIUS, 60), n(RADIUS, 380), n(TURNS, 2.5), n(START_ANGLE, -90)),
  LOOP("Loop", false, n(RADIUS, 180), n(TURNS, 1), n(RUN_IN, 420), n(RUN_OUT, 420));

  private record Number(Channel channel, double start) {}

  private static Number n(Channel channel, double start) {
    return new Number(channel, start);
  }

  private final String word;
  private final boolean closed;
  private final List<Channel> numbers = new ArrayList<>(List.of(X, Y, TURN));
  private final Map<Channel, Double> starts = new LinkedHashMap<>();

  ShapeKind(String word, boolean closed, Number... own) {
    this.word = word;
    this.closed = closed;
    starts.put(X, 0.0);
    starts.put(Y, 0.0);
    starts.put(TURN, 0.0);
    for (Number n : own) {
      numbers.add(n.channel);
      starts.put(n.channel, n.start);
    }
  }

  /** What it is called in the interface. */
  public String word() {
    return word;
  }

  /** Whether it comes round to its start. */
  public boolean closed() {
    return closed;
  }

  /** Its place, its turn, then its own numbers in the order of a sheet. */
  public List<Channel> numbers() {
    return List.copyOf(numbers);
  }

  /** The value of a number that a document leaves out. */
  public double start(Channel channel) {
    return starts.get(channel);
  }
}
