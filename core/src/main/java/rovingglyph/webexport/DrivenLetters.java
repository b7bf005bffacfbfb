package rovingglyph.webexport;

import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Movable;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Seating;
import rovingglyph.type.Cluster;

/**
 * Letters that all follow the same few animated numbers. The distance of a letter is linear in the
 * path offset, the margins and the size, so that each is one custom property and every letter adds
 * its own constants.
 */
final class DrivenLetters {
  private static final List<Channel> DRIVING =
      List.of(
          Channel.PATH_OFFSET,
          Channel.START_MARGIN,
          Channel.END_MARGIN,
          Channel.BASELINE_SHIFT,
          Channel.SIZE);

  private final PreparedLettering prepared;
  private final Lettering lettering;
  private final Seating seating;
  private final Contour contour;
  private final Scene scene;
  private final CssMotion motion;
  private final String name;
  private final boolean open;
  private final double run;

  DrivenLetters(PreparedLettering prepared, Scene scene, CssMotion motion, String name) {
    this.prepared = prepared;
    this.lettering = prepared.lettering();
    this.seating = prepared.seating(prepared.values(0));
    this.contour = seating.contour();
    this.scene = scene;
    this.motion = motion;
    this.name = name;
    this.open = !(contour.closed() && seating.ends() == Seat.EndRule.WRAP);
    this.run = open && seating.ends() != Seat.EndRule.WRAP ? outrun() : 0;
  }

  /**
   * CSS has no word for a letter that swings round a corner, nor for an upright letter that stands
   * away from its path, nor for a path that moves.
   */
  static boolean canSay(PreparedLettering p) {
    Movable shift = p.lettering().movable(Channel.BASELINE_SHIFT);
    boolean onPath = !shift.moves() && shift.still() == 0;
    boolean turns = p.lettering().seat().orientation() == Seat.Orientation.TURN;
    Contour contour = p.seating(p.values(0)).contour();
    return !p.seats().path().moves()
        && contour.corners().isEmpty()
        && contour.length() > 0
        && (turns || onPath);
  }

  /** How far letters go past the ends, with room to spare: the path is made longer by that. */
  private double outrun() {
    double past = 0;
    for (int f = 0; f <= scene.frameCount(); f++) {
      SeatValues v = prepared.values(scene.rate().timeOf(f));
      double tail = seating.tail(v);
      double head = tail + seating.total() * v.size();
      past =
          Math.max(past, Math.max(-Math.min(tail, head), Math.max(tail, head) - contour.length()));
    }
    return past <= 0 ? 0 : Math.ceil(past * 1.1 + 100);
  }

  void write(StringBuilder style, StringBuilder letters, List<String> animations) {
    for (Channel c : DRIVING) {
      Movable m = lettering.movable(c);
      if (m.moves()) {
        String property = property(c);
        style.append("@property ").append(property);
        style.append("{syntax:\"<number>\";inherits:true;initial-value:0}\n");
        style.append(
            motion.keyframes(
                property.substring(2), m, v -> property + ":" + Decimal.text(c.clamp(v), 5)));
        animations.add(property.substring(2));
      }
    }
    boolean turns = lettering.seat().orientation() == Seat.Orientation.TURN;
    style
        .append('.' + name + ">g{offset-path:path(\"")
        .append(track())
        .append("\");offset-anchor:0 0;offset-rotate:" + (turns ? "auto" : "0deg") + "}\n");
    for (int i = 0; i < prepared.run().clusters().size(); i++) {
      letter(letters, i);
    }
  }

  private void letter(StringBuilder out, int i) {
    Cluster c = prepared.run().clusters().get(i);
    if (c.glyphs().stream().allMatch(g -> outline(g).isEmpty())) {
      return;
    }
    String distance = distance(i);
    out.append("<g style=\"offset-distance:").append(place(distance));
    if (seating.ends() == Seat.EndRule.CUT) {
      out.append(";opacity:calc(clamp(0,(" + distance + ")*1000 + 1,1)*clamp(0,(");
      out.append(number(contour.length()) + " - (" + distance + "))*1000 + 1,1))");
    }
    out.append(
        ";transform:translateY(calc(" + value(Channel.BASELINE_SHIFT, -1) + "*1px)) scale(calc(");
    out.append(value(Channel.SIZE, 1) + "))\">");
    for (Cluster.Glyph g : c.glyphs()) {
      if (!outline(g).isEmpty()) {
        out.append("<path transform=\"translate(");
        out.append(number(g.dx() - seating.advance(i) / 2) + " " + number(g.dy()));
        out.append(")\" d=\"" + outline(g) + "\"/>");
      }
    }
    out.append("</g>\n");
  }

  private String outline(Cluster.Glyph g) {
    return prepared.run().outlines().get(g.outline()).data();
  }

  /** The distance of a cluster along the path in px, as the inside of a calc(). */
  private String distance(int i) {
    double share = seating.anchorShare();
    double ems = seating.middle(i) - share * seating.total();
    if (lettering.seat().pin() != null) {
      return number(seating.rest(prepared.values(0)))
          + " + "
          + value(Channel.PATH_OFFSET, 1)
          + " + "
          + value(Channel.SIZE, ems);
    }
    return number(contour.length() * share)
        + " + "
        + value(Channel.PATH_OFFSET, 1)
        + " + "
        + value(Channel.START_MARGIN, 1 - share)
        + " + "
        + value(Channel.END_MARGIN, -share)
        + " + "
        + value(Channel.SIZE, ems);
  }

  /** In percent on a closed path: a browser's own length of it then cannot tear the lap open. */
  private String place(String distance) {
    if (!open) {
      return "calc((" + distance + ")*" + Decimal.text(100 / contour.length(), 9) + "%)";
    }
    if (seating.ends() == Seat.EndRule.WRAP) {
      return "calc(mod(" + distance + "," + number(contour.length()) + ")*1px)";
    }
    return "calc((" + number(run) + " + " + distance + ")*1px)";
  }

  /** A channel times a factor: its property where it moves, else the number itself. */
  private String value(Channel c, double factor) {
    Movable m = lettering.movable(c);
    return m.moves()
        ? "var(" + property(c) + ")*" + Decimal.text(factor, 7)
        : "(" + Decimal.text(m.still() * factor, 5) + ")";
  }

  private String property(Channel c) {
    return "--" + name + "-" + c.field();
  }

  private String track() {
    if (!open || run == 0) {
      return SvgPath.write(contour, 4);
    }
    Contour.Station first = contour.at(0);
    Contour.Station last =
        contour.at(contour.closed() ? Math.nextDown(contour.length()) : contour.length());
    String middle = SvgPath.write(contour, 4);
    middle = contour.closed() ? middle.substring(0, middle.length() - 1) : middle;
    return "M"
        + pair(first.point().minus(first.tangent().times(run)))
        + "L"
        + middle.substring(1)
        + "L"
        + pair(last.point().plus(last.tangent().times(run)));
  }

  private static String pair(Point p) {
    return number(p.x()) + " " + number(p.y());
  }

  private static String number(double v) {
    return Decimal.text(v, 5);
  }
}
