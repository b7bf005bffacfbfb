package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Placement;
import rovingglyph.seat.Seating;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;

/**
 * Letters whose place, look and shape are written as CSS keyframes at times of their own, between
 * which straight lines err by less than {@link #TOLERANCE}; what several letters do alike, also one
 * after the other, is written once.
 */
final class SampledLetters {
  /** In px of the corners of a letter, and in degrees. */
  static final double TOLERANCE = 0.09;

  /** A whole step of opacity or colour counts as so many px: 2 of 255 are within the tolerance. */
  private static final double LOOK = TOLERANCE * 255 / 2;

  /**
   * Numbers of a place: x and y of the middle of the advance, degrees, px per em along and across,
   * and em from the middle to the cluster's origin.
   */
  private static final int PLACE = 0;

  /** Numbers of a look: opacity, red, green, blue, each 0 to 1. */
  private static final int LOOKS = 1;

  private static final int SHAPE = 2;

  /** Rows that are kept for further letters: each holds a measured track where its path moves. */
  private static final int MOST_KNOWN = 12_000;

  private final PreparedLettering prepared;
  private final Scene scene;
  private final SharedMotions motions;
  private final boolean turned;
  private final boolean faded;
  private final boolean bent;

  /** Of all rows, one row after another; null for a space. */
  private final List<Letter> letters = new ArrayList<>();

  /** Index of each row's first letter, and how many there are in all. */
  private final int[] starts;

  private final double[] angles;

  /** The rows at times that were asked for, the latest ones. */
  private final Map<Double, List<Seating>> known =
      new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Double, List<Seating>> eldest) {
          return size() * eldest.getValue().size() > MOST_KNOWN;
        }
      };

  private Rect reach = Rect.EMPTY;
  private double largest = 1;

  /**
   * Samples all rows of a lettering.
   *
   * @param turned whether the rotation is part of every place
   * @param faded whether the opacity is part of every letter's look
   */
  SampledLetters(
      PreparedLettering prepared,
      Scene scene,
      SharedMotions motions,
      boolean turned,
      boolean faded) {
    this.prepared = prepared;
    this.scene = scene;
    this.motions = motions;
    this.turned = turned;
    this.faded = faded;
    this.bent = prepared.lettering().seat().method() == Seat.GlyphMethod.BENT;
    this.starts = look();
    this.angles = new double[letters.size()];
  }

  /** Writes one row. */
  void write(int row, StringBuilder out) {
    if (row + 1 >= starts.length) {
      return;
    }
    Point moved = prepared.seats().moved(row);
    boolean apart = !moved.equals(Point.ORIGIN);
    if (apart) {
      out.append("<g transform=\"translate(" + text(moved.x(), 4) + " " + text(moved.y(), 4));
      out.append(")\">\n");
    }
    for (int i = starts[row]; i < starts[row + 1]; i++) {
      if (letters.get(i) != null) {
        write(out, i, starts[row + 1] - starts[row]);
      }
    }
    out.append(apart ? "</g>\n" : "");
  }

  /** Finds how many letters there are at most, which ones, and how far they reach. */
  private int[] look() {
    List<List<Letter>> rows = new ArrayList<>();
    for (int f = 0; f < scene.frameCount(); f++) {
      List<Seating> now = rows(scene.rate().timeOf(f));
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

  private List<Seating> rows(double time) {
    return known.computeIfAbsent(time, t -> prepared.rows(prepared.values(t)));
  }

  private int rowOf(int i) {
    int row = 0;
    while (starts[row + 1] <= i) {
      row++;
    }
    return row;
  }

  /** One of the three functions of a letter. */
  private Track track(int i, int kind) {
    int row = rowOf(i);
    Point moved = prepared.seats().moved(row);
    int k = i - starts[row];
    return Samples.of(
        time -> state(rows(time), row, k, kind, moved),
        (a, b) -> distance(kind, a, b),
        TOLERANCE,
        scene.length(),
        1 / scene.rate().perSecond());
  }

  private double[] state(List<Seating> rows, int row, int k, int kind, Point moved) {
    Seating s = row < rows.size() ? rows.get(row) : null;
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
    int rgb = p.fill();
    return new double[] {
      alpha, (rgb >> 16 & 255) / 255.0, (rgb >> 8 & 255) / 255.0, (rgb & 255) / 255.0
    };
  }

  private double[] shape(Seating s, Placement p, Point moved) {
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

  private void write(StringBuilder out, int i, int many) {
    Track looks = track(i, LOOKS);
    Track place = track(i, PLACE);
    Track shape = track(i, SHAPE);
    List<String> animations = new ArrayList<>();
    List<String> declarations = new ArrayList<>();
    if (looks.still(TOLERANCE / 2)) {
      double[] s = looks.states()[0];
      if (s[0] <= 0) {
        return;
      }
      if (s[0] < 1) {
        declarations.add(look(s));
      }
    } else {
      animations.add(motions.animation(family("look", many), looks, TOLERANCE, this::look));
    }
    double[] first = place.states()[0];
    boolean oneSize = same(place, 3, 1e-4) && same(place, 4, 1e-4);
    boolean oneBack = same(place, 5, 1e-7);
    if (bent || place.still(TOLERANCE / 2)) {
      declarations.add(bent ? "" : place(first, oneSize, oneBack));
    } else {
      String family = family("place" + oneSize + oneBack, many);
      animations.add(
          motions.animation(
              family,
              oneBack ? without(place) : place,
              TOLERANCE,
              s -> place(s, oneSize, oneBack)));
    }
    if (!animations.isEmpty()) {
      declarations.add("animation:" + String.join(",", animations));
    }
    declarations.removeIf(String::isEmpty);
    Letter letter = letters.get(i);
    out.append("<g");
    if (letter.fill() != null && looks.still(TOLERANCE / 2)) {
      out.append(" fill=\"").append(AnimatedSvg.colour(letter.fill())).append('"');
    }
    out.append(declarations.isEmpty() ? "" : " style=\"" + String.join(";", declarations) + "\"");
    out.append('>');
    double back = oneBack ? first[5] : 0;
    double[] size = oneSize ? first : new double[] {0, 0, 0, 1, 1};
    if (shape.states()[0].length > 0 || !shape.still(TOLERANCE / 2)) {
      shaped(out, shape, size, back, letter);
    } else {
      glyphs(out, letter, oneSize ? scale(size[3], size[4]) : "", back);
    }
    out.append("</g>\n");
  }

  private static boolean same(Track track, int number, double tolerance) {
    double first = track.states()[0][number];
    return Arrays.stream(track.states()).allMatch(s -> Math.abs(s[number] - first) < tolerance);
  }

  /** The way of the middle of the advance alone, on which letters of any width go alike. */
  private static Track without(Track place) {
    double[][] states = new double[place.states().length][];
    for (int i = 0; i < states.length; i++) {
      states[i] = place.states()[i].clone();
      states[i][5] = 0;
    }
    return new Track(place.times(), states, place.distance(), place.length());
  }

  /** Only letters of rows alike are compared: the others do other things. */
  private String family(String kind, int many) {
    return kind + " of " + many + " letters";
  }

  private String place(double[] s, boolean oneSize, boolean oneBack) {
    String at = "translate(" + text(s[0], 2) + "px," + text(s[1], 2) + "px)";
    String turn = Math.abs(s[2]) < 1e-9 ? "" : " rotate(" + text(s[2], 2) + "deg)";
    // Stops of one rule need the same functions; a still letter may leave one out.
    String turned = turn.isEmpty() ? " rotate(0deg)" : turn;
    String size = oneSize ? "" : " " + scale(s[3], s[4]);
    // Before the scale within the letter a px is a px, after the one here it is an em.
    double back = oneSize ? s[5] * s[3] : s[5];
    String by = oneBack ? "" : " translateX(" + text(back, oneSize ? 2 : 5) + "px)";
    return "transform:" + at + turned + size + by;
  }

  private static String scale(double along, double across) {
    String x = text(along, 3);
    String y = text(across, 3);
    return "scale(" + x + (x.equals(y) ? ")" : "," + y + ")");
  }

  private String look(double[] s) {
    StringBuilder out = new StringBuilder("opacity:").append(text(s[0], 3));
    if (prepared.lettering().movable(Channel.FILL).moves()) {
      int rgb = 0;
      for (int k = 1; k <= 3; k++) {
        rgb = rgb << 8 | (int) Math.round(Math.min(Math.max(s[k], 0), 1) * 255);
      }
      out.append(";fill:").append(AnimatedSvg.colour(rgb));
    }
    return out.toString();
  }

  private static void glyphs(StringBuilder out, Letter letter, String scale, double back) {
    for (Cluster.Glyph g : letter.cluster().glyphs()) {
      String d = letter.run().outlines().get(g.outline()).data();
      if (d.isEmpty()) {
        continue;
      }
      double x = g.dx() + back;
      boolean off = x != 0 || g.dy() != 0;
      String by = off ? "translate(" + text(x, 5) + " " + text(g.dy(), 5) + ")" : "";
      String map = scale + (scale.isEmpty() || by.isEmpty() ? "" : " ") + by;
      out.append("<path");
      out.append(map.isEmpty() ? "" : " transform=\"" + map.replace(",", " ") + "\"");
      out.append(" d=\"").append(d).append("\"/>");
    }
  }

  /** An outline that changes; where a browser does not know how, it stands still half way. */
  private void shaped(StringBuilder out, Track shape, double[] size, double back, Letter letter) {
    // Whole units are a fortieth of a px.
    double units = bent ? 40 : Math.ceil(largest) * 40;
    double[] middle = shape.states()[shape.states().length / 2];
    out.append("<path transform=\"");
    out.append(bent ? "scale(" + text(1 / units, 6) + ")" : scaled(size, units, back)).append('"');
    out.append(" d=\"").append(LetterShapes.data(middle, units)).append('"');
    if (!shape.still(TOLERANCE / 4)) {
      // Of two sorts of glyph no shape is that of the other.
      String family = "shape of " + letter.cluster().text() + " in " + text(units, 3);
      String play =
          motions.animation(
              family, shape, TOLERANCE, s -> "d:path(\"" + LetterShapes.data(s, units) + "\")");
      out.append(" style=\"animation:").append(play).append('"');
    }
    out.append("/>");
  }

  private static String scaled(double[] size, double units, double back) {
    String x = text(size[3] / units, 8);
    String y = text(size[4] / units, 8);
    String by = back == 0 ? "" : " translate(" + text(back * units, 2) + " 0)";
    return "scale(" + x + (x.equals(y) ? "" : " " + y) + ")" + by;
  }

  private static String text(double v, int places) {
    return Decimal.text(v, places);
  }
}
