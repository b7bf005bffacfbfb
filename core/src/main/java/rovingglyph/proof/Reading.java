package rovingglyph.proof;

import java.util.ArrayList;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Decimal;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Seat;
import rovingglyph.seat.Placement;
import rovingglyph.setting.Letter;

/**
 * Whether there is time to read a lettering. A letter can be read while it is in the frame, at
 * least half opaque, and goes no faster than the eye reads along with it. The words take half a
 * second and a quarter for each (some 240 words a minute), long ones that of several; either nearly
 * all of them are there together for so long, or one after another each for half a second. Words
 * that are repeated are taken as ornament: they come by again.
 *
 * <p>Times are looked at in steps of a sixtieth of the scene.
 */
final class Reading {
  private static final double NOTICED = 0.5;
  private static final double A_WORD = 0.25;

  /** Of which a long word is several, letters. */
  private static final int LONG_WORD = 8;

  /** The least time for a letter that passes, s. */
  private static final double PASSING = 0.5;

  private static final int LOOKS = 60;

  private final Scene scene;
  private final PreparedLettering l;
  private final Legibility legibility;

  private Reading(Scene scene, PreparedLettering l, Rect frame) {
    this.scene = scene;
    this.l = l;
    this.legibility = new Legibility(frame);
  }

  static List<Finding> of(Scene scene, PreparedLettering l, Rect frame) {
    boolean repeats =
        l.lettering().seat().fit() == Seat.Fit.REPEAT
            || l.lettering().setting().phrases().times() != 1;
    if (repeats) {
      return List.of();
    }
    Reading r = new Reading(scene, l, frame);
    double needed = NOTICED + A_WORD * words(l);
    Lettering own = l.lettering();
    double can = r.seconds(own, needed);
    if (can < 0 || can >= needed) {
      return List.of();
    }
    int words = words(l);
    String message =
        Names.of(own)
            + " can be read for "
            + Decimal.text(can, 1)
            + " s; "
            + (words == 1 ? "a word takes about " : words + " words take about ")
            + Decimal.text(needed, 1)
            + " s";
    Finding found = Finding.of(message, own.id(), Rest.time(own, scene.length()));
    return List.of(r.restingLonger(found, needed - can, needed));
  }

  /** How many words there are, long ones counted as several. */
  private static int words(PreparedLettering l) {
    int words = 0;
    int letters = 0;
    for (Letter letter : Legibility.letters(l)) {
      letters = counts(letter) ? letters + 1 : letter.isSpace() ? 0 : letters;
      words += counts(letter) && letters % LONG_WORD == 1 ? 1 : 0;
    }
    return words;
  }

  private static boolean counts(Letter letter) {
    return Legibility.counts(letter);
  }

  /**
   * For how long it can be read, s; negative where it is never seen.
   *
   * @param enough seconds beyond which more need not be told
   */
  private double seconds(Lettering own, double enough) {
    int looks = Math.min(scene.frameCount(), LOOKS);
    double step = scene.rate().timeOf(scene.frameCount()) / looks;
    List<Letter> letters = Legibility.letters(l);
    double[] each = new double[letters.size()];
    long all = letters.stream().filter(Reading::counts).count();
    double together = 0;
    double any = 0;
    boolean seen = false;
    List<Placement> before = null;
    for (int i = 0; i <= looks && together < enough; i++) {
      boolean shown = i < looks && scene.shows(own, step * i);
      List<Placement> places = shown ? l.inFrame(l.as(own, step * i)) : null;
      int now = 0;
      for (int k = 0; before != null && places != null && k < each.length; k++) {
        boolean reads =
            counts(letters.get(k)) && legibility.readable(before.get(k), places.get(k), step);
        each[k] += reads ? step : 0;
        now += reads ? 1 : 0;
      }
      together += now > 0 && now >= Legibility.NEARLY_ALL * all ? step : 0;
      any += now > 0 ? step : 0;
      seen |= shown && places.stream().anyMatch(legibility::isThere);
      before = places;
    }
    return seen ? Math.max(together, passing(letters, each, any)) : -1;
  }

  /** For how long it can be read as it passes: hardly where one letter is there too briefly. */
  private static double passing(List<Letter> letters, double[] each, double any) {
    double least = any;
    for (int k = 0; k < each.length; k++) {
      least = counts(letters.get(k)) ? Math.min(least, each[k]) : least;
    }
    return least >= PASSING ? any : least;
  }

  /** What is found with the edit that lets it rest longer, where it rests and there is room. */
  private Finding restingLonger(Finding found, double missing, double needed) {
    Channel c = Channel.PATH_OFFSET;
    AnimatedValue m = l.lettering().movable(c);
    List<Keyframe> keys = m.keyframes();
    double frame = 1 / scene.rate().perSecond();
    double by = Math.ceil(missing / frame + 1) * frame;
    int holds = 0;
    while (holds + 1 < keys.size() && keys.get(holds).value() != keys.get(holds + 1).value()) {
      holds++;
    }
    List<Integer> later = new ArrayList<>();
    List<Keyframe> moved = new ArrayList<>(keys);
    for (int i = holds + 1; i < keys.size(); i++) {
      later.add(i);
      moved.set(i, keys.get(i).at(keys.get(i).time() + by, null));
    }
    boolean can =
        !later.isEmpty()
            && keys.stream().allMatch(k -> k.cue() == null)
            && moved.get(moved.size() - 1).time() <= scene.length()
            && seconds(l.lettering().with(c, m.with(moved)), needed) >= needed;
    return can
        ? found.mendedBy(
            "Let it rest longer", Mend.keys("moveKeys", found.item(), c, later).add("by", by))
        : found;
  }
}
