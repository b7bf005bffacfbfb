package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.HalfPlane;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.SubPath;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Seat;

/**
 * The letters of a lettering that stand in space, each as one rigid thing, in the pixels round the
 * lettering: turned in its plane, but not where its path or a pin brings it.
 */
public final class StandingLetters {
  /** Letters that go into a core by no more than this, px, only touch it. */
  private static final double TOUCH = 0.5;

  private final PreparedScene scene;
  private final PreparedLettering lettering;

  /**
   * @param id of a lettering that has a plane
   */
  public StandingLetters(PreparedScene scene, String id) {
    this.scene = scene;
    this.lettering = scene.letterings().get(id);
  }

  /** Whether letters stand each in a plane of its own, all in plain colours and without lines. */
  public static boolean areRigid(PreparedLettering l) {
    Lettering own = l.lettering();
    return l.isDeep()
        && !ThinLetters.isThick(own)
        && own.seat().method() == Seat.GlyphMethod.RIGID
        && own.filling().kind() == Filling.Kind.PLAIN
        && own.letterEffects().trail() == null
        && Outlines.effects(own).isEmpty();
  }

  /**
   * A letter with an outline, whether it is seen or not.
   *
   * @param number of it among all letters that are no spaces
   * @param map of its em, from the middle of its advance on its baseline
   * @param outline in em
   * @param isBack whether it is turned away from the eye
   * @param seen whether anything of it is
   */
  public record Letter(
      int number,
      Projection map,
      List<SubPath> outline,
      int rgb,
      double alpha,
      boolean isBack,
      boolean seen) {}

  /**
   * A part of a letter that is painted.
   *
   * @param letter its number, see {@link Letter}; less than 0 for what is no letter
   * @param cut what is left of it, in em; null for all
   * @param solid what it is where it is no letter; else null
   */
  public record Part(int letter, HalfPlane cut, RingPart solid) {}

  /** All letters with outlines, in the order of the rows and of the text. */
  public List<Letter> letters(double time) {
    LettersInSpace standing = standing(time);
    List<Letter> out = new ArrayList<>();
    for (Card c : standing.all(lettering.printed(lettering.rows(lettering.values(time))))) {
      List<SubPath> outline = new ArrayList<>();
      for (Card.Part p : c.pieces()) {
        Affine at = p.piece().map().flat();
        for (SubPath s : p.piece().subPaths()) {
          outline.add(
              new SubPath(s.segments().stream().map(e -> e.mapped(at)).toList(), s.closed()));
        }
      }
      LetterInk ink = c.ink();
      boolean seen = ink.place().visible() && ink.alpha() > 0 && standing.isSeen(c);
      Projection map = c.map(scene.turned(lettering.lettering(), time));
      out.add(
          new Letter(ink.number(), map, outline, standing.lit(c), ink.alpha(), c.isBack(), seen));
    }
    return out;
  }

  /** The letters that are painted and go through each other, see {@link LetterCrossings}. */
  public List<LetterCrossings.Pair> crossings(double time) {
    return LetterCrossings.of(standing(time).all(lettering.ink(time, 1)));
  }

  /**
   * How large a radius the core within the ring may have for no letter to go into it, px; NaN where
   * none does, by more than half a px.
   */
  public double coreRoom(double time) {
    return standing(time).room(lettering.ink(time, 1), TOUCH);
  }

  private LettersInSpace standing(double time) {
    return new LettersInSpace(lettering, time, scene.turned(lettering.lettering(), time));
  }

  /**
   * What is painted, back to front; null where letters cut each other, so that there are parts
   * without an end.
   */
  public List<Part> parts(double time, Half half) {
    List<Part> out = new ArrayList<>();
    for (LettersInSpace.Stacked s : standing(time).stack(lettering.ink(time, 1), half)) {
      Card c = s.card();
      if (c == null) {
        out.add(new Part(-1 - s.solid().ordinal(), null, s.solid()));
      } else if (c.cuts().size() > (half == Half.ALL ? 0 : 1)) {
        return null;
      } else {
        HalfPlane cut = c.cuts().isEmpty() ? null : c.half(c.cuts().get(0));
        out.add(new Part(c.ink().number(), cut, null));
      }
    }
    return out;
  }
}
