package rovingglyph.shaping;

import java.util.Map;
import java.util.Set;

/** OpenType features in plain words, after the registered names of the specification. */
final class FeatureNames {
  private static final Map<String, String> NAMES =
      Map.ofEntries(
          Map.entry("kern", "Kerning"),
          Map.entry("liga", "Ligatures"),
          Map.entry("clig", "Contextual ligatures"),
          Map.entry("dlig", "Discretionary ligatures"),
          Map.entry("hlig", "Historical ligatures"),
          Map.entry("calt", "Contextual alternates"),
          Map.entry("salt", "Stylistic alternates"),
          Map.entry("swsh", "Swashes"),
          Map.entry("cswh", "Contextual swashes"),
          Map.entry("smcp", "Small capitals"),
          Map.entry("c2sc", "Small capitals from capitals"),
          Map.entry("pcap", "Petite capitals"),
          Map.entry("c2pc", "Petite capitals from capitals"),
          Map.entry("titl", "Titling"),
          Map.entry("case", "Case-sensitive forms"),
          Map.entry("cpsp", "Capital spacing"),
          Map.entry("lnum", "Lining figures"),
          Map.entry("onum", "Oldstyle figures"),
          Map.entry("pnum", "Proportional figures"),
          Map.entry("tnum", "Tabular figures"),
          Map.entry("frac", "Fractions"),
          Map.entry("afrc", "Upright fractions"),
          Map.entry("ordn", "Ordinals"),
          Map.entry("sups", "Superscript"),
          Map.entry("subs", "Subscript"),
          Map.entry("sinf", "Scientific inferiors"),
          Map.entry("zero", "Slashed zero"),
          Map.entry("hist", "Historical forms"),
          Map.entry("ornm", "Ornaments"),
          Map.entry("unic", "Unicase"),
          Map.entry("rand", "Randomise"),
          Map.entry("ital", "Italics"));

  /** What shapers need for right spelling, or on their own, is no choice of a designer's. */
  private static final Set<String> NO_CHOICE =
      Set.of(
          "aalt", "abvf", "abvm", "abvs", "akhn", "blwf", "blwm", "blws", "ccmp", "cfar", "cjct",
          "curs", "dist", "dnom", "fina", "fin2", "fin3", "half", "haln", "init", "isol", "locl",
          "ljmo", "mark", "medi", "med2", "mkmk", "mset", "nukt", "numr", "pref", "pres", "pstf",
          "psts", "rclt", "rkrf", "rlig", "rphf", "rvrn", "stch", "tjmo", "vatu", "vert", "vjmo",
          "vrt2", "vkrn", "vpal", "valt", "vhal", "size");

  private FeatureNames() {}

  static boolean isChoice(String tag) {
    return !NO_CHOICE.contains(tag);
  }

  static String of(String tag) {
    if (tag.matches("ss\\d\\d")) {
      return "Stylistic set " + Integer.parseInt(tag.substring(2));
    }
    if (tag.matches("cv\\d\\d")) {
      return "Character variant " + Integer.parseInt(tag.substring(2));
    }
    return NAMES.getOrDefault(tag, tag);
  }
}
