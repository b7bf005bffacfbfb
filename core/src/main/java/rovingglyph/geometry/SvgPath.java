package rovingglyph.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** SVG path data (SVG 2, chapter 9) in and out. */
public final class SvgPath {
  /**
   * What was read. On an error the subpaths up to it are given, as the specification's error rule
   * says (section 9.5.4), with the error's text and the position of the character it is about;
   * otherwise {@code error} is null.
   */
  public record Parsed(List<SubPath> subPaths, String error, int position) {}

  private static final class Syntax extends RuntimeException {
    Syntax(String message) {
      super(message);
    }
  }

  private final String text;
  private int at;
  private final List<SubPath> done = new ArrayList<>();
  private List<Segment> open = new ArrayList<>();
  private Point start = Point.ORIGIN;
  private Point pen = Point.ORIGIN;
  private Point control = Point.ORIGIN;
  private char previous = 'M';

  private SvgPath(String text) {
    this.text = text;
  }

  /** Never throws. */
  public static Parsed parse(String data) {
    SvgPath p = new SvgPath(data);
    String error = null;
    try {
      p.commands();
    } catch (Syntax e) {
      error = e.getMessage();
    }
    p.endSubPath(false);
    return new Parsed(Collections.unmodifiableList(p.done), error, p.at);
  }

  private void commands() {
    space();
    boolean first = true;
    while (at < text.length()) {
      char c = text.charAt(at);
      if ("MmZzLlHhVvCcSsQqTtAa".indexOf(c) < 0) {
        throw new Syntax("'" + c + "' is not a path command");
      }
      if (first && c != 'M' && c != 'm') {
        throw new Syntax("path data begins with a move (M)");
      }
      first = false;
      at++;
      space();
      command(c);
      space();
    }
  }

  private void command(char c) {
    char upper = Character.toUpperCase(c);
    boolean relative = c != upper;
    if (upper == 'Z') {
      if (!pen.equals(start)) {
        open.add(new Line(pen, start));
      }
      endSubPath(true);
      pen = start;
      previous = 'Z';
      return;
    }
    boolean again = false;
    do {
      int mark = at;
      try {
        step(again && upper == 'M' ? 'L' : upper, relative ? pen : Point.ORIGIN);
      } catch (Syntax e) {
        at = Math.max(at, mark);
        throw e;
      }
      again = true;
      space();
      comma();
    } while (at < text.length() && startsNumber(text.charAt(at)));
  }

  private void step(char c, Point base) {
    switch (c) {
      case 'M' -> {
        Point to = point(base);
        endSubPath(false);
        start = to;
        pen = to;
        control = to;
      }
      case 'L' -> add(new Line(pen, point(base)), null);
      case 'H' -> add(new Line(pen, new Point(base.x() + number(), pen.y())), null);
      case 'V' -> add(new Line(pen, new Point(pen.x(), base.y() + number())), null);
      case 'C' -> {
        Point p1 = point(base);
        Point p2 = point(base);
        add(new Cubic(pen, p1, p2, point(base)), p2);
      }
      case 'S' -> {
        Point p1 = previous == 'C' || previous == 'S' ? mirrored() : pen;
        Point p2 = point(base);
        add(new Cubic(pen, p1, p2, point(base)), p2);
      }
      case 'Q' -> {
        Point p1 = point(base);
        add(new Quadratic(pen, p1, point(base)), p1);
      }
      case 'T' -> {
        Point p1 = previous == 'Q' || previous == 'T' ? mirrored() : pen;
        add(new Quadratic(pen, p1, point(base)), p1);
      }
      case 'A' -> {
        double rx = number();
        double ry = number();
        double tilt = number();
        boolean large = flag();
        boolean sweep = flag();
        Point to = point(base);
        Segment arc = Arc.between(pen, rx, ry, tilt, large, sweep, to);
        if (arc != null) {
          add(arc, null);
        }
        pen = to;
      }
      default -> throw new IllegalStateException();
    }
    previous = c;
  }

  private void add(Segment s, Point newControl) {
    open.add(s);
    pen = s.end();
    control = newControl == null ? pen : newControl;
  }

  private Point mirrored() {
    return pen.times(2).minus(control);
  }

  private void endSubPath(boolean closed) {
    if (!open.isEmpty()) {
      done.add(new SubPath(Collections.unmodifiableList(open), closed));
    }
    open = new ArrayList<>();
  }

  private Point point(Point base) {
    double x = number();
    return new Point(base.x() + x, base.y() + number());
  }

  private boolean flag() {
    space();
    comma();
    if (at < text.length() && (text.charAt(at) == '0' || text.charAt(at) == '1')) {
      return text.charAt(at++) == '1';
    }
    throw new Syntax("an arc flag is 0 or 1");
  }

  private static boolean startsNumber(char c) {
    return (c >= '0' && c <= '9') || c == '-' || c == '+' || c == '.';
  }

  private double number() {
    space();
    comma();
    int from = at;
    if (at < text.length() && (text.charAt(at) == '-' || text.charAt(at) == '+')) {
      at++;
    }
    int digits = digits();
    if (at < text.length() && text.charAt(at) == '.') {
      at++;
      digits += digits();
    }
    if (digits == 0) {
      at = from;
      throw new Syntax("a number is missing");
    }
    int mantissa = at;
    if (at < text.length() && (text.charAt(at) == 'e' || text.charAt(at) == 'E')) {
      at++;
      if (at < text.length() && (text.charAt(at) == '-' || text.charAt(at) == '+')) {
        at++;
      }
      if (digits() == 0) {
        at = mantissa;
      }
    }
    double value = Decimal.parse(text.substring(from, at));
    if (Double.isInfinite(value)) {
      at = from;
      throw new Syntax("a number is too large");
    }
    return value;
  }

  private int digits() {
    int from = at;
    while (at < text.length() && text.charAt(at) >= '0' && text.charAt(at) <= '9') {
      at++;
    }
    return at - from;
  }

  private void space() {
    while (at < text.length() && " \t\n\r\f".indexOf(text.charAt(at)) >= 0) {
      at++;
    }
  }

  private void comma() {
    if (at < text.length() && text.charAt(at) == ',') {
      at++;
      space();
    }
  }

  /** The contour as path data with at most {@code places} decimals. */
  public static String write(Contour contour, int places) {
    StringBuilder out = new StringBuilder("M");
    pair(out, contour.first(), places);
    for (Segment s : contour.segments()) {
      write(out, s, places);
    }
    return contour.closed() ? out.append('Z').toString() : out.toString();
  }

  private static void write(StringBuilder out, Segment s, int places) {
    if (s instanceof Line line) {
      pair(out.append('L'), line.p1(), places);
    } else if (s instanceof Quadratic q) {
      pair(out.append('Q'), q.p1(), places);
      pair(out.append(' '), q.p2(), places);
    } else if (s instanceof Cubic c) {
      pair(out.append('C'), c.p1(), places);
      pair(out.append(' '), c.p2(), places);
      pair(out.append(' '), c.p3(), places);
    } else if (s instanceof Arc a) {
      // One A command spans less than a turn; thirds also keep its flags unambiguous.
      int parts = (int) Math.ceil(Math.abs(a.sweep()) / (2 * Math.PI / 3) - 1e-9);
      for (int i = 1; i <= parts; i++) {
        out.append('A').append(Decimal.text(a.rx(), places)).append(' ');
        out.append(Decimal.text(a.ry(), places)).append(' ');
        out.append(Decimal.text(Math.toDegrees(a.tilt()), places));
        out.append(a.sweep() > 0 ? " 0 1 " : " 0 0 ");
        pair(out, a.point((double) i / parts), places);
      }
    }
  }

  /** All contours as one string of path data. */
  public static String write(List<Contour> contours, int places) {
    StringBuilder out = new StringBuilder();
    contours.forEach(c -> out.append(write(c, places)));
    return out.toString();
  }

  private static void pair(StringBuilder out, Point p, int places) {
    out.append(Decimal.text(p.x(), places)).append(' ').append(Decimal.text(p.y(), places));
  }
}
