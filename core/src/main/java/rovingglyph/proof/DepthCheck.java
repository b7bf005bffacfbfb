package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.LetterCrossings;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.StandingLetters;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;

/** How words that are turned in space are seen: the right way round, and before the eye. */
final class DepthCheck {
  /** From near by most of a ring is seen from behind: only more than that is too much. */
  private static final double BACKWARDS = 0.85;

  /** The size of the smallest letters that are read, in shares of the frame's shorter side. */
  private static final double LEAST_SIZE = 1.0 / 90;

  /** What is inside a ring is left this far from letters, px. */
  private static final double CORE_GAP = 1;

  /** So many times in the scene is looked whether letters pass the eye. */
  private static final int LOOKS = 24;

  private DepthCheck() {}

  static List<Finding> of(PreparedScene scene, PreparedLettering l) {
    Plane plane = l.lettering().properties().plane();
    if (plane == null) {
      return List.of();
    }
    List<Finding> out = new ArrayList<>();
    StandingLetters letters = new StandingLetters(scene, l.lettering().id());
    backwards(letters, l, plane, scene.scene().length(), out);
    passing(letters, l, scene.scene().length(), out);
    double time = Rest.time(l.lettering(), scene.scene().length());
    through(letters.crossings(time), l, time, out);
    intoCore(letters, l, time, out);
    if (!plane.parallel()) {
      small(scene, letters, l, time, out);
    }
    return out;
  }

  /** Letters that go through each other where they rest, unless their face has it so. */
  private static void through(
      List<LetterCrossings.Pair> all, PreparedLettering l, double time, List<Finding> out) {
    List<LetterCrossings.Pair> found = all.stream().filter(p -> !isOwn(p)).toList();
    if (found.isEmpty()) {
      return;
    }
    LetterCrossings.Pair p = found.get(0);
    String letters =
        Names.letters(
            quoted(p.row(), p.first()), quoted(p.otherRow(), p.second()), found.size() - 1);
    String message =
        "In "
            + Names.of(l.lettering())
            + " "
            + letters
            + " go through each other: give them more tracking, less lean, or a path with more room";
    out.add(Finding.of(message, l.lettering().id(), time));
  }

  /** Letters that stick in the core of their ring where they rest. */
  private static void intoCore(
      StandingLetters letters, PreparedLettering l, double time, List<Finding> out) {
    double room = Math.floor(letters.coreRoom(time) - CORE_GAP);
    if (Double.isNaN(room)) {
      return;
    }
    Finding found =
        Finding.of(
            "Letters of " + Names.of(l.lettering()) + " stick in what is inside their ring",
            l.lettering().id(),
            time);
    AnimatedValue radius = l.lettering().movable(Channel.CORE_RADIUS);
    boolean fits = room > 0 && !radius.moves() && !radius.keyed();
    out.add(
        fits
            ? found.mendedBy(
                "Give it a radius of " + Decimal.text(room, 0) + " px",
                Mend.value("shift", l.lettering().id(), Channel.CORE_RADIUS)
                    .add("by", room - radius.base()))
            : found);
  }

  /** Whether two letters are joined on a straight path too. */
  private static boolean isOwn(LetterCrossings.Pair p) {
    boolean neighbours = p.row() == p.otherRow() && p.second().letter() == p.first().letter() + 1;
    return neighbours && Collisions.gapInALine(p.row(), p.first(), p.second()) <= 0;
  }

  private static String quoted(RowLayout row, Placement p) {
    return Names.quoted(row.letters().get(p.letter()).cluster().text());
  }

  /** Letters that are read, and seen much smaller than others because they are farther away. */
  private static void small(
      PreparedScene scene,
      StandingLetters letters,
      PreparedLettering l,
      double time,
      List<Finding> out) {
    double least = LEAST_SIZE * Math.min(scene.scene().width(), scene.scene().height());
    Projection round = scene.round(l.lettering().id(), time);
    double smallest = Double.POSITIVE_INFINITY;
    double largest = 0;
    for (StandingLetters.Letter letter : letters.letters(time)) {
      if (letter.seen() && !letter.isBack() && letter.map().i() >= Projection.NEAREST) {
        Affine seen = round.times(letter.map()).near(Point.ORIGIN);
        double size = Math.hypot(seen.c(), seen.d());
        smallest = Math.min(smallest, size);
        largest = Math.max(largest, size);
      }
    }
    // Where none is larger it is not for their distance.
    if (smallest < least && largest >= least) {
      Finding found =
          Finding.of(
              "The farthest letters of "
                  + Names.of(l.lettering())
                  + " are seen at a size of only "
                  + Decimal.text(smallest, 0)
                  + " px: too small to read",
              l.lettering().id(),
              time);
      out.add(fromFartherOff(found, l));
    }
  }

  /** Which is mended by looking from farther off, as far as that goes. */
  private static Finding fromFartherOff(Finding found, PreparedLettering l) {
    double far = l.lettering().movable(Channel.VIEWING_DISTANCE).base();
    return far * 2 > Channel.VIEWING_DISTANCE.max()
        ? found
        : found.mendedBy(
            "Look from twice as far",
            Mend.value("shift", l.lettering().id(), Channel.VIEWING_DISTANCE).add("by", far));
  }

  private static void backwards(
      StandingLetters letters, PreparedLettering l, Plane plane, double length, List<Finding> out) {
    double time = Rest.time(l.lettering(), length);
    List<StandingLetters.Letter> all = letters.letters(time);
    double backs = all.stream().filter(StandingLetters.Letter::isBack).count();
    if (all.isEmpty() || backs < BACKWARDS * all.size()) {
      return;
    }
    String name = Names.of(l.lettering());
    String how =
        plane.backs() == Plane.Backs.HIDDEN
            ? " is turned away where it rests: little of it is seen"
            : " is seen from behind where it rests: it reads the wrong way round";
    Finding found = Finding.of(name + how, l.lettering().id(), time);
    Seat.Side side = l.lettering().seat().side();
    Seat.Side other = side == Seat.Side.LEFT ? Seat.Side.RIGHT : Seat.Side.LEFT;
    boolean stands = plane.stance() == Plane.Stance.STANDING;
    out.add(
        stands
            ? found.mendedBy(
                "Read it from the other side", Mend.side(l.lettering().id(), other, time))
            : found);
  }

  private static void passing(
      StandingLetters letters, PreparedLettering l, double length, List<Finding> out) {
    for (int i = 0; i < LOOKS; i++) {
      double time = length * i / LOOKS;
      for (StandingLetters.Letter letter : letters.letters(time)) {
        if (letter.map().i() < Projection.NEAREST) {
          Finding found =
              Finding.of(
                  "Letters of "
                      + Names.of(l.lettering())
                      + " pass the eye, and are cut off: its viewing distance is short",
                  l.lettering().id(),
                  time);
          out.add(fromFartherOff(found, l));
          return;
        }
      }
    }
  }
}
