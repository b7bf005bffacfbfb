package rovingglyph.webexport;

import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;

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

  /**
   * Units of the row's group in one px. Browsers measure the way along a path by lines within half
   * a unit of it, which in whole px put letters of tight bends more than a px off.
   */
  private static final int FINE = 128;

  private final PreparedLettering prepared;
  private final Lettering lettering;
  private final RowLayout row;
  private final Contour contour;
  private final SvgClock clock;
  private final CssMotion motion;
  private final String name;
  private final String group;
  private final boolean open;
  private final double run;
  private final boolean settled;

  /**
   * @param row at time 0
   * @param name of the lettering, which owns the driving values
   * @param group of the row
   */
  DrivenLetters(
      PreparedLettering prepared,
      RowLayout row,
      SvgClock clock,
      CssMotion motion,
      String name,
      String group) {
    this.prepared = prepared;
    this.lettering = prepared.lettering();
    this.row = row;
    this.contour = row.contour();
    this.clock = clock;
    this.motion = motion;
    this.name = name;
    this.group = group;
    this.open = !row.track().round();
    this.run = open && row.ends() != Seat.EndRule.WRAP ? outrun() : 0;
    this.settled = settled(lettering);
  }

  /** Whether nothing but the offset moves letters along. */
  private static boolean settled(Lettering l) {
    return still(l, Channel.SIZE, Channel.START_MARGIN, Channel.END_MARGIN);
  }

  private static boolean still(Lettering l, Channel... channels) {
    for (Channel c : channels) {
      if (l.movable(c).moves()) {
        return false;
      }
    }
    return true;
  }

  /**
   * CSS has no word for a letter that swings round a corner, nor for an upright letter that stands
   * away from its path, nor for a path that moves, nor for letters that lag, change shape, or make
   * room for each other.
   */
  static boolean canExpressInCss(PreparedLettering p) {
    Lettering l = p.lettering();
    Seat seat = l.seat();
    AnimatedValue shift = l.movable(Channel.BASELINE_SHIFT);
    boolean onPath = !shift.moves() && shift.base() == 0;
    boolean turns = seat.orientation() == Seat.Orientation.TURN;
    boolean each = l.values().values().stream().allMatch(m -> m.stagger() == null);
    boolean shapes = l.axes().values().stream().noneMatch(AnimatedValue::moves);
    boolean parts = List.of(Seat.Overlong.CUT, Seat.Overlong.THROUGH).contains(seat.overlong());
    boolean loose = seat.fit() == Seat.Fit.NATURAL && seat.overlong() == Seat.Overlong.ON;
    List<RowLayout> rows = p.rows(p.values(0));
    return !p.seats().path().moves()
        && rows.stream()
            .allMatch(
                r ->
                    r.track().length() > 0
                        && (r.contour().corners().isEmpty()
                            || seat.corners() == Seat.Corners.EXACT))
        && (turns || onPath)
        && seat.orientation() != Seat.Orientation.FIXED
        && seat.method() == Seat.GlyphMethod.RIGID
        && !seat.evenSpacing()
        && seat.leastGap() == 0
        && each
        && l.letterEffects().reveal() == null
        && l.letterEffects().sweep() == null
        && shapes
        && l.setting().profiles().isEmpty()
        && l.setting().phrases().times() > 0
        && (loose || (settled(l) && !parts))
        && still(l, Channel.TRACKING, Channel.WORD_SPACING, Channel.LETTER_TURN, Channel.FILL);
  }

  /** How far letters go past the ends, with room to spare: the path is made longer by that. */
  private double outrun() {
    double past = 0;
    for (int f = 0; f <= clock.frames(); f++) {
      RowLayout s = row.with(prepared.values(clock.frame(f)));
      past = Math.max(past, Math.max(-s.tail(), s.head() - contour.length()));
    }
    return past <= 0 ? 0 : Math.ceil(past * 1.1 + 100);
  }

  /** The driving values, once for all rows. */
  void drive(StringBuilder style, List<String> animations) {
    for (Channel c : DRIVING) {
      AnimatedValue m = lettering.movable(c);
      if (m.moves()) {
        String property = property(c);
        style.append("@property ").append(property);
        style.append("{syntax:\"<number>\";inherits:true;initial-value:0}\n");
        style.append(
            motion.keyframes(
                property.substring(2),
                m,
                c == Channel.SIZE ? 0.01 : 0.05,
                v -> property + ":" + Decimal.text(c.clamp(v), 5)));
        animations.add(property.substring(2));
      }
    }
  }

  /** The attribute of the group round the letters of a row. */
  static String units() {
    return " transform=\"scale(" + Decimal.text(1.0 / FINE, 9) + ")\"";
  }

  /** The rule that all letters of the row share, once for all that is written of them. */
  void share(StringBuilder style) {
    boolean turns = lettering.seat().orientation() == Seat.Orientation.TURN;
    style
        .append('.' + group + ">g{offset-path:path(\"")
        .append(track())
        .append("\");offset-anchor:0 0;offset-rotate:" + (turns ? "auto" : "0deg") + "}\n");
  }

  /**
   * Writes the letters.
   *
   * @param index of the row
   */
  void write(StringBuilder letters, Ink ink, LetterFills fills, int index) {
    for (Placement p : row.place()) {
      letter(letters, p, ink, fills, index);
    }
  }

  private void letter(StringBuilder out, Placement p, Ink ink, LetterFills fills, int index) {
    Letter letter = row.letters().get(p.letter());
    List<Cluster.Glyph> inked =
        letter.cluster().glyphs().stream().filter(g -> !outline(letter, g).isEmpty()).toList();
    if (inked.isEmpty()) {
      return;
    }
    String distance = distance(p);
    out.append("<g");
    if (letter.fill() != null && ink.isPlain()) {
      out.append(" fill=\"").append(AnimatedSvg.colour(letter.fill())).append('"');
    }
    out.append(" style=\"offset-distance:").append(place(distance));
    if (row.ends() == Seat.EndRule.CUT) {
      out.append(";opacity:calc(clamp(0,(" + distance + ")*1000 + 1,1)*clamp(0,(");
      out.append(number(contour.length()) + " - (" + distance + "))*1000 + 1,1))");
    }
    out.append(";transform:translateY(calc(" + value(Channel.BASELINE_SHIFT, -FINE) + "*1px))");
    double turn = row.values().get(Channel.LETTER_TURN);
    out.append(turn == 0 ? "" : " rotate(" + number(turn) + "deg)");
    double size = row.values().size();
    String across = value(Channel.SIZE, FINE * p.width() / size);
    String up = value(Channel.SIZE, FINE * p.height() / size);
    out.append(" scale(calc(" + across + ")");
    out.append(up.equals(across) ? ")\">" : ",calc(" + up + "))\">");
    for (Cluster.Glyph g : inked) {
      String by = number(g.dx() + p.back()) + " " + number(g.dy());
      Outline outline = letter.run().outlines().get(g.outline());
      boolean own = ink.isPlain() && letter.fill() == null;
      String fill =
          own
              ? fills.fill(
                  index,
                  p.letter(),
                  row.size(),
                  (at, r, i) -> at.minus(new Point(r.place(i).back() + g.dx(), g.dy())))
              : "";
      out.append(
          ink.shape(
              " transform=\"translate(" + by + ")\"",
              1,
              SampledLetters.ratio(ink, outline.subPaths()),
              (attributes, more) ->
                  "<path"
                      + fill
                      + attributes
                      + Ink.style(more)
                      + " d=\""
                      + outline.data()
                      + "\"/>"));
    }
    out.append("</g>\n");
  }

  private static String outline(Letter letter, Cluster.Glyph g) {
    return letter.run().outlines().get(g.outline()).data();
  }

  /** The distance of a letter along the path in px, as the inside of a calc(). */
  private String distance(Placement p) {
    SeatValues v = row.values();
    double now = row.distance(p.letter());
    if (settled) {
      return number(now - v.pathOffset()) + " + " + value(Channel.PATH_OFFSET, 1);
    }
    // Natural fit: linear in the margins and the size, the rest is the same at all times.
    double share = row.anchorShare();
    boolean pinned = lettering.seat().pin() != null;
    double ems = (now - row.anchor()) / v.size();
    double fixed =
        row.anchor()
            - v.pathOffset()
            - (pinned ? 0 : v.startMargin() * (1 - share) - v.endMargin() * share);
    String margins =
        pinned
            ? ""
            : " + "
                + value(Channel.START_MARGIN, 1 - share)
                + " + "
                + value(Channel.END_MARGIN, -share);
    return number(fixed)
        + " + "
        + value(Channel.PATH_OFFSET, 1)
        + margins
        + " + "
        + value(Channel.SIZE, ems);
  }

  /** In percent on a closed path: a browser's own length of it then cannot tear the lap open. */
  private String place(String distance) {
    if (!open) {
      return "calc((" + distance + ")*" + Decimal.text(100 / contour.length(), 9) + "%)";
    }
    if (row.ends() == Seat.EndRule.WRAP) {
      return "calc(mod(" + distance + "," + number(contour.length()) + ")*" + FINE + "px)";
    }
    return "calc((" + number(run) + " + " + distance + ")*" + FINE + "px)";
  }

  /** A channel times a factor: its property where it moves, else the number itself. */
  private String value(Channel c, double factor) {
    AnimatedValue m = lettering.movable(c);
    return m.moves()
        ? "var(" + property(c) + ")*" + Decimal.text(factor, 7)
        : "(" + Decimal.text(m.base() * factor, 5) + ")";
  }

  private String property(Channel c) {
    return "--" + name + "-" + c.field();
  }

  /** The path in fine units, at open ends as much longer as letters go past them. */
  private String track() {
    String middle = SvgPath.write(contour.mapped(new Affine(FINE, 0, 0, FINE, 0, 0)), 3);
    if (!open || run == 0) {
      return middle;
    }
    Contour.Station first = contour.at(0);
    Contour.Station last =
        contour.at(contour.closed() ? Math.nextDown(contour.length()) : contour.length());
    middle = contour.closed() ? middle.substring(0, middle.length() - 1) : middle;
    return "M"
        + pair(first.point().minus(first.tangent().times(run)).times(FINE))
        + "L"
        + middle.substring(1)
        + "L"
        + pair(last.point().plus(last.tangent().times(run)).times(FINE));
  }

  private static String pair(Point p) {
    return number(p.x()) + " " + number(p.y());
  }

  private static String number(double v) {
    return Decimal.text(v, 5);
  }
}
