package rovingglyph.type;

import java.util.List;

/**
 * Characters that are shaped, placed and turned as one: a letter with its marks, a ligature.
 *
 * @param text its characters, as set
 * @param start where they begin in the run's text, in UTF-16 units
 * @param advance in em, without tracking
 * @param glyphs in paint order
 * @param borrowed name of the fallback face it is drawn in; empty where the asked face has it
 * @param missing true where no shipped face has the characters and a box stands in for them
 */
public record Cluster(
    String text, int start, double advance, List<Glyph> glyphs, String borrowed, boolean missing) {

  /** AvailableSpan without ink: what stands beside a separator. */
  public static Cluster gap(double advance) {
    return new Cluster(" ", 0, advance, List.of(), "", false);
  }

  /** The same with its glyphs so many em higher. */
  public Cluster lifted(double ems) {
    List<Glyph> higher =
        glyphs.stream().map(g -> new Glyph(g.outline(), g.dx(), g.dy() - ems)).toList();
    return new Cluster(text, start, advance, higher, borrowed, missing);
  }

  /** Whether it is white space. */
  public boolean isSpace() {
    return text.isBlank();
  }

  /** A glyph: index into the run's outlines, and its offset from the cluster's origin in em. */
  public record Glyph(int outline, double dx, double dy) {}
}
