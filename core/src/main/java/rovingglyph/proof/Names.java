package rovingglyph.proof;

import rovingglyph.scene.Animatable;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Lettering;

/** What things are called in what is found. */
final class Names {
  private static final int LONGEST = 24;

  private Names() {}

  /** In quotes: a lettering by its words, shortened, all else by its name. */
  static String of(Animatable thing) {
    if (thing instanceof Lettering l) {
      String t = l.text().strip().replace('\n', ' ');
      return quoted(t.length() > LONGEST ? t.substring(0, LONGEST - 1) + "\u2026" : t);
    }
    return quoted(thing instanceof GuidePath p ? p.name() : ((Item) thing).name());
  }

  static String quoted(String name) {
    return "\u201c" + name + "\u201d";
  }

  /** Two letters, in quotes already, and how many more pairs of them. */
  static String letters(String first, String second, int more) {
    String others = more == 0 ? "" : ", and " + more + (more == 1 ? " more pair" : " more pairs");
    return "the letters " + first + " and " + second + others;
  }
}
