package rovingglyph.seat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.ClockSweep;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Profile;
import rovingglyph.scene.Reveal;
import rovingglyph.scene.Stagger;
import rovingglyph.setting.AxisSamples;
import rovingglyph.setting.Letter;
import rovingglyph.setting.SetText;

/** What the values, staggers, rules and profiles come to for the single letters of a row. */
final class LetterStyle {
  private final Lettering lettering;
  private final SetText.Row row;
  private final List<Letter> letters;
  private final SeatValues v;
  private final List<Profile> profiles;
  private final Set<Channel> lagging;
  private final boolean alike;
  private double[] runShares;
  private double[] pathShares;

  LetterStyle(Lettering lettering, SetText.Row row, SeatValues v) {
    this.lettering = lettering;
    this.row = row;
    this.letters = row.letters();
    this.v = v;
    this.profiles = lettering.setting().profiles();
    this.lagging = new HashSet<>();
    lettering
        .values()
        .forEach(
            (c, m) -> {
              if (m.stagger() != null && m.moves()) {
                lagging.add(c);
              }
            });
    this.alike =
        !lagging.contains(Channel.TRACKING)
            && !lagging.contains(Channel.WORD_SPACING)
            && profiles.stream()
                .allMatch(p -> p.of() == Profile.Of.TURN || p.of() == Profile.Of.SHIFT)
            && row.alike();
  }

  /** Whether no letter lags behind: then times at which the values are alike are alike. */
  boolean timeless() {
    return lagging.isEmpty();
  }

  /** Length of the row in em. */
  double length() {
    if (alike) {
      return row.length(v.get(Channel.TRACKING), v.get(Channel.WORD_SPACING));
    }
    double sum = 0;
    for (int i = 0; i < letters.size(); i++) {
      sum += advance(i);
    }
    return sum;
  }

  /** The value of a channel for a letter, which may lag behind. */
  double of(Channel c, int i) {
    if (lagging.isEmpty() || !lagging.contains(c)) {
      return v.get(c);
    }
    Stagger stagger = lettering.movable(c).stagger();
    return SeatValues.value(lettering, c, v.time() - row.lags(stagger)[i]);
  }

  boolean alongPath() {
    return profiles.stream().anyMatch(p -> p.along() == Profile.Along.PATH);
  }

  /**
   * Where along the path the letters stand, for the profiles that ask; null before that is known.
   */
  void along(double[] shares) {
    pathShares = shares;
  }

  double profile(Profile.Of of, int i, double neutral) {
    double out = neutral;
    for (Profile p : profiles) {
      if (p.of() == of) {
        out = at(p, i, out);
      }
    }
    return out;
  }

  private double at(Profile p, int i, double missing) {
    if (p.along() == Profile.Along.RUN) {
      return p.at(runShare(i));
    }
    return pathShares == null ? missing : p.at(pathShares[i]);
  }

  private double runShare(int i) {
    if (runShares == null) {
      runShares = new double[letters.size()];
      double total = row.length(0, 0);
      double pen = 0;
      for (int k = 0; k < runShares.length; k++) {
        double a = letters.get(k).cluster().advance() * letters.get(k).scale();
        runShares[k] = total > 0 ? (pen + a / 2) / total : 0;
        pen += a;
      }
    }
    return runShares[i];
  }

  /** Of the size that the fit comes to, by rules and profile: what the advance goes by. */
  double layoutScale(int i) {
    return letters.get(i).scale() * profile(Profile.Of.SIZE, i, 100) / 100;
  }

  /** The same with a staggered size, which grows a letter about the middle of its advance. */
  double scale(int i) {
    double own = layoutScale(i);
    return v.size() > 0 ? own * of(Channel.SIZE, i) / v.size() : own;
  }

  /** Advance in em of the fit's size; a staggered size does not push the neighbours. */
  double advance(int i) {
    Letter l = letters.get(i);
    double own = l.cluster().advance();
    for (AxisSamples a : l.axes()) {
      own += a.advance(axis(a.tag(), i)) - l.cluster().advance();
    }
    double tracking = of(Channel.TRACKING, i) + profile(Profile.Of.TRACKING, i, 0);
    if (!l.isSpace()) {
      return own * layoutScale(i) + tracking;
    }
    // A space may vanish, but what comes after it never goes back before it.
    return Math.max(0, own * layoutScale(i) + tracking + of(Channel.WORD_SPACING, i));
  }

  /** A profile says where the axis is; what moves it comes on top. */
  double axis(String tag, int i) {
    Channel c = Channel.axis(tag);
    AnimatedValue m = lettering.movable(c);
    double moved = m == null ? 0 : of(c, i);
    for (Profile p : profiles) {
      if (p.of() == Profile.Of.AXIS && p.axis().equals(tag)) {
        double still = m == null ? 0 : m.base();
        moved = at(p, i, still) + (m == null ? 0 : moved - still);
      }
    }
    return moved;
  }

  int fill(int i) {
    Integer own = letters.get(i).fill();
    return own != null ? own : (int) of(Channel.FILL, i);
  }

  /** How much of a letter the reveal shows, 0 to 1. */
  double revealed(int i) {
    Reveal r = lettering.letterEffects().reveal();
    if (r == null) {
      return 1;
    }
    double place = row.place(r.by(), i);
    return Reveal.amount(
        place, of(Channel.REVEAL_FROM, i) / 100, of(Channel.REVEAL_TO, i) / 100, r.soft() / 100);
  }

  /**
   * How much of a letter the clock sweep shows, 0 to 1.
   *
   * @param turn of the letter from where the sweep begins, clockwise, radians
   */
  double swept(int i, double turn) {
    ClockSweep s = lettering.letterEffects().sweep();
    double way = (s.counter() ? -turn : turn) / (2 * Math.PI);
    return Reveal.amount(
        way - Math.floor(way),
        of(Channel.SWEEP_FROM, i) / 360,
        of(Channel.SWEEP_TO, i) / 360,
        s.soft() / 360);
  }

  /** How far a letter whose offset or margins lag stands from where the others' values put it. */
  double slip(int i) {
    if (lagging.isEmpty()) {
      return 0;
    }
    double share =
        switch (lettering.seat().align()) {
          case START -> 0;
          case MIDDLE -> 0.5;
          case END -> 1;
        };
    return of(Channel.PATH_OFFSET, i)
        - v.pathOffset()
        + (of(Channel.START_MARGIN, i) - v.startMargin()) * (1 - share)
        - (of(Channel.END_MARGIN, i) - v.endMargin()) * share;
  }
}
