package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SvgPath;

/** A path whose data goes with the time (SMIL). */
final class SmilShapes {
  private static final int PLACES = 3;

  private SmilShapes() {}

  /**
   * A path whose data is another one in every frame, and the same during each.
   *
   * @param open the element's beginning, without its data
   * @param shapes one per frame; empty for nothing
   * @param seconds that all of them take
   */
  static String path(String open, List<String> shapes, double seconds) {
    String first = data(shapes.get(0));
    if (shapes.stream().allMatch(shapes.get(0)::equals)) {
      return open + " d=\"" + first + "\"/>\n";
    }
    return open
        + " d=\""
        + first
        + "\">"
        + animation("discrete", shapes, seconds, "")
        + "</path>\n";
  }

  /**
   * A contour: from frame to frame its points go in straight lines, where it has the same segments
   * in every one; else it is another one in every frame.
   *
   * @param open the element's beginning, without its data
   * @param animations of its other attributes
   */
  static String contour(
      String open, boolean moves, DoubleFunction<Contour> at, String animations, SvgClock clock) {
    if (!moves) {
      String end = animations.isEmpty() ? "/>\n" : ">" + animations + "</path>\n";
      return open + " d=\"" + SvgPath.write(at.apply(0), PLACES) + "\"" + end;
    }
    List<String> shapes = new ArrayList<>();
    List<Double> times = times(clock);
    for (double t : times) {
      Contour c = at.apply(clock.local(t));
      shapes.add(SvgPath.write(withoutArcs(c), PLACES));
    }
    String commands = commands(shapes.get(0));
    boolean alike = shapes.stream().allMatch(s -> commands(s).equals(commands));
    String animation =
        animation(alike ? "linear" : "discrete", shapes, clock.length(), keyTimes(times, clock));
    return open + " d=\"" + shapes.get(0) + "\">" + animations + animation + "</path>\n";
  }

  /** Those of all frames and of the end, and just before and at each jump of the time. */
  private static List<Double> times(SvgClock clock) {
    TreeSet<Double> out = new TreeSet<>();
    for (int f = 0; f <= clock.frames(); f++) {
      out.add(clock.length() * f / clock.frames());
    }
    for (double jump : clock.jumps()) {
      // A frame a hair's breadth beside it would be a third stop of one moment.
      out.subSet(jump - 2 * SvgClock.HAIR, jump + 2 * SvgClock.HAIR).clear();
      out.add(Math.max(0, jump - SvgClock.HAIR));
      out.add(jump);
    }
    return List.copyOf(out);
  }

  private static String keyTimes(List<Double> times, SvgClock clock) {
    return times.stream()
        .map(t -> Decimal.text(t / clock.length(), 7))
        .collect(Collectors.joining(";", "\" keyTimes=\"", ""));
  }

  /** Flags of arcs have nothing between them. */
  private static Contour withoutArcs(Contour c) {
    List<Segment> all =
        c.segments().stream()
            .flatMap(s -> s instanceof Arc a ? a.cubics().stream() : Stream.of(s))
            .toList();
    return all.isEmpty() ? c : new Contour(all, c.closed());
  }

  private static String commands(String data) {
    StringBuilder out = new StringBuilder();
    for (char c : data.toCharArray()) {
      if (Character.isLetter(c) && c != 'e') {
        out.append(c);
      }
    }
    return out.toString();
  }

  private static String animation(
      String mode, List<String> shapes, double seconds, String keyTimes) {
    StringBuilder out = new StringBuilder("<animate attributeName=\"d\" calcMode=\"");
    out.append(mode).append("\" repeatCount=\"indefinite\" dur=\"");
    out.append(Decimal.text(seconds, 6)).append('s').append(keyTimes).append("\" values=\"");
    for (int i = 0; i < shapes.size(); i++) {
      out.append(i > 0 ? ";" : "").append(data(shapes.get(i)));
    }
    return out.append("\"/>").toString();
  }

  /** Nothing has no data that could be animated: a move outside draws as little. */
  private static String data(String shape) {
    return shape.isEmpty() ? "M-9 -9" : shape;
  }
}
