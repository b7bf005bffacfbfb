package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/** The place, look and shape of every letter of a lettering as functions of time. */
final class LetterTracks {
  /** A whole step of opacity or colour counts as so many px: 2 of 255 are within the tolerance. */
  private static final double LOOK = SampledLetters.TOLERANCE * 255 / 2;

  private static final int PLACE = 0;
  private static final int LOOKS = 1;
  private static final int SHAPE = 2;

  /** Which letters are seen, at every time. */
  enum Seen {
    ALL,
    /** Those that are seen through. */
    FADING,
    /** Those that are not. */
    WHOLE
  }

  /** Rows that are kept for further letters: each holds a measured track where its path moves. */
  private static final int MOST_KNOWN = 12_000;

  private final PreparedLettering prepared;
  private final SvgClock clock;
  private final boolean turned;
  private final boolean faded;
  private final boolean bent;

  /** Of all rows, one row after another; null for a space. */
  private final List<Letter> letters = new ArrayList<>();

  /** Index of each row's first letter, and how many there are in all. */
  private final int[] starts;

  private final double[] angles;

  /** The rows at times that were asked for, the latest ones. */
  private final Map<Double, List<RowLayout>> known =
      new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Double, List<RowLayout>> eldest) {
          return size() * eldest.getValue().size() > MOST_KNOWN;
        }
      };

  /** What was asked for before, by kind and letter. */
  private final Map<Integer, Track> asked = new HashMap<>();

  private Seen seen = Seen.ALL;
  private Rect reach = Rect.EMPTY;
  private double largest = 1;

  /**
   * Looks at all rows of a lettering.
   *
   * @param turned whether the rotation is part of every place
   * @param faded whether the opacity is part of every letter's look
   */
  LetterTracks(PreparedLettering prepared, SvgClock clock, boolean turned, boolean faded) {
    this.prepared = prepared;
    this.clock = clock;
    this.turned = turned;
    this.faded = faded;
    this.bent = prepared.lettering().seat().method() == Seat.GlyphMethod.BENT;
    this.starts = look();
    this.angles = new double[letters.size()];
  }

  boolean bent() {
    return bent;
  }

  int rowCount() {
    return starts.length - 1;
  }

  /** Index of a row's first letter; after the last row, how many letters there are. */
  int start(int row) {
    return starts[row];
  }

  /** Null for a space. */
  Letter letter(int i) {
    return letters.get(i);
  }

  /** The largest type size that there is, px. */
  double largest() {
    return largest;
  }

  /**
   * x and y of the middle of the advance relative to its row's own place, degrees, px per em along
   * and across, and em from the middle to the cluster's origin; all 0 for a bent letter.
   */
  Track place(int i) {
    return asked.computeIfAbsent(i, k -> track(k, PLACE));
  }

  /**
   * Opacity, red, green and blue, each 0 to 1.
   *
   * @param which letters are seen; of the others the opacity is 0
   */
  Track look(int i, Seen which) {
    seen = which;
    return track(i, LOOKS);
  }

  /** A value of its own of a letter at a time; 0 where it is not there. */
  double value(int i, Channel c, double time) {
    int row = row(i);
    List<RowLayout> rows = rows(time);
    int k = i - starts[row];
    boolean there = row < rows.size() && k < rows.get(row).letters().size();
    return there ? rows.get(row).value(c, k) : 0;
  }

  /** The numbers of {@link LetterShapes}; none for a letter whose outline stays as it is. */
  Track shape(int i) {
    return asked.computeIfAbsent(-1 - i, k -> track(i, SHAPE));
  }

  /** Finds how many letters there are at most, which ones, and how far they reach. */
  private int[] look() {
    List<List<Letter>> rows = new ArrayList<>();
    for (int f = 0; f < clock.frames(); f++) {
      List<RowLayout> now = rows(clock.frame(f));
      for (int r = 0; r < now.size(); r++) {
        if (r == rows.size()) {
          rows.add(new ArrayList<>());
        }
        add(rows.get(r), now.get(r).letters());
        largest = Math.max(largest, now.get(r).size());
      }
    }
    int[] out = new int[rows.size() + 1];
    for (int r = 0; r < rows.size(); r++) {
      letters.addAll(rows.get(r));
      out[r + 1] = letters.size();
    }
    letters.stream().filter(l -> l != null).forEach(this::reach);
    return out;
  }

  private static void add(List<Letter> known, List<Letter> now) {
    for (int i = 0; i < now.size(); i++) {
      if (i == known.size()) {
        known.add(null);
      }
      if (!now.get(i).isSpace()) {
        known.set(i, now.get(i));
      }
    }
  }

  private void reach(Letter l) {
    for (Cluster.Glyph g : l.cluster().glyphs()) {
      Rect b = l.run().outlines().get(g.outline()).bounds();
      if (!b.isEmpty()) {
        double x = g.dx();
        double y = g.dy();
        reach = reach.union(new Rect(b.left() + x, b.top() + y, b.right() + x, b.bottom() + y));
      }
    }
  }

  private List<RowLayout> rows(double time) {
    return known.computeIfAbsent(time, t -> prepared.rows(prepared.values(t)));
  }

  /** The row of a letter. */
  int row(int i) {
    int row = 0;
    while (starts[row + 1] <= i) {
      row++;
    }
    return row;
  }

  private Track track(int i, int kind) {
    int row = row(i);
    Point moved = prepared.seats().moved(row);
    int k = i - starts[row];
    return clock.samples(
        time -> state(rows(time), row, k, kind, moved),
        (a, b) -> distance(kind, a, b),
        SampledLetters.TOLERANCE);
  }

  private double[] state(List<RowLayout> rows, int row, int k, int kind, Point moved) {
    RowLayout s = row < rows.size() ? rows.get(row) : null;
    if (s == null || k >= s.letters().size()) {
      return new double[kind == PLACE ? 6 : kind == LOOKS ? 4 : 0];
    }
    Placement p = turned ? prepared.placement(s, k) : s.place(k);
    return switch (kind) {
      case PLACE -> place(starts[row] + k, p, moved);
      case LOOKS -> look(p);
      default -> shape(s, p, moved);
    };
  }

  private double[] place(int i, Placement p, Point moved) {
    // Whole turns are told apart by where the letter was a moment ago.
    double degrees = Math.toDegrees(p.angle());
    degrees += 360 * Math.rint((angles[i] - degrees) / 360);
    angles[i] = degrees;
    return bent
        ? new double[6]
        : new double[] {
          p.at().x() - moved.x(), p.at().y() - moved.y(), degrees, p.width(), p.height(), p.back()
        };
  }

  private double[] look(Placement p) {
    double alpha = !p.visible() ? 0 : faded ? p.alpha() : 1;
    boolean whole = PreparedLettering.isWhole(alpha);
    if (seen == Seen.FADING ? whole : seen == Seen.WHOLE && !whole) {
      alpha = 0;
    }
    int rgb = p.fill();
    return new double[] {
      alpha, (rgb >> 16 & 255) / 255.0, (rgb >> 8 & 255) / 255.0, (rgb & 255) / 255.0
    };
  }

  private double[] shape(RowLayout s, Placement p, Point moved) {
    if (bent) {
      List<double[]> polygons = prepared.polygons(s, p, turned);
      polygons.forEach(
          q -> {
            for (int i = 0; i < q.length; i += 2) {
              q[i] -= moved.x();
              q[i + 1] -= moved.y();
            }
          });
      return LetterShapes.polygons(polygons);
    }
    return s.letters().get(p.letter()).axes().isEmpty()
        ? new double[0]
        : LetterShapes.numbers(prepared.outlines(s, p.letter()));
  }

  private double distance(int kind, double[] a, double[] b) {
    return switch (kind) {
      case PLACE -> apart(a, b);
      case LOOKS -> {
        double worst = 0;
        for (int i = 0; i < a.length; i++) {
          worst = Math.max(worst, Math.abs(a[i] - b[i]));
        }
        yield worst * LOOK;
      }
      default -> LetterShapes.distance(a, b) * (bent ? 1 : largest);
    };
  }

  /** The farthest that a corner of the box round all letters is from itself, px, or the angle. */
  private double apart(double[] a, double[] b) {
    double turn = Math.abs(Math.IEEEremainder(a[2] - b[2], 360));
    double ra = Math.toRadians(a[2]);
    double rb = Math.toRadians(b[2]);
    double ca = Math.cos(ra);
    double sa = Math.sin(ra);
    double cb = Math.cos(rb);
    double sb = Math.sin(rb);
    double worst = turn;
    for (int corner = 0; corner < 4; corner++) {
      double x = corner % 2 == 0 ? reach.left() : reach.right();
      double y = corner < 2 ? reach.top() : reach.bottom();
      double xa = (x + a[5]) * a[3];
      double xb = (x + b[5]) * b[3];
      double dx = a[0] - b[0] + ca * xa - cb * xb - sa * y * a[4] + sb * y * b[4];
      double dy = a[1] - b[1] + sa * xa - sb * xb + ca * y * a[4] - cb * y * b[4];
      worst = Math.max(worst, dx * dx + dy * dy > worst * worst ? Math.sqrt(dx * dx + dy * dy) : 0);
    }
    return worst;
  }
}
