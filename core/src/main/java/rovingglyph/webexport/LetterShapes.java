package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.FrameReader;
import rovingglyph.frame.PathStep;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;

/**
 * Outlines as plain numbers, and numbers as path data in whole units: what changes its shape is
 * interpolated number by number, and packs well.
 */
final class LetterShapes {
  private static final double MOVE = 1e30;
  private static final double LINE = 2e30;
  private static final double QUADRATIC = 3e30;
  private static final double CUBIC = 4e30;
  private static final double CLOSE = 5e30;

  /** Of the steps of display lists, in their order. */
  private static final double[] COMMANDS = {MOVE, LINE, QUADRATIC, CUBIC};

  private LetterShapes() {}

  /** Marks of the commands between the coordinates; those of like outlines are the same. */
  static double[] numbers(List<SubPath> outlines) {
    List<Double> out = new ArrayList<>();
    for (SubPath p : outlines) {
      put(out, MOVE, p.segments().get(0).start());
      p.segments().forEach(s -> put(out, s));
    }
    return out.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /**
   * The same of steps as they lie in a display list, under a map.
   *
   * @param closes whether it matters which of them are closed
   */
  static double[] steps(double[] steps, Affine map, boolean closes) {
    List<Double> out = new ArrayList<>();
    FrameReader.steps(
        steps,
        (step, n, at) -> {
          if (step == PathStep.CLOSE) {
            if (closes) {
              out.add(CLOSE);
            }
            return;
          }
          out.add(COMMANDS[step.ordinal()]);
          for (int i = 0; i < step.numbers(); i += 2) {
            Point p = map.apply(new Point(n[at + i], n[at + i + 1]));
            out.add(p.x());
            out.add(p.y());
          }
        });
    return out.stream().mapToDouble(Double::doubleValue).toArray();
  }

  static double[] polygons(List<double[]> polygons) {
    List<Double> out = new ArrayList<>();
    for (double[] p : polygons) {
      for (int i = 0; i < p.length; i += 2) {
        put(out, i == 0 ? MOVE : LINE, new Point(p[i], p[i + 1]));
      }
    }
    return out.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private static void put(List<Double> out, Segment s) {
    if (s instanceof Quadratic q) {
      put(out, QUADRATIC, q.p1(), q.end());
    } else if (s instanceof Cubic c) {
      put(out, CUBIC, c.p1(), c.p2(), c.end());
    } else if (s instanceof Arc a) {
      a.cubics().forEach(c -> put(out, c));
    } else {
      put(out, LINE, s.end());
    }
  }

  private static void put(List<Double> out, double command, Point... points) {
    out.add(command);
    for (Point p : points) {
      out.add(p.x());
      out.add(p.y());
    }
  }

  /** Of the length of all contours, with the lines that close them, to that of the longest. */
  static double ratio(double[] numbers) {
    double all = 0;
    double longest = 0;
    Point start = null;
    Point at = null;
    double length = 0;
    for (int i = 0; i <= numbers.length; ) {
      double command = i < numbers.length ? numbers[i] : MOVE;
      if (command == MOVE) {
        length += start == null ? 0 : at.distance(start);
        all += length;
        longest = Math.max(longest, length);
        length = 0;
      }
      if (i == numbers.length) {
        break;
      }
      int points = command == CUBIC ? 3 : command == QUADRATIC ? 2 : 1;
      Point[] p = new Point[points];
      for (int k = 0; k < points; k++) {
        p[k] = new Point(numbers[i + 1 + 2 * k], numbers[i + 2 + 2 * k]);
      }
      i += 1 + 2 * points;
      if (command == MOVE) {
        start = p[0];
      } else if (command == QUADRATIC) {
        length += length(new Quadratic(at, p[0], p[1]));
      } else if (command == CUBIC) {
        length += length(new Cubic(at, p[0], p[1], p[2]));
      } else {
        length += at.distance(p[0]);
      }
      at = p[points - 1];
    }
    return longest > 0 ? all / longest : 1;
  }

  private static double length(Segment s) {
    return new Contour(List.of(s), false).length();
  }

  /** The greatest difference of a coordinate; infinite for outlines that are not made alike. */
  static double distance(double[] a, double[] b) {
    if (a.length != b.length) {
      return Double.POSITIVE_INFINITY;
    }
    double worst = 0;
    for (int i = 0; i < a.length; i++) {
      double d = Math.abs(a[i] - b[i]);
      worst = d > worst ? d : worst;
    }
    return worst >= MOVE / 2 ? Double.POSITIVE_INFINITY : worst;
  }

  /**
   * As path data with relative steps in whole units; what rounding takes from one step the next one
   * gives back.
   *
   * @param units per px or em of the numbers
   */
  static String data(double[] numbers, double units) {
    StringBuilder out = new StringBuilder();
    long x = 0;
    long y = 0;
    long startX = 0;
    long startY = 0;
    String last = "";
    for (int i = 0; i < numbers.length; ) {
      double command = numbers[i++];
      int points = command == CUBIC ? 3 : command == QUADRATIC ? 2 : 1;
      boolean moves = command == MOVE;
      if (moves && out.length() > 0) {
        out.append('z');
        x = startX;
        y = startY;
      }
      String word = moves ? "m" : command == LINE ? "l" : command == QUADRATIC ? "q" : "c";
      out.append(word.equals(last) ? "" : word);
      boolean first = !word.equals(last);
      long baseX = x;
      long baseY = y;
      for (int k = 0; k < points; k++, i += 2) {
        x = Math.round(numbers[i] * units);
        y = Math.round(numbers[i + 1] * units);
        number(out, x - baseX, first);
        number(out, y - baseY, false);
        first = false;
      }
      if (moves) {
        startX = x;
        startY = y;
      }
      last = word;
    }
    return out.append(out.length() > 0 ? "z" : "").toString();
  }

  /** The same of lines that are closed only where it says so, with steps that are not relative. */
  static String openData(double[] numbers, double units) {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < numbers.length; ) {
      double command = numbers[i++];
      if (command == CLOSE) {
        out.append('z');
        continue;
      }
      int points = command == CUBIC ? 3 : command == QUADRATIC ? 2 : 1;
      out.append(command == MOVE ? 'M' : command == LINE ? 'L' : command == QUADRATIC ? 'Q' : 'C');
      for (int k = 0; k < 2 * points; k++, i++) {
        number(out, Math.round(numbers[i] * units), k == 0);
      }
    }
    return out.toString();
  }

  /** A sign is separation enough. */
  private static void number(StringBuilder out, long value, boolean first) {
    out.append(first || value < 0 ? "" : " ").append(value);
  }
}
