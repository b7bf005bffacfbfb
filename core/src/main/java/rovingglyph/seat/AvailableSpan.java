package rovingglyph.seat;

import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Seat;
import rovingglyph.scene.Typesetting;
import rovingglyph.setting.SetText;

/**
 * How the text fills its room: which letters, at what size, with how much space between. All
 * lengths in px on the ruler.
 *
 * @param from where the room begins
 * @param length of the room
 * @param row the letters, repeated as often as they are to be
 * @param size em
 * @param stretch of letters and advances along the path
 * @param gap added after every letter, or every space where words are spread
 * @param byWords whether only spaces get the gap
 * @param extent length of the text as it is set
 * @param curtailed whether more repeats would fit than are made
 */
record AvailableSpan(
    Ruler ruler,
    double from,
    double length,
    SetText.Row row,
    double size,
    double stretch,
    double gap,
    boolean byWords,
    double extent,
    boolean curtailed) {
  private static final int MOST_REPEATS = 1000;

  /** Tells the length of a row in em, with all that makes letters wider or narrower. */
  interface Measure {
    double em(SetText.Row row);
  }

  static AvailableSpan of(
      Track track, Lettering l, SetText text, SeatValues v, int phrase, Measure measure) {
    Builder builder = new Builder(track, l, text, v, phrase, measure);
    AvailableSpan room = builder.on(v.size());
    // The ruler's height follows the size, which scaling finds on the ruler: it settles at once.
    for (int i = 0; i < 3 && room.size != v.size() && l.seat().evenSpacing(); i++) {
      room = builder.on(room.size);
    }
    return room;
  }

  private record Builder(
      Track track, Lettering lettering, SetText text, SeatValues v, int phrase, Measure measure) {

    /** With the ruler at the height of type of a size. */
    AvailableSpan on(double rulerSize) {
      Seat seat = lettering.seat();
      double height =
          seat.evenSpacing() && lies()
              ? v.baselineShift() + rulerSize * (text.xHeight() / 2 + text.lift())
              : 0;
      Ruler ruler = track.ruler(height);
      double seam = track.round() ? seat.seamGap() : 0;
      double start = ruler.measure(v.startMargin() + seam / 2);
      double room = ruler.measure(track.length() - v.endMargin() - seam / 2) - start;
      boolean lap = track.round() && seam == 0 && v.startMargin() == 0 && v.endMargin() == 0;
      SetText.Row row = row(seat, room, lap);
      double total = measure.em(row) * v.size();
      boolean repeats = seat.fit() == Seat.Fit.REPEAT;
      double unit = repeats ? measure.em(text.row(phrase, 1, true)) * v.size() : 0;
      // What is shared out is less than one more repeat, unless not as many are made as fit.
      boolean fewer = repeats && unit > 0 && room - total >= unit;
      return fitted(ruler, start, room, row, total, lap, fewer);
    }

    /** Whether letters lie along their path: those that stand on it do not spread over it. */
    private boolean lies() {
      Plane plane = lettering.properties().plane();
      return plane == null || plane.stance() == Plane.Stance.FLAT;
    }

    private SetText.Row row(Seat seat, double room, boolean lap) {
      Typesetting.Phrases p = lettering.setting().phrases();
      if (seat.fit() != Seat.Fit.REPEAT && p.times() > 0) {
        boolean closing = lap && seat.fit() != Seat.Fit.NATURAL && !p.separator().isEmpty();
        return text.row(phrase, p.times(), closing);
      }
      double unit = measure.em(text.row(phrase, 1, true)) * v.size();
      double between = lap ? 0 : unit - measure.em(text.row(phrase, 1, false)) * v.size();
      double fits = unit > 0 ? Math.floor((room + between) / unit + 1e-9) : 1;
      return text.row(phrase, (int) Math.min(Math.max(fits, 1), MOST_REPEATS), lap);
    }

    private AvailableSpan fitted(
        Ruler ruler,
        double from,
        double room,
        SetText.Row row,
        double total,
        boolean lap,
        boolean fewer) {
      Seat seat = lettering.seat();
      double size = v.size();
      boolean can = total > 0 && room > 0;
      boolean tooLong = can && total > room;
      if (can && (seat.fit() == Seat.Fit.SCALE || shrinks(seat, tooLong))) {
        return new AvailableSpan(
            ruler, from, room, row, size * room / total, 1, 0, false, room, fewer);
      }
      if (can && seat.fit() == Seat.Fit.STRETCH) {
        return new AvailableSpan(ruler, from, room, row, size, room / total, 0, false, room, fewer);
      }
      boolean spread = seat.fit() == Seat.Fit.SPREAD || seat.fit() == Seat.Fit.REPEAT;
      boolean cut = tooLong && seat.overlong() == Seat.Overlong.CUT;
      if (can && spread && !cut) {
        boolean words = seat.fit() == Seat.Fit.SPREAD && seat.spreadBy() == Seat.SpreadBy.WORDS;
        int gaps = words ? row.spaces() : row.letters().size() - 1;
        // The last gap of a whole lap is that between the last letter and the first.
        gaps += lap && !(words && endsInSpace(row)) ? 1 : 0;
        if (gaps > 0) {
          double gap = (room - total) / gaps;
          return new AvailableSpan(ruler, from, room, row, size, 1, gap, words, room, fewer);
        }
      }
      return new AvailableSpan(ruler, from, room, row, size, 1, 0, false, total, fewer);
    }

    private static boolean endsInSpace(SetText.Row row) {
      int n = row.letters().size();
      return n > 0 && row.letters().get(n - 1).isSpace();
    }

    private static boolean shrinks(Seat seat, boolean tooLong) {
      return tooLong && seat.overlong() == Seat.Overlong.SHRINK && seat.fit() != Seat.Fit.STRETCH;
    }
  }

  /** Whether the letters are more than the room holds as it is. */
  boolean overfull() {
    return extent > length + 1e-6;
  }
}
