package rovingglyph.scene;

import java.util.ArrayList;
import java.util.List;

/** What is heard of a scene: the sound of its footage, in scenes that it shows too. */
public final class Soundtrack {
  /** More pieces than this are not heard: footage that begins again many times in a second. */
  public static final int MOST = 300;

  /** Shorter pieces are not heard, seconds. */
  private static final double SHORTEST = 0.001;

  /**
   * A piece of sound, played from one moment of kept footage on. All times but {@code from} are
   * seconds of the scene that is heard.
   *
   * @param image id of the kept footage
   * @param at when it begins
   * @param seconds how long it is heard
   * @param from the moment of the footage with which it begins, in its own seconds
   * @param speed how many of these go by in one second; its pitch stays
   * @param level dB
   * @param rises when it begins to come up
   * @param fadeIn how long it comes up
   * @param falls when it has died away
   * @param fadeOut how long it dies away
   */
  public record Piece(
      String image,
      double at,
      double seconds,
      double from,
      double speed,
      double level,
      double rises,
      double fadeIn,
      double falls,
      double fadeOut) {

    /** How loud it is at a time, as a factor. */
    public double gain(double time) {
      double up = fadeIn > 0 ? Math.min(Math.max((time - rises) / fadeIn, 0), 1) : 1;
      double down = fadeOut > 0 ? Math.min(Math.max((falls - time) / fadeOut, 0), 1) : 1;
      return Math.pow(10, level / 20) * up * down;
    }
  }

  /**
   * A stretch of time in which a scene is shown within the one that is heard.
   *
   * @param from seconds of the scene within
   * @param to seconds of the scene within
   * @param origin when 0 of the scene within would be, in seconds of the one that is heard
   * @param speed seconds of the scene within in one second of the one that is heard
   */
  private record Stretch(double from, double to, double origin, double speed) {
    double outer(double time) {
      return origin + time / speed;
    }
  }

  private final List<Piece> pieces = new ArrayList<>();

  private Soundtrack() {}

  /** The pieces of a scene, in no order. */
  public static List<Piece> of(Scene scene) {
    Soundtrack out = new Soundtrack();
    out.collect(scene, new Stretch(0, scene.length(), 0, 1));
    return List.copyOf(out.pieces);
  }

  private void collect(Scene scene, Stretch s) {
    for (Footage f : scene.footage()) {
      if (f.sound().on() && scene.shows(f)) {
        footage(scene, f, s);
      }
    }
    for (Inset i : scene.insets()) {
      Scene shown = scene.shown().get(i.scene());
      if (shown != null && scene.shows(i)) {
        inset(scene, i, shown, s);
      }
    }
  }

  /** When an item is there, within a stretch: from and to. */
  private static double[] there(Scene scene, Item item, Stretch s) {
    double from = Math.max(s.from, item.properties().shownFrom());
    double to = Math.min(s.to, item.properties().shownTo());
    for (Group g : scene.groupsRound(item.id())) {
      from = Math.max(from, g.properties().shownFrom());
      to = Math.min(to, g.properties().shownTo());
    }
    return new double[] {from, to};
  }

  private void footage(Scene scene, Footage f, Stretch s) {
    double[] there = there(scene, f, s);
    boolean again = f.atEnd() == Footage.AtEnd.LOOP;
    double end = Math.min(f.properties().shownTo(), scene.length());
    double gone = again ? end : Math.min(end, f.begins() + f.run());
    double first = again ? Math.max(0, Math.floor((there[0] - f.begins()) / f.run())) : 0;
    for (double run = first; pieces.size() < MOST; run++) {
      double begins = f.begins() + run * f.run();
      double from = Math.max(begins, there[0]);
      double to = Math.min(begins + f.run(), there[1]);
      if (to - from >= SHORTEST) {
        pieces.add(
            new Piece(
                f.image(),
                s.outer(from),
                (to - from) / s.speed,
                f.in() + (from - begins) * f.speed(),
                f.speed() * s.speed,
                f.sound().level(),
                s.outer(f.begins()),
                f.sound().fadeIn() / s.speed,
                s.outer(gone),
                f.sound().fadeOut() / s.speed));
      }
      if (!again || begins + f.run() >= there[1]) {
        return;
      }
    }
  }

  private void inset(Scene scene, Inset i, Scene shown, Stretch s) {
    double[] there = there(scene, i, s);
    double run = shown.length() / i.speed();
    boolean again = i.atEnd() == Inset.AtEnd.LOOP;
    double first = again ? Math.floor((there[0] - i.begins()) / run) : 0;
    for (double k = first; pieces.size() < MOST; k++) {
      double begins = i.begins() + k * run;
      double from = Math.max(begins, there[0]);
      double to = Math.min(begins + run, there[1]);
      if (to > from) {
        Stretch within =
            new Stretch(
                (from - begins) * i.speed(),
                (to - begins) * i.speed(),
                s.outer(begins),
                i.speed() * s.speed);
        collect(shown, within);
      }
      if (!again || begins + run >= there[1]) {
        return;
      }
    }
  }
}
