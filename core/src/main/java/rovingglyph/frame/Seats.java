package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Refit;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Typesetting;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.seat.Track;
import rovingglyph.setting.SetText;

/** The tracks of a lettering's rows, made once on a still path, else anew for every time. */
public final class Seats {
  /** Rows with more letters than this together are left out. */
  private static final int MOST_LETTERS = 100_000;

  private final PreparedPath path;
  private final SetText text;
  private final Lettering lettering;
  private List<Track> tracks;
  private double time;

  /** The rows that were asked for last: a row that has merely moved on is laid out alike. */
  private RowLayout[] last = new RowLayout[0];

  Seats(Lettering lettering, PreparedPath path, SetText text) {
    this.lettering = lettering;
    this.path = path;
    this.text = text;
  }

  /** The path as the document has it. */
  public PreparedPath path() {
    return path;
  }

  private List<Track> tracks(double seconds) {
    if (tracks == null || (path.moves() && seconds != time)) {
      tracks = new ArrayList<>();
      Contour guide = path.at(seconds);
      int rows = lettering.setting().rows().count();
      int most = Math.max(1, MOST_LETTERS / Math.max(1, text.letters()));
      for (int i = 0; i < Math.min(rows, most); i++) {
        Contour row = row(guide, i);
        if (row != null) {
          tracks.add(new Track(row, path.centre(seconds).plus(moved(i)), lettering.seat()));
        }
      }
      time = seconds;
    }
    return tracks;
  }

  /** Null where nothing is left of a parallel path. */
  private Contour row(Contour guide, int i) {
    Typesetting.Rows rows = lettering.setting().rows();
    if (i == 0) {
      return guide;
    }
    if (rows.kind() == Typesetting.Rows.Kind.PARALLEL) {
      List<Cubic> beside = Refit.beside(guide, i * rows.step());
      return beside.isEmpty() ? null : new Contour(beside, guide.closed());
    }
    Point by = moved(i);
    return guide.mapped(Affine.translate(by.x(), by.y()));
  }

  /** How far a row is moved as a whole, px. */
  public Point moved(int i) {
    Typesetting.Rows rows = lettering.setting().rows();
    if (rows.kind() == Typesetting.Rows.Kind.PARALLEL) {
      return Point.ORIGIN;
    }
    double direction = Math.toRadians(rows.direction());
    return new Point(Math.cos(direction), Math.sin(direction)).times(i * rows.step());
  }

  /** The rows with values of one time; there is always a first. */
  List<RowLayout> at(Lettering with, SeatValues v) {
    List<RowLayout> out = new ArrayList<>();
    List<Track> all = tracks(v.time());
    for (int i = 0; i < all.size(); i++) {
      out.add(seating(with, v, all.get(i), i));
    }
    return out;
  }

  RowLayout first(Lettering with, SeatValues v) {
    return seating(with, v, tracks(v.time()).get(0), 0);
  }

  private RowLayout seating(Lettering with, SeatValues v, Track track, int i) {
    RowLayout[] before = last;
    boolean again = i < before.length && before[i] != null && before[i].isOf(track, with);
    Typesetting.Rows rows = lettering.setting().rows();
    RowLayout row =
        again
            ? before[i].with(v)
            : new RowLayout(track, with, text, v, i * rows.phrase(), i * rows.phase());
    // Threads that ask at once may keep either.
    RowLayout[] kept = i < before.length ? before.clone() : Arrays.copyOf(before, i + 1);
    kept[i] = row;
    last = kept;
    return row;
  }
}
