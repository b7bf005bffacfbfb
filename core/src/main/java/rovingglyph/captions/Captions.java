package rovingglyph.captions;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Rect;
import rovingglyph.proof.Legibility;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.seat.Placement;
import rovingglyph.setting.Letter;

/** Finds when the words of a scene can be read, and writes that as WebVTT and SRT. */
public final class Captions {
  /** Looks at a scene at most; of longer ones not every frame is looked at. */
  private static final int MOST_LOOKS = 1500;

  /** What is unreadable for no longer than this is not told, s. */
  private static final double BLINK = 0.3;

  /** What can be read for a shorter time is not told, s. */
  private static final double SHORTEST = 0.2;

  private Captions() {}

  /**
   * The captions, by their beginnings. A lettering can be read while nearly all of its letters can;
   * one of which that is never so, while any of them can, as words that pass or come up one after
   * another.
   */
  public static List<Caption> of(PreparedScene prepared) {
    Scene scene = prepared.scene();
    List<Caption> out = new ArrayList<>();
    for (Lettering l : scene.letterings()) {
      PreparedLettering p = prepared.letterings().get(l.id());
      if (p != null && scene.shows(l)) {
        out.addAll(of(scene, p));
      }
    }
    out.sort(Comparator.comparingDouble(Caption::from));
    return out;
  }

  private static List<Caption> of(Scene scene, PreparedLettering l) {
    String text = l.lettering().text().strip().replaceAll("\\s+", " ");
    List<Letter> letters = Legibility.letters(l);
    long all = letters.stream().filter(Legibility::counts).count();
    if (all == 0) {
      return List.of();
    }
    int looks = Math.min(scene.frameCount(), MOST_LOOKS);
    double step = scene.rate().timeOf(scene.frameCount()) / looks;
    int[] readable = readable(scene, l, letters, looks, step);
    boolean together = false;
    for (int n : readable) {
      together |= n >= Legibility.NEARLY_ALL * all;
    }
    double enough = together ? Legibility.NEARLY_ALL * all : 1;
    List<Caption> out = new ArrayList<>();
    double from = -1;
    for (int i = 0; i <= looks; i++) {
      boolean reads = i < looks && readable[i] >= enough;
      if (reads && from < 0) {
        from = step * i;
      } else if (!reads && from >= 0) {
        add(out, new Caption(from, step * i, text));
        from = -1;
      }
    }
    out.removeIf(c -> c.to() - c.from() < SHORTEST);
    return out;
  }

  /** Joins it to the last one where only a blink is between them. */
  private static void add(List<Caption> out, Caption c) {
    int last = out.size() - 1;
    if (last >= 0 && c.from() - out.get(last).to() <= BLINK) {
      out.set(last, new Caption(out.get(last).from(), c.to(), c.text()));
    } else {
      out.add(c);
    }
  }

  /** How many letters can be read from each look to the next. */
  private static int[] readable(
      Scene scene, PreparedLettering l, List<Letter> letters, int looks, double step) {
    Legibility legibility = new Legibility(new Rect(0, 0, scene.width(), scene.height()));
    int[] out = new int[looks];
    List<Placement> before = null;
    for (int i = 0; i <= looks; i++) {
      boolean shown = scene.shows(l.lettering(), step * i);
      List<Placement> now = shown ? l.inFrame(l.as(l.lettering(), step * i)) : null;
      for (int k = 0; before != null && now != null && k < letters.size(); k++) {
        boolean reads =
            Legibility.counts(letters.get(k))
                && legibility.readable(before.get(k), now.get(k), step);
        out[i - 1] += reads ? 1 : 0;
      }
      before = now;
    }
    return out;
  }

  /** As WebVTT, by the W3C's description of it. */
  public static String webVtt(List<Caption> captions) {
    StringBuilder out = new StringBuilder("WEBVTT\n");
    for (Caption c : captions) {
      String text = c.text().replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
      out.append('\n').append(time(c.from(), '.')).append(" --> ").append(time(c.to(), '.'));
      out.append('\n').append(text).append('\n');
    }
    return out.toString();
  }

  /** As SRT: numbered, with a comma before the thousandths. */
  public static String subRip(List<Caption> captions) {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < captions.size(); i++) {
      Caption c = captions.get(i);
      out.append(i + 1).append('\n');
      out.append(time(c.from(), ',')).append(" --> ").append(time(c.to(), ',')).append('\n');
      out.append(c.text().replace("-->", "->")).append("\n\n");
    }
    return out.toString();
  }

  /** Hours, minutes, seconds and thousandths. */
  private static String time(double seconds, char point) {
    long millis = Math.round(seconds * 1000);
    return two(millis / 3_600_000)
        + ":"
        + two(millis / 60_000 % 60)
        + ":"
        + two(millis / 1000 % 60)
        + point
        + Long.toString(1000 + millis % 1000).substring(1);
  }

  private static String two(long n) {
    return n < 10 ? "0" + n : Long.toString(n);
  }
}
