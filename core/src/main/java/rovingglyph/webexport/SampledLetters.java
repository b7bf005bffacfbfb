package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.SubPath;
import rovingglyph.scene.Channel;
import rovingglyph.setting.Letter;
import rovingglyph.type.Cluster;
import rovingglyph.type.Outline;

/**
 * Letters whose place, look and shape are written as CSS keyframes at times of their own, between
 * which straight lines err by less than {@link #TOLERANCE}; what several letters do alike, also one
 * after the other, is written once.
 */
final class SampledLetters {
  /** In px of the corners of a letter, and in degrees. */
  static final double TOLERANCE = 0.09;

  private final PreparedLettering prepared;
  private final SharedMotions motions;
  private final LetterTracks tracks;
  private final LetterFills fills;
  private final boolean bent;

  /**
   * Samples all rows of a lettering.
   *
   * @param fills of its letters
   * @param turned whether the rotation is part of every place
   * @param faded whether the opacity is part of every letter's look
   */
  SampledLetters(
      PreparedLettering prepared,
      SvgClock clock,
      SharedMotions motions,
      LetterFills fills,
      boolean turned,
      boolean faded) {
    this.prepared = prepared;
    this.motions = motions;
    this.fills = fills;
    this.tracks = new LetterTracks(prepared, clock, turned, faded);
    this.bent = tracks.bent();
  }

  /**
   * Writes one row.
   *
   * @param inks that each letter is written in, one over the other
   * @param seen which letters are seen, at every time
   */
  void write(int row, StringBuilder out, List<RowInk> inks, LetterTracks.Seen seen) {
    if (row >= tracks.rowCount()) {
      return;
    }
    Point moved = prepared.seats().moved(row);
    String apart =
        moved.equals(Point.ORIGIN)
            ? ""
            : "<g transform=\"translate("
                + text(moved.x(), 4)
                + " "
                + text(moved.y(), 4)
                + ")\">\n";
    boolean graded = isGraded(inks);
    out.append(graded ? "" : apart);
    for (int i = tracks.start(row); i < tracks.start(row + 1); i++) {
      if (tracks.letter(i) != null) {
        int many = tracks.start(row + 1) - tracks.start(row);
        write(out, i, many, graded ? apart : "", inks, seen);
      }
    }
    out.append(graded || apart.isEmpty() ? "" : "</g>\n");
  }

  /** Whether a line of two colours is written with its letter, which must not move the colours. */
  private static boolean isGraded(List<RowInk> inks) {
    return inks.size() > 1 && inks.stream().anyMatch(k -> k.ink.isGraded());
  }

  /**
   * An ink for a row of letters.
   *
   * @param attributes of two groups in each letter for what is in it; null for none
   */
  record RowInk(Ink ink, String attributes) {}

  private void write(
      StringBuilder out, int i, int many, String apart, List<RowInk> inks, LetterTracks.Seen seen) {
    boolean plain = inks.stream().anyMatch(k -> k.ink.isPlain());
    Track looks = tracks.look(i, seen);
    Track place = tracks.place(i);
    Track shape = tracks.shape(i);
    boolean graded = isGraded(inks);
    List<String> animations = new ArrayList<>();
    List<String> declarations = new ArrayList<>();
    if (looks.still(TOLERANCE / 2)) {
      double[] s = looks.states()[0];
      if (s[0] <= 0) {
        return;
      }
      if (s[0] < 1) {
        declarations.add(look(s, plain));
      }
    } else {
      String family = family("look" + seen + plain, many);
      animations.add(motions.animation(family, looks, TOLERANCE, s -> look(s, plain)));
    }
    if (graded) {
      out.append("<g").append(Ink.style(declarations, animations)).append('>');
      declarations.clear();
      animations.clear();
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
    Ink only = inks.size() == 1 ? inks.get(0).ink : Ink.PLAIN;
    if (only.hasLetters()) {
      drawn(only, i, declarations, animations);
    }
    declarations.removeIf(String::isEmpty);
    Letter letter = tracks.letter(i);
    String own =
        letter.fill() != null && plain ? " fill=\"" + AnimatedSvg.colour(letter.fill()) + "\"" : "";
    String placed = apart + "<g" + own + Ink.style(declarations, animations) + ">";
    out.append(graded ? "" : placed);
    double back = oneBack ? first[5] : 0;
    double[] size = oneSize ? first : new double[] {0, 0, 0, 1, 1};
    for (RowInk k : inks) {
      int from = out.length();
      inked(out, k, i, inks.size() > 1, (ink) -> shapes(out, ink, i, shape, size, back, oneSize));
      if (graded) {
        String end = apart.isEmpty() ? "</g>" : "</g></g>";
        String lines = placed + out.substring(from) + end;
        out.setLength(from);
        out.append(k.ink.coloured(lines, "-" + i));
      }
    }
    out.append("</g>\n");
  }

  /**
   * Writes a letter in one of its inks.
   *
   * @param several whether it has others, over each other
   * @param shapes writes its shapes in an ink
   */
  private void inked(StringBuilder out, RowInk k, int i, boolean several, Consumer<Ink> shapes) {
    out.append(k.attributes == null ? "" : "<g" + k.attributes + ">");
    boolean drawn = k.attributes != null && k.ink.hasLetters();
    if (drawn) {
      List<String> own = new ArrayList<>();
      List<String> moving = new ArrayList<>();
      drawn(k.ink, i, own, moving);
      out.append("<g").append(Ink.style(own, moving)).append('>');
    }
    // Beneath a letter that is seen through it leaves the letter out.
    boolean cut = k.ink.isLine() && k.ink.isBeneath() && several && !prepared.solid();
    if (cut) {
      String rest = k.ink.name() + "-rest" + i;
      out.append("<mask id=\"" + rest + "\" maskUnits=\"userSpaceOnUse\" ");
      out.append(AppearanceSvg.EVERYWHERE + "><rect " + AppearanceSvg.EVERYWHERE);
      out.append(" fill=\"#fff\"/><g" + Ink.area().attributes() + ">");
      shapes.accept(Ink.area());
      out.append("</g></mask><g mask=\"url(#" + rest + ")\">");
    }
    shapes.accept(k.ink);
    out.append(cut ? "</g>" : "");
    out.append(drawn ? "</g>" : "");
    out.append(k.attributes == null ? "" : "</g></g>");
  }

  private void shapes(
      StringBuilder out, Ink ink, int i, Track shape, double[] size, double back, boolean oneSize) {
    if (shape.states()[0].length > 0 || !shape.still(TOLERANCE / 2)) {
      shaped(out, ink, shape, size, back, i);
    } else {
      glyphs(out, ink, i, oneSize ? scale(size[3], size[4]) : "", back);
    }
  }

  private void drawn(Ink ink, int i, List<String> declarations, List<String> animations) {
    ink.drawn(t -> tracks.value(i, ink.drawn(), t) / 100, declarations, animations);
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

  private String look(double[] s, boolean coloured) {
    StringBuilder out = new StringBuilder("opacity:").append(text(s[0], 3));
    if (coloured && prepared.lettering().movable(Channel.FILL).moves()) {
      int rgb = 0;
      for (int k = 1; k <= 3; k++) {
        rgb = rgb << 8 | (int) Math.round(Math.min(Math.max(s[k], 0), 1) * 255);
      }
      out.append(";fill:").append(AnimatedSvg.colour(rgb));
    }
    return out.toString();
  }

  private void glyphs(StringBuilder out, Ink ink, int i, String scale, double back) {
    Letter letter = tracks.letter(i);
    for (Cluster.Glyph g : letter.cluster().glyphs()) {
      Outline outline = letter.run().outlines().get(g.outline());
      String d = outline.data();
      if (d.isEmpty()) {
        continue;
      }
      double x = g.dx() + back;
      boolean off = x != 0 || g.dy() != 0;
      String by = off ? "translate(" + text(x, 5) + " " + text(g.dy(), 5) + ")" : "";
      String map = scale + (scale.isEmpty() || by.isEmpty() ? "" : " ") + by;
      String place = map.isEmpty() ? "" : " transform=\"" + map.replace(",", " ") + "\"";
      String fill =
          fill(
              ink,
              i,
              tracks.largest(),
              (at, row, k) -> at.minus(new Point(row.place(k).back() + g.dx(), g.dy())));
      out.append(path(ink, fill, place, 1, ratio(ink, outline.subPaths()), d, ""));
    }
  }

  /** The fill of a glyph as an attribute; empty in another ink, or where it is that of all. */
  private String fill(Ink ink, int i, double scale, LetterFills.Units units) {
    boolean own = ink.isPlain() && tracks.letter(i).fill() == null;
    return own ? fills.fill(tracks.row(i), i - tracks.start(tracks.row(i)), scale, units) : "";
  }

  /** A path with this data, and an animation of it. */
  private static String path(
      Ink ink, String fill, String place, double units, double ratio, String d, String animation) {
    return ink.shape(
        place,
        units,
        ratio,
        (attributes, style) -> {
          String both = style + (style.isEmpty() || animation.isEmpty() ? "" : ";") + animation;
          return "<path" + fill + attributes + " d=\"" + d + "\"" + Ink.style(both) + "/>";
        });
  }

  /** Of the length of all contours to that of the longest, where it is of any use. */
  static double ratio(Ink ink, List<SubPath> subPaths) {
    return ink.isDrawn() ? LetterShapes.ratio(LetterShapes.numbers(subPaths)) : 1;
  }

  /** An outline that changes; where a browser does not know how, it stands still half way. */
  private void shaped(StringBuilder out, Ink ink, Track shape, double[] size, double back, int i) {
    Letter letter = tracks.letter(i);
    // Whole units are a fortieth of a px.
    double units = bent ? 40 : Math.ceil(tracks.largest()) * 40;
    double[] middle = shape.states()[shape.states().length / 2];
    String map = bent ? "scale(" + text(1 / units, 6) + ")" : scaled(size, units, back);
    String play = "";
    if (!shape.still(TOLERANCE / 4)) {
      // Of two sorts of glyph no shape is that of the other.
      String family = "shape of " + letter.cluster().text() + " in " + text(units, 3);
      play =
          "animation:"
              + motions.animation(
                  family, shape, TOLERANCE, s -> "d:path(\"" + LetterShapes.data(s, units) + "\")");
    }
    double ratio = ink.isDrawn() ? LetterShapes.ratio(middle) : 1;
    String place = " transform=\"" + map + "\"";
    Point moved = prepared.seats().moved(tracks.row(i));
    String fill =
        fill(
            ink,
            i,
            bent ? 1 / units : tracks.largest() / units,
            (at, row, k) ->
                bent
                    ? at.minus(moved).times(units)
                    : at.minus(new Point(row.place(k).back(), 0)).times(units));
    out.append(path(ink, fill, place, units, ratio, LetterShapes.data(middle, units), play));
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
