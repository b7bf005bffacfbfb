package rovingglyph.scene;

import java.util.List;

/**
 * What the letters of a lettering are filled with. Where a gradient begins and ends are values of
 * the lettering; a letter that a rule gives a colour keeps that.
 *
 * @param stops of a gradient, by ascending offset; at least two. The other kinds keep them too, for
 *     when it is a gradient again
 */
public record Filling(Kind kind, Across across, List<Gradient.Stop> stops) {
  /** In the lettering's own colour. */
  public static final Filling PLAIN = new Filling(Kind.PLAIN, Across.LETTER, List.of());

  /** The kinds of filling. */
  public enum Kind {
    PLAIN,
    LINEAR,
    RADIAL,
    /** Only outlines and effects are seen. */
    NONE
  }

  /** What a gradient goes across. */
  public enum Across {
    /** The frame, in which letters move through it. */
    FRAME,
    /** Each letter: its advance, and an em from top to bottom. */
    LETTER,
    /** The row of text along its baseline. */
    RUN,
    /** The path, along which letters move through it. */
    PATH
  }

  /** Whether it is a gradient. */
  public boolean isGraded() {
    return kind == Kind.LINEAR || kind == Kind.RADIAL;
  }

  /** The mean of the colours of its stops, each channel by itself, 0xRRGGBB. */
  public int mean() {
    int out = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      int by = shift;
      double sum = stops.stream().mapToInt(s -> s.colour() >> by & 255).average().orElse(0);
      out |= (int) Math.round(sum) << shift;
    }
    return out;
  }

  /** Whether nothing is seen through it. */
  public boolean isSolid() {
    return kind == Kind.PLAIN || (isGraded() && stops.stream().allMatch(s -> s.opacity() >= 100));
  }
}
