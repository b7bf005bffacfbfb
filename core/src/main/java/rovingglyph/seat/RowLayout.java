package rovingglyph.seat;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ClockSweep;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Profile;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Seat;
import rovingglyph.setting.Letter;
import rovingglyph.setting.SetText;

/**
 * A row of text seated on a track at one time. The rules are those of SVG 2, section 11.8.3 (text
 * on a path), with the room between the margins in place of the whole path, and measured by a
 * {@link Ruler}.
 */
public final class RowLayout {
  /**
   * Between the end of text that runs through and its beginning, em; without a space of its own.
   */
  private static final double SPACE = 0.3;

  private final Track track;
  private final Lettering lettering;
  private final Seat seat;
  private final SetText text;
  private final SeatValues v;
  private final AvailableSpan room;
  private final LetterStyle looks;
  private final int phrase;
  private final double phase;
  private double[] middles;
  private double[] advances;
  private double[] backs;
  private double shifted;

  /**
   * @param phrase that the row begins with
   * @param phase added to the path offset, px
   */
  public RowLayout(
      Track track, Lettering lettering, SetText text, SeatValues v, int phrase, double phase) {
    this(
        track,
        lettering,
        text,
        v,
        phrase,
        phase,
        AvailableSpan.of(
            track, lettering, text, v, phrase, row -> new LetterStyle(lettering, row, v).length()));
  }

  private RowLayout(
      Track track,
      Lettering lettering,
      SetText text,
      SeatValues v,
      int phrase,
      double phase,
      AvailableSpan room) {
    this.track = track;
    this.lettering = lettering;
    this.seat = lettering.seat();
    this.text = text;
    this.v = v;
    this.phrase = phrase;
    this.phase = phase;
    this.room = room;
    this.looks = new LetterStyle(lettering, room.row(), v);
  }

  /** The same row with other values; where it is merely moved along, it fills its room alike. */
  public RowLayout with(SeatValues other) {
    if (!other.movedFrom(v) || (other.time() != v.time() && !looks.timeless())) {
      return new RowLayout(track, lettering, text, other, phrase, phase);
    }
    RowLayout moved = new RowLayout(track, lettering, text, other, phrase, phase, room);
    if (!looks.alongPath() && seat.leastGap() == 0) {
      // What the letters take up is the same wherever the row stands.
      moved.middles = middles;
      moved.advances = advances;
      moved.backs = backs;
    }
    return moved;
  }

  /** Whether it seats this very lettering on this very track. */
  public boolean isOf(Track on, Lettering what) {
    return track == on && lettering == what;
  }

  /** The path as the row reads it. */
  public Track track() {
    return track;
  }

  /** The contour in reading direction. */
  public Contour contour() {
    return track.contour();
  }

  /** What happens past the ends of the path. */
  public Seat.EndRule ends() {
    return track.ends();
  }

  /** The values at the time of this row. */
  public SeatValues values() {
    return v;
  }

  /** How far above the path the line is that the letters stand on, em. */
  public double lift() {
    return text.lift();
  }

  /** The letters of the row, in reading order. */
  public List<Letter> letters() {
    return room.row().letters();
  }

  /**
   * Share of the text that lies before its anchor: 0, 1/2 or 1; text from the right begins there.
   */
  public double anchorShare() {
    double share =
        switch (seat.align()) {
          case START -> 0;
          case MIDDLE -> 0.5;
          case END -> 1;
        };
    return text.rightToLeft() ? 1 - share : share;
  }

  /**
   * Distance of the resting point along the path: the pin, else start, middle or end of the room.
   */
  public double rest() {
    if (seat.pin() != null) {
      return seat.side() == Seat.Side.RIGHT ? track.length() - seat.pin() : seat.pin();
    }
    return room.ruler().distance(room.from() + room.length() * anchorShare());
  }

  /**
   * Distance of the text's anchor: the resting point moved by the path offset, which is measured
   * where letters keep their distances, so that a steady offset moves the run steadily.
   */
  public double anchor() {
    return room.ruler().distance(measuredAnchor());
  }

  private double measuredAnchor() {
    double offset = v.pathOffset() + phase;
    return room.ruler().measure(rest()) + offset * room.ruler().stretch();
  }

  /**
   * Where the anchor would be if the offset were measured on the path itself: what a chart shows.
   */
  public double travelled() {
    return rest() + v.pathOffset() + phase;
  }

  /** The change of the path offset that brings the anchor from one distance to another, px. */
  public double travel(double from, double to) {
    Ruler r = room.ruler();
    return (r.measure(to) - r.measure(from)) / r.stretch();
  }

  private double measuredTail() {
    return measuredAnchor() - room.extent() * anchorShare();
  }

  /** Distance at which the text begins. */
  public double tail() {
    return room.ruler().distance(measuredTail());
  }

  /** Distance at which the text ends. */
  public double head() {
    return room.ruler().distance(measuredTail() + room.extent());
  }

  /** Length of the room, and of the text in it, px on the ruler. */
  public double roomLength() {
    return room.length();
  }

  /** How much of the path the letters take up, px on the ruler. */
  public double extent() {
    return room.extent();
  }

  /** Whether more repeats would fit than are made. */
  public boolean curtailed() {
    return room.curtailed();
  }

  /** Whether the text does not fit its room. */
  public boolean overfull() {
    return room.overfull();
  }

  /** Whether the text is seen in parts, one after another, as it goes by. */
  public boolean runsThrough() {
    return seat.overlong() == Seat.Overlong.THROUGH && room.overfull() && track.round();
  }

  /** The path offset after which the row stands as before, on a path that comes round, px. */
  public double lap() {
    return runsThrough() ? textLap() / room.ruler().stretch() : track.length();
  }

  /** From where text that runs through begins to where it begins again, px on the ruler. */
  private double textLap() {
    List<Letter> all = letters();
    boolean spaced = all.get(all.size() - 1).isSpace();
    return room.extent() + (spaced ? 0 : SPACE * room.size() * room.stretch());
  }

  /** The type size that the fit comes to, px. */
  public double size() {
    return room.size();
  }

  /** How many px a change of the path offset moves every letter, if it moves all of them alike. */
  public boolean slides() {
    return !seat.evenSpacing()
        && seat.leastGap() == 0
        && lettering.setting().profiles().stream().noneMatch(p -> p.along() == Profile.Along.PATH);
  }

  /** One placement per letter, in order of the row. */
  public List<Placement> place() {
    int n = letters().size();
    List<Placement> out = new ArrayList<>(n);
    double[] spot = new double[4];
    for (int i = 0; i < n; i++) {
      out.add(place(i, spot));
    }
    return out;
  }

  /** The placement of one letter. */
  public Placement place(int i) {
    return place(i, new double[4]);
  }

  private Placement place(int i, double[] spot) {
    if (middles == null) {
      lay();
    }
    double measured = measured(i);
    double d = room.ruler().distance(measured);
    double advance = advances[i];
    boolean on = track.at(d, spot);
    double told = track.told(d);
    boolean blends = seat.corners() == Seat.Corners.BLEND && on;
    double turn = blends ? track.cornerTurn(told, Math.abs(advance)) : 0;
    double direction = Math.atan2(spot[3], spot[2]) + turn;
    double there = looks.revealed(i);
    ClockSweep sweep = lettering.letterEffects().sweep();
    double swept = sweep == null ? 1 : swept(sweep, i, new Point(spot[0], spot[1]));
    Reveal reveal = lettering.letterEffects().reveal();
    double missing = reveal == null ? 0 : 1 - there;
    double shift = shift(i) - (reveal == null ? 0 : missing * reveal.rise());
    double angle =
        switch (seat.orientation()) {
          case TURN -> direction;
          case UPRIGHT -> 0;
          case FIXED -> Math.toRadians(looks.of(Channel.FIXED_ANGLE, i));
        };
    double added = addedTurn(i);
    double scale = 1;
    double alpha = looks.of(Channel.OPACITY, i) / 100;
    if (reveal != null) {
      added += missing * reveal.turn();
      scale = Math.max(1e-3, 1 + missing * (reveal.scale() / 100 - 1));
      alpha *= reveal.fade() ? there : 1;
    }
    alpha *= sweep != null && sweep.fade() ? swept : 1;
    double height = room.size() * looks.scale(i) * scale;
    return new Placement(
        i,
        told,
        new Point(spot[0] + Math.sin(direction) * shift, spot[1] - Math.cos(direction) * shift),
        angle + Math.toRadians(added),
        height * room.stretch(),
        height,
        advance,
        backs[i],
        looks.fill(i),
        alpha,
        (on || ends() != Seat.EndRule.CUT)
            && !tooMuch(i)
            && !waits(i, measured)
            && shows(reveal != null && reveal.fade(), there)
            && shows(sweep != null && sweep.fade(), swept));
  }

  /** Where the middle of a letter would be on the ruler if all of the text were seen. */
  private double unbroken(int i) {
    return measuredTail() + shifted + middles[i] + slip(i);
  }

  /**
   * Where the middle of a letter is on the ruler. Text that runs through comes in again where its
   * room begins; what waits is past the nearer end of the room.
   */
  private double measured(int i) {
    double m = unbroken(i);
    if (!runsThrough()) {
      return m;
    }
    double lap = textLap();
    double into = m - room.from() - lap * Math.floor((m - room.from()) / lap);
    return room.from() + (into > (room.length() + lap) / 2 ? into - lap : into);
  }

  /** Whether a letter of text that runs through is not wholly in the room. */
  private boolean waits(int i, double measured) {
    double into = measured - room.from();
    double half = Math.abs(advances[i]) / 2 - 1e-6;
    return runsThrough() && (into < half || into > room.length() - half);
  }

  /** What does not fade is there from half way on. */
  private static boolean shows(boolean fades, double amount) {
    return fades ? amount > 0 : amount >= 0.5;
  }

  private double swept(ClockSweep s, int i, Point at) {
    Point centre = s.centre() == null ? track.centre() : s.centre();
    double start = Math.toRadians(s.startAngle());
    if (s.letter() != null && s.letter() < letters().size()) {
      double before = distance(s.letter()) - advances[s.letter()] / 2;
      start = track.at(before).point().minus(centre).angle();
    }
    return looks.swept(i, at.minus(centre).angle() - start);
  }

  /** The value of a channel for one letter, which may lag behind the others. */
  public double value(Channel c, int i) {
    return looks.of(c, i);
  }

  /** How far a letter stands off the track, px. */
  public double shift(int i) {
    return looks.of(Channel.BASELINE_SHIFT, i) + looks.profile(Profile.Of.SHIFT, i, 0);
  }

  /** How far a letter is turned beyond its orientation, degrees. */
  public double addedTurn(int i) {
    return looks.of(Channel.LETTER_TURN, i) + looks.profile(Profile.Of.TURN, i, 0);
  }

  /**
   * Distance of the middle of a letter's advance, not yet brought round; of text that runs through
   * as if all of it were seen.
   */
  public double distance(int i) {
    if (middles == null) {
      lay();
    }
    return room.ruler().distance(unbroken(i));
  }

  /** From where to where along the path its letters take it up, px, not yet brought round. */
  public double[] run() {
    int last = letters().size() - 1;
    return last < 0
        ? new double[] {tail(), tail()}
        : new double[] {distance(0) - advance(0) / 2, distance(last) + advance(last) / 2};
  }

  /** How much of the row a letter takes up, px, tracking included. */
  public double advance(int i) {
    if (middles == null) {
      lay();
    }
    return advances[i];
  }

  /** How far a lagging letter is from where the others' values put it, on the ruler. */
  private double slip(int i) {
    return looks.slip(i) * room.ruler().stretch();
  }

  /**
   * Where a letter stands on its path, without what shifts it off that.
   *
   * @param tangent unit tangent of the path there
   */
  public record Foot(Point at, Point tangent) {}

  /** Where a letter stands on its path. */
  public Foot foot(int i) {
    if (middles == null) {
      lay();
    }
    Track.Spot spot = track.at(room.ruler().distance(measured(i)));
    return new Foot(spot.point(), spot.tangent());
  }

  /** The places of a track under one letter that is bent. */
  public final class Under {
    private final double middle;

    private Under(int i) {
      middle = measured(i);
    }

    /**
     * The place x px along the letter's baseline from its middle: writes the point and the unit
     * tangent, x, y, x, y.
     */
    public void at(double x, double[] out) {
      track.quickly(room.ruler().distance(middle + x), out);
    }
  }

  /** What a letter that has been placed is bent along. */
  public Under under(int i) {
    return new Under(i);
  }

  /** Text that is cut to its room loses what goes beyond it. */
  private boolean tooMuch(int i) {
    return seat.overlong() == Seat.Overlong.CUT
        && room.overfull()
        && middles[i] + Math.abs(advances[i]) / 2 > room.length() + 1e-6;
  }

  private void lay() {
    lay(null);
    if (looks.alongPath()) {
      double[] shares = new double[middles.length];
      for (int i = 0; i < shares.length; i++) {
        double d = track.told(room.ruler().distance(measuredTail() + middles[i]));
        shares[i] = track.length() > 0 ? Math.min(Math.max(d / track.length(), 0), 1) : 0;
      }
      lay(shares);
    }
    if (seat.leastGap() > 0 && seat.fit() == Seat.Fit.NATURAL) {
      double grown = new GapSolver(this, middles, seat.leastGap()).spread();
      shifted = -grown * anchorShare();
    }
  }

  private void lay(double[] pathShares) {
    int n = letters().size();
    double[] nextMiddles = new double[n];
    double[] nextAdvances = new double[n];
    double[] nextBacks = new double[n];
    looks.along(pathShares);
    double pen = 0;
    for (int i = 0; i < n; i++) {
      double em = looks.advance(i);
      double a = em * room.size() * room.stretch();
      nextAdvances[i] = a;
      nextBacks[i] = -em / looks.layoutScale(i) / 2;
      nextMiddles[i] = pen + a / 2;
      pen += a;
      if (!room.byWords() || letters().get(i).isSpace()) {
        pen += room.gap();
      }
    }
    middles = nextMiddles;
    advances = nextAdvances;
    backs = nextBacks;
  }

  /** How bold a letter is at its place: the value of an axis, in the face's units. */
  public double axis(String tag, int i) {
    return looks.axis(tag, i);
  }
}
