package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import java.util.stream.Collectors;
import rovingglyph.frame.PreparedPath;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;

/** An attribute that goes with the time: written as it is while still, else animated (SMIL). */
final class SmilAttribute {
  private final StringBuilder attributes = new StringBuilder();
  private final StringBuilder animations = new StringBuilder();
  private final SvgClock clock;
  private int places = 3;

  SmilAttribute(SvgClock clock) {
    this.clock = clock;
  }

  /** Numbers with so many decimals. */
  SmilAttribute places(int count) {
    places = count;
    return this;
  }

  /**
   * @param tolerance of straight lines between the values written
   */
  SmilAttribute number(String name, double tolerance, DoubleUnaryOperator value) {
    Track.Gap gap = (a, b) -> Math.abs(a[0] - b[0]);
    Samples.Source source = t -> new double[] {value.applyAsDouble(t)};
    return add(name, source, gap, tolerance, s -> Decimal.text(s[0], places));
  }

  /** An attribute that stays as it is. */
  SmilAttribute fixed(String name, String value) {
    attributes.append(' ').append(name).append("=\"").append(value).append('"');
    return this;
  }

  /**
   * @param rgb 0xRRGGBB at a time
   */
  SmilAttribute colour(String name, DoubleUnaryOperator rgb) {
    Track.Gap gap =
        (a, b) ->
            Math.max(Math.abs(a[0] - b[0]), Math.max(Math.abs(a[1] - b[1]), Math.abs(a[2] - b[2])));
    Samples.Source source =
        t -> {
          int c = (int) rgb.applyAsDouble(t);
          return new double[] {c >> 16 & 255, c >> 8 & 255, c & 255};
        };
    Function<double[], String> write =
        s ->
            AnimatedSvg.colour(
                (int) Math.round(s[0]) << 16
                    | (int) Math.round(s[1]) << 8
                    | (int) Math.round(s[2]));
    return add(name, source, gap, 1.5, write);
  }

  private SmilAttribute add(
      String name,
      Samples.Source source,
      Track.Gap gap,
      double tolerance,
      Function<double[], String> write) {
    return track(name, clock.samples(source, gap, tolerance), tolerance, write);
  }

  /** An attribute by its samples. */
  SmilAttribute track(
      String name, Track track, double tolerance, Function<double[], String> write) {
    String first = write.apply(track.states()[0]);
    attributes.append(' ').append(name).append("=\"").append(first).append('"');
    if (track.still(tolerance / 100)) {
      return this;
    }
    List<Integer> stops = track.stops(tolerance * 0.6);
    List<String> times = new ArrayList<>();
    for (int i : stops) {
      times.add(Decimal.text(track.times()[i] / clock.length(), 7));
    }
    // SMIL wants the last time to be 1.
    times.set(times.size() - 1, "1");
    animations.append("<animate attributeName=\"").append(name);
    animations.append("\" repeatCount=\"indefinite\" dur=\"");
    animations.append(Decimal.text(clock.length(), 6)).append("s\" keyTimes=\"");
    animations.append(String.join(";", times)).append("\" values=\"");
    animations.append(
        stops.stream().map(i -> write.apply(track.states()[i])).collect(Collectors.joining(";")));
    animations.append("\"/>");
    return this;
  }

  /**
   * The contour of a path with these attributes.
   *
   * @param more attributes
   */
  String path(PreparedPath path, String more) {
    return contour(path.moves(), path::at, more);
  }

  /**
   * A contour with these attributes.
   *
   * @param moves whether it is not the same at all times
   * @param more attributes
   */
  String contour(boolean moves, DoubleFunction<Contour> at, String more) {
    String open = "<path" + attributes + more;
    return SmilShapes.contour(open, moves, at, animations.toString(), clock);
  }

  /** An element with these attributes and what is in it. */
  String element(String name, String contents) {
    return element(name, "", contents);
  }

  /**
   * The same.
   *
   * @param more attributes
   */
  String element(String name, String more, String contents) {
    return "<" + name + attributes + more + ">" + animations + contents + "</" + name + ">\n";
  }

  /** The attributes of a rectangle that goes with the time. */
  static SmilAttribute rectangle(SvgClock clock, double tolerance, DoubleFunction<Rect> box) {
    return new SmilAttribute(clock)
        .number("x", tolerance, t -> box.apply(t).left())
        .number("y", tolerance, t -> box.apply(t).top())
        .number("width", tolerance, t -> Math.max(0, box.apply(t).width()))
        .number("height", tolerance, t -> Math.max(0, box.apply(t).height()));
  }
}
