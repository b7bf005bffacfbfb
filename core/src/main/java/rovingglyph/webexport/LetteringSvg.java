package rovingglyph.webexport;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.scene.Seat;
import rovingglyph.seat.RowLayout;

/**
 * The letters of a lettering, with the line under them and its outlines. Where their motion can be
 * said in CSS they are driven by a few numbers; otherwise each has its own motions.
 */
final class LetteringSvg {
  private final PreparedLettering prepared;
  private final SvgClock clock;
  private final SharedMotions motions;
  private final String name;
  private final boolean turned;
  private final List<RowLayout> rows;
  private final List<DrivenLetters> driven = new ArrayList<>();
  private final SampledLetters sampled;
  private final LetterFills fills;
  private final StringBuilder out = new StringBuilder();

  /**
   * @param turned whether the rotation is part of every letter's place
   * @param style to which rules are added
   * @param animations to which those of the group round all of it are added
   */
  LetteringSvg(
      PreparedLettering prepared,
      SvgClock clock,
      CssMotion motion,
      SharedMotions motions,
      String name,
      boolean turned,
      StringBuilder style,
      List<String> animations) {
    this.prepared = prepared;
    this.clock = clock;
    this.motions = motions;
    this.name = name;
    this.turned = turned;
    this.rows = prepared.rows(prepared.values(0));
    this.fills = new LetterFills(prepared, clock, name + "-f", turned);
    if (DrivenLetters.canExpressInCss(prepared)) {
      for (int i = 0; i < rows.size(); i++) {
        DrivenLetters d =
            new DrivenLetters(prepared, rows.get(i), clock, motion, name, name + "-r" + i);
        if (i == 0) {
          d.drive(style, animations);
        }
        d.share(style);
        driven.add(d);
      }
      this.sampled = null;
    } else {
      boolean faded = prepared.fadesByLetter();
      this.sampled = new SampledLetters(prepared, clock, motions, fills, turned, faded);
    }
  }

  /** All of it as it is. */
  String write(List<Ink> outlines) {
    for (int i = 0; i < rows.size() && prepared.lettering().letterEffects().trail() != null; i++) {
      out.append(new TrailFrames(prepared, clock, motions, i, turned).path());
    }
    List<Ink> beneath = new ArrayList<>(outlines.stream().filter(Ink::isBeneath).toList());
    Collections.reverse(beneath);
    List<Ink> over = outlines.stream().filter(k -> !k.isBeneath()).toList();
    LetterTracks.Seen seen = LetterTracks.Seen.ALL;
    if (!outlines.isEmpty() && prepared.fadesByLetter()) {
      // A letter that fades is one with its outlines. All others lie over the outlines of all.
      List<Ink> inks = new ArrayList<>(beneath);
      inks.add(Ink.PLAIN);
      inks.addAll(over);
      rows(inks, LetterTracks.Seen.FADING);
      seen = LetterTracks.Seen.WHOLE;
    }
    for (Ink ink : beneath) {
      beneath(ink, seen);
    }
    rows(List.of(Ink.PLAIN), seen);
    for (Ink ink : over) {
      pass(ink, seen);
    }
    return fills.elements() + out;
  }

  /**
   * Its letters in another ink.
   *
   * @param unit px of one round it, in which lines are measured
   */
  String write(Ink ink, DoubleUnaryOperator unit) {
    rows(List.of(ink), LetterTracks.Seen.ALL, unit);
    return out.toString();
  }

  /** An outline beneath the letters, cut out where these do not hide it. */
  private void beneath(Ink ink, LetterTracks.Seen seen) {
    if (prepared.solid()) {
      pass(ink, seen);
      return;
    }
    String rest = ink.name() + "-rest";
    out.append("<mask id=\"" + rest + "\" maskUnits=\"userSpaceOnUse\" ");
    out.append(AppearanceSvg.EVERYWHERE + "><rect " + AppearanceSvg.EVERYWHERE);
    out.append(" fill=\"#fff\"/>");
    pass(Ink.area(), seen);
    out.append("</mask>\n<g mask=\"url(#" + rest + ")\">\n");
    pass(ink, seen);
    out.append("</g>\n");
  }

  private void pass(Ink ink, LetterTracks.Seen seen) {
    int from = out.length();
    out.append("<g").append(ink.attributes()).append(">\n");
    rows(List.of(ink), seen);
    out.append("</g>\n");
    String lines = out.substring(from);
    out.setLength(from);
    out.append(ink.coloured(lines, ""));
  }

  private void rows(List<Ink> inks, LetterTracks.Seen seen) {
    rows(inks, seen, t -> 1);
  }

  private void rows(List<Ink> inks, LetterTracks.Seen seen, DoubleUnaryOperator unit) {
    for (int i = 0; i < rows.size(); i++) {
      int row = i;
      DoubleUnaryOperator em = t -> unit.applyAsDouble(t) * size(row, t);
      boolean only = inks.size() == 1;
      String measured = only ? inks.get(0).measured(em) : "";
      String units = sampled == null ? DrivenLetters.units() : "";
      out.append("<g class=\"" + name + "-r" + i + "\"" + units + measured + ">\n");
      if (sampled == null) {
        driven.get(i).write(out, inks.get(0), fills, i);
      } else {
        List<SampledLetters.RowInk> all =
            inks.stream()
                .map(k -> new SampledLetters.RowInk(k, only ? null : inLetters(k, em)))
                .toList();
        sampled.write(i, out, all, seen);
      }
      out.append("</g>\n");
    }
  }

  /** Attributes of a group in each letter; the shapes in it are measured by another one. */
  private static String inLetters(Ink ink, DoubleUnaryOperator em) {
    return ink.isPlain() ? null : ink.attributes() + "><g" + ink.measured(em);
  }

  /** Px of an em of a row, or of a px where letters are bent. */
  private double size(int row, double time) {
    if (prepared.lettering().seat().method() == Seat.GlyphMethod.BENT) {
      return 1;
    }
    List<RowLayout> now = prepared.rows(prepared.values(time));
    return row < now.size() ? now.get(row).size() : 1;
  }
}
