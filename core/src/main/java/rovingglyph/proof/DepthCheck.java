package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.StandingLetters;
import rovingglyph.geometry.Projection;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Seat;

/** How words that are turned in space are seen: the right way round, and before the eye. */
final class DepthCheck {
  /** From near by most of a ring is seen from behind: only more than that is too much. */
  private static final double BACKWARDS = 0.85;

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
    return out;
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
          double far = l.lettering().movable(Channel.VIEWING_DISTANCE).base();
          Finding found =
              Finding.of(
                  "Letters of "
                      + Names.of(l.lettering())
                      + " pass the eye, and are cut off: its viewing distance is short",
                  l.lettering().id(),
                  time);
          out.add(
              far * 2 > Channel.VIEWING_DISTANCE.max()
                  ? found
                  : found.mendedBy(
                      "Look from twice as far",
                      Mend.value("shift", l.lettering().id(), Channel.VIEWING_DISTANCE)
                          .add("by", far)));
          return;
        }
      }
    }
  }
}
